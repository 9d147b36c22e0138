import fc from 'fast-check';
import { planInput, shownPlan, type Plan } from '../plan';
import { firstPlan } from '../plan/planner';
import type { Book, Project } from '../project';
import { fromCsv } from '../testing';
import { freeShipping } from '.';

/** Hooks from one shop that ships, and, where they are wanted, pads of a price. */
const order = (
  hooks: number,
  { freeFrom, discount, pads = 0 }: { freeFrom: number | null; discount: number; pads?: number },
): { project: Project; book: Book; plan: Plan } => {
  const { project, book: given } = fromCsv({
    parts: `part,kind,qty,section,length\nHook,hardware,${hooks},,${pads > 0 ? '\nPad,hardware,1,,' : ''}`,
    prices: `store,kind,price,item\nPostbox,hardware,1.37,Hook${pads > 0 ? `\nPostbox,hardware,${(pads / 100).toFixed(2)},Pad` : ''}`,
    settings: { tax: 0.07 },
  });
  const stores = Object.fromEntries(
    Object.values(given.stores).map((store) => [
      store.id,
      { ...store, discount, shipping: { fee: 600, freeFrom } },
    ]),
  );
  const book = { ...given, stores };
  return { project, book, plan: firstPlan(planInput(project, book)) };
};
const hints = ({ project, book, plan }: ReturnType<typeof order>) =>
  freeShipping(planInput(project, book), plan);

test('so much more at its tags makes the shipping free, and without a discount a cent less does not', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 30 }),
      fc.integer({ min: 1, max: 6_000 }),
      fc.constantFrom(0, 0.05, 0.1, 0.333),
      (hooks, freeFrom, discount) => {
        const [hint, ...others] = hints(order(hooks, { freeFrom, discount }));
        expect(others).toEqual([]);
        const paid = shownPlan(order(hooks, { freeFrom, discount }).plan)?.stores[0]?.shipping;
        if (!hint) return;
        expect([hint.fee, paid]).toEqual([600, 600]);
        const shipping = (pads: number) =>
          shownPlan(order(hooks, { freeFrom, discount, pads }).plan)?.stores[0]?.shipping;
        expect(shipping(hint.more)).toBe(0);
        if (discount === 0 && hint.more > 1) expect(shipping(hint.more - 1)).toBe(600);
      },
    ),
    { numRuns: 60 },
  );
});

test('it is told where it is near, and never where there is nothing to reach', () => {
  expect(hints(order(10, { freeFrom: 2000, discount: 0 }))).toEqual([
    { store: 'Postbox', more: 630, fee: 600 },
  ]);
  expect(hints(order(10, { freeFrom: 1370, discount: 0 }))).toEqual([]);
  expect(hints(order(10, { freeFrom: null, discount: 0 }))).toEqual([]);
  // More than three times its fee away, it is no advice.
  expect(hints(order(10, { freeFrom: 1370 + 1801, discount: 0 }))).toEqual([]);
  expect(hints(order(10, { freeFrom: 1370 + 1800, discount: 0 }))).toHaveLength(1);
});
