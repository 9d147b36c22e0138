import * as fc from 'fast-check';
import { fromCsv } from '../../testing';
import { planInput } from '../../plan';
import { newPatternPool } from './master';
import { shelfSearch } from './shelfSearch';
import { subproblemsOf } from './subproblem';
import type { Pattern } from './types';

const PRICES =
  'store,kind,section,length,width,material,price\nYard,sheet,3/4in,96in,48in,ply,58.50\nYard,sheet,3/4in,48in,48in,ply,34';

/** All plans that so many tries find: what they cost, and how many of each type they cut. */
const searched = (parts: string, tries: number) => {
  const { project, book } = fromCsv({ parts, prices: PRICES });
  const [subproblem] = subproblemsOf(planInput(project, book));
  if (!subproblem) return { plans: [], demands: [] };
  const { wood } = subproblem;
  const pool = newPatternPool(subproblem.isAllowed);
  const prices = wood.stocks.map(({ price }) => price);
  const plans = [...shelfSearch(wood, pool, prices, () => false, tries)].map((times) => {
    const made = wood.types.map(() => 0);
    let cost = 0;
    for (const [at, count] of times) {
      const pattern = pool.patterns[at];
      cost += count * (prices[pattern?.stock ?? 0] ?? 0);
      for (const [type, pieces] of pattern?.counts ?? []) made[type] = (made[type] ?? 0) + count * pieces;
    }
    return { cost, made };
  });
  return { plans, demands: wood.types.map(({ demand }) => demand) };
};

const panels = fc
  .array(
    fc.record({
      qty: fc.integer({ min: 1, max: 4 }),
      length: fc.integer({ min: 6, max: 96 }),
      width: fc.integer({ min: 4, max: 48 }),
      grain: fc.constantFrom('length', 'any'),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map((rows) =>
    [
      'part,kind,qty,section,length,width,grain',
      ...rows.map(
        ({ qty, length, width, grain }, index) => `p${index},sheet,${qty},3/4in,${length},${width},${grain}`,
      ),
    ].join('\n'),
  );

test('each plan cuts every piece from panels that hold it, is cheaper than those before, and is found again', () => {
  fc.assert(
    fc.property(panels, (parts) => {
      const { plans, demands } = searched(parts, 60);
      expect(plans.length).toBeGreaterThan(0);
      for (const { made } of plans) expect(made).toEqual(demands);
      const costs = plans.map(({ cost }) => cost);
      expect(costs).toEqual([...new Set(costs)].sort((a, b) => b - a));
      expect(searched(parts, 60).plans).toEqual(plans);
    }),
    { numRuns: 40 },
  );
});

test('no panel that is cut is worth more than the pricing says, whatever pieces are worth, and what it finds is', () => {
  const worths = fc.array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 12, maxLength: 12 });
  fc.assert(
    fc.property(panels, worths, (parts, given) => {
      const { project, book } = fromCsv({ parts, prices: PRICES });
      const [subproblem] = subproblemsOf(planInput(project, book));
      if (!subproblem) return;
      const { wood } = subproblem;
      const pool = newPatternPool(subproblem.isAllowed);
      for (const _ of shelfSearch(
        wood,
        pool,
        wood.stocks.map(({ price }) => price),
        () => false,
        60,
      ));
      const worth = Float64Array.from(wood.types, (_, type) => given[type] ?? 0);
      const worthOf = (pattern: Pattern): number =>
        pattern.counts.reduce((sum, [type, count]) => sum + count * (worth[type] ?? 0), 0);
      const demands = wood.types.map(({ demand }) => demand);
      for (const generator of wood.generators)
        generator.price(worth, demands).forEach(({ bound, patterns }, at) => {
          const most = bound * (1 + 1e-9) + 1e-9;
          for (const pattern of pool.patterns)
            if (pattern.stock === generator.stocks[at]) expect(worthOf(pattern)).toBeLessThanOrEqual(most);
          for (const pattern of patterns) {
            expect(subproblem.isAllowed(pattern)).toBe(true);
            expect(Math.abs(worthOf(pattern) - bound)).toBeLessThanOrEqual(1e-9 * Math.max(1, bound));
          }
        });
    }),
    { numRuns: 30 },
  );
});

test('a sheet that is cut up without waste is found again', () => {
  // 96 x 48 in as a strip of 23 7/8 and one of 24 in, each in two lengths, with a kerf of 1/8 in between.
  const { plans } = searched(
    'part,kind,qty,section,length,width,grain\na,sheet,1,3/4in,40,23 7/8,any\nb,sheet,1,3/4in,55 7/8,23 7/8,any\nc,sheet,1,3/4in,60,24,any\nd,sheet,1,3/4in,35 7/8,24,any',
    400,
  );
  expect(plans.at(-1)?.cost).toBe(58_500_000);
});
