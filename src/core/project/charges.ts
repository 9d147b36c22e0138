import { shippingFor } from '../cutting/model';
import type { Minor } from '../units';
import type { Book, Charges, Project, Purchase } from './types';

/** Whether two purchases were made at one store; a store that is not in the book is told by its name. */
export const isSameStore = (a: Pick<Purchase, 'storeId' | 'store'>, b: typeof a): boolean =>
  a.storeId === b.storeId && (a.storeId !== '' || a.store === b.store);

/** Goods of several purchases, without tax. */
export const goodsOf = (purchases: Pick<Purchase, 'lines'>[]): Minor =>
  purchases.flatMap(({ lines }) => lines).reduce((sum, { price }) => sum + price, 0);

/** The trip and the shipping that a purchase was recorded with. */
export const chargesOf = ({ trip = 0, shipping = 0 }: Purchase): Minor => trip + shipping;

/**
 * `purchase` with what it brings besides its lines, given the purchases that are there: the first at a store brings the
 * trip, and the first that settles it the shipping. What it was recorded with before stays.
 */
export const withCharges = (purchase: Purchase, charges: Charges, others: Purchase[]): Purchase => {
  if (purchase.trip !== undefined) return purchase;
  const there = others.filter((other) => other.id !== purchase.id && isSameStore(other, purchase));
  const isSettled = there.some(({ shipping }) => shipping !== undefined);
  return {
    ...purchase,
    trip: there.length > 0 ? 0 : charges.trip,
    ...(isSettled || charges.shipping === null ? {} : { shipping: charges.shipping }),
  };
};

/**
 * Purchases of before trips and shipping were recorded, with what they come to at the stores of today: the first of a store
 * by date has both. Purchases that were recorded with theirs are as they were.
 */
export const chargedOnce = (purchases: Purchase[], stores: Book['stores']): Purchase[] => {
  if (purchases.every(({ trip }) => trip !== undefined)) return purchases;
  const byDate = [...purchases].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
  const charged = new Map<string, Purchase>();
  for (const purchase of byDate) {
    const store = stores[purchase.storeId];
    const goods = goodsOf(purchases.filter((other) => isSameStore(other, purchase)));
    const charges = { trip: store?.trip ?? 0, shipping: shippingFor(store?.shipping ?? null, goods) };
    charged.set(purchase.id, withCharges(purchase, charges, [...charged.values()]));
  }
  return purchases.map((purchase) => charged.get(purchase.id) ?? purchase);
};

/** A project whose purchases all say what trip and shipping came to; see `chargedOnce`. Itself where they do. */
export const withRecordedCharges = (project: Project, stores: Book['stores']): Project => {
  const purchases = chargedOnce(project.purchases, stores);
  return purchases === project.purchases ? project : { ...project, purchases };
};

/** Purchases without one of them: its trip and shipping go to another of the same store, which was reached by it. */
export const withoutPurchase = (purchases: Purchase[], id: string): Purchase[] => {
  const gone = purchases.find((purchase) => purchase.id === id);
  const left = purchases.filter((purchase) => purchase.id !== id);
  const heir = gone && left.find((purchase) => isSameStore(purchase, gone));
  if (!heir) return left;
  const shipping = heir.shipping ?? gone.shipping;
  const kept: Purchase = {
    ...heir,
    trip: (heir.trip ?? 0) + (gone.trip ?? 0),
    ...(shipping === undefined ? {} : { shipping }),
  };
  return left.map((purchase) => (purchase.id === heir.id ? kept : purchase));
};
