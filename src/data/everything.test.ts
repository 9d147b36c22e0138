import fc from 'fast-check';
import { packBook } from '@/core/io/packedBook';
import { emptyHistory, emptyProject, emptyStore } from '@/core/project';
import { everythingKept } from './everything';
import { isEverything, readEverything } from './readEverything';
import { DEFAULT_SETTINGS, newProjectRecord, packProject, packSettings } from './records';
import { writeText } from './storage';

jest.mock('@react-native-async-storage/async-storage', () =>
  jest.requireActual('@react-native-async-storage/async-storage/jest'),
);

jest.mock('@/platform/room', () => ({
  hasDatabase: () => false,
  shortTexts: { keys: () => ['billet/draft/part', 'another'], read: () => '"half typed"' },
}));

const tags = { tag: 'first', parent: null };
const book = { stores: { s: emptyStore('s', 'Yard', 'USD') }, prices: {} };
const project = (id: string, deletedAt: number | null = null) =>
  packProject({ ...newProjectRecord(emptyProject(id, `Bench ${id}`, 'mm', 'EUR')), deletedAt }, tags);
const KEPT: Record<string, string> = {
  'billet/project/p': project('p'),
  'billet/project/q': project('q'),
  'billet/project/gone': project('gone', 5),
  'billet/settings': packSettings({ ...DEFAULT_SETTINGS, unit: 'mm', staleAfter: 30 }),
  'billet/book': packBook({ book, history: emptyHistory() }, tags),
};

const whole = async (): Promise<string> => {
  for (const [key, text] of Object.entries(KEPT)) await writeText(key, text);
  return everythingKept();
};

const read = (text: string) => {
  const result = readEverything(text);
  return result.ok ? result.value : null;
};

test('a file of everything holds it all, what is half typed too, and is read again', async () => {
  const text = await whole();
  expect(isEverything(text)).toBe(true);
  expect(text).toContain('half typed');
  expect(text).not.toContain('another');
  const all = read(text);
  expect(all?.projects.map(({ name }) => name)).toEqual(['Bench p', 'Bench q']);
  expect(all?.book).toEqual(expect.objectContaining(book));
  expect(all?.lost).toBe(0);
  expect(all?.settings).toEqual({ ...DEFAULT_SETTINGS, unit: 'mm', staleAfter: 30 });
});

test('whatever is broken in one record, the others are read, and it is counted', async () => {
  const file = JSON.parse(await whole()) as { kept: Record<string, string> };
  fc.assert(
    fc.property(
      fc.constantFrom(...Object.keys(KEPT)),
      fc.nat(300),
      fc.string({ maxLength: 3 }),
      (key, at, put) => {
        const text = file.kept[key] ?? '';
        const broken = text.slice(0, at) + put + text.slice(at + 7);
        const all = read(JSON.stringify({ ...file, kept: { ...file.kept, [key]: broken } }));
        for (const id of ['p', 'q'])
          if (key !== `billet/project/${id}`) expect(all?.projects.map((one) => one.id)).toContain(id);
        if (key !== 'billet/book') expect(all?.book).toEqual(expect.objectContaining(book));
        const found = (all?.projects.length ?? 0) + (all?.book ? 1 : 0) + (all?.lost ?? 0);
        expect(found).toBeGreaterThanOrEqual(3);
      },
    ),
    { numRuns: 300 },
  );
});

test('what is no such file is refused', () => {
  for (const text of [
    '',
    '{}',
    'null',
    '{"format":"billet-everything"}',
    '{"format":"billet-everything","kept":3}',
  ])
    expect(readEverything(text).ok).toBe(false);
});
