import fc from 'fast-check';
import { planInput, storeCutsOf, fitsInCar, type Plan } from '../plan';
import { againstProject } from '../plan';
import { checkedPlan } from '../plan/planner';
import { apply, measure, type Book, type Project } from '../project';
import { fromCsv } from '../testing';
import { TICKS_PER_INCH } from '../units';
import { cartLine, fullLengths, runLines, storeSawing } from '.';

/** Rails from boards of twelve feet, with a car for eight and a store that saws. */
const given = (count: number, length: string, cuts = 2) =>
  fromCsv({
    parts: `part,qty,section,length,kind,item,width\nRail,${count},2x4,${length},,,\n`,
    prices: "store,section,length,material,price,kind,item,pack,width\nYard,2x4,12',stud,8,,,,\n",
    settings: { maxCarryLength: measure('96', 'in') },
    stores: { Yard: { cuts } },
  });

const planOf = (project: Project, book: Book, last: Parameters<typeof checkedPlan>[2] = null): Plan =>
  checkedPlan(planInput(project, book), againstProject(project, book), last);

test('what the store saws is told before it is in the cart, and the same while it lies there', () => {
  const { project, book } = given(3, '47 1/2');
  const plan = planOf(project, book);
  const [store = ''] = Object.keys(book.stores);
  const before = storeSawing(project, book, plan, store);
  expect(before.map(({ count }) => count)).toEqual([1]);
  expect(before[0]?.cuts.length).toBe(1);
  const [line] = runLines(project, book, plan, store);
  if (!line) throw new Error('a line was meant');
  const inCart = cartLine(line, line.quantity, line.paid, book.stores[store], project);
  const cart = { id: 'c', date: '2026-05-01', storeId: store, store: 'Yard' };
  const charges = { trip: 0, shipping: 0 };
  const ticked = apply(project, { type: 'addToCart', cart, lines: [inCart], charges }, 0);
  if (!ticked) throw new Error('nothing was put in the cart');
  const after = planOf(ticked.document, book, { plan, input: planInput(project, book) });
  expect(runLines(ticked.document, book, after, store)).toEqual([]);
  expect(storeSawing(ticked.document, book, after, store)).toEqual(before);
});

test('boards of which all is cut must have their length; of others nothing is said', () => {
  const whole = given(6, '47 7/8');
  const plan = planOf(whole.project, whole.book);
  const [store = ''] = Object.keys(whole.book.stores);
  // Three of 47 7/8 and two cuts of an eighth leave an eighth: it is there; a hair longer and it is not.
  expect([...fullLengths(plan, store).values()]).toEqual([]);
  const tight = given(6, '47 29/32');
  expect([...fullLengths(planOf(tight.project, tight.book), store).values()]).toEqual([2]);
});

test('law: never more than are bought, each cut away fits the car, and shorter by an eighth it would not do', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 20, max: 95 }), (count, length) => {
      const { project, book } = given(count, String(length));
      const plan = planOf(project, book);
      const [store = ''] = Object.keys(book.stores);
      const bought = new Map(plan.buys.map(({ item, qty, pack }) => [item, qty * pack]));
      for (const [item, full] of fullLengths(plan, store))
        expect(full).toBeLessThanOrEqual(bought.get(item) ?? 0);
      for (const layout of plan.layouts) {
        const reach = Math.max(...layout.pieces.flatMap(({ outline }) => outline.map(([x]) => x)));
        const isTight = layout.length - reach < TICKS_PER_INCH / 8;
        if (isTight) expect(fullLengths(plan, store).size).toBe(1);
      }
      for (const { cuts, ...board } of storeSawing(project, book, plan, store)) {
        expect(fitsInCar(board, project.settings)).toBe(false);
        const ends = [0, ...cuts.map(({ at }) => at), board.length];
        for (let index = 1; index < ends.length; index++)
          expect((ends[index] ?? 0) - (ends[index - 1] ?? 0)).toBeLessThanOrEqual(
            96 * TICKS_PER_INCH + project.settings.kerf.ticks,
          );
      }
      const sawn = plan.layouts.filter(({ storeCuts }) => storeCuts.length > 0);
      for (const layout of sawn) expect(storeCutsOf(layout, project.settings, 2)).not.toBe(null);
    }),
    { numRuns: 40 },
  );
});
