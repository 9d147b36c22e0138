import fc from 'fast-check';
import { emptyBook, emptyGroup, emptyHistory, emptyProject, emptyStore, type Project } from '@/core/project';
import { randomFrom } from '@/core/plan/randomList';
import { DEFAULT_SETTINGS, newProjectRecord, type BookRecord, type ProjectRecord } from '@/data/records';
import { Journal } from './journal';
import { textsIn } from './testing';
import { WorkspaceStore, type WorkspaceEvent, type WorkspaceStorage } from './workspaceStore';
import type { Clock } from './writeQueue';

/** Time that moves when it is told to. */
const fakeClock = () => {
  let now = 1000;
  const waiting: { at: number; work: () => void }[] = [];
  const clock: Clock = {
    now: () => now,
    after: (ms, work) => {
      const entry = { at: now + ms, work };
      waiting.push(entry);
      return () => void waiting.splice(waiting.indexOf(entry), waiting.includes(entry) ? 1 : 0);
    },
  };
  /** Lets `ms` pass, with all that falls due in them and what follows from it. */
  const pass = async (ms: number) => {
    const end = now + ms;
    for (;;) {
      for (let turn = 0; turn < 20; turn++) await Promise.resolve();
      const next = waiting.filter(({ at }) => at <= end).sort((a, b) => a.at - b.at)[0];
      if (!next) break;
      waiting.splice(waiting.indexOf(next), 1);
      now = Math.max(now, next.at);
      next.work();
    }
    now = end;
  };
  return { clock, pass };
};

const bench: Project = {
  ...emptyProject('p', 'Stage', 'in', 'USD'),
  groups: [emptyGroup('g', 'o', 'Frame')],
};

/** What several tabs share: texts by key, as a browser keeps them, with writes that can be made to fail. */
const browser = () => {
  const kept = {
    projects: new Map<string, { record: ProjectRecord; tag: string | null }>([
      ['p', { record: newProjectRecord(bench), tag: 'first' }],
      ['q', { record: newProjectRecord({ ...bench, id: 'q', name: 'Trellis' }), tag: 'first' }],
    ]),
    book: {
      record: { book: emptyBook(), history: emptyHistory() } as BookRecord,
      tag: null as string | null,
    },
  };
  const writes: string[] = [];
  const short = new Map<string, string>();
  const texts = textsIn(short);
  const living = new Set<string>();
  let failing: (key: string) => boolean = () => false;
  const storage = (isGone: () => boolean = () => false): WorkspaceStorage => ({
    loadProjects: async () => ({ records: Object.fromEntries(kept.projects), damaged: [] }),
    readProject: async (id) => kept.projects.get(id) ?? null,
    loadBook: async () => kept.book,
    loadSettings: async () => DEFAULT_SETTINGS,
    saveSettings: async () => undefined,
    withSamples: async (book) => ({ book, added: [] }),
    saveProject: async (record, { tag, parent }) => {
      // Another tab has the lock for a moment.
      await Promise.resolve();
      if (isGone()) return new Promise(() => undefined);
      const { id } = record.project;
      if (failing(id)) throw new Error('full');
      if ((kept.projects.get(id)?.tag ?? null) !== parent) return 'refused';
      kept.projects.set(id, { record, tag });
      writes.push(id);
      return 'saved';
    },
    saveBook: async (record, { tag, parent }) => {
      if (isGone()) return new Promise(() => undefined);
      if (failing('book')) throw new Error('full');
      if (kept.book.tag !== parent) return 'refused';
      kept.book = { record, tag };
      writes.push('book');
      return 'saved';
    },
    setAside: async () => undefined,
  });
  return {
    kept,
    writes,
    storage,
    texts,
    short,
    living,
    fail: (when: (key: string) => boolean) => (failing = when),
  };
};

/** A storage whose reading takes a while, as a database's does. */
const slow = (of: ReturnType<typeof browser>, time: ReturnType<typeof fakeClock>): WorkspaceStorage => {
  const own = of.storage();
  const later = <T>(work: () => Promise<T>): Promise<T> =>
    new Promise((done) => time.clock.after(12, () => done(work())));
  return { ...own, readProject: (id) => later(() => own.readProject(id)) };
};

