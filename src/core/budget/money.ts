import type { Minor } from '../measure';
import type { Book, Project } from '../project';
import { shownPlan, type Plan } from '../plan';

/** The money of a project, the same wherever it is shown. All in minor units, with tax, trips and shipping. */
export interface ProjectMoney {
  target: Minor | null;
  /** What has left the pocket. */
  spent: Minor;
  /** What the plan still asks for. */
  toBuy: Minor;
  /** spent + toBuy. */
  total: Minor;
  /** What the target leaves; below zero when it is passed. Null without a target. */
  left: Minor | null;
  /** False while something cannot be bought or made: the sums then lack it. */
  complete: boolean;
}

/** Spent, to buy and left, from what was bought and the plan for the rest. */
export const projectMoney = (project: Project, book: Book, plan: Plan | null): ProjectMoney => {
  const shown = shownPlan(plan);
  const spent = spentOn(project, book, new Set(shown?.stores.map(({ storeId }) => storeId)));
  const toBuy = shown?.total ?? 0;
  const total = spent + toBuy;
  return {
    target: project.target,
    spent,
    toBuy,
    total,
    left: project.target === null ? null : project.target - total,
    complete: plan !== null && plan.status !== 'infeasible',
  };
};

/**
 * Goods and tax of all purchases, one trip to each store where something was bought, and its shipping fee
 * once nothing more is to come from there (until then the plan holds it).
 */
const spentOn = (project: Project, book: Book, stillBuying: Set<string>): Minor => {
  const goods = new Map<string, Minor>();
  let sum = 0;
  for (const { storeId, lines } of project.purchases)
    for (const { price, tax } of lines) {
      sum += price + tax;
      goods.set(storeId, (goods.get(storeId) ?? 0) + price);
    }
  for (const [storeId, bought] of goods) sum += extrasPaid(book, storeId, bought, stillBuying.has(storeId));
  return sum;
};

/** Trip and shipping of a store where goods for `bought` were bought. */
export const extrasPaid = (book: Book, storeId: string, bought: Minor, stillBuying: boolean): Minor => {
  const store = book.stores[storeId];
  if (!store) return 0;
  const free = store.shipping?.freeFrom ?? Infinity;
  return store.trip + (store.shipping && !stillBuying && bought < free ? store.shipping.fee : 0);
};
