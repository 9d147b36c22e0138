import type { Solver } from './highs';
import {
  generateColumns,
  newMaster,
  withPatternRows,
  type ColumnGenerationResult,
  type Master,
  type PatternPool,
} from './master';
import type { Program, StockSupply } from './modelBuilder';
import type { WoodInstance } from './subproblem';
import type { CuttingInstance, Pattern } from './types';

/** How often each pattern of the pool is cut, by its place. */
export type Times = [pattern: number, times: number][];

const EMPTY: Program = { cost: [], lower: [], upper: [], integer: [], rows: [] };

/** The boards of each stock that purchases bring, with what is owned. */
export const boardsOf = (supply: StockSupply[], values: ArrayLike<number>): number[] =>
  supply.map(({ owned, terms }) =>
    terms.reduce((sum, [column, boards]) => sum + boards * Math.round(values[column] ?? 0), owned),
  );

/** A master whose boards are given, and which cuts as many pieces of them as it can. */
export interface Filler {
  master: Master;
  /** What is missing is counted in so many ticks: the largest piece is one. */
  scale: number;
  into: (boards: number[]) => ColumnGenerationResult;
  end: () => void;
}

/**
 * Whether all pieces can be cut, in parts if need be, from so many boards of each stock. What is missing is as little as
 * can be; patterns that are found on the way go into the pool.
 */
export const fillBoards = (
  solver: Solver,
  wood: WoodInstance,
  pool: PatternPool,
  isLate: () => boolean,
): Filler => {
  const { types } = wood;
  const missing = {
    ...EMPTY,
    cost: types.map(({ part, board }) => board?.size ?? part.length * part.width),
    lower: types.map(() => 0),
    upper: types.map(() => Infinity),
    integer: types.map(() => false),
  };
  const scale = Math.max(...missing.cost, 1);
  missing.cost = missing.cost.map((cost) => cost / scale);
  const program = withPatternRows(missing, wood, [], 0);
  const master = newMaster(solver, program, wood, pool, { ownRows: 0, missing: null });
  const left = types.map(({ demand }) => demand);
  return {
    master,
    scale,
    into: (boards) => {
      boards.forEach((count, stock) => master.linear.boundRow(master.supplyRow(stock), -count, Infinity));
      return generateColumns(master, pool, wood, left, isLate);
    },
    end: () => master.linear.end(),
  };
};

/** How often each pattern is cut in a solution whose pattern columns begin at `first`. */
export const timesOf = (values: ArrayLike<number>, first: number, count: number): Times =>
  Array.from({ length: count }, (_, index): [number, number] => [
    index,
    Math.round(values[first + index] ?? 0),
  ]).filter(([, times]) => times > 0);

/** How often each pattern is used, once all are in the pool; null where it refuses one. */
export const timesIn = (used: Pattern[], pool: PatternPool): Times | null => {
  pool.add(used);
  const counts = new Map<number, number>();
  for (const pattern of used) {
    const index = pool.indexOf(pattern);
    if (index < 0) return null;
    counts.set(index, (counts.get(index) ?? 0) + 1);
  }
  return [...counts];
};

/** How many of each type patterns leave to be cut: none where they cut more. */
export const demandLeft = (
  times: Iterable<[pattern: number, times: number]>,
  types: CuttingInstance['types'],
  patterns: Pattern[],
): number[] => {
  const left = types.map(({ demand }) => demand);
  for (const [index, count] of times)
    for (const [type, each] of patterns[index]?.counts ?? [])
      left[type] = Math.max(0, (left[type] ?? 0) - each * count);
  return left;
};

/** How many boards of each of so many stocks patterns cut. */
export const boardsCut = (times: Times, patterns: Pattern[], stocks: number): number[] => {
  const boards = Array.from({ length: stocks }, () => 0);
  for (const [index, count] of times) {
    const stock = patterns[index]?.stock ?? 0;
    boards[stock] = (boards[stock] ?? 0) + count;
  }
  return boards;
};

/** How far a dive turns back before it gives up. */
const MAX_TURNS = 80;

/**
 * Dives for whole patterns: those that the linear program cuts whole times are kept, then the one it is surest of is
 * rounded up, and new patterns are made for what is left. Turns back from what can no longer beat `limit`. Null where it
 * ends nowhere.
 */
export const dive = (
  master: Master,
  wood: WoodInstance,
  pool: PatternPool,
  limit: number,
  isLate: () => boolean,
): Times | null => {
  const fixed = new Map<number, number>();
  const barred = new Set<number>();
  const { linear, firstPattern, missing } = master;
  let turns = 0;
  let last: { pattern: number; before: number } | null = null;
  try {
    for (;;) {
      const left = demandLeft(fixed, wood.types, pool.patterns);
      const round = generateColumns(master, pool, wood, left, isLate, true);
      if (isLate()) return null;
      const isMissing = missing !== null && isAnyMissing(round.values, missing);
      if (round.objective === null || round.objective > limit || isMissing) {
        if (!last || ++turns > MAX_TURNS) return null;
        // It was not that one: not more of it, then.
        setFixed(last.pattern, last.before);
        linear.boundColumn(firstPattern + last.pattern, last.before, last.before);
        barred.add(last.pattern);
        last = null;
        continue;
      }
      const values = pool.patterns.map((_, index) => round.values[firstPattern + index] ?? 0);
      if (values.every((value) => Math.abs(value - Math.round(value)) < 1e-6))
        return timesOf(values, 0, values.length);
      const more = values.flatMap((value, index): [number, number][] => {
        const whole = Math.floor(value + 1e-6);
        return whole > (fixed.get(index) ?? 0) ? [[index, whole]] : [];
      });
      for (const [index, whole] of more) setFixed(index, whole);
      if (more.length > 0) {
        last = null;
        continue;
      }
      let surest = -1;
      let share = 0;
      values.forEach((value, index) => {
        const part = value - Math.floor(value + 1e-6);
        if (part > share + 1e-9 && !barred.has(index)) [surest, share] = [index, part];
      });
      if (surest < 0) return null;
      const before = fixed.get(surest) ?? 0;
      last = { pattern: surest, before };
      setFixed(surest, before + 1);
    }
  } finally {
    for (const index of [...fixed.keys(), ...barred]) linear.boundColumn(firstPattern + index, 0, Infinity);
  }

  function setFixed(index: number, times: number): void {
    fixed.set(index, times);
    linear.boundColumn(firstPattern + index, times, Infinity);
  }
};

const isAnyMissing = (values: ArrayLike<number>, [first, last]: [number, number]): boolean => {
  for (let column = first; column <= last; column++) if ((values[column] ?? 0) > 1e-6) return true;
  return false;
};
