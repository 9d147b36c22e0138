import { assemble, type Basket } from '../heuristics/assemble';
import { lowerBound } from '../heuristics/bound';
import { isCarried, planOf } from '../heuristics/firstBasket';
import type { CuttingProblem } from '../model';
import { planCost, type Plan } from '../model';
import { newSubproblemSolver, type SubproblemState, type SubproblemSolver } from './subproblemSolver';
import { basketOf, patternsOf, type Chosen } from './baskets';
import type { Solver } from './highs';
import { subproblemsOf } from './subproblem';
import { roundedLowerBound, storeScenarios, type StoreScenario } from './scenarios';
import { closeRoundingGap } from './roundingGap';

/** How far the planner is. */
export interface Progress {
  /** The best so far, and what none can cost less than. */
  plan: Plan;
  doing: 'bound' | 'better' | 'proof';
}

/** A plan to begin with, what it decides, and the problem without what is of no use to it. */
export interface Incumbent {
  plan: Plan;
  /** Null: not everything can be made, and there is nothing to better. */
  basket: Basket | null;
  problem: CuttingProblem;
}

/** More different pieces than these are not reckoned with: the first plan stays. */
const MAX_TYPES = 1500;

/** A set of stores with what each share costs there. */
interface ScenarioState {
  mode: StoreScenario;
  answers: SubproblemState[];
  /** Nothing is cheaper with these stores: told by the till, rounding and all. */
  closed: number;
  /** The cost at which its answers were last made a plan of. */
  taken: number;
}

/**
 * The cheapest plan (planner.md, the method). The purchase is parted into shares that have no board or offer in common; each
 * is solved for the sets of stores that could still be cheapest, by column generation, a bound from whole purchases, and
 * whole patterns. `proved` where no plan under the rules costs less; else `bounded`, and none costs less than
 * `lowerBound`. `seconds` is when to stop; `tell` hears of the best so far.
 */
export const searchBest = (
  { plan: first, basket, problem: known }: Incumbent,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void = () => undefined,
): Plan => {
  const began = performance.now();
  const left = () => seconds - (performance.now() - began) / 1000;
  if (!basket) return first;
  const shares = subproblemsOf(known);
  if (shares.reduce((sum, { wood }) => sum + wood.types.length, 0) > MAX_TYPES) return first;
  const tolerance = 0.3 / Math.max(1, shares.length);
  const answerers = shares.map((share) => newSubproblemSolver(share, solver, tolerance, left));
  for (const answerer of answerers) answerer.suggest(patternsOf(basket, answerer.share));
  const standings = storeScenarios(known).map((mode): ScenarioState => ({
    mode,
    answers: answerers.map(({ answer }) => answer(mode.stores)),
    closed: 0,
    taken: Infinity,
  }));
  let best = { plan: first, bare: bareCost(first, basket, known) };
  let bound = lowerBound(known);
  let last = '';
  try {
    search();
    return standing();
  } finally {
    for (const { end } of answerers) end();
  }

  function standing(): Plan {
    const lowest = Math.min(best.bare, bound);
    return {
      ...best.plan,
      status: lowest >= best.bare ? 'proved' : 'bounded',
      lowerBound: Math.max(0, lowest - best.plan.committedShipping),
    };
  }

  function report(doing: Progress['doing']): void {
    const key = `${doing} ${best.bare} ${bound}`;
    if (key !== last) tell({ plan: standing(), doing });
    last = key;
  }

  /** The set of stores with the lowest bound is looked at first, its least known share first. */
  function search(): void {
    while (left() > 0.03) {
      bound = Math.max(bound, Math.min(best.bare, ...standings.map(boundOf)));
      if (bound >= best.bare) return;
      const below = standings
        .filter((set) => boundOf(set) < best.bare)
        .sort((a, b) => boundOf(a) - boundOf(b));
      const lowest = below.find(({ answers }) => answers.some(({ isDone }) => !isDone));
      const found = below.find(({ answers, taken }) => costOf(answers) < taken);
      if (found) {
        takeFrom(found);
        continue;
      }
      if (!lowest) {
        // Only then what joins shares: a better plan leaves less to look through.
        const unclosed = below.find(({ closed }) => closed === 0);
        if (!unclosed) return;
        close(unclosed);
        continue;
      }
      const next = lowest.answers
        .flatMap((answer, index) =>
          answer.isDone ? [] : [{ answer, answerer: answerers[index] as SubproblemSolver }],
        )
        .reduce((a, b) => (step(b.answer) < step(a.answer) ? b : a));
      report(next.answer.next === 'all' ? 'proof' : next.answer.next === 'pieces' ? 'better' : 'bound');
      next.answerer.refine(next.answer);
    }
  }

  function boundOf({ mode, answers, closed }: ScenarioState): number {
    const exact = answers.reduce((sum, answer) => sum + answer.bound, 0);
    return Math.max(closed, exact === Infinity ? Infinity : roundedLowerBound(exact, mode, known));
  }

  function takeFrom(set: ScenarioState): void {
    const { answers } = set;
    set.taken = costOf(answers);
    const chosen = answers.map(({ times, values }, index): Chosen => ({
      answerer: answerers[index] as SubproblemSolver,
      times,
      values,
    }));
    take(basketOf(chosen, known));
  }

  function take(found: Basket): void {
    const plan = planOf(known, found);
    const bare = bareCost(plan, found, known);
    const isBetter = bare < best.bare || (bare === best.bare && tieOf(plan) < tieOf(best.plan));
    if (isBetter && isCarried(plan, known.settings)) best = { plan, bare };
  }

  /** All shares are known: what is left between plan and bound is rounding at the till, and thresholds. */
  function close(lowest: ScenarioState): void {
    report('proof');
    const closed = closeRoundingGap(lowest.mode, lowest.answers, answerers, known, solver, best.bare, left);
    if (closed.basket) take(closed.basket);
    lowest.closed = Math.max(1, closed.bound);
  }
};

const costOf = (answers: SubproblemState[]): number => answers.reduce((sum, { cost }) => sum + cost, 0);

/** Of plans that cost the same: fewer stores, then less wood. */
const tieOf = ({ stores, buys }: Plan): number => {
  const wood = buys.reduce(
    (sum, { kind, qty, pack, length, width }) =>
      sum + (kind === 'hardware' ? 0 : qty * pack * length * (kind === 'sheet' ? width : 1)),
    0,
  );
  return stores.length + wood / (wood + 1e12);
};

const STEPS: SubproblemState['next'][] = ['parts', 'bound', 'pieces', 'all'];
const step = ({ next }: SubproblemState): number => STEPS.indexOf(next);

/** What a plan costs without its spare boards. */
const bareCost = (plan: Plan, basket: Basket, input: CuttingProblem): number =>
  Object.keys(input.settings.spare ?? {}).length === 0
    ? planCost(plan)
    : planCost(assemble({ ...input, settings: { ...input.settings, spare: {} } }, basket));
