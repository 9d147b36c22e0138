import { boardsCut, demandLeft, dive, type Filler, type Times } from './dive';
import type { PatternPool } from './master';
import type { WoodInstance } from './subproblem';
import type { Pattern } from './types';

/** A board is emptied so often at the most, each time further. */
const MAX_ROUNDS = 4;

/**
 * The same pieces from the same boards, with as much as can be left of one of them: all others are filled, and what does not go into
 * them is cut from that one. Null where nothing longer is left than there was. For boards that are only crosscut.
 */
export const withLongerOffcut = (
  filler: Filler,
  wood: WoodInstance,
  pool: PatternPool,
  times: Times,
  isOver: () => boolean,
): Times | null => {
  const boards = boardsCut(times, pool.patterns, wood.stocks.length);
  let longest = Math.max(0, ...times.map(([index]) => leftOf(pool.patterns[index], wood)));
  let best: Times | null = null;
  const used = wood.stocks
    .map(({ length }, stock) => ({ length, stock }))
    .filter(({ stock }) => (boards[stock] ?? 0) > 0)
    .sort((a, b) => b.length - a.length);
  for (const { length, stock } of used)
    for (let round = 0; round < MAX_ROUNDS && length > longest + 1; round++) {
      const others = boards.map((count, index) => (index === stock ? count - 1 : count));
      const most = (length - longest - 1) / filler.scale;
      const relaxed = filler.into(others);
      if (isOver() || relaxed.objective === null || relaxed.objective > most) break;
      const found = dive(filler.master, wood, pool, most, isOver);
      const whole = found && withRest(found, stock, wood, pool);
      const left = whole && Math.max(...whole.map(([index]) => leftOf(pool.patterns[index], wood)));
      if (!whole || left === null || left <= longest + 1) break;
      [best, longest] = [whole, left];
    }
  return best;
};

/** What a pattern leaves of its board. */
const leftOf = (pattern: Pattern | undefined, { types, stocks }: WoodInstance): number =>
  pattern === undefined
    ? 0
    : pattern.counts.reduce(
        (left, [type, count]) => left - count * (types[type]?.board?.size ?? Infinity),
        stocks[pattern.stock]?.length ?? 0,
      );

/** Patterns with one more board of a stock, for the pieces that they leave out; null where those do not fit on it. */
const withRest = (times: Times, stock: number, { types }: WoodInstance, pool: PatternPool): Times | null => {
  const counts = demandLeft(times, types, pool.patterns).flatMap((count, type): [number, number][] =>
    count > 0 ? [[type, count]] : [],
  );
  if (counts.length === 0) return null;
  const rest: Pattern = { stock, counts, cutting: null };
  pool.add([rest]);
  const at = pool.indexOf(rest);
  if (at < 0) return null;
  const all = new Map(times);
  all.set(at, (all.get(at) ?? 0) + 1);
  return [...all];
};
