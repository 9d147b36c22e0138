import type { Minor } from '../units';
import { shownPlan, type Plan, type PlanInput } from '../plan';

/** Goods that are missing at a store for its shipping to be free. */
export interface FreeShipping {
  store: string;
  /** So much more by its tags, before tax. */
  more: Minor;
  /** What its shipping costs until then. */
  fee: Minor;
}

/** So many times its fee may what is missing be, to be told: for less than that something useful is found. */
const MAX_FEES = 3;

/** Stores that ship what a plan buys for a fee, and would for nothing if a little more were bought there. */
export const freeShipping = (input: PlanInput, plan: Plan | null): FreeShipping[] =>
  (shownPlan(plan)?.stores ?? []).flatMap(({ storeId, store, goods, shipping }): FreeShipping[] => {
    const terms = input.stores.find(({ id }) => id === storeId);
    const freeFrom = terms?.shipping?.freeFrom ?? null;
    if (!terms || freeFrom === null || shipping === 0) return [];
    // What counts there is what is left of its tags after the discount.
    const more = Math.ceil((freeFrom - goods) / (1 - terms.discount));
    return more > 0 && more <= MAX_FEES * shipping ? [{ store, more, fee: shipping }] : [];
  });
