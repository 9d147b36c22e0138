import { projectMoney, cartOf } from '@/core/budget';
import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import { emptyHistory, type Book, type Project } from '@/core/project';
import { fromCsv } from '@/core/testing';
import { transact, type WorkspaceCommand } from '@/state/transaction';
import { cartCommands, letServe, seenCommand, takeOut, type Run } from './cart';

let mockIds = 0;
jest.mock('@/hooks', () => ({
  newId: () => `made${++mockIds}`,
  today: () => '2026-11-25',
  notify: () => undefined,
}));

/** A run through the one store of a case, whose commands change what is held. */
const onRun = () => {
  const given = fromCsv({
    parts: 'part,qty,section,length,material\nPost,2,2x4,40,stud\nRail,2,2x4,30,stud|fir\nSlat,2,1x4,30,pine',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,2x4,8',fir,6\nYard,1x4,6',pine,3",
  });
  const held: { project: Project; book: Book } = { ...given };
  const run = (): Run => {
    const plan = firstPlan(planInput(held.project, held.book));
    const store = Object.values(held.book.stores)[0];
    if (!store) throw new Error('no store');
    const open = {
      ...held,
      dispatch: (commands: WorkspaceCommand | WorkspaceCommand[]) => {
        const record = { project: held.project, history: emptyHistory(), deletedAt: null };
        const made = transact(
          { record, book: { book: held.book, history: emptyHistory() } },
          Array.isArray(commands) ? commands : [commands],
          { id: 's', at: 0 },
        );
        Object.assign(held, { project: made.record?.project, book: made.book.book });
      },
      isNewer: false,
      undoLabel: null,
      redoLabel: null,
      undo: () => undefined,
      redo: () => undefined,
    };
    return { open, store, plan, money: projectMoney(held.project, held.book, plan) };
  };
  return { held, run };
};

const line = (name: string) => ({
  item: { kind: 'hardware' as const, name, section: '', length: null, width: null, material: '' },
  pack: 1,
  quantity: 1,
  price: 500,
  tax: 0,
  category: 'hardware' as const,
});

test('things put in the cart are one purchase, open until it is paid; the first keeps the plan as it stood', () => {
  const { held, run } = onRun();
  // Two ticks from one rendering make one cart.
  const drawn = run();
  drawn.open.dispatch(cartCommands(drawn, [line('hook')]));
  drawn.open.dispatch(cartCommands(drawn, [line('glue')]));
  expect(held.project.purchases).toHaveLength(1);
  expect(held.project.purchases[0]).toMatchObject({
    isOpen: true,
    lines: [{ item: { name: 'hook' } }, { item: { name: 'glue' } }],
  });
  const { baseline } = held.project;
  expect(baseline?.lines.reduce((sum, { paid }) => sum + paid, 0)).toBe(run().plan?.total);
  // Nor do two touches from one rendering take out more than they name.
  const shown = run();
  takeOut(shown, line('hook'));
  takeOut(shown, line('hook'));
  expect(held.project.purchases[0]?.lines).toHaveLength(1);
  takeOut(shown, line('glue'));
  expect(cartOf(held.project, run().store.id)).toBeNull();
  expect(held.project.baseline).toEqual(baseline);
});

test('what is not there is out of stock in the price book, and another price is seen today', () => {
  const { held, run } = onRun();
  const buy = run().plan?.buys.find(({ material }) => material === 'stud');
  run().open.dispatch(seenCommand(run(), buy?.offerKey ?? '', { price: 4_500_000, available: null }));
  expect(run().plan?.buys.find(({ offerKey }) => offerKey === buy?.offerKey)?.unitPrice).toBe(4_500_000);
  run().open.dispatch(seenCommand(run(), buy?.offerKey ?? '', { available: 0 }));
  expect(run().plan?.buys.some(({ offerKey }) => offerKey === buy?.offerKey)).toBe(false);
  // What was seen before stays in its history.
  expect(Object.values(held.book.prices).filter(({ item }) => item.material === 'stud')).toHaveLength(3);
});

test('other wood in its place is allowed for the parts that asked for it, and for no others', () => {
  const { held, run } = onRun();
  const changes = letServe(run(), 'stud', 'larch');
  const names = changes.map(
    (change) =>
      'partId' in change &&
      held.project.groups[0]?.options[0]?.parts.find(({ id }) => id === change.partId)?.name,
  );
  expect(names).toEqual(['Post', 'Rail']);
  expect(letServe(run(), 'stud', 'fir')).toHaveLength(1);
});
