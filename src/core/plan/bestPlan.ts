import { deadlineIn, searchBest, type Progress, type Solver } from '../cutting/solver';
import { isCarried } from '../cutting/heuristics';
import { planCost, type Plan } from '../cutting/model';
import { byHandPlan } from './byHand';
import { firstBasket } from './firstPlan';
import { cheaperWay } from './cheaperWay';
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
  const { singly } = input;
  if (!singly) return bestOneWay(input, solver, seconds, tell);
  const deadline = deadlineIn(seconds);
  let isSecond = false;
  return cheaperWay(input, (one) => {
    const left = isSecond ? deadline.left() : seconds / 2;
    isSecond = true;
    // What the first way comes to is told when both are known: the other may be cheaper.
    return bestOneWay(one, solver, left, () => undefined);
  });
};

const bestOneWay = (
  input: PlanInput,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void,
): Plan => {
  const deadline = deadlineIn(seconds);
  const { plan: first, basket, input: problem } = firstBasket(input);
  const isPart = first.status === 'infeasible';
  const plan = isPart ? first.rest : first;
  if (!plan || !basket) return first;
  const asWhole = (found: Plan): Plan => (isPart ? { ...first, rest: found } : found);
  const left = Math.max(LEAST_SEARCH, deadline.left());
  const found = searchBest({ plan, basket, problem }, solver, left, (progress) =>
    tell({ ...progress, plan: asWhole(progress.plan) }),
  );
  return asWhole(orByHand(found, problem));
};

/** Seconds that a search has at the least: the first plan of a very long list may take all there are. */
const LEAST_SEARCH = 0.1;

/** Where the search had not the time, spare boards may make dearer what is cheaper without: never dearer than by hand. */
const orByHand = (found: Plan, input: PlanInput): Plan => {
  const hand = byHandPlan(input);
  if (!hand || planCost(hand) >= planCost(found) || !isCarried(hand, input.settings)) return found;
  const least = found.lowerBound + found.committedShipping - hand.committedShipping;
  return { ...hand, lowerBound: Math.max(0, Math.min(hand.total, least)), status: 'bounded' };
};
