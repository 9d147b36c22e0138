import type { Row } from './modelBuilder';

/** The cheapest whole numbers that meet all rows; infinite where none do. */
export interface Cover {
  values: number[];
  cost: number;
}

/** More trials than these are not made. */
const MAX_TRIALS = 1_500_000;
/** The clock is looked at once in so many trials. */
const TRIALS_A_LOOK = 4096;
/** Costs this near are the same. */
const SAME = 1e-6;

/**
 * The cheapest whole numbers y, none above `upper`, with sum(value y) >= lower in every row, values not below zero: by
 * trying all, column after column, where what is missing could still be had for less than the best so far. For a handful of
 * columns; null where that takes too long, or where `isOver` says that the time is up.
 */
export const leastCover = (
  cost: number[],
  upper: number[],
  rows: Row[],
  isOver: () => boolean = () => false,
): Cover | null => {
  const columns = cost
    .map((_, column) => column)
    .filter(
      (column) => (upper[column] ?? 0) > 0 && rows.some(({ terms }) => terms.some(([at]) => at === column)),
    )
    .sort((a, b) => (cost[b] ?? 0) - (cost[a] ?? 0));
  const needs = rows.filter(({ lower }) => lower > 0);
  const value = columns.map((column) =>
    Float64Array.from(needs, ({ terms }) =>
      terms.reduce((sum, [at, each]) => (at === column ? sum + each : sum), 0),
    ),
  );
  const price = columns.map((column) => cost[column] ?? 0);
  const caps = columns.map((column) => upper[column] ?? 0);
  // What one more of a row costs at the least, from a column on.
  const rates = columns.map(() => new Float64Array(needs.length));
  for (let at = columns.length - 1; at >= 0; at--)
    needs.forEach((_, row) => {
      const own = (value[at]?.[row] ?? 0) > 0 ? (price[at] ?? 0) / (value[at]?.[row] ?? 1) : Infinity;
      (rates[at] as Float64Array)[row] = Math.min(own, rates[at + 1]?.[row] ?? Infinity);
    });
  const counts = columns.map(() => 0);
  let best: Cover = { values: [], cost: Infinity };
  let trials = 0;

  const leastFor = (at: number, missing: Float64Array): number => {
    let least = 0;
    for (let row = 0; row < missing.length; row++) {
      const left = missing[row] as number;
      if (left <= SAME) continue;
      const rate = rates[at]?.[row] ?? Infinity;
      if (rate === Infinity) return Infinity;
      if (left * rate > least) least = left * rate;
    }
    return least;
  };

  const visit = (at: number, spent: number, missing: Float64Array): void => {
    if (++trials % TRIALS_A_LOOK === 0 && isOver()) trials = Infinity;
    if (trials > MAX_TRIALS || spent + leastFor(at, missing) >= best.cost - SAME) return;
    let most = 0;
    const each = value[at];
    if (!each || missing.every((left) => left <= SAME)) {
      if (missing.every((left) => left <= SAME)) {
        best = { cost: spent, values: cost.map(() => 0) };
        columns.forEach((column, index) => (best.values[column] = index < at ? (counts[index] ?? 0) : 0));
      }
      return;
    }
    for (let row = 0; row < missing.length; row++)
      if ((each[row] as number) > 0)
        most = Math.max(most, Math.ceil((missing[row] as number) / (each[row] as number) - SAME));
    most = Math.min(most, caps[at] ?? 0);
    const isLast = at === columns.length - 1;
    // Some of everything first: near to how the linear program would have it.
    for (let count = isLast ? most : 0; count <= most; count++) {
      counts[at] = count;
      const rest = Float64Array.from(missing, (left, row) => left - count * (each[row] as number));
      visit(at + 1, spent + count * (price[at] ?? 0), rest);
      if (trials > MAX_TRIALS) return;
    }
    counts[at] = 0;
  };
  visit(
    0,
    0,
    Float64Array.from(needs, ({ lower }) => lower),
  );
  return trials > MAX_TRIALS ? null : best;
};
