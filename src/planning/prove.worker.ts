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
} from '@/core/plan';

/** Seconds that the solver may take for one plan. */
const TIME_LIMIT = 10;

/** What the worker can be asked for. The solver's own code comes from where the app comes from. */
const prover = {
  bestPlan: async (input: PlanInput, against: CheckAgainst): Promise<Plan> => {
    const highs = (await loadHighs({ locateFile: () => '/highs.wasm' })) as unknown as Highs;
    const plan = bestPlan(input, solverOf(highs), TIME_LIMIT);
    const [fault] = checkPlan(plan, against);
    // The first plan, which passed its check, stays.
    if (fault) throw new Error(`the best plan did not pass its check: ${fault.place}: ${fault.sentence}`);
    return plan;
  },
};
export type Prover = typeof prover;

expose(prover);
