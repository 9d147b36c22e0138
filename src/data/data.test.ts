import AsyncStorage from '@react-native-async-storage/async-storage';
import {
  emptyBook,
  emptyHistory,
  emptyPart,
  emptyProject,
  emptyStore,
  emptyGroup,
  measure,
  type Project,
  bookFor,
  bookSide,
} from '@/core/project';
import { materialOf } from '@/core/lumber';
import {
  migrate,
  newProjectRecord,
  packProject,
  unpackBook,
  unpackProject,
  unpackSettings,
  packSettings,
  DEFAULT_SETTINGS,
} from './records';
import { packBook } from '@/core/io/packedBook';
import { loadBook, loadProjects, saveProject, withSamples } from './repository';

jest.mock('@react-native-async-storage/async-storage', () =>
  jest.requireActual('@react-native-async-storage/async-storage/jest'),
);

const trellis: Project = {
  ...emptyProject('t', 'Trellis', 'in', 'USD'),
  target: 12050,
  groups: [
    {
      ...emptyGroup('g', 'o', 'Frame'),
      options: [
        {
          id: 'o',
          name: 'first',
          parts: [{ ...emptyPart('a'), name: 'Post', section: '2x4', length: measure('31 1/2', 'in') }],
        },
      ],
    },
  ],
};

const tags = { tag: 'b', parent: 'a' };

beforeEach(() => AsyncStorage.clear());

test('what is kept reads back as it was', () => {
  const record = newProjectRecord(trellis);
  expect(unpackProject(packProject(record, tags))).toEqual({ ok: true, value: record });
  const book = {
    history: emptyHistory(),
    book: {
      ...emptyBook(),
      stores: { s: { ...emptyStore('s', 'Yard', 'EUR'), shipping: { fee: 895, freeFrom: null } } },
    },
  };
  expect(unpackBook(packBook(book, tags))).toEqual({ ok: true, value: book });
  const full = {
    ...book,
    book: {
      ...book.book,
      materials: { 'old cedar': { ...materialOf('cedar'), name: 'Old cedar' } },
      rack: {
        r: {
          id: 'r',
          quantity: 3,
          from: 'Trellis',
          item: {
            kind: 'board' as const,
            name: '',
            section: '2x4',
            length: measure('31 1/2', 'in'),
            width: null,
            material: 'treated',
          },
        },
        c: {
          id: 'c',
          quantity: 1,
          share: 0.4,
          from: '',
          item: {
            kind: 'hardware' as const,
            name: 'oil',
            section: '',
            length: null,
            width: null,
            material: '',
          },
        },
      },
    },
  };
  expect(unpackBook(packBook(full, tags))).toEqual({ ok: true, value: full });
  expect(unpackSettings(packSettings(DEFAULT_SETTINGS))).toEqual({ ok: true, value: DEFAULT_SETTINGS });
});

test('older data is carried forward step by step, newer data is refused in a sentence', () => {
  const steps = {
    1: (data: unknown) => [...(data as string[]), 'two'],
    2: (data: unknown) => [...(data as string[]), 'three'],
  };
  expect(migrate(['one'], 1, 3, steps)).toEqual({ ok: true, value: ['one', 'two', 'three'] });
  expect(migrate(['one'], 3, 3, steps)).toEqual({ ok: true, value: ['one'] });
  const newer = migrate({}, 4, 3, steps);
  expect(!newer.ok && newer.problems[0]?.sentence).toMatch(/newer Billet/);
});

test('damaged data is told and left as it is', async () => {
  const text = packProject(newProjectRecord(trellis), tags).replace('"builds":1', '"builds":"one"');
  await AsyncStorage.setItem('billet/project/t', text);
  await AsyncStorage.setItem('billet/project/u', '{"version":1,');
  const { records, damaged } = await loadProjects(0);
  expect(records).toEqual({});
  expect(damaged.map(({ key, problems }) => [key, problems[0]?.place])).toEqual([
    ['billet/project/t', 'project.builds'],
    ['billet/project/u', ''],
  ]);
  expect(await AsyncStorage.getItem('billet/project/t')).toBe(text);
});

test('a project deleted over thirty days ago is dropped, one deleted lately is kept', async () => {
  const day = 24 * 3600 * 1000;
  for (const [id, deletedAt] of [
    ['old', 0],
    ['late', 20 * day],
  ] as const)
    await AsyncStorage.setItem(
      `billet/project/${id}`,
      packProject({ ...newProjectRecord({ ...trellis, id }), deletedAt }, tags),
    );
  expect(Object.keys((await loadProjects(31 * day)).records)).toEqual(['late']);
});

test('a write that follows another than what is stored is refused, whatever the numbers', async () => {
  const record = newProjectRecord(trellis);
  expect(await saveProject(record, { tag: 'one', parent: null })).toBe('saved');
  expect(await saveProject(record, { tag: 'two', parent: 'one' })).toBe('saved');
  expect(await saveProject(record, { tag: 'three', parent: 'one' })).toBe('refused');
  expect((await loadProjects(0)).records['t']?.tag).toBe('two');
});

test('the samples bring all their stores and prices, on their own side of the book', async () => {
  const { book, added } = await withSamples(emptyBook(), {});
  expect(added.map(({ project }) => project.name).sort()).toEqual([
    'Compost station',
    'Record shelf',
    'Sandpit with a folding lid',
  ]);
  expect(Object.values(book.prices).every(({ storeId }) => book.stores[storeId]?.isSample)).toBe(true);
  expect(bookSide(book, 'own')).toMatchObject({ stores: {}, prices: {} });
  for (const { project } of added) expect(bookFor(project, book).stores).toEqual(book.stores);
});

test('a price book that cannot be read is set aside once, and no more', async () => {
  await AsyncStorage.setItem('billet/book', 'billet-book 3 a - nonsense');
  expect((await loadBook(1)).record.book).toEqual(emptyBook());
  await loadBook(2);
  const keys = await AsyncStorage.getAllKeys();
  expect(keys.filter((key) => key.includes('aside'))).toEqual(['billet/aside/book-1']);
});

test('a stored text that is JSON and no record is damaged, not a crash', () => {
  for (const text of ['null', '4', '[]', '"x"', '{}', 'true']) {
    expect(unpackProject(text).ok).toBe(false);
    expect(unpackBook(text).ok).toBe(false);
    expect(unpackSettings(text).ok).toBe(false);
  }
});
