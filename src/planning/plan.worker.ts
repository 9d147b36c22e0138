import { expose } from 'comlink';
import { byHandPlan, carriedOver, checkPlan, firstPlan, type CheckAgainst, type Plan, type PlanInput, type Planned } from '@/core/plan'; // prettier-ignore

/** What the worker can be asked for. No plan leaves it that did not pass its check. */
const planner = {
  /** `last`: what was planned before; what is left of it stays, where nothing better is found. */
  firstPlan: (input: PlanInput, against: CheckAgainst, last: Planned | null = null): Plan => {
    const first = checked(firstPlan(input), against);
    const rest = last && carriedOver(last, input, first);
    const stays = rest && rest.total <= first.total && checkPlan(rest, against).length === 0; // prettier-ignore
    return stays ? { ...rest, lowerBound: Math.min(rest.total, first.lowerBound) } : first;
  },
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
