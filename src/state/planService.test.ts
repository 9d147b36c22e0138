import fc from 'fast-check';
import { projectMoney } from '@/core/budget';
import { planInput, planKey, type Plan, type PlanInput } from '@/core/plan';
import { checkedPlan, firstPlan } from '@/core/plan/planner';
import { emptyHistory, type Book, type Price, type Project } from '@/core/project';
import { fromCsv } from '@/core/testing';
import type { Planner } from '@/workers/planner.worker';
import { PlanService } from './planService';
import type { KeptPlan, PlanSnapshot } from './planSnapshot';
import { transact, type WorkspaceCommand } from './transaction';
import { WorkerPool } from './workerPool';
import type { Clock } from './writeQueue';

/** Boards and hardware of two stores, one with a trip. */
const given = () =>
  fromCsv({
    parts:
      'part,qty,section,length,kind,item\nPost,7,2x4,40,,\nRail,5,2x4,58 1/2,,\nScrew,130,,,hardware,screws',
    prices:
      "store,section,length,material,price,kind,item,pack,date,note\nYard,2x4,8',stud,4,,,,2026-01-01,\nYard,2x4,10',stud,5.4,,,,2026-01-01,\nBarn,2x4,8',stud,4.3,,,,,\nBarn,,,,9,hardware,screws,100,,",
    stores: { Yard: { trip: 420 }, Barn: { trip: 300 } },
  });

/** A service over one project, with workers that answer when the test lets them and time that it moves. */
const setUp = (kept: KeptPlan | null = null) => {
  const state: { project: Project; book: Book } = given();
  const calls = { first: 0, search: 0 };
  const held: (() => void)[] = [];
  const timers: { work: () => void }[] = [];
  const written: KeptPlan[] = [];
  let isHeld = false;
  const gate = () => (isHeld ? new Promise<void>((go) => held.push(go)) : Promise.resolve());
  const planner = {
    firstPlan: async (...[input, against, previous, own]: Parameters<Planner['firstPlan']>) => {
      calls.first++;
      await gate();
      return own ?? checkedPlan(input, against, previous);
    },
    search: async (input: PlanInput) => {
      calls.search++;
      await gate();
      return { ...firstPlan(input), status: 'proved' as const };
    },
  } as Partial<Planner> as Planner;
  const clock: Clock = {
    now: () => 0,
    after: (_ms, work) => {
      const entry = { work };
      timers.push(entry);
      return () => void timers.splice(timers.indexOf(entry), timers.includes(entry) ? 1 : 0);
    },
  };
  let tell: (changed: { projectIds: string[]; book: boolean }) => void = () => undefined;
  const service = new PlanService({
    source: {
      current: () => ({ ...state }),
      subscribe: (listener) => {
        tell = listener;
        return () => undefined;
      },
    },
    pool: new WorkerPool<Planner>({
      spawn: () => ({ api: planner, terminate: () => undefined, onCrash: () => undefined }),
      size: { quick: 1, long: 1 },
    }),
    storage: { read: async () => kept, write: async (_id, plan) => void written.push(plan) },
    clock,
    afterPaint: (work) => work(),
    proxy: (callback) => callback,
  });
  const seen: PlanSnapshot[] = [];
  service.subscribe((_id, snapshot) => seen.push(snapshot));
  const id = state.project.id;
  const dispatch = (...commands: WorkspaceCommand[]) => {
    const record = { project: state.project, history: emptyHistory(), deletedAt: null };
    const made = transact({ record, book: { book: state.book, history: emptyHistory() } }, commands, {
      id: 's',
      at: 0,
    });
    Object.assign(state, { project: made.record?.project ?? state.project, book: made.book.book });
    tell({ projectIds: [id], book: true });
  };
  /** Lets everything that waits go on, and all that follows. */
  const settle = async () => {
    for (let turn = 0; turn < 60; turn++) {
      await Promise.resolve();
      for (const go of held.splice(0)) go();
      if (turn % 10 === 9) for (const { work } of timers.splice(0)) work();
    }
  };
  return { state, service, seen, calls, written, dispatch, settle, id, hold: (on: boolean) => (isHeld = on) };
};

/** The law: what a snapshot shows is of its own project, book and plan. */
const isWhole = ({ project, book, plan, money, key }: PlanSnapshot): boolean =>
  JSON.stringify(money) === JSON.stringify(projectMoney(project, book, plan)) &&
  key === planKey(planInput(project, book));

const buyOf = (plan: Plan | undefined) => plan?.buys[0];

/** The command that ticks the first line of a plan. */
const tick = ({ project, plan }: PlanSnapshot): WorkspaceCommand[] => {
  const buy = buyOf(plan);
  if (!buy) return [];
  const item = {
    kind: buy.kind,
    name: buy.item,
    section: buy.section,
    length: { text: '', ticks: buy.length },
    width: null,
    material: buy.material,
  };
  const line = {
    item,
    pack: buy.pack,
    quantity: buy.qty,
    price: buy.costWithTax,
    tax: 0,
    category: 'wood' as const,
  };
  const purchase = {
    id: `b${project.purchases.length}`,
    date: '2026-11-01',
    storeId: buy.storeId,
    store: buy.store,
    lines: [line],
    note: '',
  };
  const trip = plan.stores.find(({ storeId }) => storeId === buy.storeId)?.trip ?? 0;
  return [{ type: 'recordPurchase', purchase, charges: { trip, shipping: 0 } }];
};

