import { timesIn, type Times } from './dive';
import type { PatternPool } from './master';
import { randomNumbers } from './randomNumbers';
import type { WoodInstance } from './subproblem';
import type { Pattern } from './types';

/**
 * Boards filled one after the other, each the one that brings most for its price, over and over: what lay on boards that
 * were filled badly is worth more the next time (sequential value correction). Yields each way to cut all pieces that is
 * cheaper than those before.
 */
export function* sequentialValueCorrection(
  wood: WoodInstance,
  pool: PatternPool,
  worth: Float64Array,
  prices: number[],
  isLate: () => boolean,
  passes = Infinity,
): Generator<Times> {
  const next = randomNumbers();
  const corrected = Float64Array.from(worth, (value) => Math.max(value, 1e-6));
  let least = Infinity;

  for (let pass = 0; pass < passes && !isLate(); pass++) {
    const left = wood.types.map(({ demand }) => demand);
    const used: Pattern[] = [];
    let spent = 0;
    while (left.some((count) => count > 0) && spent < least - 1e-9 && !isLate()) {
      const best = bestFilled(wood, corrected, left, prices);
      if (!best) return;
      for (const [type, count] of best.counts) left[type] = (left[type] ?? 0) - count;
      spent += prices[best.stock] ?? Infinity;
      used.push(best);
    }
    if (left.every((count) => count <= 0) && spent < least - 1e-9) {
      const times = timesIn(used, pool);
      if (times) {
        least = spent;
        yield times;
      }
    }
    for (const { counts, stock } of used) {
      const value = counts.reduce((sum, [type, count]) => sum + count * (worth[type] ?? 0), 0);
      const badness = Math.min(2, (prices[stock] ?? 0) / Math.max(1e-9, value));
      for (const [type] of counts)
        corrected[type] =
          (corrected[type] ?? 0) * (0.6 + 0.4 * badness) * 0.5 + (worth[type] ?? 0) * (0.4 + 0.2 * next());
    }
  }
}

/** Pieces at the price of their face on the cheapest stock, where nothing better is known of their worth. */
export const faceWorths = ({ stocks, types }: WoodInstance): Float64Array => {
  const rate = Math.min(...stocks.map(({ price, length, width }) => price / (length * width)));
  return Float64Array.from(types, ({ part }) => rate * part.length * part.width);
};

/** The filling that brings most for its price, of pieces that are still wanted. */
const bestFilled = (
  { generators }: WoodInstance,
  worth: Float64Array,
  left: number[],
  prices: number[],
): Pattern | null => {
  let best: { pattern: Pattern; rate: number } | null = null;
  for (const space of generators)
    for (const pattern of space.fill(worth, left)) {
      if (pattern.counts.some(([type, count]) => count > (left[type] ?? 0))) continue;
      const value = pattern.counts.reduce((sum, [type, count]) => sum + count * (worth[type] ?? 0), 0);
      const rate = value / Math.max(1e-9, prices[pattern.stock] ?? Infinity);
      if (rate > (best?.rate ?? 0)) best = { pattern, rate };
    }
  return best?.pattern ?? null;
};
