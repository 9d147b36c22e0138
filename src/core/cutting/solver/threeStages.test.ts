import fc from 'fast-check';
import { planInput } from '../../plan';
import { fromCsv } from '../../testing';
import { subproblemsOf } from './subproblem';
import { threeStages } from './threeStages';
import type { Pattern, Placed } from './types';

const PRICES = 'store,section,length,material,price\nYard,2x4,96in,stud,3.98\nYard,2x6,96in,stud,6.12';

const strips = fc.array(
  fc.record({
    qty: fc.integer({ min: 1, max: 4 }),
    section: fc.constantFrom('1-1/2x1-1/2in', '3/4x1-1/2in', '1-1/2x2-1/2in'),
    length: fc.integer({ min: 8, max: 60 }),
    ends: fc.constantFrom('', 'mitre 45', 'parallel 30'),
    worth: fc.double({ min: 0, max: 100, noNaN: true }),
  }),
  { minLength: 2, maxLength: 8 },
);

test('whatever pieces are worth, no strip with slants and square pieces behind them is worth more than the pricing says', () => {
  fc.assert(
    fc.property(strips, (rows) => {
      const parts = [
        'part,qty,section,length,ends',
        ...rows.map(
          ({ qty, section, length, ends }, index) => `p${index},${qty},${section},${length},${ends}`,
        ),
      ].join('\n');
      const { project, book } = fromCsv({ parts, prices: PRICES, settings: { tools: ['table-saw'] } });
      for (const { wood } of subproblemsOf(planInput(project, book))) {
        const worth = Float64Array.from(
          wood.types,
          ({ pieces: [first] }) => rows[Number(first?.name.slice(1))]?.worth ?? 0,
        );
        const worthOf = (pattern: Pattern): number =>
          pattern.counts.reduce((sum, [type, count]) => sum + count * (worth[type] ?? 0), 0);
        const demands = wood.types.map(({ demand }) => demand);
        for (const generator of wood.generators) {
          const bounds = generator.price(worth, demands).map(({ bound }) => bound);
          for (const pattern of generator.fill(worth, demands)) {
            const bound = bounds[generator.stocks.indexOf(pattern.stock)] ?? 0;
            expect(worthOf(pattern)).toBeLessThanOrEqual(bound * (1 + 1e-9) + 1e-9);
          }
        }
      }
    }),
    { numRuns: 20 },
  );
});

test('one square piece beside slanted ones is worth what it is, and they are worth what nests', () => {
  // In cells: a slanted piece nests with 10 and lies alone with 20; two low strips come to 9.8 together, the high one to 5 + 2 x 2.6.
  const leaf = {} as Placed['leaf'];
  const slanted: Placed = { type: 0, leaf, across: 10, along: 20 };
  const square: Placed = { type: 1, leaf, across: 10, along: 1 };
  const low: Placed = { type: 2, leaf, across: 5, along: 30 };
  const { most } = threeStages(
    [slanted, square, low],
    [{ placed: slanted, across: 10, size: 10, slant: 0, most: 4 }],
    Float64Array.of(2.6, 5, 4.9),
    [4, 1, 1],
    { along: 30, across: 10 },
    'across',
  );
  expect(most).toBeCloseTo(10.2);
});
