import { isLate, type Deadline } from './deadline';
import type { Solver } from './highs';
import {
  generateColumns,
  madeFeasible,
  newMaster,
  withPatternRows,
  type ColumnGenerationResult,
  type Master,
  type PatternPool,
} from './master';
import type { Program } from './modelBuilder';
import type { Subproblem } from './subproblem';
import type { Pattern } from './types';

/** A piece counts as missing from this share on. */
const PIECE_TOLERANCE = 1e-6;
/** Patterns near the bound that are handed to the solver together. */
const MAX_NEAR = 12_000;
/** A missing piece costs so many times the dearest purchase; raised by the same where pieces are still missing. */
const PENALTY_FACTOR = 20;
/** How often the penalty is raised before pieces that are still missing count as impossible. */
const MAX_PENALTY_RAISES = 2;
/** Where wood is cut both ways patterns take long to find: this share of the time is left for whole ones. */
const SHARE_LEFT = 0.6;

/** The linear relaxation of a subproblem over all patterns, for any set of stores: one master, kept, and each set's optimum. */
export class Relaxation {
  private readonly roots = new WeakMap<Set<string>, ColumnGenerationResult>();
  private penalty: number;
  private raises = 0;
  private held: Master | null = null;

  /** `isParted`: wood is cut both ways. */
  constructor(
    private readonly subproblem: Subproblem,
    private readonly solver: Solver,
    private readonly pool: PatternPool,
    private readonly deadline: Deadline,
    private readonly isParted: boolean,
  ) {
    this.penalty = PENALTY_FACTOR * Math.max(1, ...subproblem.program.cost);
  }

  /** Frees what the solver holds. */
  dispose(): void {
    this.held?.linear.end();
    this.held = null;
  }

  /** The restricted master in which only these stores sell. */
  masterFor(stores: Set<string>): Master {
    const { tags, program } = this.subproblem;
    const master = this.master();
    for (const { column, offer } of tags)
      master.linear.boundColumn(column, 0, stores.has(offer.storeId) ? (program.upper[column] ?? 0) : 0);
    return master;
  }

  /** The linear program over all patterns with these stores, as far as the time allows. */
  of(stores: Set<string>): ColumnGenerationResult {
    const held = this.roots.get(stores);
    if (held) return held;
    const master = this.masterFor(stores);
    const { wood } = this.subproblem;
    const end = this.isParted ? this.deadline.left() * SHARE_LEFT : 0;
    const demand = wood.types.map((type) => type.demand);
    const isOver = () => isLate(this.deadline) || this.deadline.left() < end;
    const root = madeFeasible(generateColumns(master, this.pool, wood, demand, isOver), demand);
    this.roots.set(stores, root);
    return root;
  }

  /** The same, where missing pieces are made dearer until none are missing or they count as impossible. */
  settled(stores: Set<string>): ColumnGenerationResult {
    let root = this.of(stores);
    while (root.isComplete && this.isShort(root) && this.raises < MAX_PENALTY_RAISES) {
      this.raises++;
      this.penalty *= PENALTY_FACTOR;
      this.dispose();
      this.roots.delete(stores);
      root = this.of(stores);
    }
    return root;
  }

  /** Whether pieces are missing in a solution of the linear program. */
  isShort({ values }: ColumnGenerationResult): boolean {
    const { wood, program } = this.subproblem;
    return wood.types.some((_, type) => (values[program.cost.length + type] ?? 0) > PIECE_TOLERANCE);
  }

  /**
   * Every pattern whose reduced cost is below what separates `cost` from the bound of the linear program. Null: too many to tell, or
   * the linear program is not solved.
   */
  near(stores: Set<string>, cost: number): Pattern[] | null {
    const root = this.of(stores);
    if (!root.isComplete || root.objective === null || cost === Infinity) return null;
    const gap = cost - root.objective + 1e-5;
    if (gap < 0) return [];
    const found: Pattern[] = [];
    for (const generator of this.subproblem.wood.generators)
      for (const [at, stock] of generator.stocks.entries()) {
        const least = (root.stockDuals[stock] ?? 0) - gap;
        const near = generator.enumerate(at, root.itemDuals, least, MAX_NEAR - found.length);
        if (!near) return null;
        // Sizes that are not whole on the grid are rounded down: what does not fit is left out here.
        found.push(...near.filter(this.subproblem.isAllowed));
      }
    return found;
  }

  private master(): Master {
    const { wood, supply, program } = this.subproblem;
    this.held ??= newMaster(
      this.solver,
      withPatternRows(this.withMissing(), wood, supply, program.cost.length),
      wood,
      this.pool,
      {
        ownRows: program.rows.length,
        missing: [program.cost.length, program.cost.length + wood.types.length - 1],
      },
    );
    return this.held;
  }

  /** The program with columns for missing pieces: patterns for some stores may have to be found first. */
  private withMissing(): Program {
    const { program, wood } = this.subproblem;
    return {
      ...program,
      cost: [...program.cost, ...wood.types.map(() => this.penalty)],
      lower: [...program.lower, ...wood.types.map(() => 0)],
      upper: [...program.upper, ...wood.types.map(() => Infinity)],
      integer: [...program.integer, ...wood.types.map(() => false)],
    };
  }
}
