import type { Minor } from '../measure';
import {
  tagName,
  type Book,
  type Category,
  type Project,
  type Purchase,
  type PurchaseLine,
} from '../project';
import { shownPlan, type Plan } from '../plan';
import { tripsPaid } from './money';
import { categoryOf } from './purchase';

/** One line of the ledger: what was paid for one thing on one day, or for going there. */
export interface Entry {
  /** The purchase it is a line of; null: it follows from the purchases, as trips and shipping do. */
  purchaseId: string | null;
  /** Its place in that purchase. */
  line: number;
  /** ISO date. */
  date: string;
  storeId: string;
  store: string;
  item: string;
  quantity: number;
  pack: number;
  /** Without tax. */
  price: Minor;
  tax: Minor;
  category: Category;
  note: string;
}

/**
 * Everything that was paid for a project, the newest first: a line for each thing, and for each store the trip and
 * shipping that its purchases brought with them. Its sum is what `projectMoney` calls spent.
 */
export const ledgerOf = (project: Project, book: Book, plan: Plan | null): Entry[] => {
  const bought = project.purchases.flatMap((purchase) => purchase.lines.map((line, index) => entryOf(purchase, line, index)));
  const trips = [...tripsPaid(project, book, plan)].flatMap(([storeId, paid]): Entry[] => {
    const first = bought.filter((entry) => entry.storeId === storeId).reduce((a, b) => (b.date < a.date ? b : a));
    return paid === 0 ? [] : [{ ...first, purchaseId: null, line: 0, item: 'trip and shipping', quantity: 1, pack: 1, price: paid, tax: 0, category: 'trips', note: '' }];
  });
  return [...bought, ...trips].sort((a, b) => (a.date === b.date ? a.store.localeCompare(b.store) || a.item.localeCompare(b.item) : a.date < b.date ? 1 : -1));
}; // prettier-ignore

const entryOf = (
  { id, date, storeId, store, note }: Purchase,
  { item, pack, quantity, price, tax, category }: PurchaseLine,
  line: number,
): Entry => ({ purchaseId: id, line, date, storeId, store, item: tagName(item), quantity, pack, price, tax, category, note }); // prettier-ignore

/** With tax. */
export const paidFor = ({ price, tax }: Entry): Minor => price + tax;

/** What a ledger can be summed by. */
export const GROUPINGS = ['category', 'store', 'month', 'item'] as const;
export type Grouping = (typeof GROUPINGS)[number];

const KEYS: Record<Grouping, (entry: Entry) => string> = {
  category: ({ category }) => category,
  store: ({ store }) => store,
  month: ({ date }) => date.slice(0, 7),
  item: ({ item }) => item,
};

/** Sums of some entries by one of their sides, the largest first. Whole minor units: no order of entry changes a sum. */
export const totalsBy = (entries: Entry[], grouping: Grouping): { key: string; paid: Minor; count: number }[] => {
  const sums = new Map<string, { key: string; paid: Minor; count: number }>();
  for (const entry of entries) {
    const key = KEYS[grouping](entry);
    const held = sums.get(key) ?? { key, paid: 0, count: 0 };
    sums.set(key, { key, paid: held.paid + paidFor(entry), count: held.count + 1 });
  }
  return [...sums.values()].sort((a, b) => b.paid - a.paid || (a.key < b.key ? -1 : 1));
}; // prettier-ignore

/** Entries in which all words of a search stand, in whatever order and case. */
export const searchLedger = (entries: Entry[], words: string): Entry[] => {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter((entry) => {
    const text = `${entry.date} ${entry.store} ${entry.item} ${entry.category} ${entry.note}`.toLowerCase();
    return wanted.every((word) => text.includes(word));
  });
};

/** What a project is planned to cost and has cost, by category: planned is what was paid and what is still to buy. */
export const byCategory = (
  entries: Entry[],
  plan: Plan | null,
): { category: Category; spent: Minor; toBuy: Minor }[] => {
  const sums = new Map<Category, { category: Category; spent: Minor; toBuy: Minor }>();
  const add = (category: Category, spent: Minor, toBuy: Minor) => {
    const held = sums.get(category) ?? { category, spent: 0, toBuy: 0 };
    sums.set(category, { category, spent: held.spent + spent, toBuy: held.toBuy + toBuy });
  };
  for (const entry of entries) add(entry.category, paidFor(entry), 0);
  const shown = shownPlan(plan);
  for (const { kind, item, paid } of shown?.buys ?? []) add(categoryOf({ kind, name: item }), 0, paid);
  const beside = (shown?.total ?? 0) - (shown?.buys ?? []).reduce((sum, { paid }) => sum + paid, 0);
  if (beside !== 0) add('trips', 0, beside);
  return [...sums.values()].sort((a, b) => b.spent + b.toBuy - a.spent - a.toBuy);
};
