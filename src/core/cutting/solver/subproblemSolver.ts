import type { Basket } from '../heuristics';
import { isWhole, patternsOf, type Chosen } from './baskets';
import { isLate as isTimeUp, type Deadline } from './deadline';
import { boardsCut, boardsOf, dive, fillBoards, timesIn, timesOf, type Filler, type Times } from './dive';
import { cutRow, faceCut } from './cuttingPlanes';
import type { Solver } from './highs';
import {
  integerProgram,
  newPatternPool,
  withPatternRows,
  type ColumnGenerationResult,
  type PatternPool,
} from './master';
import { withFixedColumns, type Program, type Row } from './modelBuilder';
import { newPurchaser, type Purchaser } from './purchases';
import { withLongerOffcut } from './longOffcut';
import { Relaxation } from './relaxation';
import { shelfSearch } from './shelfSearch';
import { faceWorths, sequentialValueCorrection } from './sequentialValueCorrection';
import type { Subproblem } from './subproblem';
import type { Pattern } from './types';

/** What is tried next for a subproblem: the linear relaxation, a bound of whole purchases, whole patterns, all near patterns. */
export type NextStep = 'relaxation' | 'bound' | 'heuristic' | 'exact';

/** What a subproblem costs when some stores may be used, as far as it is known. Costs in the smallest coin, before rounding. */
export interface SubproblemState {
  stores: Set<string>;
  /** It costs no less. Infinite: it cannot be made from these stores. */
  bound: number;
  /** The incumbent's cost; infinite: there is none yet. */
  cost: number;
  times: Times;
  /** Purchases, by the columns of the subproblem's program. */
  values: ArrayLike<number>;
  /** Nothing more can be found out about it here. */
  isDone: boolean;
  next: NextStep;
}

/** Feasibility tolerance on the sizes of missing pieces, on a scale of the largest. */
const MISSING_TOLERANCE = 1e-7;
/** So many purchases are looked at for a better bound. */
const MAX_BOUND_ROUNDS = 40;
/** So many dives are made on the boards of the cheapest purchase. */
const MAX_DIVES = 6;
/** The heuristic and the dives leave this share of the time to what comes after, and the last look this one. */
const SHARE_LEFT = 0.6;
const LAST_SHARE_LEFT = 0.2;
/** Before there is a bound shelves are packed for so much of the time, and so many tries for each piece: short lists are proved at once. */
const FIRST_SHARE = 0.12;
const TRIES_A_PIECE = 300;
/** From so many pieces on sheets on a bound takes long and whole patterns are quick: they come first. */
const MANY_PIECES = 40;
/** From so many on the first plan is worth more time. */
const SOME_PIECES = 25;
const BOUND_FIRST: readonly NextStep[] = ['relaxation', 'bound', 'heuristic', 'exact'];
const HEURISTIC_FIRST: readonly NextStep[] = ['relaxation', 'heuristic', 'bound', 'exact'];

/** Solves a subproblem for any set of stores, a step at a time. Keeps its patterns, its master and what it knows of each set. */
export class SubproblemSolver {
  /** Rows that every whole solution meets. */
  readonly cuts: Row[] = [];
  private readonly pool: PatternPool;
  private readonly states = new Map<string, SubproblemState>();
  private readonly relaxation: Relaxation;
  private readonly purchaser: Purchaser;
  private readonly isParted: boolean;
  private readonly isOfSheets: boolean;
  private readonly steps: readonly NextStep[];
  private filler: Filler | null = null;

  /** `tolerance`: two costs this near are the same. */
  constructor(
    readonly subproblem: Subproblem,
    private readonly solver: Solver,
    private readonly tolerance: number,
    private readonly deadline: Deadline,
  ) {
    this.pool = newPatternPool(subproblem.isAllowed);
    this.purchaser = newPurchaser(subproblem, solver, tolerance, deadline);
    this.isParted = subproblem.wood.generators.some((generator) => generator.panel !== null);
    this.isOfSheets = subproblem.wood.stocks.some(({ kind }) => kind === 'sheet');
    this.steps = this.isOfSheets && subproblem.pieces >= MANY_PIECES ? HEURISTIC_FIRST : BOUND_FIRST;
    this.relaxation = new Relaxation(subproblem, solver, this.pool, deadline, this.isParted);
    const byFace = faceCut(subproblem);
    if (byFace) this.cuts.push(byFace);
  }

  /** All patterns found so far. */
  get patterns(): Pattern[] {
    return this.pool.patterns;
  }

  /** What is known so far for these stores. */
  stateFor(stores: Set<string>): SubproblemState {
    const allowed = new Set(
      this.subproblem.offers.map(({ storeId }) => storeId).filter((id) => stores.has(id)),
    );
    const key = [...allowed].sort().join('|');
    const held = this.states.get(key) ?? {
      stores: allowed,
      bound: 0,
      cost: Infinity,
      times: [],
      values: [],
      isDone: false,
      next: 'relaxation' as const,
    };
    this.states.set(key, held);
    return held;
  }

