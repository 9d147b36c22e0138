import { buyerOf } from './purchases';
import { cutRow, faceCut } from './cuttingPlanes';
import { sequentialValueCorrection } from './sequentialValueCorrection';
import type { Solver } from './highs';
import {
  generateColumns,
  newMaster,
  newPatternPool,
  withPatternRows,
  integerProgram,
  type ColumnGenerationResult,
  type Master,
  type PatternPool,
} from './master';
import { withFixedColumns, type Program, type Row } from './modelBuilder';
import { boardsOf, dive, fillBoards, timesOf, type Filler, type Times } from './dive';
import type { Subproblem } from './subproblem';
import type { Pattern } from './types';

/** What a share costs when some stores may be used, as far as it is known. Costs in the smallest coin, before rounding. */
export interface SubproblemState {
  stores: Set<string>;
  /** It costs no less. */
  bound: number;
  /** The best that was found; infinite: nothing yet. */
  cost: number;
  times: Times;
  /** Purchases, by the columns of the share's program. */
  values: ArrayLike<number>;
  /** Nothing more can be found out about it here. */
  isDone: boolean;
  /** What is tried next. */
  next: 'parts' | 'bound' | 'pieces' | 'all';
}

/** Finds out what a share costs, for any set of stores, a step at a time. */
export interface SubproblemSolver {
  share: Subproblem;
  patterns: Pattern[];
  /** What is known so far for these stores. */
  answer: (stores: Set<string>) => SubproblemState;
  /** Finds out more. */
  refine: (answer: SubproblemState) => void;
  /** Tells of a way that was found elsewhere. */
  suggest: (patterns: Pattern[]) => void;
  /** Every pattern that can be part of a plan that costs no more than `cost`; null: too many to tell. */
  near: (answer: SubproblemState, cost: number) => Pattern[] | null;
  cuts: Row[];
  end: () => void;
}

/** Less missing than this is nothing: the boards hold all pieces. */
const FULL = 1e-7;
/** So many times what is bought is bettered before whole patterns are looked for. */
const MAX_ROUNDS = 40;
/** So many dives for pieces on the boards that must be bought at the least. */
const MAX_DIVES = 6;
/** Patterns near the bound that are handed to the solver together. */
const MAX_NEAR = 12_000;

