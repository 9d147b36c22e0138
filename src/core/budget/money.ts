import type { Minor } from '../units';
import {
  chargesOf,
  goodsOf,
  purchaseMoney,
  shippingFor,
  type Book,
  type Charges,
  type Project,
  type Purchase,
} from '../project';
import { planCost, shownPlan, type Plan } from '../plan';
import { typedPriceLines } from './typedPriceLines';
import { reserveOf, targetOf } from './target';

/** The money of a project, the same wherever it is shown. All in minor units, with tax, trips and shipping. */
export interface ProjectMoney {
  target: Minor | null;
  /** What has left the pocket, and what is in the cart. */
  spent: Minor;
  /** What the plan still asks for, shipping that is due for what was bought, and what has a typed price. */
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
  const spent = spentOn(project);
  const shown = shownPlan(plan);
  const beside = typedPriceLines(project, book).reduce((sum, { costWithTax }) => sum + costWithTax, 0);
  const toBuy = (shown ? planCost(shown) : 0) + beside;
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

/**
 * What has left the pocket: goods and tax of all purchases, returns and receipts reckoned in, and the trips and shipping that
 * they were recorded with. A record: no later change of the price book moves it.
 */
const spentOn = ({ purchases }: Project): Minor =>
  purchases.reduce((sum, purchase) => sum + purchaseMoney(purchase) + chargesOf(purchase), 0);

/**
 * What a purchase of `goods` (without tax) at a store brings with it, as the plan has it, or as the store asks where the plan
 * buys nothing there. For `withCharges`, which leaves out what was recorded before.
 */
export const chargesFor = (
  project: Project,
  book: Book,
  plan: Plan | null,
  { storeId, lines }: Pick<Purchase, 'storeId' | 'lines'>,
): Charges => {
  const store = book.stores[storeId];
  if (!store) return { trip: 0, shipping: 0 };
  const planned = shownPlan(plan)?.stores.find((one) => one.storeId === storeId);
  const before = project.purchases.filter((purchase) => purchase.storeId === storeId);
  const bought = goodsOf([...before, { lines }]);
  const asked = shippingFor(store.shipping, bought);
  // Free only because of what is still to come: then it is not settled yet.
  return {
    trip: store.trip,
    shipping: planned ? (planned.shipping > 0 || asked === 0 ? planned.shipping : null) : asked,
  };
};
