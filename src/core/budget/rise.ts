import type { Minor } from '../measure';
import type { Plan } from '../plan';

/** What a plan's sum would grow by if all wood and sheets still to buy cost `share` more. */
export const riseOf = (plan: Plan, share: number): Minor =>
  Math.round(
    plan.buys.filter(({ kind }) => kind !== 'hardware').reduce((sum, { paid }) => sum + paid, 0) * share,
  );
