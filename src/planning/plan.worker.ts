import { expose } from 'comlink';
import { byHandPlan, checkPlan, firstPlan, type CheckAgainst, type Plan, type PlanInput } from '@/core/plan';

/** What the worker can be asked for. No plan leaves it that did not pass its check. */
const planner = {
  firstPlan: (input: PlanInput, against: CheckAgainst): Plan => checked(firstPlan(input), against),
  /** What buying by hand would come to; null where no store has everything. */
  byHand: (input: PlanInput): number | null => byHandPlan(input)?.total ?? null,
};
export type Planner = typeof planner;

/** The plan, or where it does not hold one that says so and shows nothing else. */
const checked = (plan: Plan, against: CheckAgainst): Plan => {
  const [fault] = checkPlan(plan, against);
  if (!fault) return plan;
  const sentence = `The plan did not pass its check and is not shown, which is a fault of Billet: ${fault.place}: ${fault.sentence}.`;
  const nothing = { total: 0, lowerBound: 0, goods: 0, tax: 0, trips: 0, shipping: 0, buys: [], layouts: [], short: [], stores: [] }; // prettier-ignore
  return {
    ...plan,
    ...nothing,
    status: 'infeasible',
    rest: undefined,
    problems: [{ code: 'unchecked', partIds: [], part: '', sentence }],
  };
};

expose(planner);
