/** Whatever a stored record is broken into, Billet opens, the others are as they were, and what broke is told and kept. */
import fc from 'fast-check';
import { packBook } from '@/core/io/packedBook';
import { emptyHistory, emptyProject, emptyStore } from '@/core/project';
import { newProjectRecord, packProject, packSettings, DEFAULT_SETTINGS } from '@/data/records';
import { keysUnder, removeKey, textsUnder, writeText } from '@/data/storage';
import { browserStorage } from './browserStorage';
import { Journal } from './journal';
import { textsIn } from './testing';
import { WorkspaceStore, type WorkspaceEvent } from './workspaceStore';
import { wallClock } from './writeQueue';

jest.mock('@react-native-async-storage/async-storage', () =>
  jest.requireActual('@react-native-async-storage/async-storage/jest'),
);

const tags = { tag: 'first', parent: null };
const book = { stores: { s: emptyStore('s', 'Yard', 'USD') }, prices: {} };
const KEPT: Record<string, string> = {
  'billet/project/p': packProject(newProjectRecord(emptyProject('p', 'Trellis', 'in', 'USD')), tags),
  'billet/project/q': packProject(newProjectRecord(emptyProject('q', 'Arbour', 'mm', 'EUR')), tags),
  'billet/book': packBook({ book, history: emptyHistory() }, tags),
  'billet/settings': packSettings({ ...DEFAULT_SETTINGS, tax: 0.05 }),
};
const KEYS = Object.keys(KEPT);

let ids = 0;
const open = async () => {
  const events: WorkspaceEvent[] = [];
  const store = new WorkspaceStore({
    storage: browserStorage(),
    journal: new Journal(textsIn(new Map()), 'tab', 0),
    livingTabs: async () => new Set<string>(),
    clock: wallClock,
    newId: () => `id${++ids}`,
  });
  store.subscribe((event) => events.push(event));
  const state = await store.load();
  await store.written();
  return { state, events, store };
};

const begin = async (broken: Record<string, string>): Promise<void> => {
  for (const key of await keysUnder('')) await removeKey(key);
  for (const [key, text] of Object.entries({ ...KEPT, ...broken })) await writeText(key, text);
};

/** Ways in which a text breaks. */
const breaking = fc.oneof(
  fc.nat(400).map((at) => (text: string) => text.slice(0, at)),
  fc.tuple(fc.nat(2000), fc.string({ minLength: 1, maxLength: 3 })).map(([at, put]) => (text: string) => {
    const place = at % text.length;
    return text.slice(0, place) + put + text.slice(place + put.length);
  }),
  fc
    .constantFrom('', 'null', '0', '[]', '{}', '"', '{"version":1}', 'billet-book 3 a - ')
    .map((text) => () => text),
  fc.constantFrom(...KEYS).map((other) => () => KEPT[other] ?? ''),
  fc.constant((text: string) => text.replace('"version":2', '"version":99')),
  fc.constant((text: string) => text.replace('"version":2', '"version":1')),
  fc.constant((text: string) => text + 'x'.repeat(1_000_000)),
  fc.string({ unit: 'binary', maxLength: 200 }).map((text) => () => text),
);

test('each record broken in five hundred ways: it opens, the rest is untouched, what broke is told and kept', async () => {
  await begin({});
  const whole = (await open()).state;
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...KEYS), breaking, async (key, breakIt) => {
      const broken = breakIt(KEPT[key] ?? '');
      await begin({ [key]: broken });
      const { state, events } = await open();
      for (const id of ['p', 'q'])
        if (key !== `billet/project/${id}`) expect(state.records[id]).toEqual(whole.records[id]);
      if (key !== 'billet/book') expect(state.book).toEqual(whole.book);
      if (key !== 'billet/settings') expect(state.settings).toEqual(whole.settings);
      const texts = Object.values(await textsUnder(''));
      const id = key.replace('billet/project/', '');
      const isTold =
        key === 'billet/book'
          ? events.some(({ kind }) => kind === 'bookSetAside')
          : key === 'billet/settings'
            ? texts.includes(broken)
            : state.damaged.some((one) => one.id === id);
      // Read as something valid, or told and kept letter by letter.
      if (isTold) expect(texts).toContain(broken);
      else if (key.startsWith('billet/project/'))
        expect(Object.keys(state.records).length).toBeGreaterThan(0);
    }),
    { numRuns: 600 },
  );
});

test('what a newer Billet wrote is there to be looked at, is not changed, and is left letter by letter', async () => {
  const newer = (text: string) =>
    text.replace('"version":2', '"version":3').replace('"builds":1', '"builds":1,"curves":{"of":[1,2]}');
  const kept = {
    'billet/project/p': newer(KEPT['billet/project/p'] ?? ''),
    'billet/book': 'billet-book 4 tag parent whatever it holds then',
    'billet/settings': newer(KEPT['billet/settings'] ?? ''),
  };
  await begin(kept);
  const { state, store, events } = await open();
  expect(state.records['p']).toMatchObject({ isNewer: true, project: { name: 'Trellis', builds: 1 } });
  expect(state.damaged).toEqual([]);
  expect(events).toContainEqual({ kind: 'lookingOnly', name: 'The price book' });
  store.dispatch({ type: 'editProject', fields: { name: 'Mine' } }, 'p');
  store.dispatch({ type: 'putStore', store: emptyStore('t', 'Barn', 'USD') });
  store.changeSettings({ tax: 0.2 });
  store.dispatch({ type: 'editProject', fields: { name: 'Bower' } }, 'q');
  await store.written();
  expect(events.filter(({ kind }) => kind === 'lookingOnly')).toHaveLength(3);
  expect(store.state?.records['p']?.project.name).toBe('Trellis');
  expect(store.state?.records['q']?.project.name).toBe('Bower');
  expect(await textsUnder('')).toMatchObject(kept);
});
