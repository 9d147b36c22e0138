import AsyncStorage from '@react-native-async-storage/async-storage';
import { QueryClient } from '@tanstack/react-query';
import {
  emptyBook,
  emptyHistory,
  emptyPart,
  emptyProject,
  emptyStore,
  emptyGroup,
  measure,
  type Project,
} from '@/core/project';
import { materialOf } from '@/core/lumber';
import {
  migrate,
  newProjectRecord,
  packProject,
  unpackBook,
  unpackProject,
  packBook,
  unpackSettings,
  packSettings,
  DEFAULT_SETTINGS,
} from './records';
import { addSamples, loadBook, loadProjects, saveProject, type Projects } from './repository';
import { addProject, KEYS, nextStep, run, runOnBook, step, written } from './workspace';

jest.mock('@react-native-async-storage/async-storage', () =>
  jest.requireActual('@react-native-async-storage/async-storage/jest/async-storage-mock'),
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

beforeEach(() => AsyncStorage.clear());

test('what is kept reads back as it was', () => {
  const record = newProjectRecord(trellis);
  expect(unpackProject(packProject(record))).toEqual({ ok: true, value: record });
  const book = {
    revision: 3,
    history: emptyHistory(),
    book: {
      ...emptyBook(),
      stores: { s: { ...emptyStore('s', 'Yard', 'EUR'), shipping: { fee: 895, freeFrom: null } } },
    },
  };
  expect(unpackBook(packBook(book))).toEqual({ ok: true, value: book });
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
  expect(unpackBook(packBook(full))).toEqual({ ok: true, value: full });
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
  const text = packProject(newProjectRecord(trellis)).replace('"builds":1', '"builds":"one"');
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
      packProject({ ...newProjectRecord({ ...trellis, id }), deletedAt }),
    );
  expect(Object.keys((await loadProjects(31 * day)).records)).toEqual(['late']);
});

test('a write over another tab’s is refused', async () => {
  const record = newProjectRecord(trellis);
  expect(await saveProject({ ...record, revision: 1 })).toBe('saved');
  expect(await saveProject({ ...record, revision: 2 })).toBe('saved');
  expect(await saveProject({ ...record, revision: 2 })).toBe('refused');
});

test('an empty browser gets the samples, whose stores and prices are all there', async () => {
  const made = await addSamples(await loadBook(0), await loadProjects(0));
  await made.written;
  const { records } = await loadProjects(0);
  expect(records).toEqual(made.projects.records);
  expect(
    Object.values(records)
      .map(({ project }) => project.name)
      .sort(),
  ).toEqual(['Compost station', 'Record shelf', 'Sandpit with a folding lid']);
  const { book } = await loadBook(0);
  expect(Object.values(book.prices).every(({ storeId }) => book.stores[storeId])).toBe(true);
});

const open = async () => {
  const client = new QueryClient();
  client.setQueryData<Projects>(KEYS.projects, { records: {}, damaged: [] });
  client.setQueryData(KEYS.book, await loadBook(0));
  addProject(client, trellis);
  return client;
};
const nameNow = (client: QueryClient) =>
  client.getQueryData<Projects>(KEYS.projects)?.records['t']?.project.name;

test('a change is on screen at once and kept behind it; undo and redo survive a reload', async () => {
  const client = await open();
  run(client, 't', { type: 'editProject', fields: { name: 'Arbour' } });
  expect(nameNow(client)).toBe('Arbour');
  await written();
  const reloaded = new QueryClient();
  reloaded.setQueryData(KEYS.projects, await loadProjects(0));
  reloaded.setQueryData(KEYS.book, await loadBook(0));
  step(reloaded, 't', 'undo');
  expect(nameNow(reloaded)).toBe('Trellis');
  step(reloaded, 't', 'redo');
  expect(nameNow(reloaded)).toBe('Arbour');
  await written();
});

test('fifty steps and more can be undone', async () => {
  const client = await open();
  for (let n = 1; n <= 60; n++)
    run(
      client,
      't',
      n % 2
        ? { type: 'addGroup', group: emptyGroup(`g${n}`, `o${n}`, `G${n}`) }
        : { type: 'editGroup', groupId: `g${n - 1}`, fields: { name: `H${n}` } },
    );
  for (let n = 1; n <= 60; n++) step(client, 't', 'undo');
  expect(client.getQueryData<Projects>(KEYS.projects)?.records['t']?.project).toEqual(trellis);
  await written();
}, 30_000);

test('undo in a project takes back its changes and the prices put in from it, the newest first', async () => {
  const client = await open();
  let now = 1;
  jest.spyOn(Date, 'now').mockImplementation(() => now++);
  run(client, 't', { type: 'editProject', fields: { name: 'Arbour' } });
  runOnBook(client, { type: 'putStore', store: emptyStore('s', 'Yard', 'USD') }, 't');
  run(client, 't', { type: 'editProject', fields: { builds: 2 } });
  const done: string[] = [];
  for (let n = 0; n < 3; n++) {
    const record = client.getQueryData<Projects>(KEYS.projects)?.records['t'];
    done.push(nextStep(record, client.getQueryData(KEYS.book), 'undo')?.change.label ?? '');
    step(client, 't', 'undo');
  }
  expect(done).toEqual(['change project details', 'add store Yard', 'change project details']);
  expect(nameNow(client)).toBe('Trellis');
  for (let n = 0; n < 3; n++) step(client, 't', 'redo');
  expect(nameNow(client)).toBe('Arbour');
  expect(Object.keys((client.getQueryData(KEYS.book) as { book: { stores: object } }).book.stores)).toEqual([
    's',
  ]);
  await written();
  jest.restoreAllMocks();
});
