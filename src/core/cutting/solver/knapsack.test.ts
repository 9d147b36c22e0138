/** The parts of the method, each by itself: against trying everything, or counted by hand. */
import fc from 'fast-check';
import { leastCover } from './leastCover';
import { gridOf } from './grid';
import { bestOf, bestValues, fillTable, type Block } from './knapsack';
import { cheapestPacks } from '../heuristics/packs';

describe('grid', () => {
  test('sixteenths, eighths and kerf share a grid of sixteenths; slants are rounded up to one that is finer', () => {
    const inch = 8128;
    const grid = gridOf(96 * inch, [31 * inch, 22.5 * inch, inch / 16], [], 10_000);
    expect([grid.cells, grid.up(inch / 2), grid.isExact]).toEqual([96 * 16, 8, true]);
    const slanted = gridOf(96 * inch, [31 * inch], [7 * inch + 5], 10_000);
    expect(slanted.isExact).toBe(false);
    expect(slanted.up(7 * inch + 5)).toBe(slanted.down(7 * inch + 5) + 1);
  });
  test('with too many cells sizes are rounded up, never down', () => {
    const grid = gridOf(100_000, [7, 11], [], 1000);
    expect(grid.cells).toBeLessThanOrEqual(1000);
    expect(grid.up(101) * 100).toBeGreaterThanOrEqual(101);
    expect(grid.isExact).toBe(false);
  });
});

/** The most that a filling is worth, by trying all. */
const tried = (blocks: Block[], cells: number): number => {
  const items = blocks.flatMap(({ items: own, charge }) => own.map((item) => ({ ...item, charge })));
  let best = 0;
  const visit = (at: number, left: number, worth: number, paid: number): void => {
    best = Math.max(best, worth);
    const item = items[at];
    if (!item) return;
    for (let count = 0; count <= item.most; count++) {
      const most = count > 0 ? Math.max(paid, item.charge) : paid;
      const rest = left - count * item.size - (most - paid);
      if (rest < 0) break;
      visit(at + 1, rest, worth + count * item.worth, most);
    }
  };
  visit(0, cells, 0, 0);
  return best;
};

const anyItem = fc.record({
  size: fc.integer({ min: 1, max: 9 }),
  worth: fc.integer({ min: 0, max: 20 }),
  most: fc.integer({ min: 0, max: 3 }),
});
/** Blocks as they come: the greatest charge first. */
const falling = (blocks: Block[]): Block[] => [...blocks].sort((a, b) => b.charge - a.charge);
const chargeOf = (blocks: Block[], counts: number[][]): number =>
  Math.max(0, ...blocks.map(({ charge }, at) => (counts[at]?.some((count) => count > 0) ? charge : 0)));

const anyBlock = fc.record({
  charge: fc.integer({ min: 0, max: 4 }),
  items: fc.array(anyItem, { minLength: 1, maxLength: 3 }),
});

test('the knapsack with slants that nest in steeper ones finds as much as trying all, and says how', () => {
  fc.assert(
    fc.property(
      fc.array(anyBlock, { minLength: 1, maxLength: 3 }).map(falling),
      fc.integer({ min: 1, max: 30 }),
      (blocks, cells) => {
        const table = fillTable(blocks, cells);
        expect(table.entry[0]?.[cells]).toBe(tried(blocks, cells));
        const counts = bestOf(table, cells);
        const used = blocks.reduce(
          (sum, { items }, at) =>
            sum + items.reduce((size, item, index) => size + item.size * (counts[at]?.[index] ?? 0), 0),
          chargeOf(blocks, counts),
        );
        const worth = blocks.reduce(
          (sum, { items }, at) =>
            sum + items.reduce((own, item, index) => own + item.worth * (counts[at]?.[index] ?? 0), 0),
          0,
        );
        expect(used).toBeLessThanOrEqual(cells);
        expect(worth).toBe(table.entry[0]?.[cells]);
      },
    ),
    { seed: 3, numRuns: 200 },
  );
});

