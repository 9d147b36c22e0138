import fc from 'fast-check';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { measure, withRecordedCharges, type Project, type Purchase } from '../project';
import { fromCsv } from '../testing';
import { inThePiece, projectMoney, purchaseLine } from '.';

const shelter = () =>
  fromCsv({
    parts: 'part,qty,section,length,kind,item\nPost,4,2x4,40,,\nScrew,30,,,hardware,screws',
    prices:
      "store,section,length,material,price,kind,item,pack\nYard,2x4,8',stud,4,,,\nPost,,,,9,hardware,screws,100",
    settings: { tax: 0.1 },
    stores: { Yard: { trip: 420 }, Post: { shipping: { fee: 500, freeFrom: 5000 } } },
  });

/** Ticks every line of the plan that is of a store. */
const buy = (project: Project, book: ReturnType<typeof shelter>['book'], store: string): Project => {
  const plan = firstPlan(planInput(project, book));
  const purchases = plan.buys
    .filter((line) => line.store === store)
    .map((line): Purchase => {
      const item = Object.values(book.prices).find(({ item: sold }) => sold.name === line.item)?.item;
      if (!item) throw new Error(line.item);
      return {
        id: line.offerKey,
        date: '2026-11-24',
        storeId: line.storeId,
        store,
        note: '',
        lines: [
          purchaseLine(
            item,
            line.pack,
            line.qty,
            line.costWithTax,
            { taxFree: false },
            project.settings,
            'USD',
          ),
        ],
      };
    });
  return withRecordedCharges({ ...project, purchases: [...project.purchases, ...purchases] }, book.stores);
};

const moneyOf = (project: Project, book: ReturnType<typeof shelter>['book']) =>
  projectMoney(project, book, firstPlan(planInput(project, book)));

test('ticking lines moves money from to buy to spent, trip and shipping with it, and the sum stays', () => {
  const { project, book } = shelter();
  const before = { ...project, target: 3000 };
  // Two boards of 4.00 and a box of 9.00, with 10 % tax; a trip of 4.20; shipping of 5.00.
  expect(moneyOf(before, book)).toEqual({
    target: 3000,
    spent: 0,
    toBuy: 880 + 420 + 990 + 500,
    total: 2790,
    reserve: 0,
    forecast: 2790,
    left: 210,
    complete: true,
  });
  const half = buy(before, book, 'Yard');
  expect(moneyOf(half, book)).toMatchObject({ spent: 880 + 420, toBuy: 990 + 500, total: 2790 });
  const all = buy(half, book, 'Post');
  expect(moneyOf(all, book)).toMatchObject({ spent: 2790, toBuy: 0, left: 210 });
});

test('what is bought is used: fewer parts need nothing more, more parts need only the rest', () => {
  const { project, book } = shelter();
  const bought = buy(buy(project, book, 'Yard'), book, 'Post');
  const withPosts = (quantity: number): Project => ({
    ...bought,
    groups: bought.groups.map((group) => ({
      ...group,
      options: group.options.map((option) => ({
        ...option,
        parts: option.parts.map((part) => (part.name === 'Post' ? { ...part, quantity } : part)),
      })),
    })),
  });
  expect(moneyOf(withPosts(3), book).toBuy).toBe(0);
  const more = firstPlan(planInput(withPosts(6), book));
  expect(more.buys.map(({ qty, store }) => [qty, store])).toEqual([[1, 'Yard']]);
  expect(more.trips).toBe(0);
});

test('over target is below zero; without a target nothing is left to tell', () => {
  const { project, book } = shelter();
  expect(moneyOf({ ...project, target: 2000 }, book).left).toBe(-790);
  expect(moneyOf(project, book).left).toBeNull();
  expect(projectMoney(project, book, null)).toMatchObject({ toBuy: 0, complete: false });
});

test('in the piece: 40 in of a 96 in board, 30 screws of a box (common practice)', () => {
  const { project, book } = shelter();
  const plan = firstPlan(planInput(project, book));
  const [post, screw] = project.groups[0]?.options[0]?.parts ?? [];
  const costs = inThePiece(project, plan);
  expect(costs[post?.id ?? '']).toBe(Math.round((4 * 40 * 440) / 96));
  expect(costs[screw?.id ?? '']).toBe(Math.round((990 * 30) / 100));
});

test('the tax in what was paid is told apart, and both add up to it', () => {
  const { project } = shelter();
  const item = {
    kind: 'board' as const,
    name: '2x4',
    section: '2x4',
    length: measure('96', 'in'),
    width: null,
    material: 'stud',
  };
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1e7 }), fc.constantFrom(0, 0.07, 0.19, 0.0825), (paid, tax) => {
      const line = purchaseLine(item, 1, 1, paid, { taxFree: false }, { ...project.settings, tax }, 'USD');
      expect(line.price + line.tax).toBe(paid);
      expect(Math.abs(line.price * (1 + tax) - paid)).toBeLessThanOrEqual(0.5 + tax);
    }),
  );
  expect(
    purchaseLine(item, 1, 1, 500, { taxFree: true }, { ...project.settings, tax: 0.07 }, 'USD').tax,
  ).toBe(0);
});