  /** Takes the next step for a set of stores. */
  refine(state: SubproblemState): void {
    if (this.subproblem.wood.types.length === 0) this.buyItem(state);
    else this.take(state);
    if (this.isKnown(state)) state.isDone = true;
  }

  /** A basket's part of this, as if it had been chosen here; null where that cannot be told by patterns and columns. */
  chosenOf(basket: Basket): Chosen | null {
    const times = timesIn(patternsOf(basket, this.subproblem), this.pool);
    const first = new Map(this.subproblem.tags.map(({ offer, column }) => [offer, column]));
    const values = this.subproblem.program.cost.map(() => 0);
    for (const { offer, quantity } of basket.purchases) {
      const column = first.get(offer);
      if (column !== undefined) values[column] = quantity;
    }
    const chosen = times && { solver: this, times, values };
    return chosen && isWhole(chosen) ? chosen : null;
  }

  /** Every pattern that can be part of a plan that costs no more than `cost`; null: too many to tell. */
  near(state: SubproblemState, cost: number): Pattern[] | null {
    return this.subproblem.wood.types.length === 0 ? [] : this.relaxation.near(state.stores, cost);
  }

  /** The same pieces from the same boards with a longer offcut; null where none is found. Not for what is cut both ways. */
  withLongerOffcut(times: Times, isOver: () => boolean): Times | null {
    const { wood } = this.subproblem;
    if (this.isParted || wood.types.length === 0) return null;
    return withLongerOffcut(this.fillerOf(), wood, this.pool, times, isOver);
  }

  /** Frees what the solver holds. */
  dispose(): void {
    this.relaxation.dispose();
    this.filler?.end();
    this.filler = null;
  }

  private take(state: SubproblemState): void {
    const step = state.next;
    if (step === 'relaxation' && this.isParted) this.packFirst(state);
    if (this.isKnown(state)) return;
    this.runStep(step, state);
    const next = this.steps[this.steps.indexOf(step) + 1];
    if (next === undefined) state.isDone = true;
    else state.next = next;
    // With the patterns that the bound brought whole ones are looked for once more, in what is left of the time.
    if (next === 'exact' && this.isParted && !this.isKnown(state))
      this.lookForPatterns(state, 1 - LAST_SHARE_LEFT);
  }

  private runStep(step: NextStep, state: SubproblemState): void {
    switch (step) {
      case 'relaxation':
        return this.relax(state);
      case 'bound':
        return this.raiseBound(state);
      case 'heuristic':
        return this.lookForPatterns(state, 1 - SHARE_LEFT);
      case 'exact':
        return this.solveExactly(state);
    }
  }

  /** A plan before a bound: what the faces of all pieces must cost at the least is often what shelves come to. */
  private packFirst(state: SubproblemState): void {
    const { pieces, wood } = this.subproblem;
    this.packShelves(state, FIRST_SHARE, TRIES_A_PIECE * pieces);
    if (this.isOfSheets && pieces >= SOME_PIECES)
      this.fillOneByOne(state, 2 * FIRST_SHARE, faceWorths(wood), pieces);
  }

  private isLate(): boolean {
    return isTimeUp(this.deadline);
  }

  private isKnown({ bound, cost }: SubproblemState): boolean {
    return bound === Infinity || cost - bound <= this.tolerance;
  }

  private relax(state: SubproblemState): void {
    const root = this.relaxation.settled(state.stores);
    this.addCut(root);
    if (!root.isComplete) return;
    // What is missing on the grid may still fit in the wood.
    if (this.relaxation.isShort(root) && !root.isScaled) state.bound = Infinity;
    else if (root.objective !== null) state.bound = Math.max(state.bound, root.objective * (1 - 1e-9));
  }

  /** Whole patterns, in `share` of the time that is left. */
  private lookForPatterns(state: SubproblemState, share: number): void {
    if (this.isParted) {
      this.packShelves(state, share / 2, Infinity);
      this.fillOneByOne(state, share / 2, this.relaxation.of(state.stores).itemDuals);
    }
    if (this.isKnown(state)) return;
    const end = this.deadline.left() * (1 - share);
    const times = dive(
      this.relaxation.masterFor(state.stores),
      this.subproblem.wood,
      this.pool,
      state.cost - this.tolerance,
      () => this.isLate() || this.deadline.left() < end,
    );
    if (times) this.buy(state, times);
    if (!this.isKnown(state)) this.solveOver(state, Math.min(this.deadline.left() / 3, 4), false);
  }

  private solveExactly(state: SubproblemState): void {
    const near = this.relaxation.near(state.stores, state.cost - this.tolerance);
    if (!near) return;
    this.pool.add(near);
    this.solveOver(state, this.deadline.left() * 0.8, true);
  }

  /** Plans of panels as they are found, until it is late, the time left is less than `end` seconds, or nothing is to be found. */
  private try(state: SubproblemState, share: number, find: (isOver: () => boolean) => Iterable<Times>): void {
    const end = this.deadline.left() * (1 - share);
    const isOver = () => this.isLate() || this.deadline.left() < end || this.isKnown(state);
    for (const times of find(isOver)) this.buy(state, times);
  }

