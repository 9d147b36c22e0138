import loadHighs from 'highs';
import fc from 'fast-check';
import { projectMoney, purchaseLine } from '../budget';
import { fromCsv } from '../testing';
import { planInput } from './input';
import { planCost } from '.';
import { solverOf, type Highs, type Solver } from '../cutting/solver';
import { bestPlan } from './planner';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const ITEMS = ['bolt', 'hook', 'latch'];

test('shipping of what was bought is due wherever the rest is bought, unless more there makes it free: as cheap as trying all ways', () => {
  const cents = fc.integer({ min: 50, max: 900 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(cents, cents), { minLength: 3, maxLength: 3 }),
      fc.record({
        bought: cents,
        fee: cents,
        freeFrom: fc.option(fc.integer({ min: 300, max: 2500 })),
        trip: cents,
      }),
      (prices, { bought, fee, freeFrom, trip }) => {
        const { project: bare, book } = fromCsv({
          parts: `part,qty,kind,item\n${[...ITEMS, 'hinge'].map((item) => `${item},1,hardware,${item}`).join('\n')}`,
          prices: `store,kind,item,price\nPost,hardware,hinge,${bought / 100}\n${prices
            .map(
              ([post, barn], at) =>
                `Post,hardware,${ITEMS[at]},${post / 100}\nBarn,hardware,${ITEMS[at]},${barn / 100}`,
            )
            .join('\n')}`,
          settings: { tax: 0 },
          stores: { Post: { shipping: { fee, freeFrom } }, Barn: { trip } },
        });
        const hinge = Object.values(book.prices).find(({ item }) => item.name === 'hinge');
        if (!hinge) throw new Error('it is sold');
        const line = purchaseLine(hinge.item, 1, 1, bought, { taxFree: false }, bare.settings, 'USD');
        const purchase = {
          id: 'x',
          date: '2026-11-25',
          storeId: hinge.storeId,
          store: 'Post',
          note: '',
          lines: [line],
        };
        const project = { ...bare, purchases: [purchase] };
        const ways = Array.from({ length: 8 }, (_, way) => {
          const atBarn = prices.filter((_price, at) => way & (1 << at));
          const post = prices
            .filter((_price, at) => !(way & (1 << at)))
            .reduce((sum, [price]) => sum + price, 0);
          const shipping = post + bought >= (freeFrom ?? Infinity) ? 0 : fee;
          return (
            post +
            shipping +
            atBarn.reduce((sum, [, price]) => sum + price, 0) +
            (atBarn.length > 0 ? trip : 0)
          );
        });
        const plan = bestPlan(planInput(project, book), solver, 10);
        expect([plan.status, planCost(plan)]).toEqual(['proved', Math.min(...ways)]);
        expect(plan.lowerBound).toBe(plan.total);
        // And it is what the project comes to.
        expect(projectMoney(project, book, plan).total).toBe(Math.min(...ways) + bought);
      },
    ),
    { numRuns: 60 },
  );
});