/** Finds out what a share costs. `tolerance`: two costs this near are the same. `left`: seconds that are left. */
export const newSubproblemSolver = (
  share: Subproblem,
  solver: Solver,
  tolerance: number,
  left: () => number,
): SubproblemSolver => {
  const { wood, program, tags, supply } = share;
  const pool: PatternPool = newPatternPool(share.isCarriable);
  const cuts: Row[] = [];
  const byFace = faceCut(share);
  if (byFace) cuts.push(byFace);
  const answers = new Map<string, SubproblemState>();
  const isLate = () => left() <= 0.03;
  const own = program.rows.length;
  const all = wood.types.map(({ demand }) => demand);
  const buyer = buyerOf(share, solver, tolerance, left);
  const isParted = wood.generators.some((space) => space.isParted);
  const dearest = 1e4 * Math.max(1, ...program.cost);
  let master: Master | null = null;
  let filler: Filler | null = null;
  const roots = new WeakMap<SubproblemState, ColumnGenerationResult>();

  const steps: Record<SubproblemState['next'], (answer: SubproblemState) => void> = {
    parts: (answer) => {
      const root = rootOf(answer);
      addCut(root);
      if (root.isComplete && isShort(root)) answer.bound = Infinity;
      else if (root.isComplete && root.objective !== null)
        answer.bound = Math.max(answer.bound, root.objective * (1 - 1e-9));
      answer.next = 'bound';
    },
    bound: (answer) => {
      raiseBound(answer);
      answer.next = 'pieces';
    },
    pieces: (answer) => {
      if (isParted) fillInTurn(answer);
      if (isKnown(answer)) return;
      const end = left() * 0.6;
      setStores(answer);
      const times = dive(
        masterOf(),
        wood,
        pool,
        Math.min(answer.cost - tolerance, dearest / 2),
        () => isLate() || left() < end,
      );
      if (times) buy(answer, times);
      if (!isKnown(answer)) solveOver(answer, Math.min(left() / 3, 4), false);
      answer.next = 'all';
    },
    all: (answer) => {
      const near = nearTo(answer, answer.cost - tolerance);
      if (near) {
        pool.add(near);
        solveOver(answer, left() * 0.8, true);
      }
      answer.isDone = true;
    },
  };

  return {
    share,
    cuts,
    patterns: pool.patterns,
    answer: (stores) => {
      const allowed = new Set(share.offers.map(({ storeId }) => storeId).filter((id) => stores.has(id)));
      const key = [...allowed].sort().join('|');
      const held = answers.get(key) ?? {
        stores: allowed,
        bound: 0,
        cost: Infinity,
        times: [],
        values: [],
        isDone: false,
        next: 'parts',
      };
      answers.set(key, held);
      return held;
    },
    refine: (answer) => {
      if (wood.types.length === 0) buyItem(answer);
      else steps[answer.next](answer);
      if (isKnown(answer)) answer.isDone = true;
    },
    suggest: (patterns) => void pool.add(patterns),
    near: (answer, cost) => (wood.types.length === 0 ? [] : nearTo(answer, cost)),
    end: () => {
      master?.linear.end();
      filler?.end();
    },
  };

  /** Whether pieces are missing in a solution of the linear program. */
  function isShort({ values }: ColumnGenerationResult): boolean {
    return wood.types.some((_, type) => (values[program.cost.length + type] ?? 0) > 1e-6);
  }

  function isKnown({ bound, cost }: SubproblemState): boolean {
    return bound === Infinity || cost - bound <= tolerance;
  }

  /** Panels filled one after the other: a program finds whole ones only among patterns that are there. */
  function fillInTurn(answer: SubproblemState): void {
    const end = left() * 0.6;
    const worth = rootOf(answer).itemDuals;
    const prices = supply.map(({ terms, owned }) =>
      Math.min(
        owned > 0 ? 1e-3 : Infinity,
        ...terms
          .filter(([column]) => answer.stores.has(buyer.storeOf(column)))
          .map(([column, boards]) => (program.cost[column] ?? 0) / boards),
      ),
    );
    for (const times of sequentialValueCorrection(
      wood,
      pool,
      worth,
      prices,
      () => isLate() || left() < end || isKnown(answer),
    ))
      buy(answer, times);
  }

  function masterOf(): Master {
    master ??= newMaster(
      solver,
      withPatternRows(withMissing(), wood, supply, program.cost.length),
      wood,
      pool,
      own,
    );
    return master;
  }

  /** The program with pieces that are missing, dearer than any: patterns for some stores may have to be found first. */
  function withMissing(): Program {
    const { types } = wood;
    return {
      ...program,
      cost: [...program.cost, ...types.map(() => dearest)],
      lower: [...program.lower, ...types.map(() => 0)],
      upper: [...program.upper, ...types.map(() => Infinity)],
      integer: [...program.integer, ...types.map(() => false)],
    };
  }

  function setStores(answer: SubproblemState): void {
    const { linear } = masterOf();
    for (const { column, offer } of tags)
      linear.boundColumn(column, 0, answer.stores.has(offer.storeId) ? (program.upper[column] ?? 0) : 0);
  }

  /** The linear program over all patterns, with the answer's stores. */
  function rootOf(answer: SubproblemState): ColumnGenerationResult {
    const held = roots.get(answer);
    if (held) return held;
    setStores(answer);
    // Cut both ways, patterns take long to find; the time is better spent on whole ones.
    const end = isParted ? left() * 0.6 : 0;
    const root = generateColumns(masterOf(), pool, wood, all, () => isLate() || left() < end);
    roots.set(answer, root);
    return root;
  }

  function addCut({ cut }: ColumnGenerationResult): boolean {
    const row = cutRow(cut, supply);
    if (row) cuts.push(row);
    return row !== null;
  }

  /**
   * Whole purchases that the cuts allow, cheapest first; boards that cannot hold all pieces even in parts give another cut.
   * What is left are the cheapest purchases whose boards can: their cost is a bound, and pieces are tried on them first.
   */
  function raiseBound(answer: SubproblemState): void {
    for (let round = 0; round < MAX_ROUNDS && !isLate(); round++) {
      const result = buyer.cheapest(answer.stores, cuts);
      answer.bound = Math.max(answer.bound, result.bound);
      if (!result.values || answer.cost - answer.bound <= tolerance) return;
      filler ??= fillBoards(solver, wood, pool, isLate);
      const filled = filler.into(boardsOf(supply, result.values));
      if (filled.objective === null || isLate()) return;
      if (filled.objective >= FULL) {
        if (!filled.isComplete || !addCut(filled)) return;
        continue;
      }
      const end = left() * 0.5;
      const isOver = () => isLate() || left() < end;
      // Each dive leaves patterns behind that lead the next another way.
      for (let dives = 0; dives < MAX_DIVES && !isOver(); dives++) {
        const times = dive(filler.master, wood, pool, FULL, isOver);
        if (times) return take(answer, times, result.values, result.objective);
      }
      return;
    }
  }

  /** Takes whole patterns, at the cheapest purchases that bring their boards. */
  function buy(answer: SubproblemState, times: Times): void {
    const boards = wood.stocks.map(() => 0);
    for (const [pattern, count] of times) {
      const stock = pool.patterns[pattern]?.stock ?? 0;
      boards[stock] = (boards[stock] ?? 0) + count;
    }
    const { values, objective } = buyer.boards(answer.stores, boards);
    if (values) take(answer, times, values, objective);
  }

  function buyItem(answer: SubproblemState): void {
    const { values, objective, bound } = buyer.item(answer.stores);
    answer.bound = Math.max(answer.bound, bound);
    if (values) take(answer, [], values, objective);
    answer.isDone = true;
  }

  function take(answer: SubproblemState, times: Times, values: ArrayLike<number>, cost: number): void {
    if (cost >= answer.cost - 1e-6) return;
    Object.assign(answer, { times, values, cost });
  }

  /** Whole patterns of the pool, and purchases, in one program. `isAll`: no pattern that could make it cheaper is missing. */
  function solveOver(answer: SubproblemState, seconds: number, isAll: boolean): void {
    const { patterns } = pool;
    const base: Program = withFixedColumns(program, buyer.closed(answer.stores));
    const whole = integerProgram(withPatternRows(base, wood, supply), wood, patterns, own);
    whole.rows.push(...cuts);
    if (isAll && answer.cost < Infinity)
      whole.rows.push({
        terms: program.cost.map((cost, column) => [column, cost]),
        lower: -Infinity,
        upper: answer.cost - tolerance / 2,
      });
    const result = solver.mip(whole, { seconds, gap: tolerance / 2, good: answer.bound + tolerance });
    if (result.values)
      take(
        answer,
        timesOf(result.values, program.cost.length, patterns.length),
        result.values,
        result.objective,
      );
    if (isAll)
      answer.bound = Math.max(
        answer.bound,
        Math.min(result.isInfeasible ? answer.cost - tolerance / 2 : result.bound, answer.cost),
      );
  }

  /** Every pattern whose reduced cost is below what separates a cost from the bound of the linear program. */
  function nearTo(answer: SubproblemState, cost: number): Pattern[] | null {
    const root = rootOf(answer);
    if (!root.isComplete || root.objective === null || cost === Infinity) return null;
    const gap = cost - root.objective + 1e-5;
    if (gap < 0) return [];
    const found: Pattern[] = [];
    for (const space of wood.generators)
      for (const [at, stock] of space.stocks.entries()) {
        const near = space.enumerate(
          at,
          root.itemDuals,
          (root.stockDuals[stock] ?? 0) - gap,
          MAX_NEAR - found.length,
        );
        if (!near) return null;
        found.push(...near);
      }
    return found;
  }
};