  /** Panels packed by shelves, for `share` of the time left and no more than so many tries. */
  private packShelves(state: SubproblemState, share: number, tries: number): void {
    if (state.bound === 0) state.bound = Math.max(0, this.purchaser.cheapest(state.stores, this.cuts).bound);
    const { wood } = this.subproblem;
    const prices = this.purchaser.boardPrices(state.stores);
    this.try(state, share, (isOver) => shelfSearch(wood, this.pool, prices, isOver, tries));
  }

  /**
   * Panels filled one after the other, for `share` of the time left and at most so many times. `worth`: what a piece of each type is
   * worth at first.
   */
  private fillOneByOne(state: SubproblemState, share: number, worth: Float64Array, passes = Infinity): void {
    const { wood } = this.subproblem;
    const prices = this.purchaser.boardPrices(state.stores);
    this.try(state, share, (isOver) =>
      sequentialValueCorrection(wood, this.pool, worth, prices, isOver, passes),
    );
  }

  private fillerOf(): Filler {
    const { wood } = this.subproblem;
    this.filler ??= fillBoards(this.solver, wood, this.pool, () => this.isLate());
    return this.filler;
  }

  private addCut({ cut }: ColumnGenerationResult): boolean {
    const row = cutRow(cut, this.subproblem.supply);
    if (row) this.cuts.push(row);
    return row !== null;
  }

  /**
   * Whole purchases that the cuts allow, cheapest first; boards that cannot hold all pieces even in parts give another cut.
   * What is left are the cheapest purchases whose boards can: their cost is a bound, and pieces are tried on them first.
   */
  private raiseBound(state: SubproblemState): void {
    const { supply } = this.subproblem;
    for (let round = 0; round < MAX_BOUND_ROUNDS && !this.isLate(); round++) {
      const result = this.purchaser.cheapest(state.stores, this.cuts);
      state.bound = Math.max(state.bound, result.bound);
      if (!result.values || state.cost - state.bound <= this.tolerance) return;
      const filler = this.fillerOf();
      const filled = filler.into(boardsOf(supply, result.values));
      if (filled.objective === null || this.isLate()) return;
      if (filled.objective >= MISSING_TOLERANCE) {
        if (!filled.isComplete || !this.addCut(filled)) return;
        continue;
      }
      this.diveOn(state, filler, result);
      return;
    }
  }

  /** Whole patterns on the boards of a purchase; each dive leaves patterns behind that lead the next another way. */
  private diveOn(
    state: SubproblemState,
    filler: Filler,
    { values, objective }: { values: ArrayLike<number> | null; objective: number },
  ): void {
    const end = this.deadline.left() * 0.5;
    const isOver = () => this.isLate() || this.deadline.left() < end;
    for (let dives = 0; dives < MAX_DIVES && !isOver(); dives++) {
      const times = dive(filler.master, this.subproblem.wood, this.pool, MISSING_TOLERANCE, isOver);
      if (times && values) return this.keep(state, times, values, objective);
    }
  }

  /** Keeps whole patterns, at the cheapest purchases that bring their boards. */
  private buy(state: SubproblemState, times: Times): void {
    const boards = boardsCut(times, this.pool.patterns, this.subproblem.wood.stocks.length);
    const { values, objective } = this.purchaser.boards(state.stores, boards);
    if (values) this.keep(state, times, values, objective);
  }

  private buyItem(state: SubproblemState): void {
    const { values, objective, bound } = this.purchaser.item(state.stores);
    state.bound = Math.max(state.bound, bound);
    if (values) this.keep(state, [], values, objective);
    state.isDone = true;
  }

  private keep(state: SubproblemState, times: Times, values: ArrayLike<number>, cost: number): void {
    if (cost >= state.cost - 1e-6 || !isWhole({ solver: this, times, values })) return;
    state.times = times;
    state.values = values;
    state.cost = cost;
  }

  /** Whole patterns of the pool, and purchases, in one program. `isAll`: no pattern that could make it cheaper is missing. */
  private solveOver(state: SubproblemState, seconds: number, isAll: boolean): void {
    const { program, wood, supply } = this.subproblem;
    const { patterns } = this.pool;
    const base: Program = withFixedColumns(program, this.purchaser.closed(state.stores));
    const whole = integerProgram(withPatternRows(base, wood, supply), wood, patterns, program.rows.length);
    whole.rows.push(...this.cuts);
    if (isAll && state.cost < Infinity)
      whole.rows.push({
        terms: program.cost.map((cost, column) => [column, cost]),
        lower: -Infinity,
        upper: state.cost - this.tolerance / 2,
      });
    const gap = this.tolerance / 2;
    const result = this.solver.mip(whole, { seconds, gap, good: state.bound + this.tolerance });
    if (result.values)
      this.keep(
        state,
        timesOf(result.values, program.cost.length, patterns.length),
        result.values,
        result.objective,
      );
    if (!isAll) return;
    const bound = result.isInfeasible ? state.cost - gap : result.bound;
    state.bound = Math.max(state.bound, Math.min(bound, state.cost));
  }
}
