/** A fault at every write of a recorded run: what was confirmed is there when Billet is opened again, or it was told. */
import { emptyGroup, emptyProject, emptyStore } from '@/core/project';
import type { ShortTexts } from '@/platform/room';
import { browserStorage } from './browserStorage';
import { Journal } from './journal';
import { textsIn } from './testing';
import { WorkspaceStore, type Workspace, type WorkspaceEvent } from './workspaceStore';
import type { Clock } from './writeQueue';

type Fault = 'throws' | 'full' | 'half' | 'gone' | 'ended before' | 'ended after';
const FAULTS: Fault[] = ['throws', 'full', 'half', 'gone', 'ended before', 'ended after'];

/** The texts of one browser, whose n-th write goes wrong. */
const mockKept = {
  texts: new Map<string, string>(),
  writes: 0,
  fault: null as { at: number; kind: Fault } | null,
  isEnded: false,
};

const mockNever = <T>(): Promise<T> => new Promise<T>(() => undefined);

const mockWrite = async (key: string, text: string): Promise<void> => {
  const { fault } = mockKept;
  const index = mockKept.writes++;
  if (mockKept.isEnded) return mockNever();
  if (!fault || index < fault.at) return void mockKept.texts.set(key, text);
  if (fault.kind === 'full' || fault.kind === 'gone') throw new Error(fault.kind);
  if (index > fault.at) return void mockKept.texts.set(key, text);
  if (fault.kind === 'throws') throw new Error('refused');
  if (fault.kind === 'half') {
    mockKept.texts.set(key, text.slice(0, text.length / 2));
    throw new Error('half of it');
  }
  if (fault.kind === 'ended after') mockKept.texts.set(key, text);
  mockKept.isEnded = true;
  return mockNever();
};

jest.mock('@react-native-async-storage/async-storage', () => {
  const read = (key: string) => mockKept.texts.get(key) ?? null;
  const storage = {
    getItem: async (key: string) => read(key),
    setItem: (key: string, text: string) => mockWrite(key, text),
    removeItem: async (key: string) => void mockKept.texts.delete(key),
    getMany: async (keys: string[]) => Object.fromEntries(keys.map((key) => [key, read(key)])),
    getAllKeys: async () => [...mockKept.texts.keys()],
  };
  return { __esModule: true, default: storage, createAsyncStorage: () => storage };
});

const short = new Map<string, string>();
const shortTexts = textsIn(short);
const noRoom: ShortTexts = {
  ...shortTexts,
  write: () => {
    throw new Error('full');
  },
};

/** What is waited for comes with the next turn. */
const clock: Clock = {
  now: () => 1_800_000_000_000,
  after: (ms, work) => {
    const timer = setTimeout(work, Math.min(ms, 1));
    return () => clearTimeout(timer);
  },
};

let ids = 0;
const open = async (texts = shortTexts) => {
  const events: WorkspaceEvent[] = [];
  const tab = `tab${++ids}`;
  const store = new WorkspaceStore({
    storage: browserStorage(),
    journal: new Journal(texts, tab, ids),
    livingTabs: async () => new Set([tab]),
    clock,
    newId: () => `id${++ids}`,
  });
  store.subscribe((event) => events.push(event));
  await store.load();
  return { store, events };
};

