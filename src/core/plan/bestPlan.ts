import { searchBest, type Progress, type Solver } from '../cutting/solver';
import type { Plan } from '../cutting/model';
import { firstBasket } from './firstPlan';
import type { PlanInput } from './inputTypes';

/**
 * The cheapest plan of an input: `proved` where no plan under the rules (docs/planner.md) costs less; else `bounded`, and none
 * costs less than `lowerBound`. Where something cannot be made, `infeasible`, with the reasons, and in `rest` the cheapest plan
 * for all else, proved or bounded likewise. `seconds` is when to stop; `tell` hears of the best so far.
 */
export const bestPlan = (
  input: PlanInput,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void = () => undefined,
): Plan => {
  const { plan: first, basket, input: problem } = firstBasket(input);
  const isPart = first.status === 'infeasible';
  const plan = isPart ? first.rest : first;
  if (!plan || !basket) return first;
  const asWhole = (found: Plan): Plan => (isPart ? { ...first, rest: found } : found);
  const found = searchBest({ plan, basket, problem }, solver, seconds, (progress) =>
    tell({ ...progress, plan: asWhole(progress.plan) }),
  );
  return asWhole(found);
};
