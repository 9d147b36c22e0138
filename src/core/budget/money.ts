import type { Minor } from '../units';
import { purchaseMoney, type Book, type Project } from '../project';
import { shippingFor, shownPlan, type Plan } from '../plan';
import { typedPriceLines } from './typedPriceLines';
import { reserveOf, targetOf } from './target';

/** The money of a project, the same wherever it is shown. All in minor units, with tax, trips and shipping. */
export interface ProjectMoney {
  target: Minor | null;
  /** What has left the pocket, and what is in the cart. */
  spent: Minor;
  /** What the plan still asks for, and what has a typed price. */
  toBuy: Minor;
  /** spent + toBuy. */
  total: Minor;
  /** What is held back of what is still to buy. */
  reserve: Minor;
  /** total + reserve: what it comes to at the most when it is done. */
  forecast: Minor;
  /** What the target leaves of the forecast; below zero when it is passed. Null without a target. */
  left: Minor | null;
  /** False while something cannot be bought or made: the sums then lack it. */
  complete: boolean;
}

/** Spent, to buy, held back and left, from what was bought and the plan for the rest. */
export const projectMoney = (project: Project, book: Book, plan: Plan | null): ProjectMoney => {
  const spent = spentOn(project, book, plan);
  const beside = typedPriceLines(project, book).reduce((sum, { costWithTax }) => sum + costWithTax, 0);
  const toBuy = (shownPlan(plan)?.total ?? 0) + beside;
  const total = spent + toBuy;
  const target = targetOf(project);
  const reserve = reserveOf(project, toBuy);
  const forecast = total + reserve;
  return {
    target,
    spent,
    toBuy,
    total,
    reserve,
    forecast,
    left: target === null ? null : target - forecast,
    complete: plan !== null && plan.status !== 'infeasible',
  };
};

/** Goods and tax of all purchases, returns and receipts reckoned in, and what going to their stores came to. */
const spentOn = (project: Project, book: Book, plan: Plan | null): Minor => {
  const goods = project.purchases.reduce((sum, purchase) => sum + purchaseMoney(purchase), 0);
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
  return store.trip + (stillBuying ? 0 : shippingFor(store.shipping, bought));
};
