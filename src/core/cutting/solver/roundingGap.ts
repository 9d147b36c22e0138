import type { Basket } from '../heuristics/assemble';
import type { CuttingProblem } from '../model';
import type { SubproblemState, SubproblemSolver } from './subproblemSolver';
import { basketOf, type Chosen } from './baskets';
import type { Deadline } from './deadline';
import type { MipResult, Solver } from './highs';
import { mostTimes } from './master';
import type { Program, Row } from './modelBuilder';
import { timesOf } from './dive';
import { asTerms, roundingModel, type StoreScenario } from './scenarios';
import type { Subproblem } from './subproblem';
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
  { left }: Deadline,
): { basket: Basket | null; bound: number } => {
  const subproblems = solvers.map(({ subproblem }) => subproblem);
  const { program, tagsOf } = roundingModel(input, subproblems, scenario);
  const least = states.reduce((sum, { bound }) => sum + bound, 0);
  // What any one share may cost above its bound, in a plan that is a coin cheaper.
  const spare = cost - 1 + scenario.rounding - scenario.trips - least;
  if (spare < 0) return { basket: null, bound: cost };
  const cutoff: Row = {
    lower: -Infinity,
    upper: cost - 1 + 0.1,
    terms: program.cost.flatMap((value, column): [number, number][] =>
      value === 0 ? [] : [[column, value]],
    ),
  };
  const shareRows = solvers.map(({ subproblem, cuts }, index): Row[] => {
    const at = new Map(tagsOf(subproblem).map(({ column, own }) => [own, column]));
    const state = states[index] as SubproblemState;
    return [
      ...cuts.map((row) => ({ ...row, terms: asTerms(row.terms, at) })),
      {
        lower: state.bound * (1 - 1e-9),
        upper: state.bound + spare + 1e-6,
        terms: subproblem.tags.map(({ column }) => [
          at.get(column) ?? 0,
          subproblem.program.cost[column] ?? 0,
        ]),
      },
    ];
  });
  // In parts, and without patterns: often enough.
  const linear = solver.linear({ ...program, rows: [...program.rows, ...shareRows.flat(), cutoff] });
  const inParts = linear.solve();
  linear.end();
  if (!inParts) return { basket: null, bound: cost };
  const near = solvers.map((one, index) => {
    const state = states[index] as SubproblemState;
    return one.near(state, state.bound + spare);
  });
  const isAll = near.every((patterns) => patterns !== null);
  // Where not all patterns can be told, boards alone still say what it costs at the least; those found say what is good.
  const inBoards = isAll ? null : solve(near, left() / 2);
  if (inBoards && (inBoards.isInfeasible || inBoards.bound >= cost)) return { basket: null, bound: cost };
  const patterns = solvers.map((one, index) => near[index] ?? one.patterns);
  const result = solve(patterns, isAll ? left() : left() / 2);
  const bound = inBoards?.bound ?? (result.isInfeasible ? cost : result.bound);
  return { basket: result.values && basketOf(chosen(patterns, result.values, result.first), input), bound };

  /** The program with these patterns; a share without is held by its cuts alone. */
  function solve(given: (Pattern[] | null)[], seconds: number): MipResult & { first: number[] } {
    const whole: Program = {
      cost: [...program.cost],
      lower: [...program.lower],
      upper: [...program.upper],
      integer: [...program.integer],
      rows: [...program.rows, cutoff],
    };
    const first = solvers.map(({ subproblem }, index) => {
      const begin = whole.cost.length;
      addShare(whole, subproblem, given[index] ?? null);
      whole.rows.push(...(shareRows[index] ?? []));
      return begin;
    });
    const found = solver.mip(whole, { seconds, gap: 0.9 });
    return { ...found, bound: found.isInfeasible ? Infinity : Math.ceil(found.bound - 1e-4), first };
  }

  function addShare(whole: Program, subproblem: Subproblem, own: Pattern[] | null): void {
    const at = new Map(tagsOf(subproblem).map(({ column, own: place }) => [place, column]));
    const { types, stocks } = subproblem.wood;
    // What is only bought; rows of tiers are there already.
    if (types.length === 0)
      for (const row of subproblem.program.rows)
        if (row.terms.every(([column]) => at.has(column)))
          whole.rows.push({ ...row, terms: asTerms(row.terms, at) });
    if (!own) return;
    const begin = whole.cost.length;
    for (const pattern of own) {
      whole.cost.push(0);
      whole.lower.push(0);
      whole.upper.push(mostTimes(pattern, types));
      whole.integer.push(true);
    }
    types.forEach(({ demand }, type) =>
      whole.rows.push({
        lower: demand,
        upper: Infinity,
        terms: own.flatMap(({ counts }, place) =>
          counts
            .filter(([each]) => each === type)
            .map(([, count]): [number, number] => [begin + place, count]),
        ),
      }),
    );
    stocks.forEach((_, stock) =>
      whole.rows.push({
        lower: -(subproblem.supply[stock]?.owned ?? 0),
        upper: Infinity,
        terms: [
          ...asTerms(subproblem.supply[stock]?.terms ?? [], at),
          ...own.flatMap((pattern, place): [number, number][] =>
            pattern.stock === stock ? [[begin + place, -1]] : [],
          ),
        ],
      }),
    );
  }

  function chosen(given: Pattern[][], values: ArrayLike<number>, first: number[]): Chosen[] {
    return solvers.map(({ subproblem }, index) => {
      const patterns = given[index] ?? [];
      const own: number[] = [];
      for (const { column, own: place } of tagsOf(subproblem)) own[place] = values[column] ?? 0;
      return {
        solver: { subproblem, patterns },
        times: timesOf(values, first[index] ?? 0, patterns.length),
        values: own,
      };
    });
  }
};
