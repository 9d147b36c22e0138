import { planCost, type Plan } from '../cutting/model';
import type { PlanInput } from './inputTypes';

/**
 * The cheaper of two plans: shapes head to tail in pairs, and each for itself; where there are no pairs, the one plan. No plan of
 * either way costs less than its `lowerBound`.
 */
export const cheaperWay = (input: PlanInput, planOf: (input: PlanInput) => Plan): Plan => {
  const { singly, ...paired } = input;
  const pairs = planOf(paired);
  return singly ? cheaperOf(pairs, planOf({ ...paired, parts: singly })) : pairs;
};

const cheaperOf = (pairs: Plan, single: Plan): Plan => {
  if (pairs.status === 'infeasible' || single.status === 'infeasible') {
    const more = lackOf(pairs) - lackOf(single);
    // What is lacking is told of one piece and not of two.
    return more > 0 || (more === 0 && restCost(single) <= restCost(pairs)) ? single : pairs;
  }
  const [best, other] = planCost(single) < planCost(pairs) ? [single, pairs] : [pairs, single];
  const least = Math.min(
    best.lowerBound,
    other.lowerBound + other.committedShipping - best.committedShipping,
  );
  return least >= best.total ? best : { ...best, status: 'bounded', lowerBound: Math.max(0, least) };
};

const restCost = ({ rest }: Plan): number => (rest ? planCost(rest) : Infinity);

/** How many parts a plan does without; those that cannot be made at all are the same in both ways. */
const lackOf = ({ status, problems }: Plan): number =>
  status === 'infeasible' ? new Set(problems.flatMap(({ partIds }) => partIds)).size : 0;
