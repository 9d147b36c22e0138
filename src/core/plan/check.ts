import type { Plan } from '../cutting/model';
import { verifyPlan, type CheckAgainst, type PlanToCheck } from '../cutting/verify';
import type { Problem } from '../result';
import { sectionSize } from './against';

export { againstProject } from './against';
export type { CheckAgainst, PlanToCheck } from '../cutting/verify';

/**
 * Verifies a plan from scratch, by the rules of docs/planner.md alone: it shares no code with what plans. Empty: the plan
 * holds. Of a plan that leaves parts out, the plan for the rest is verified. That nothing cheaper exists is not checked here.
 */
export const checkPlan = (
  plan: PlanToCheck & Partial<Pick<Plan, 'rest' | 'problems'>>,
  against: CheckAgainst,
): Problem[] => {
  if (plan.status === 'infeasible' && plan.rest) {
    const left = new Set(plan.problems?.flatMap(({ partIds }) => partIds));
    return checkPlan(plan.rest, { ...against, parts: against.parts.filter(({ id }) => !left.has(id)) });
  }
  // What the plan names is read here again: a name that no price row has is still one to check.
  const named = [...plan.layouts, ...plan.buys].map(
    ({ kind, section }) => [`${kind}:${section}`, sectionSize(kind, section)] as const,
  );
  return verifyPlan(plan, { ...against, sizes: { ...against.sizes, ...Object.fromEntries(named) } });
};
