import { searchBest, type Progress, type Solver } from '../cutting/solver';
import type { Plan } from '../cutting/model';
import { firstBasket } from './firstPlan';
import type { PlanInput } from './inputTypes';

/**
 * The cheapest plan of an input: `proved` where no plan under the rules (docs/planner.md) costs less; else `bounded`, and none
 * costs less than `lowerBound`. `seconds` is when to stop; `tell` hears of the best so far.
 */
export const bestPlan = (
  input: PlanInput,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void = () => undefined,
): Plan => {
  const { plan, basket, input: problem } = firstBasket(input);
  return searchBest({ plan, basket, problem }, solver, seconds, tell);
};
