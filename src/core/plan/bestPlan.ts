import { searchBest, type Progress, type Solver } from '../cutting/solver';
import { isCarried } from '../cutting/heuristics';
import { planCost, type Plan } from '../cutting/model';
import { byHandPlan } from './byHand';
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
    tell({ ...progress, plan: asWhole(withSparesPaid(progress.plan)) }),
  );
  return asWhole(orByHand(withSparesPaid(found), problem));
};

/** The search does not decide on spare boards: where they cost something, it has proved what the rest costs and not the whole. */
const withSparesPaid = (plan: Plan): Plan =>
  plan.status === 'proved' && plan.lowerBound < plan.total ? { ...plan, status: 'bounded' } : plan;

/** Spare boards may make dearer what is cheaper without them: never dearer than what a person would buy by hand. */
const orByHand = (found: Plan, input: PlanInput): Plan => {
  const hand = byHandPlan(input);
  if (!hand || planCost(hand) >= planCost(found) || !isCarried(hand, input.settings)) return found;
  const least = found.lowerBound + found.committedShipping - hand.committedShipping;
  return { ...hand, status: 'bounded', lowerBound: Math.max(0, Math.min(hand.total, least)) };
};