test('whole numbers that cover all rows: as cheap as trying all', () => {
  const row = fc.record({
    lower: fc.integer({ min: 1, max: 12 }),
    values: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 3, maxLength: 3 }),
  });
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 }),
      fc.array(row, { minLength: 1, maxLength: 3 }),
      (cost, rows) => {
        let least = Infinity;
        for (let a = 0; a <= 4; a++)
          for (let b = 0; b <= 4; b++)
            for (let c = 0; c <= 4; c++)
              if (rows.every(({ lower, values: [x = 0, y = 0, z = 0] }) => a * x + b * y + c * z >= lower))
                least = Math.min(least, a * (cost[0] ?? 0) + b * (cost[1] ?? 0) + c * (cost[2] ?? 0));
        const found = leastCover(
          cost,
          [4, 4, 4],
          rows.map(({ lower, values }) => ({
            lower,
            upper: Infinity,
            terms: values.map((value, column): [number, number] => [column, value]),
          })),
        );
        expect(found?.cost).toBe(least);
      },
    ),
    { seed: 4, numRuns: 200 },
  );
});

test('130 screws in packs of 50 and 100: one of each, though three of 50 hold as many', () => {
  expect(
    cheapestPacks(130, [
      { pack: 50, cost: 600 },
      { pack: 100, cost: 1000 },
    ]),
  ).toEqual({ counts: [1, 1], cost: 1600 });
  expect(
    cheapestPacks(130, [
      { pack: 50, cost: 500 },
      { pack: 100, cost: 1100 },
    ])?.cost,
  ).toBe(1500);
  expect(cheapestPacks(1, [])).toBeNull();
});

test('whatever the worths, small or huge, a pattern that is read back fits and is worth what the table says', () => {
  const item = fc.record({
    size: fc.integer({ min: 1, max: 40 }),
    worth: fc.double({ min: 0, max: 3e7, noNaN: true }),
    most: fc.nat(6),
  });
  const block = fc.record({ charge: fc.nat(10), items: fc.array(item, { minLength: 1, maxLength: 5 }) });
  fc.assert(
    fc.property(
      fc.array(block, { minLength: 1, maxLength: 3 }).map(falling),
      fc.integer({ min: 1, max: 200 }),
      (blocks, cells) => {
        const table = fillTable(blocks, cells);
        const counts = bestOf(table, cells);
        let [used, worth] = [chargeOf(blocks, counts), 0];
        blocks.forEach(({ items }, at) => {
          const own = counts[at] ?? [];
          items.forEach(({ size, worth: each, most }, index) => {
            expect(own[index] ?? 0).toBeLessThanOrEqual(most);
            used += size * (own[index] ?? 0);
            worth += each * (own[index] ?? 0);
          });
        });
        expect(used).toBeLessThanOrEqual(cells);
        const best = table.entry[0]?.[cells] ?? 0;
        expect(Math.abs(worth - best)).toBeLessThanOrEqual(1e-9 * Math.max(1, best));
        const items = blocks.flatMap((own) => own.items);
        const free = fillTable([{ charge: 0, items }], cells).entry[0]?.[cells] ?? 0;
        expect(bestValues(items, cells)[cells]).toBeCloseTo(
          free,
          6 - Math.ceil(Math.log10(Math.max(1, free))),
        );
      },
    ),
  );
});

test('a cover that is looked for when the time is up is none, and does not take long', () => {
  const columns = Array.from({ length: 24 }, (_, index) => index);
  const rows = Array.from({ length: 12 }, (_, row) => ({
    lower: 40 + row,
    upper: Infinity,
    terms: columns.map((column): [number, number] => [column, 1 + ((column * 7 + row * 5) % 11)]),
  }));
  let looks = 0;
  const found = leastCover(
    columns.map((column) => 10 + ((column * 13) % 9)),
    columns.map(() => 9),
    rows,
    () => ++looks > 0,
  );
  expect([found, looks]).toEqual([null, 1]);
});
