import { deadlineIn, searchBest, type Deadline, type Progress, type Solver } from '../cutting/solver';
import { isCarried } from '../cutting/heuristics';
import { planCost, type Plan } from '../cutting/model';
import { byHandPlan } from './byHand';
import { firstBasket } from './firstPlan';
import type { PlanInput } from './inputTypes';

/**
 * The cheapest plan of an input: `proved` where no plan under the rules (docs/planner.md) costs less; else `bounded`, and none
 * costs less than `lowerBound`. Where something cannot be made, `infeasible`, with the reasons, and in `rest` the cheapest plan
 * for all else, proved or bounded likewise. `seconds` is when to stop, the first plan among them; `tell` hears of the best so far.
 */
export const bestPlan = (
  input: PlanInput,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void = () => undefined,
): Plan => {
  const deadline = deadlineIn(seconds);
  const { plan: first, basket, input: problem } = firstBasket(input);
  const isPart = first.status === 'infeasible';
  const plan = isPart ? first.rest : first;
  if (!plan || !basket) return first;
  const asWhole = (found: Plan): Plan => (isPart ? { ...first, rest: found } : found);
  const found = searchBest({ plan, basket, problem }, solver, searchTime(deadline), (progress) =>
    tell({ ...progress, plan: asWhole(progress.plan) }),
  );
  return asWhole(orByHand(found, problem));
};

/** Seconds that a search has at the least: the first plan of a very long list may take all there are. */
const LEAST_SEARCH = 0.1;
const searchTime = ({ left }: Deadline): number => Math.max(LEAST_SEARCH, left());

/** The cheaper of a plan and another for the same; the bound is that of the first. */
const cheaper = (plan: Plan, other: Plan | null): Plan => {
  if (!other || planCost(other) >= planCost(plan)) return plan;
  const least = plan.lowerBound + plan.committedShipping - other.committedShipping;
  const lowerBound = Math.max(0, Math.min(other.total, least));
  return { ...other, lowerBound, status: lowerBound >= other.total ? 'proved' : 'bounded' };
};

/** Where the search had not the time, spare boards may make dearer what is cheaper without: never dearer than by hand. */
const orByHand = (found: Plan, input: PlanInput): Plan => {
  const hand = byHandPlan(input);
  const best = cheaper(found, hand && isCarried(hand, input.settings) ? hand : null);
  return best === found ? found : { ...best, status: 'bounded' };
};
