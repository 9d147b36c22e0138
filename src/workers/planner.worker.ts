import { expose } from 'comlink';
import {
  breakEven,
  proposalsFor,
  underTarget,
  waysToSave,
  whatIf,
  type BreakEven,
  type Proposal,
  type Saving,
  type Scenario,
  type UnderTarget,
  type WhatIf,
} from '@/core/compare';
import {
  againstProject,
  planCost,
  planInput,
  type CheckAgainst,
  type Plan,
  type PlanInput,
  type PreviousPlan,
  type Progress,
} from '@/core/plan';
import {
  bestPlan,
  byHandPlan,
  checkedPlan,
  checkPlan,
  solverOf,
  type Highs,
  type Solver,
} from '@/core/plan/planner';
import type { Book, Project } from '@/core/project';
import { loadPartsHere } from '@/platform/workerParts';

/** Seconds that the solver may take for the plan of a project, for one of a comparison, and for one of a way to save. */
const TIME_LIMIT = 10;
const TIME_LIMIT_COMPARED = 5;
const TIME_LIMIT_WAY = 2;
/** Seconds after which no more ways to save are looked for, and no more combinations of them. */
const WAYS_LIMIT = 10;
const COMBINATIONS_LIMIT = 5;

loadPartsHere();

let solver: Promise<Solver> | null = null;

/** The solver, loaded once for the life of the worker, when it is first asked for: a first plan needs none. */
const loaded = (): Promise<Solver> => {
  solver ??= import('highs')
    .then(({ default: load }) => load({ locateFile: () => '/highs.wasm' }))
    .then((highs) => solverOf(highs as unknown as Highs));
  return solver;
};

/** The best plan, or null where it did not pass its check: what was not checked is not compared. */
const compared = (made: PlanInput, against: CheckAgainst, by: Solver, seconds: number): Plan | null => {
  const plan = bestPlan(made, by, seconds);
  return checkPlan(plan, against).length > 0 ? null : plan;
};

/** Plans one way that is looked at beside what is chosen. */
const planOfWay =
  (by: Solver) =>
  (made: Project, at: Book): Plan | null =>
    compared(planInput(made, at), againstProject(made, at), by, TIME_LIMIT_WAY);

/** Whether so many seconds from now are over. */
const overIn = (seconds: number): (() => boolean) => {
  const end = performance.now() + seconds * 1000;
  return () => performance.now() > end;
};

/** What a worker of the planner can be asked for. */
const planner = {
  /** Loads the solver. */
  ready: async (): Promise<void> => {
    await loaded();
  },
  /** A plan to show at once; see `checkedPlan`. A `kept` one of this very input is taken where it passes its check. */
  firstPlan: async (
    input: PlanInput,
    against: CheckAgainst,
    previous: PreviousPlan | null,
    kept: Plan | null,
  ): Promise<Plan> =>
    kept && checkPlan(kept, against).length === 0 ? kept : checkedPlan(input, against, previous),
  /** What buying by hand would come to; null where no store has everything. */
  byHand: async (input: PlanInput): Promise<number | null> => {
    const plan = byHandPlan(input);
    return plan && planCost(plan);
  },
  /** The best plan; `tell` hears of each better one, and of what is being done. @throws where it did not pass its check. */
  search: async (
    input: PlanInput,
    against: CheckAgainst,
    tell: (progress: Progress) => void,
  ): Promise<Plan> => {
    let passed: Plan | null = null;
    const plan = bestPlan(input, await loaded(), TIME_LIMIT, (progress) => {
      const isSame = passed?.buys === progress.plan.buys && passed.layouts === progress.plan.layouts;
      if (!isSame && checkPlan(progress.plan, against).length > 0) return;
      passed = progress.plan;
      tell(progress);
    });
    const [fault] = checkPlan(plan, against);
    // The first plan, which passed its check, stays.
    if (fault) throw new Error(`the best plan did not pass its check: ${fault.place}: ${fault.sentence}`);
    return plan;
  },
  /** The best plan of one way that is compared. @throws where it did not pass its check. */
  compare: async (input: PlanInput, against: CheckAgainst): Promise<Plan> => {
    const plan = compared(input, against, await loaded(), TIME_LIMIT_COMPARED);
    if (!plan) throw new Error('the plan did not pass its check');
    return plan;
  },
  proposals: async (project: Project, book: Book, plan: Plan | null): Promise<Proposal[]> =>
    proposalsFor(project, book, plan),
  /** The price at which a project comes to `goal`; see `breakEven`. */
  breakEven: async (
    project: Project,
    book: Book,
    plan: Plan,
    goal: number,
    fresh: string[],
  ): Promise<BreakEven | null> => {
    return breakEven(project, book, plan, goal, fresh, planOfWay(await loaded()));
  },
  /** What a project comes to if a scenario holds; see `whatIf`. */
  whatIf: async (scenario: Scenario, project: Project, book: Book, plan: Plan): Promise<WhatIf | null> =>
    whatIf(scenario, project, book, plan, planOfWay(await loaded())),
  /** Ways to save, each told when it is found; all of them in the end. */
  waysToSave: async (
    project: Project,
    book: Book,
    base: Plan,
    tell: (saving: Saving) => void,
  ): Promise<Saving[]> => {
    const planWith = planOfWay(await loaded());
    const found = new Map<string, Saving>();
    waysToSave(project, book, base, planWith, overIn(WAYS_LIMIT), (saving) => {
      found.set(saving.id, saving);
      tell(saving);
    });
    return [...found.values()];
  },
  /** Combinations of ways to save that reach the target; `tell` hears of those known so far. See `underTarget`. */
  underTarget: async (
    project: Project,
    book: Book,
    base: Plan,
    ways: Saving[],
    tell: (found: UnderTarget) => void,
  ): Promise<UnderTarget | null> => {
    const planWith = planOfWay(await loaded());
    return underTarget(project, book, base, ways, planWith, overIn(COMBINATIONS_LIMIT), tell);
  },
};
/** What the planning worker can be asked. */
export type Planner = typeof planner;

expose(planner);