/** Sixty things that a person does, of every kind, the same each time. */
const run = async (store: WorkspaceStore): Promise<void> => {
  store.addProject(emptyProject('p', 'Trellis', 'in', 'USD'));
  for (let n = 0; n < 57; n++) {
    const kind = n % 9;
    if (kind < 3)
      store.dispatch({ type: 'addGroup', group: emptyGroup(`g${n}`, `o${n}`, `Group ${n}`) }, 'p');
    else if (kind === 3)
      store.dispatch({ type: 'putStore', store: emptyStore(`s${n}`, `Store ${n}`, 'USD') });
    else if (kind === 4) store.step('p', 'undo');
    else if (kind === 5)
      store.dispatch(
        [
          { type: 'editProject', fields: { name: `Trellis ${n}` } },
          { type: 'putStore', store: emptyStore(`b${n}`, `Both ${n}`, 'USD') },
        ],
        'p',
      );
    else if (kind === 6) store.step('p', n % 2 ? 'undo' : 'redo');
    else if (kind === 7) store.changeSettings({ tax: n / 1000 });
    else store.addProject(emptyProject(n > 30 ? 'p8' : `p${n}`, `Arbour ${n}`, 'in', 'USD'));
    // Some of it is written together, some alone.
    if (n % 4 === 0) for (let turn = 0; turn < 3; turn++) await new Promise((go) => setTimeout(go, 1));
  }
  store.setDeleted('p17', clock.now());
  store.changeSettings({ theme: 'dark' });
};

const begin = (): void => {
  short.clear();
  mockKept.texts.clear();
  mockKept.texts.set(
    'billet/settings',
    '{"version":2,"data":{"unit":"in","currency":"USD","tax":0,"taxIncluded":false,"kerf":{"text":"1/8in","mm":3.175},"theme":"system"}}',
  );
  Object.assign(mockKept, { writes: 0, fault: null, isEnded: false });
};

const seen = (workspace: Workspace | null) =>
  workspace && {
    projects: Object.fromEntries(
      Object.entries(workspace.records).map(([id, { project, deletedAt, history }]) => [
        id,
        { project, deletedAt, past: history.past.length, future: history.future.length },
      ]),
    ),
    stores: Object.keys(workspace.book.book.stores).sort(),
    settings: workspace.settings,
  };

const settled = async (store: WorkspaceStore, turns = 400): Promise<void> => {
  for (let turn = 0; turn < turns && store.hasUnwritten && !mockKept.isEnded; turn++)
    await new Promise((go) => setTimeout(go, 1));
};

test.each(FAULTS)(
  '%s, at every write of sixty changes: opened again all is there, and what failed is told',
  async (kind) => {
    begin();
    const isForGood = kind === 'full' || kind === 'gone';
    const whole = await open();
    await run(whole.store);
    await settled(whole.store);
    const wanted = seen(whole.store.state);
    const writes = mockKept.writes;
    expect(writes).toBeGreaterThan(30);
    expect(Object.keys(wanted?.projects ?? {})).toEqual(['p', 'p8', 'p17', 'p26']);
    for (let at = 0; at < writes; at++) {
      begin();
      mockKept.fault = { at, kind };
      const { store, events } = await open();
      await run(store);
      await settled(store, isForGood ? 10 : 400);
      const isEnded = mockKept.isEnded;
      // What is not kept is told, though nothing of it is lost.
      const isFaulty = !isEnded && mockKept.writes > at;
      if (isFaulty) expect(events.some((event) => event.kind === 'notKept')).toBe(true);
      if (isFaulty && !isForGood) expect(events.some((event) => event.kind === 'keptAgain')).toBe(true);
      Object.assign(mockKept, { fault: null, isEnded: false });
      const again = await open();
      expect({ at, state: seen(again.store.state) }).toEqual({ at, state: wanted });
      await settled(again.store);
      expect(again.store.hasUnwritten).toBe(false);
    }
  },
  60_000,
);

test('without room for the journal either, what is at risk is told, and is kept once there is room', async () => {
  begin();
  mockKept.fault = { at: 0, kind: 'full' };
  const { store, events } = await open(noRoom);
  store.dispatch({ type: 'putStore', store: emptyStore('s', 'Yard', 'USD') });
  await new Promise((go) => setTimeout(go, 5));
  expect(store.isAtRisk).toBe(true);
  expect(events.some(({ kind }) => kind === 'notKept')).toBe(true);
  mockKept.fault = null;
  await settled(store);
  expect(store.isAtRisk).toBe(false);
  expect(Object.keys((await open()).store.state?.book.book.stores ?? {})).toEqual(['s']);
});
