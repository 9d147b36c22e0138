import { expose } from 'comlink';
import loadHighs from 'highs';
import { bestPlan, solverOf, type Highs, type Plan, type PlanInput } from '@/core/plan';

/** Seconds that the solver may take for one plan. */
const TIME_LIMIT = 10;

/** What the worker can be asked for. The solver's own code comes from where the app comes from. */
const prover = {
  bestPlan: async (input: PlanInput): Promise<Plan> => {
    const highs = (await loadHighs({ locateFile: () => '/highs.wasm' })) as unknown as Highs;
    return bestPlan(input, solverOf(highs), TIME_LIMIT);
  },
};
export type Prover = typeof prover;

expose(prover);
