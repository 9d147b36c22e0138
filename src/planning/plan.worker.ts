import { expose } from 'comlink';
import { byHandPlan, checkedPlan, planCost, type PlanInput } from '@/core/plan';

/** What the worker can be asked for. */
const planner = {
  firstPlan: checkedPlan,
  /** What buying by hand would come to; null where no store has everything. */
  byHand: (input: PlanInput): number | null => {
    const plan = byHandPlan(input);
    return plan && planCost(plan);
  },
};
export type Planner = typeof planner;

expose(planner);
