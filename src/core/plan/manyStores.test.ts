import loadHighs from 'highs';
import { fromCsv } from '../testing';
import { againstProject, planInput } from '.';
import { bestPlan, checkPlan, solverOf, type Highs, type Solver } from './planner';
import { randomFrom } from './randomList';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

/** The same four parts, sold at so many stores with trips, some of which send for a fee that falls away. */
const at = (count: number, seed: number) => {
  const next = randomFrom(seed);
  const rows = ['store,section,length,material,price'];
  const stores: NonNullable<Parameters<typeof fromCsv>[0]['stores']> = {};
  for (let store = 0; store < count; store++) {
    const dear = 0.45 + next() * 0.3;
    for (const feet of [8, 10, 12, 16])
      if (next() < 0.7) rows.push(`S${store},2x4,${feet}ft,stud,${(feet * dear).toFixed(2)}`);
    stores[`S${store}`] = {
      trip: Math.round(next() * 400),
      shipping: next() < 0.3 ? { fee: 600, freeFrom: next() < 0.5 ? 3000 : null } : null,
    };
  }
  rows.push('S0,2x4,12ft,stud,9.00');
  const given = fromCsv({
    parts: 'part,qty,section,length\na,7,2x4,31\nb,9,2x4,45 1/2\nc,4,2x4,70\nd,5,2x4,22 1/4',
    prices: rows.join('\n'),
    stores,
  });
  const plan = bestPlan(planInput(given.project, given.book), solver, 8);
  expect(checkPlan(plan, againstProject(given.project, given.book))).toEqual([]);
  return { plan, given };
};

test.each([1, 2, 3, 4])(
  'seed %d: of nine stores the plan is as cheap as the best of any two and three of them',
  (seed) => {
    const { plan, given } = at(9, seed);
    expect(plan.status).toBe('proved');
    const ids = Object.keys(given.book.stores);
    for (const [index, first] of ids.entries())
      for (const second of ids.slice(index)) {
        const excluded = ids.filter((id) => id !== first && id !== second);
        const fewer = bestPlan(
          planInput({ ...given.project, excludedStores: excluded }, given.book),
          solver,
          3,
        );
        if (fewer.status !== 'infeasible') expect(plan.total).toBeLessThanOrEqual(fewer.total);
      }
  },
);

test('thirty stores are planned as quickly as three, and fifty with shipping do not fill the memory', () => {
  for (const [count, seed] of [
    [30, 11],
    [50, 12],
  ] as const) {
    const before = process.memoryUsage().rss;
    const { plan } = at(count, seed);
    expect(plan.total).toBeGreaterThanOrEqual(plan.lowerBound);
    expect(process.memoryUsage().rss - before).toBeLessThan(500e6);
  }
});
