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
  const spent = spentOn(project, book, plan);
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

/** Goods and tax of all purchases, and what going to their stores came to. */
const spentOn = (project: Project, book: Book, plan: Plan | null): Minor => {
  const lines = project.purchases.flatMap((purchase) => purchase.lines);
  const goods = lines.reduce((sum, { price, tax }) => sum + price + tax, 0);
  return [...tripsPaid(project, book, plan).values()].reduce((sum, paid) => sum + paid, goods);
};

/**
 * What the purchases of each store brought with them, by store: one trip, and its shipping fee once nothing more is to
 * come from there (until then the plan holds it).
 */
export const tripsPaid = ({ purchases }: Project, book: Book, plan: Plan | null): Map<string, Minor> => {
  const stillBuying = new Set(shownPlan(plan)?.stores.map(({ storeId }) => storeId));
  const goods = new Map<string, Minor>();
  for (const { storeId, lines } of purchases)
    for (const { price } of lines) goods.set(storeId, (goods.get(storeId) ?? 0) + price);
  return new Map(
    [...goods].map(([storeId, bought]) => [
      storeId,
      extrasPaid(book, storeId, bought, stillBuying.has(storeId)),
    ]),
  );
};

/** Trip and shipping of a store where goods for `bought` were bought. */
export const extrasPaid = (book: Book, storeId: string, bought: Minor, stillBuying: boolean): Minor => {
  const store = book.stores[storeId];
  if (!store) return 0;
  const free = store.shipping?.freeFrom ?? Infinity;
  return store.trip + (store.shipping && !stillBuying && bought < free ? store.shipping.fee : 0);
};
