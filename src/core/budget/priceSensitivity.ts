import type { Minor } from '../units';
import type { Plan } from '../plan';

/** What a plan's sum would grow by if all wood and sheets still to buy cost `share` more. */
export const priceSensitivity = (plan: Plan, share: number): Minor =>
  Math.round(
    plan.buys
      .filter(({ kind }) => kind !== 'hardware')
      .reduce((sum, { costWithTax }) => sum + costWithTax, 0) * share,
  );
