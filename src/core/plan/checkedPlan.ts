import { continuePlan, type PreviousPlan } from './continuePlan';
import { checkPlan, type CheckAgainst } from './check';
import { firstPlan } from './firstPlan';
import type { PlanInput } from './inputTypes';
import { planCost, type Plan } from '../cutting/model';

/**
 * A plan to show at once: the first one, or what is left of the `last` where that costs no more. Each passes its check
 * before; where the first does not, the plan says so and shows nothing else.
 */
export const checkedPlan = (
  input: PlanInput,
  against: CheckAgainst,
  last: PreviousPlan | null = null,
): Plan => {
  const first = checked(firstPlan(input), against);
  const rest = last && continuePlan(last, input, first);
  const stays = rest && planCost(rest) <= planCost(first) && checkPlan(rest, against).length === 0;
  return stays ? { ...rest, lowerBound: Math.min(rest.total, first.lowerBound) } : first;
};

const checked = (plan: Plan, against: CheckAgainst): Plan => {
  const [fault] = checkPlan(plan, against);
  return fault
    ? refusedPlan(
        plan.currency,
        `The plan did not pass its check and is not shown, which is a fault of Billet: ${fault.place}: ${fault.sentence}.`,
      )
    : plan;
};

/** In place of a plan that must not be shown, or could not be made: nothing, and why in a sentence. */
export const refusedPlan = (currency: string, sentence: string): Plan => ({
  status: 'infeasible',
  currency,
  total: 0,
  lowerBound: 0,
  goods: 0,
  tax: 0,
  trips: 0,
  shipping: 0,
  committedShipping: 0,
  buys: [],
  layouts: [],
  short: [],
  stores: [],
  problems: [{ code: 'unchecked', partIds: [], part: '', sentence }],
});
