import { refusedPlan } from './refusedPlan';
import { continuePlan, type PreviousPlan } from './continuePlan';
import { checkPlan, type CheckAgainst } from './check';
import { firstPlan } from './firstPlan';
import type { PlanInput } from './inputTypes';
import { isSameLack } from './lack';
import { planCost, shownPlan, type Plan } from '../cutting/model';

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
  const [made, before] = [shownPlan(first), shownPlan(last?.plan ?? null)];
  if (!last || !made || !before || !isSameLack(first, last.plan)) return first;
  const rest = continuePlan({ ...last, plan: before }, { ...input, problems: [] }, made);
  if (!rest || planCost(rest) > planCost(made)) return first;
  const continued = { ...rest, lowerBound: Math.min(rest.total, made.lowerBound) };
  const whole = first.status === 'infeasible' ? { ...first, rest: continued } : continued;
  return checkPlan(whole, against).length === 0 ? whole : first;
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
