import type { Basket } from '../heuristics/assemble';
import type { CuttingProblem } from '../model';
import type { SubproblemState, SubproblemSolver } from './subproblemSolver';
import { basketOf, isWhole, type Chosen } from './baskets';
import type { Deadline } from './deadline';
import type { MipResult, Solver } from './highs';
import { mostTimes } from './master';
import type { Program, Row } from './modelBuilder';
import { timesOf } from './dive';
import { asTerms, roundingModel, type RoundingModel, type StoreScenario } from './scenarios';
import type { Pattern } from './types';

/**
 * With one set of stores and all subproblems known, the whole purchase as one program with rounding and thresholds at the till:
 * every pattern that can be part of a plan cheaper than `cost`, every share at its bound or more. What is found, and what
 * nothing with these stores can cost less than.
 */
export const closeRoundingGap = (
  scenario: StoreScenario,
  states: SubproblemState[],
  solvers: SubproblemSolver[],
  input: CuttingProblem,
  solver: Solver,
  cost: number,
  deadline: Deadline,
): { basket: Basket | null; bound: number } =>
  new RoundingGap(scenario, states, solvers, input, solver, cost, deadline).close();

/** One subproblem within the whole purchase: its solver, what is known of it, and the columns of its own program here. */
interface Member {
  solver: SubproblemSolver;
  state: SubproblemState;
  /** Where its columns begin in the whole program. */
  first: number;
  rows: Row[];
}

class RoundingGap {
  private readonly model: RoundingModel;
  private readonly members: Member[];
  private readonly cutoff: Row;
  /** What any one subproblem may cost above its bound, in a plan that is a coin cheaper. */
  private readonly spare: number;

  constructor(
    scenario: StoreScenario,
    states: SubproblemState[],
    solvers: SubproblemSolver[],
    private readonly input: CuttingProblem,
    private readonly solver: Solver,
    private readonly cost: number,
    private readonly deadline: Deadline,
  ) {
    const subproblems = solvers.map(({ subproblem }) => subproblem);
    this.model = roundingModel(input, subproblems, scenario);
    const least = states.reduce((sum, { bound }) => sum + bound, 0);
    this.spare = cost - 1 + scenario.rounding - scenario.trips - least;
    this.cutoff = {
      lower: -Infinity,
      upper: cost - 1 + 0.1,
      terms: this.model.program.cost.flatMap((value, column): [number, number][] =>
        value === 0 ? [] : [[column, value]],
      ),
    };
    this.members = solvers.flatMap((one, index): Member[] => {
      const state = states[index];
      return state ? [this.memberOf(one, state)] : [];
    });
  }

  close(): { basket: Basket | null; bound: number } {
    const none = { basket: null, bound: this.cost };
    if (this.spare < 0 || !this.isPossibleInParts()) return none;
    const near = this.members.map(({ solver, state }) => solver.near(state, state.bound + this.spare));
    const isAll = near.every((patterns) => patterns !== null);
    const { left } = this.deadline;
    // Where not all patterns can be told, boards alone still say what it costs at the least; those found say what is good.
    const inBoards = isAll ? null : this.solve(near, left() / 2);
    if (inBoards && (inBoards.isInfeasible || inBoards.bound >= this.cost)) return none;
    const patterns = this.members.map(({ solver }, index) => near[index] ?? solver.patterns);
    const result = this.solve(patterns, isAll ? left() : left() / 2);
    const bound = inBoards?.bound ?? (result.isInfeasible ? this.cost : result.bound);
    const chosen = result.values && this.chosen(patterns, result.values, result.first);
    return { basket: chosen?.every(isWhole) ? basketOf(chosen, this.input) : null, bound };
  }

  private memberOf(solver: SubproblemSolver, state: SubproblemState): Member {
    const { subproblem, cuts } = solver;
    const first = this.model.firstOf(subproblem);
    const costs: Row = {
      lower: state.bound * (1 - 1e-9),
      upper: state.bound + this.spare + 1e-6,
      terms: subproblem.program.cost.flatMap((each, column): [number, number][] =>
        each === 0 ? [] : [[first + column, each]],
      ),
    };
    const rows = [...cuts.map((row) => ({ ...row, terms: asTerms(row.terms, first) })), costs];
    return { solver, state, first, rows };
  }

  /** Whether a cheaper purchase is left in parts, and without patterns: often none is. */
  private isPossibleInParts(): boolean {
    const { program } = this.model;
    const rows = [...program.rows, ...this.members.flatMap((member) => member.rows), this.cutoff];
    const linear = this.solver.linear({ ...program, rows });
    const solution = linear.solve();
    linear.end();
    return solution.status !== 'infeasible';
  }

  /** The program with these patterns; a subproblem without is held by its cuts alone. */
  private solve(given: (Pattern[] | null)[], seconds: number): MipResult & { first: number[] } {
    const { program } = this.model;
    const whole: Program = {
      cost: [...program.cost],
      lower: [...program.lower],
      upper: [...program.upper],
      integer: [...program.integer],
      rows: [...program.rows, this.cutoff],
    };
    const first = this.members.map((member, index) => {
      const begin = whole.cost.length;
      addMember(whole, member, given[index] ?? null);
      whole.rows.push(...member.rows);
      return begin;
    });
    const found = this.solver.mip(whole, { seconds, gap: 0.9 });
    return { ...found, bound: found.isInfeasible ? Infinity : Math.ceil(found.bound - 1e-4), first };
  }

  private chosen(given: Pattern[][], values: ArrayLike<number>, first: number[]): Chosen[] {
    return this.members.map(({ solver: { subproblem } }, index) => {
      const patterns = given[index] ?? [];
      const begin = this.model.firstOf(subproblem);
      const own = subproblem.program.cost.map((_, column) => values[begin + column] ?? 0);
      return {
        solver: { subproblem, patterns },
        times: timesOf(values, first[index] ?? 0, patterns.length),
        values: own,
      };
    });
  }
}

/** Columns and rows of a subproblem's patterns in the whole program. */
const addMember = (
  whole: Program,
  { solver: { subproblem }, first }: Member,
  patterns: Pattern[] | null,
): void => {
  const { types, stocks } = subproblem.wood;
  if (!patterns) return;
  const begin = whole.cost.length;
  for (const pattern of patterns) {
    whole.cost.push(0);
    whole.lower.push(0);
    whole.upper.push(mostTimes(pattern, types));
    whole.integer.push(true);
  }
  types.forEach(({ demand }, type) =>
    whole.rows.push({
      lower: demand,
      upper: Infinity,
      terms: patterns.flatMap(({ counts }, place) =>
        counts.filter(([each]) => each === type).map(([, count]): [number, number] => [begin + place, count]),
      ),
    }),
  );
  stocks.forEach((_, stock) =>
    whole.rows.push({
      lower: -(subproblem.supply[stock]?.owned ?? 0),
      upper: Infinity,
      terms: [
        ...asTerms(subproblem.supply[stock]?.terms ?? [], first),
        ...patterns.flatMap((pattern, place): [number, number][] =>
          pattern.stock === stock ? [[begin + place, -1]] : [],
        ),
      ],
    }),
  );
};
