import { type Basket, isCarried, lowerBound, planOf } from '../heuristics';
import { isPreferred, planCost, type CuttingProblem, type Plan } from '../model';
import { basketOf, isWhole, type Chosen } from './baskets';
import { deadlineIn, isLate, type Deadline } from './deadline';
import type { Solver } from './highs';
import { closeRoundingGap } from './roundingGap';
import { roundedLowerBound, storeScenarios, type StoreScenario } from './scenarios';
import { subproblemsOf } from './subproblem';
import { SubproblemSolver, type NextStep, type SubproblemState } from './subproblemSolver';

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

/** A scenario with what each subproblem costs in it. */
interface ScenarioState {
  scenario: StoreScenario;
  states: SubproblemState[];
  /** Nothing is cheaper with these stores: told with rounding and all. */
  closed: number;
  /** The cost at which its states were last made a plan of. */
  taken: number;
}

/**
 * The cheapest plan (docs/planner.md, the method). The purchase is parted into subproblems that have no board or offer in
 * common; each is solved for the store scenarios that could still be cheapest. `proved` where no plan under the rules costs
 * less; else `bounded`, and none costs less than `lowerBound`. `seconds` is when to stop; `tell` hears of the best so far.
 */
export const searchBest = (
  incumbent: Incumbent,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void = () => undefined,
): Plan => {
  if (!incumbent.basket) return incumbent.plan;
  const deadline = deadlineIn(seconds);
  const subproblems = subproblemsOf(incumbent.problem);
  const types = subproblems.reduce((sum, { wood }) => sum + wood.types.length, 0);
  if (types > MAX_TYPES) return incumbent.plan;
  const tolerance = COST_TOLERANCE / Math.max(1, subproblems.length);
  const solvers = subproblems.map((one) => new SubproblemSolver(one, solver, tolerance, deadline));
  const search = new Search(
    incumbent.plan,
    incumbent.basket,
    incumbent.problem,
    solvers,
    solver,
    deadline,
    tell,
  );
  try {
    return search.run();
  } finally {
    for (const one of solvers) one.dispose();
  }
};

/** Costs this near are the same, in the smallest coin, over all subproblems. */
const COST_TOLERANCE = 0.3;

/** Offcuts are lengthened for so many seconds at the most, and for this share of the time that is left. */
const MAX_TIDYING = 1;
const TIDYING_SHARE = 0.2;

/** One search: the incumbent, the bound, and what is known of each scenario. */
class Search {
  private bound: number;
  private lastTold = '';
  /** What the best plan was made of; null: it came from the rounding. */
  private chosen: Chosen[] | null;
  private readonly scenarios: ScenarioState[];

  /** `best`: the first plan, then the best so far. */
  constructor(
    private best: Plan,
    basket: Basket,
    private readonly problem: CuttingProblem,
    private readonly solvers: SubproblemSolver[],
    private readonly solver: Solver,
    private readonly deadline: Deadline,
    private readonly tell: (progress: Progress) => void,
  ) {
    const chosen = solvers.map((one) => one.chosenOf(basket));
    this.chosen = chosen.every((one) => one !== null) ? chosen : null;
    const used = new Set(best.stores.map(({ storeId }) => storeId));
    this.scenarios = storeScenarios(problem, used).map((scenario) => ({
      scenario,
      states: solvers.map((one) => one.stateFor(scenario.stores)),
      closed: 0,
      taken: Infinity,
    }));
    this.bound = lowerBound(problem);
  }

  private get cost(): number {
    return planCost(this.best);
  }

  /** Works until the incumbent is proved, nothing more can be found out, or the time is up. */
  run(): Plan {
    while (!isLate(this.deadline)) if (!this.step()) break;
    this.tidy();
    return this.result();
  }

  /** The scenario with the lowest bound is looked at first, its least known subproblem first. False: there is no more to do. */
  private step(): boolean {
    this.bound = Math.max(this.bound, Math.min(this.cost, ...this.scenarios.map((one) => this.boundOf(one))));
    if (this.bound >= this.cost) return false;
    const open = this.scenarios
      .map((one) => ({ one, bound: this.boundOf(one) }))
      .filter(({ bound }) => bound < this.cost)
      .sort((a, b) => a.bound - b.bound)
      .map(({ one }) => one);
    const found = open.find(({ states, taken }) => costOf(states) < taken);
    if (found) {
      this.takeFrom(found);
      return true;
    }
    const lowest = open.find(({ states }) => states.some(({ isDone }) => !isDone));
    if (lowest) {
      this.refine(lowest);
      return true;
    }
    // Only then what joins subproblems: a better plan leaves less to look through.
    const unclosed = open.find(({ closed }) => closed === 0);
    if (unclosed) this.close(unclosed);
    return unclosed !== undefined;
  }

