import { expose } from 'comlink';
import loadHighs from 'highs';
import {
  bestPlan,
  checkPlan,
  solverOf,
  type CheckAgainst,
  type Highs,
  type Plan,
  type PlanInput,
  type Progress,
} from '@/core/plan';

/** Seconds that the solver may take for one plan. */
const TIME_LIMIT = 10;

/** What the worker can be asked for. The solver's own code comes from where the app comes from. */
const prover = {
  /** The best plan; `tell` hears of each better one, and of what is being done. No plan leaves that did not pass its check. */
  bestPlan: async (
    input: PlanInput,
    against: CheckAgainst,
    tell: (progress: Progress) => void,
  ): Promise<Plan> => {
    const highs = (await loadHighs({ locateFile: () => '/highs.wasm' })) as unknown as Highs;
    let passed: Plan | null = null;
    const plan = bestPlan(input, solverOf(highs), TIME_LIMIT, (progress) => {
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
};
export type Prover = typeof prover;

expose(prover);