let ids = 0;
const tab = async (
  of: ReturnType<typeof browser>,
  time: ReturnType<typeof fakeClock>,
  storage?: WorkspaceStorage,
) => {
  const events: WorkspaceEvent[] = [];
  const tabId = `tab${++ids}`;
  let isGone = false;
  of.living.add(tabId);
  const store = new WorkspaceStore({
    storage: storage ?? of.storage(() => isGone),
    journal: new Journal(of.texts, tabId, time.clock.now()),
    livingTabs: async () => new Set(of.living),
    clock: time.clock,
    newId: () => `id${++ids}`,
  });
  store.subscribe((event) => events.push(event));
  await store.load();
  /** The page is ended, whatever it was at. */
  const end = () => {
    isGone = true;
    of.living.delete(tabId);
  };
  return { store, events, end };
};
const rename = (name: string) => ({ type: 'editProject' as const, fields: { name } });
const addGroup = (id: string) => ({ type: 'addGroup' as const, group: emptyGroup(id, `o-${id}`, id) });

test('a change is there at once and written behind it; many are written together', async () => {
  const time = fakeClock();
  const shared = browser();
  const { store } = await tab(shared, time);
  for (let n = 0; n < 20; n++) store.dispatch(addGroup(`n${n}`), 'p');
  expect(store.state?.records['p']?.project.groups).toHaveLength(21);
  expect(shared.writes).toEqual([]);
  await time.pass(10);
  expect(shared.writes).toEqual(['p']);
  expect(shared.kept.projects.get('p')?.record.project.groups).toHaveLength(21);
});

test('commands of one dispatch are one step over project and book', async () => {
  const time = fakeClock();
  const { store } = await tab(browser(), time);
  store.dispatch([rename('Arbour'), { type: 'putStore', store: emptyStore('s', 'Yard', 'USD') }], 'p');
  expect(Object.keys(store.state?.book.book.stores ?? {})).toEqual(['s']);
  store.step('p', 'undo');
  expect(store.state?.records['p']?.project).toEqual(bench);
  expect(store.state?.book.book.stores).toEqual({});
  expect(store.next('p', 'undo')).toBeNull();
  store.step('p', 'redo');
  expect(store.state?.records['p']?.project.name).toBe('Arbour');
  expect(Object.keys(store.state?.book.book.stores ?? {})).toEqual(['s']);
});

test('undo in one project leaves what another did, in the book too', async () => {
  const time = fakeClock();
  const { store } = await tab(browser(), time);
  store.dispatch({ type: 'putStore', store: emptyStore('s', 'Yard', 'USD') }, 'q');
  store.dispatch(rename('Arbour'), 'p');
  store.step('p', 'undo');
  store.step('p', 'undo');
  expect(Object.keys(store.state?.book.book.stores ?? {})).toEqual(['s']);
  expect(store.next('q', 'undo')?.label).toBe('add store Yard');
});

test('a write that fails is told once, tried again, and never holds up another', async () => {
  const time = fakeClock();
  const shared = browser();
  const { store, events } = await tab(shared, time);
  shared.fail((key) => key === 'p');
  store.dispatch(rename('Arbour'), 'p');
  store.dispatch(rename('Pergola'), 'q');
  await time.pass(10);
  expect(shared.writes).toEqual(['q']);
  expect(events.filter(({ kind }) => kind === 'notKept')).toHaveLength(1);
  shared.fail(() => false);
  await time.pass(3_000);
  expect(shared.kept.projects.get('p')?.record.project.name).toBe('Arbour');
  expect(events.at(-1)?.kind).toBe('keptAgain');
  expect(store.hasUnwritten).toBe(false);
});

