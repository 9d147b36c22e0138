import type { Minor } from '../units';
import {
  chargesOf,
  receiptGap,
  tagName,
  type Category,
  type Item,
  type Project,
  type Purchase,
  type Share,
} from '../project';
import { planCost, shownPlan, type Plan } from '../plan';
import type { TypedPriceLine } from './typedPriceLines';
import { categoryOf } from './purchase';

/** One line of the ledger: what was paid for one thing on one day, or for going there. */
export interface Entry {
  kind: 'bought' | 'returned' | 'receipt' | 'trip';
  /** The purchase it is of. */
  purchaseId: string;
  /** Its place in that purchase; -1: none of its lines. */
  line: number;
  /** ISO date. */
  date: string;
  storeId: string;
  store: string;
  item: string;
  /** The thing itself; null: it is none. */
  thing: Item | null;
  quantity: number;
  pack: number;
  /** Without tax. */
  price: Minor;
  tax: Minor;
  category: Category;
  note: string;
  /** It is in the cart, and not paid yet. */
  isOpen: boolean;
  share: Share | null;
}

/**
 * Everything that was paid for a project, the newest first: a line for each thing, and for the trip and shipping that a
 * purchase was recorded with. Its sum is what `projectMoney` calls spent.
 */
export const ledgerOf = (project: Project): Entry[] =>
  project.purchases
    .flatMap(entriesOf)
    .sort((a, b) =>
      a.date === b.date
        ? a.store.localeCompare(b.store) || a.item.localeCompare(b.item)
        : a.date < b.date
          ? 1
          : -1,
    );

/** The entry for going to the store of a purchase; none where that cost nothing. */
const tripEntry = (purchase: Purchase): Entry[] => {
  const paid = chargesOf(purchase);
  if (paid === 0) return [];
  const { id, date, storeId, store, isOpen = false } = purchase;
  return [
    {
      kind: 'trip',
      purchaseId: id,
      line: -1,
      date,
      storeId,
      store,
      item: 'trip and shipping',
      thing: null,
      quantity: 1,
      pack: 1,
      price: paid,
      tax: 0,
      category: 'trips',
      note: '',
      isOpen,
      share: null,
    },
  ];
};

/** What a purchase brings to the ledger: its lines, what was taken back of them, and what its receipt differs by. */
const entriesOf = (purchase: Purchase): Entry[] => {
  const { id, date, storeId, store, note, isOpen = false } = purchase;
  const of = { purchaseId: id, storeId, store, isOpen };
  const lines = purchase.lines.flatMap((line, index): Entry[] => {
    const { item, pack, quantity, price, tax, category, share = null, returned = [] } = line;
    const same = { ...of, line: index, item: tagName(item), thing: item, pack, category, share };
    return [
      {
        ...same,
        kind: 'bought',
        date,
        quantity,
        price,
        tax,
        note: [line.note, note].filter(Boolean).join(', '),
      },
      ...returned.map((back): Entry => ({
        ...same,
        kind: 'returned',
        date: back.date,
        quantity: -back.quantity,
        price: -back.price,
        tax: -back.tax,
        note: 'taken back',
      })),
    ];
  });
  const gap = receiptGap(purchase);
  lines.push(...tripEntry(purchase));
  if (gap.price === 0 && gap.tax === 0) return lines;
  const isRounding = Math.abs(gap.price + gap.tax) <= purchase.lines.length;
  return [
    ...lines,
    {
      ...of,
      ...gap,
      kind: 'receipt',
      line: -1,
      date,
      item: isRounding ? 'rounding at the till' : 'on the receipt, in no line',
      thing: null,
      quantity: 1,
      pack: 1,
      category: 'other',
      note: '',
      share: null,
    },
  ];
};

/** With tax. */
export const paidFor = ({ price, tax }: Entry): Minor => price + tax;

/** What several entries came to, with tax. */
export const paidInAll = (entries: Entry[]): Minor => entries.reduce((sum, entry) => sum + paidFor(entry), 0);

/** What a ledger can be summed by. */
export const GROUPINGS = ['category', 'store', 'month', 'item'] as const;
/** By what the ledger is added up. */
export type Grouping = (typeof GROUPINGS)[number];

const KEYS: Record<Grouping, (entry: Entry) => string> = {
  category: ({ category }) => category,
  store: ({ store }) => store,
  month: ({ date }) => date.slice(0, 7),
  item: ({ item }) => item,
};

/** The heading under which an entry goes. */
export const groupKey = (entry: Entry, grouping: Grouping): string => KEYS[grouping](entry);

/** Sums of some entries by one of their sides, the largest first. Whole minor units: no order of entry changes a sum. */
export const totalsBy = (
  entries: Entry[],
  grouping: Grouping,
): { key: string; paid: Minor; count: number }[] => {
  const sums = new Map<string, { key: string; paid: Minor; count: number }>();
  for (const entry of entries) {
    const key = KEYS[grouping](entry);
    const held = sums.get(key) ?? { key, paid: 0, count: 0 };
    sums.set(key, { key, paid: held.paid + paidFor(entry), count: held.count + 1 });
  }
  return [...sums.values()].sort((a, b) => b.paid - a.paid || (a.key < b.key ? -1 : 1));
};

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
  beside: TypedPriceLine[] = [],
): { category: Category; spent: Minor; toBuy: Minor }[] => {
  const sums = new Map<Category, { category: Category; spent: Minor; toBuy: Minor }>();
  const add = (category: Category, spent: Minor, toBuy: Minor) => {
    const held = sums.get(category) ?? { category, spent: 0, toBuy: 0 };
    sums.set(category, { category, spent: held.spent + spent, toBuy: held.toBuy + toBuy });
  };
  for (const entry of entries) add(entry.category, paidFor(entry), 0);
  const shown = shownPlan(plan);
  for (const { kind, item, costWithTax } of shown?.buys ?? [])
    add(categoryOf({ kind, name: item }), 0, costWithTax);
  const extras =
    (shown ? planCost(shown) : 0) -
    (shown?.buys ?? []).reduce((sum, { costWithTax }) => sum + costWithTax, 0);
  if (extras !== 0) add('trips', 0, extras);
  for (const { category, costWithTax } of beside) add(category, 0, costWithTax);
  return [...sums.values()].sort((a, b) => b.spent + b.toBuy - a.spent - a.toBuy);
};
