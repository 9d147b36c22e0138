import { expose } from 'comlink';
import loadHighs from 'highs';
import {
  breakEven,
  proposalsFor,
  waysToSave,
  type BreakEven,
  type Proposal,
  type Saving,
} from '@/core/compare';
import {
  againstProject,
  bestPlan,
  checkPlan,
  planInput,
  solverOf,
  type CheckAgainst,
  type Highs,
  type Plan,
  type PlanInput,
  type Solver,
} from '@/core/plan';
import type { Book, Project } from '@/core/project';

/** Seconds that the solver may take for one plan of a comparison, and for each plan of a way to save. */
const TIME_LIMIT = 5;
const TIME_LIMIT_WAY = 2;
/** Seconds after which no more ways to save are looked for. */
const WAYS_LIMIT = 10;

let solver: Promise<Solver> | null = null;

/** The solver, loaded once for the life of the worker. Its code comes from where the app comes from. */
const loaded = (): Promise<Solver> => {
  solver ??= loadHighs({ locateFile: () => '/highs.wasm' }).then((highs) =>
    solverOf(highs as unknown as Highs),
  );
  return solver;
};

/** The best plan of a project, or null where it did not pass its check: what was not checked is not compared. */
const checkedPlan = (made: PlanInput, against: CheckAgainst, by: Solver, seconds: number): Plan | null => {
  const plan = bestPlan(made, by, seconds);
  return checkPlan(plan, against).length > 0 ? null : plan;
};

/** What the worker can be asked for. */
const comparer = {
  /** Loads the solver. */
  ready: async (): Promise<void> => {
    await loaded();
  },
  /** The best plan within the time. Throws where it did not pass its check. */
  plan: async (input: PlanInput, against: CheckAgainst): Promise<Plan> => {
    const plan = checkedPlan(input, against, await loaded(), TIME_LIMIT);
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
    const by = await loaded();
    return breakEven(project, book, plan, goal, fresh, (made, at) =>
      checkedPlan(planInput(made, at), againstProject(made, at), by, TIME_LIMIT_WAY),
    );
  },
  /** Ways to save, each told when it is found; all of them in the end. */
  waysToSave: async (
    project: Project,
    book: Book,
    base: Plan,
    tell: (saving: Saving) => void,
  ): Promise<Saving[]> => {
    const by = await loaded();
    const found = new Map<string, Saving>();
    const end = performance.now() + WAYS_LIMIT * 1000;
    waysToSave(
      project,
      book,
      base,
      (made, at) => checkedPlan(planInput(made, at), againstProject(made, at), by, TIME_LIMIT_WAY),
      () => performance.now() > end,
      (saving) => {
        found.set(saving.id, saving);
        tell(saving);
      },
    );
    return [...found.values()];
  },
};
export type Comparer = typeof comparer;

expose(comparer);