test('two tabs: whatever each does, in whatever order it is written, nothing of it is lost', async () => {
  const doing = fc.record({ tab: fc.nat(1), key: fc.constantFrom('p', 'q', 'book'), pause: fc.nat(3) });
  await fc.assert(
    fc.asyncProperty(fc.array(doing, { minLength: 1, maxLength: 12 }), async (doings) => {
      const time = fakeClock();
      const shared = browser();
      const tabs = [await tab(shared, time), await tab(shared, time)];
      for (const [index, { tab: which, key, pause }] of doings.entries()) {
        const store = tabs[which]?.store;
        if (key === 'book')
          store?.dispatch({ type: 'putStore', store: emptyStore(`s${index}`, `S${index}`, 'USD') });
        else store?.dispatch(addGroup(`n${index}`), key);
        if (pause > 0) await time.pass(pause);
      }
      await time.pass(120_000);
      for (const [index, { key }] of doings.entries())
        if (key === 'book') expect(Object.keys(shared.kept.book.record.book.stores)).toContain(`s${index}`);
        else {
          const groups = shared.kept.projects.get(key)?.record.project.groups ?? [];
          expect(groups.map(({ id }) => id)).toContain(`n${index}`);
        }
    }),
    { numRuns: 60 },
  );
});

test('a page that is ended keeps all that was done, whatever was under way and in the other tab', async () => {
  const doing = fc.record({
    tab: fc.nat(1),
    what: fc.constantFrom('p', 'q', 'book', 'undo', 'redo'),
    pause: fc.nat(2),
    turns: fc.nat(4),
    end: fc.boolean(),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(doing, { minLength: 1, maxLength: 14 }), async (doings) => {
      const time = fakeClock();
      const shared = browser();
      const tabs = [await tab(shared, time), await tab(shared, time)];
      const wanted = new Set<string>();
      for (const [index, { tab: which, what, pause, turns, end }] of doings.entries()) {
        const { store, end: close } = tabs[which] ?? (await tab(shared, time));
        if (what === 'undo' || what === 'redo') {
          // A step of its own first: what another tab did is not this one's to take back.
          store.dispatch(addGroup(`t${index}`), 'p');
          store.step('p', 'undo');
          if (what === 'redo') {
            store.step('p', 'redo');
            wanted.add(`p t${index}`);
          }
        } else {
          wanted.add(`${what} n${index}`);
          if (what === 'book')
            store.dispatch({ type: 'putStore', store: emptyStore(`n${index}`, `S${index}`, 'USD') });
          else store.dispatch(addGroup(`n${index}`), what);
        }
        if (pause > 0) await time.pass(pause);
        for (let turn = 0; turn < turns; turn++) await Promise.resolve();
        if (!end) continue;
        close();
        tabs[which] = await tab(shared, time);
      }
      await time.pass(120_000);
      const kept = ['p', 'q'].flatMap((id) =>
        (shared.kept.projects.get(id)?.record.project.groups ?? [])
          .filter((group) => group.id !== 'g')
          .map((group) => `${id} ${group.id}`),
      );
      const stores = Object.keys(shared.kept.book.record.book.stores).map((id) => `book ${id}`);
      // An undo that met another tab's newer state is told, and what it took back is there again.
      const isTold = tabs.some(({ events }) => events.some((one) => one.kind === 'otherTab' && !one.isWhole));
      const found = [...kept, ...stores].sort();
      if (isTold) expect(found).toEqual(expect.arrayContaining([...wanted].sort()));
      else expect(found).toEqual([...wanted].sort());
      // Nothing is left over in the journals.
      expect([...shared.short.keys()]).toEqual([]);
    }),
    { numRuns: 200 },
  );
});

test('what is done while another tab’s state is read is not lost, whichever comes first', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(1), fc.nat(40), fc.boolean()), { minLength: 2, maxLength: 16 }),
      async (steps) => {
        const time = fakeClock();
        const shared = browser();
        const tabs = [
          await tab(shared, time, slow(shared, time)),
          await tab(shared, time, slow(shared, time)),
        ];
        for (const [index, [which, pause, hears]] of steps.entries()) {
          const [own, other] = which === 0 ? tabs : [...tabs].reverse();
          own?.store.dispatch(addGroup(`n${index}`), 'p');
          // A tab hears of the other's writing while it is at something itself.
          if (hears) void other?.store.takeOver({ projectId: 'p' });
          await time.pass(pause);
          expect(own?.store.state?.records['p']?.project.groups.map(({ id }) => id)).toContain(`n${index}`);
        }
        await time.pass(120_000);
        const kept = shared.kept.projects.get('p')?.record.project.groups.map(({ id }) => id);
        expect(kept?.sort()).toEqual(['g', ...steps.map((_, index) => `n${index}`)].sort());
        expect([...shared.short.keys()]).toEqual([]);
      },
    ),
    { numRuns: 200 },
  );
});