  private refine({ states }: ScenarioState): void {
    const next = states
      .flatMap((state, index) => {
        const solver = this.solvers[index];
        return state.isDone || !solver ? [] : [{ state, solver }];
      })
      .reduce((a, b) => (stepOf(b.state) < stepOf(a.state) ? b : a));
    this.report(DOING[next.state.next]);
    next.solver.refine(next.state);
  }

  private boundOf({ scenario, states, closed }: ScenarioState): number {
    const exact = states.reduce((sum, { bound }) => sum + bound, 0);
    return Math.max(closed, exact === Infinity ? Infinity : roundedLowerBound(exact, scenario, this.problem));
  }

  private takeFrom(found: ScenarioState): void {
    found.taken = costOf(found.states);
    const chosen = found.states.flatMap(({ times, values }, index): Chosen[] => {
      const solver = this.solvers[index];
      return solver ? [{ solver, times, values }] : [];
    });
    this.take(basketOf(chosen, this.problem), chosen);
  }

  private take(found: Basket, chosen: Chosen[] | null = null): void {
    const plan = planOf(this.problem, found);
    const cost = planCost(plan);
    if (cost > this.cost || !isCarried(plan, this.problem.settings)) return;
    const isBetter = cost < this.cost || isPreferred(plan, this.best);
    if (isBetter) this.best = plan;
    if (isBetter || this.chosen === null) this.chosen = chosen;
  }

  /** In the time that is left: the same purchases, with as long an offcut as can be. */
  private tidy(): void {
    const end = this.deadline.left() - Math.min(MAX_TIDYING, this.deadline.left() * TIDYING_SHARE);
    const isOver = () => isLate(this.deadline) || this.deadline.left() < end;
    for (const [index, solver] of this.solvers.entries()) {
      const { chosen } = this;
      const times = isOver() ? null : solver.withLongerOffcut(chosen?.[index]?.times ?? [], isOver);
      if (!times || !chosen) continue;
      const tidied = chosen.map((one, at) => (at === index ? { ...one, times } : one));
      if (!tidied.every(isWhole)) continue;
      const plan = planOf(this.problem, basketOf(tidied, this.problem));
      // The same is bought: what comes to another sum is not what was meant.
      const isSame = planCost(plan) === this.cost && isCarried(plan, this.problem.settings);
      if (isSame && isPreferred(plan, this.best)) [this.best, this.chosen] = [plan, tidied];
    }
  }

  /** All subproblems are known: what is left between plan and bound is rounding at the till, and thresholds. */
  private close(lowest: ScenarioState): void {
    this.report('proof');
    const closed = closeRoundingGap(
      lowest.scenario,
      lowest.states,
      this.solvers,
      this.problem,
      this.solver,
      this.cost,
      this.deadline,
    );
    if (closed.basket) this.take(closed.basket);
    lowest.closed = Math.max(1, closed.bound);
  }

  private result(): Plan {
    const lowest = Math.min(this.cost, this.bound);
    return {
      ...this.best,
      status: lowest >= this.cost ? 'proved' : 'bounded',
      lowerBound: Math.max(0, lowest - this.best.committedShipping),
    };
  }

  private report(doing: Progress['doing']): void {
    const key = `${doing} ${this.cost} ${this.bound}`;
    if (key !== this.lastTold) this.tell({ plan: this.result(), doing });
    this.lastTold = key;
  }
}

const DOING: Record<NextStep, Progress['doing']> = {
  relaxation: 'bound',
  bound: 'bound',
  heuristic: 'better',
  exact: 'proof',
};

const STEPS: NextStep[] = ['relaxation', 'bound', 'heuristic', 'exact'];
const stepOf = ({ next }: SubproblemState): number => STEPS.indexOf(next);

const costOf = (answers: SubproblemState[]): number => answers.reduce((sum, { cost }) => sum + cost, 0);