test('a project is planned, then searched, and its snapshot goes from generation to generation', async () => {
  const { service, seen, calls, settle, id } = setUp();
  service.observe(id);
  await settle();
  expect(calls).toEqual({ first: 1, search: 1 });
  expect(service.snapshot(id)).toMatchObject({ generation: 1, phase: 'current', doing: null, failure: null });
  expect(service.snapshot(id)?.plan.status).toBe('proved');
  expect(seen.every(isWhole)).toBe(true);
});

test('while a tick is planned anew the money shown is the old one, then the new one: nothing in between', async () => {
  const { service, seen, settle, dispatch, id, hold } = setUp();
  service.observe(id);
  await settle();
  const before = service.snapshot(id);
  if (!before) throw new Error('no snapshot');
  hold(true);
  seen.length = 0;
  dispatch(...tick(before));
  for (let n = 0; n < 20; n++) await Promise.resolve();
  expect(service.snapshot(id)).toMatchObject({ generation: before.generation, phase: 'planning' });
  expect(service.snapshot(id)?.money).toBe(before.money);
  await settle();
  const after = service.snapshot(id);
  expect(after?.generation).toBe(before.generation + 1);
  expect(after?.money.spent).toBeGreaterThan(0);
  // What was planned is what is spent now: a tick moves no total.
  expect(after?.money.total).toBe(before.money.total);
  expect(new Set(seen.map(({ money }) => money.total)).size).toBe(1);
  expect(seen.every(isWhole)).toBe(true);
});

test('what decides no plan starts none: the same price again, a note, a name, a reload', async () => {
  const { service, calls, settle, dispatch, id, state, written } = setUp();
  service.observe(id);
  await settle();
  const before = { ...calls };
  const [price] = Object.values(state.book.prices);
  const again: Price = {
    ...(price as Price),
    id: 'again',
    date: '2026-11-27',
    note: 'seen again',
    source: 'service',
  };
  dispatch({ type: 'putPrices', prices: [again] });
  await settle();
  dispatch({ type: 'editProject', fields: { note: 'a note', name: 'Another name', target: 1 } });
  await settle();
  expect(calls).toEqual(before);
  expect(service.snapshot(id)?.money.target).toBe(1);
  // A reload: what was kept is checked, and not proved again.
  const kept = written.at(-1) ?? null;
  const reloaded = setUp(JSON.parse(JSON.stringify(kept)) as KeptPlan);
  reloaded.service.observe(id);
  await reloaded.settle();
  expect(reloaded.calls).toEqual({ first: 1, search: 0 });
  expect(reloaded.service.snapshot(id)?.plan).toEqual(kept?.plan);
});

test('stopped, the best so far stays and is not searched for again', async () => {
  const { service, calls, settle, id, hold } = setUp();
  hold(true);
  service.observe(id);
  for (let turn = 0; turn < 12; turn++) await Promise.resolve();
  hold(false);
  await settle();
  service.stop(id);
  await settle();
  expect(service.snapshot(id)?.doing).toBeNull();
  expect(calls.search).toBe(1);
});

test('whatever is changed, in whatever order the workers answer: no snapshot mixes generations', async () => {
  const change = fc.record({
    what: fc.constantFrom('tick', 'price', 'trip', 'part', 'target', 'undoTick'),
    by: fc.nat(300),
    wait: fc.nat(3),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(change, { minLength: 1, maxLength: 8 }), async (changes) => {
      const { service, seen, settle, dispatch, id, state, hold } = setUp();
      service.observe(id);
      await settle();
      for (const { what, by, wait } of changes) {
        hold(wait > 1);
        const snapshot = service.snapshot(id);
        const [price] = Object.values(state.book.prices);
        const [store] = Object.values(state.book.stores);
        const [part] = state.project.groups[0]?.options[0]?.parts ?? [];
        const [bought] = state.project.purchases;
        if (what === 'tick' && snapshot) dispatch(...tick(snapshot));
        if (what === 'price' && price)
          dispatch({ type: 'putPrices', prices: [{ ...price, price: price.price + by * 10_000 }] });
        if (what === 'trip' && store)
          dispatch({ type: 'editStore', storeId: store.id, fields: { trip: by } });
        if (what === 'part' && part)
          dispatch({ type: 'editPart', partId: part.id, fields: { quantity: 1 + (by % 9) } });
        if (what === 'target') dispatch({ type: 'editProject', fields: { target: by } });
        if (what === 'undoTick' && bought) dispatch({ type: 'removePurchase', purchaseId: bought.id });
        for (let turn = 0; turn < wait * 5; turn++) await Promise.resolve();
        if (wait === 0) await settle();
      }
      hold(false);
      await settle();
      await settle();
      expect(seen.every(isWhole)).toBe(true);
      const last = service.snapshot(id);
      expect(last?.project).toBe(state.project);
      expect(last?.phase).toBe('current');
    }),
    { numRuns: 60 },
  );
});