test.each([1, 2, 3])(
  'run %d: 400 edits in three tabs, 5 to 300 ms apart, some of the tabs ended: all kept, each once',
  async (run) => {
    const next = randomFrom(run * 7919);
    const upTo = (most: number) => Math.floor(next() * most);
    const time = fakeClock();
    const shared = browser();
    const tabs = [await tab(shared, time), await tab(shared, time), await tab(shared, time)];
    const wanted: Record<'groups' | 'purchases' | 'stores', string[]> = {
      groups: [],
      purchases: [],
      stores: [],
    };
    for (let edit = 0; edit < 400; edit++) {
      const which = upTo(3);
      const { store, end } = tabs[which] ?? (await tab(shared, time));
      const id = `n${edit}`;
      const kind = (['groups', 'purchases', 'stores'] as const)[upTo(3)] ?? 'groups';
      wanted[kind].push(id);
      if (kind === 'groups') store.dispatch(addGroup(id), 'p');
      else if (kind === 'stores') store.dispatch({ type: 'putStore', store: emptyStore(id, id, 'USD') });
      else
        store.dispatch(
          {
            type: 'recordPurchase',
            purchase: { id, storeId: '', store: 'Yard', date: '2026-11-28', note: '', lines: [] },
            charges: { trip: 0, shipping: null },
          },
          'p',
        );
      if (next() < 0.03) {
        end();
        tabs[which] = await tab(shared, time);
      }
      await time.pass(5 + upTo(295));
    }
    await time.pass(120_000);
    const { project } = shared.kept.projects.get('p')?.record ?? newProjectRecord(bench);
    const ids = (list: { id: string }[]) => list.map(({ id }) => id).sort();
    expect(ids(project.groups.filter(({ id }) => id !== 'g'))).toEqual(wanted.groups.sort());
    expect(ids(project.purchases)).toEqual(wanted.purchases.sort());
    expect(Object.keys(shared.kept.book.record.book.stores).sort()).toEqual(wanted.stores.sort());
    expect([...shared.short.keys()]).toEqual([]);
  },
);

test('writes that fail at random: in the end everything is kept, in its order', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.boolean(), { maxLength: 15 }),
      fc.integer({ min: 1, max: 10 }),
      async (fails, changes) => {
        const time = fakeClock();
        const shared = browser();
        const { store } = await tab(shared, time);
        const coming = [...fails];
        shared.fail(() => coming.shift() ?? false);
        for (let n = 0; n < changes; n++) {
          store.dispatch(addGroup(`n${n}`), n % 2 ? 'p' : 'q');
          await time.pass(n % 3);
        }
        await time.pass(30 * 60_000);
        for (const id of ['p', 'q'])
          expect(shared.kept.projects.get(id)?.record.project).toEqual(store.state?.records[id]?.project);
        expect(store.hasUnwritten).toBe(false);
      },
    ),
    { numRuns: 60 },
  );
});

test('what another tab wrote is taken over where nothing waits here', async () => {
  const time = fakeClock();
  const shared = browser();
  const [one, two] = [await tab(shared, time), await tab(shared, time)];
  one.store.dispatch(rename('Arbour'), 'p');
  await time.pass(10);
  await two.store.takeOver({ projectId: 'p' });
  expect(two.store.state?.records['p']?.project.name).toBe('Arbour');
});

test('the samples come back beside what was made since, also when all was deleted', async () => {
  const time = fakeClock();
  const shared = browser();
  const { store } = await tab(shared, time, {
    ...shared.storage(),
    withSamples: async (book, held) => ({
      book,
      added: held['p']?.deletedAt === null ? [] : [newProjectRecord(bench)],
    }),
  });
  store.dispatch(rename('Arbour'), 'p');
  store.setDeleted('p', 5);
  await store.bringSamples();
  expect(store.state?.records['p']).toMatchObject({ deletedAt: null, project: { name: 'Stage' } });
});

test('a price book that cannot be read is told, and the workspace opens all the same', async () => {
  const time = fakeClock();
  const shared = browser();
  const { store, events } = await tab(shared, time, {
    ...shared.storage(),
    loadBook: async () => ({
      record: { book: emptyBook(), history: emptyHistory() },
      tag: null,
      isSetAside: true as const,
    }),
  });
  expect(events.filter(({ kind }) => kind === 'bookSetAside')).toHaveLength(1);
  store.dispatch({ type: 'putStore', store: emptyStore('s', 'Yard', 'USD') });
  await time.pass(10);
  expect(Object.keys(shared.kept.book.record.book.stores)).toEqual(['s']);
});

test('a deleted project keeps nothing on the rack', async () => {
  const { store } = await tab(browser(), fakeClock());
  const item = {
    kind: 'hardware' as const,
    name: 'hook',
    section: '',
    length: null,
    width: null,
    material: '',
  };
  store.dispatch([
    { type: 'putOnRack', entries: [{ id: 'a', item, quantity: 2, from: '' }] },
    { type: 'keepOnRack', projectId: 'p', pieces: { a: 2 } },
  ]);
  expect(store.state?.book.book.rack?.['a']?.keptFor).toEqual({ p: 2 });
  store.setDeleted('p', 5);
  expect(store.state?.book.book.rack?.['a']).not.toHaveProperty('keptFor');
});

test('a file in place of a project is one step that undo takes back, and one of the bin comes out of it', async () => {
  const { store } = await tab(browser(), fakeClock());
  store.dispatch(rename('Arbour'), 'p');
  store.setDeleted('p', 5);
  store.addProject({ ...bench, name: 'From a file' });
  expect(store.state?.records['p']).toMatchObject({ deletedAt: null, project: { name: 'From a file' } });
  expect(store.next('p', 'undo')?.label).toBe('open From a file from a file');
  store.step('p', 'undo');
  expect(store.state?.records['p']?.project.name).toBe('Arbour');
  store.step('p', 'undo');
  expect(store.state?.records['p']?.project).toEqual(bench);
});

const damaged = { key: 'billet/project/p', id: 'p', text: 'cut off', tag: null, problems: [] };

test('what cannot be read lies aside before a file takes its place', async () => {
  const time = fakeClock();
  const shared = browser();
  shared.kept.projects.delete('p');
  const aside: string[] = [];
  const { store } = await tab(shared, time, {
    ...shared.storage(),
    loadProjects: async () => ({ records: Object.fromEntries(shared.kept.projects), damaged: [damaged] }),
    setAside: async (what, text) => void aside.push(`${what}: ${text}`),
  });
  expect(store.state?.damaged).toHaveLength(1);
  store.addProject(bench);
  await time.pass(10);
  expect(aside).toEqual(['project: cut off']);
  expect(store.state?.damaged).toEqual([]);
  expect(shared.kept.projects.get('p')?.record.project).toEqual(bench);
});

test('what another tab wrote and this one cannot read is left as it is, told, and the journal keeps what was done', async () => {
  const time = fakeClock();
  const shared = browser();
  let isBroken = false;
  const { store, events } = await tab(shared, time, {
    ...shared.storage(),
    readProject: async (id) => (isBroken ? damaged : (shared.kept.projects.get(id) ?? null)),
    saveProject: async () => 'refused',
  });
  isBroken = true;
  store.dispatch(rename('Arbour'), 'p');
  await time.pass(120_000);
  expect(events.filter(({ kind }) => kind === 'unreadable')).toHaveLength(1);
  expect(store.state?.damaged).toEqual([damaged]);
  expect(store.state?.records['q']).toBeDefined();
  expect(shared.kept.projects.get('p')?.record.project.name).toBe('Stage');
  expect(shared.short.size).toBe(1);
});
