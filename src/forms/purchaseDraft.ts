import { purchaseLine } from '@/core/budget';
import { faultOf, type Problem, type Result } from '@/core/result';
import { isDay, parseCount, parseMoney, writeMoney, type Minor } from '@/core/units';
import {
  tagName,
  wholeLine,
  type Category,
  type PlanSettings,
  type Purchase,
  type PurchaseLine,
  type Store,
} from '@/core/project';
import { nameKey } from '@/core/lumber';

/** A line of a purchase that is being written: a new one, or one that is mended. */
export interface PurchaseAt {
  purchase: Purchase;
  line: number;
  isNew: boolean;
}

/** What is typed of it. */
export interface PurchaseDraft {
  item: string;
  store: string;
  /** Null: untouched, and follows the quantity. */
  paid: string | null;
  quantity: string;
  date: string;
  category: Category;
  tax: string;
  note: string;
}

/** What a draft is read against. `isPlanned`: thing and store are known from the plan, and the tax follows. */
export interface PurchaseContext {
  at: PurchaseAt;
  isPlanned: boolean;
  /** Stores of the book that it may be of. */
  stores: Store[];
  settings: PlanSettings;
  currency: string;
}

/** Money of a line as it was planned or recorded, with tax, in minor units. */
const plannedOf = (line: PurchaseLine): Minor => line.price + line.tax;

/** A purchase as its form shows it. */
export const draftOfPurchase = (
  { purchase, line: index, isNew }: PurchaseAt,
  isPlanned: boolean,
  currency: string,
): PurchaseDraft => {
  const line = purchase.lines[index];
  return {
    item: line ? tagName(line.item) : '',
    store: purchase.store,
    paid: isNew && !isPlanned ? '' : null,
    quantity: String(line?.quantity ?? 1),
    date: purchase.date,
    category: line?.category ?? 'other',
    tax: line && !isNew ? writeMoney(line.tax, currency) : '',
    note: line?.note ?? (purchase.lines.length === 1 ? purchase.note : ''),
  };
};

/** What is paid for so many where no sum is typed: the line's own money, by the piece; minor units. */
export const proposedSum = (line: PurchaseLine, quantity: string): Minor => {
  const count = parseCount(quantity);
  return count.ok ? Math.round((plannedOf(line) * count.value) / line.quantity) : plannedOf(line);
};

/** The purchase as it is written with the draft. Problems: places are fields of the draft. */
export const readPurchase = (draft: PurchaseDraft, context: PurchaseContext): Result<Purchase> => {
  const { at, isPlanned, currency } = context;
  const line = at.purchase.lines[at.line];
  const problems: Problem[] = [];
  const fault = (place: keyof PurchaseDraft, sentence: string | null) => {
    if (sentence !== null) problems.push({ code: 'purchase', place, sentence });
  };
  const sum: Result<Minor> =
    draft.paid === null
      ? { ok: true, value: line ? proposedSum(line, draft.quantity) : 0 }
      : parseMoney(draft.paid, currency);
  const count = parseCount(draft.quantity);
  // Untouched, it follows from what was paid by the store's rate.
  const isTaxTold = !isPlanned && draft.tax.trim() !== '' && draft.tax !== taxBefore(context);
  const tax = isTaxTold ? parseMoney(draft.tax, currency) : null;
  if (draft.item.trim() === '') fault('item', 'Say what it is, as the receipt does.');
  if (draft.store.trim() === '') fault('store', 'Say where: a store of the book, or any name.');
  fault('paid', faultOf(sum));
  fault('quantity', faultOf(count));
  if (!isDay(draft.date)) fault('date', `"${draft.date}" is not a date; write it as 2026-05-31.`);
  fault('tax', taxFaultOf(tax, sum));
  if (problems.length > 0 || !line || !sum.ok || !count.ok) return { ok: false, problems };
  const told = tax?.ok ? tax.value : null;
  return {
    ok: true,
    value: written(draft, context, line, { sum: sum.value, count: count.value, tax: told }),
  };
};

const taxBefore = ({ at, isPlanned, currency }: PurchaseContext): string =>
  draftOfPurchase(at, isPlanned, currency).tax;

const taxFaultOf = (tax: Result<Minor> | null, paid: Result<Minor>): string | null =>
  faultOf(tax) ??
  (tax?.ok && paid.ok && tax.value > paid.value ? 'The tax is more than all that was paid.' : null);

const written = (
  draft: PurchaseDraft,
  context: PurchaseContext,
  line: PurchaseLine,
  money: { sum: Minor; count: number; tax: Minor | null },
): Purchase => {
  const { purchase, line: index } = context.at;
  const known = context.stores.find(({ name }) => nameKey(name) === nameKey(draft.store));
  const item = line.item.kind === 'hardware' ? { ...line.item, name: draft.item.trim() } : line.item;
  const { note: _, share, ...held } = line;
  const note = draft.note.trim();
  const own: PurchaseLine = {
    ...held,
    ...moneyOf(item, line, known, context, money),
    item,
    quantity: money.count,
    category: draft.category,
    ...(share ? { share: { ...share, whole: wholeLine(line) - plannedOf(line) + money.sum } } : {}),
    ...(note === '' ? {} : { note }),
  };
  return {
    ...purchase,
    note: purchase.lines.length === 1 ? '' : purchase.note,
    date: draft.date,
    storeId: known?.id ?? '',
    store: known?.name ?? draft.store.trim(),
    lines: purchase.lines.map((other, place) => (place === index ? own : other)),
  };
};

/** Price and tax of what was paid: as it was told, as it was, or by the store's rate. */
const moneyOf = (
  item: PurchaseLine['item'],
  line: PurchaseLine,
  known: Store | undefined,
  { at, settings, currency }: PurchaseContext,
  { sum, count, tax }: { sum: Minor; count: number; tax: Minor | null },
): Partial<PurchaseLine> => {
  if (tax !== null) return { price: sum - tax, tax };
  if (sum === plannedOf(line) && known?.id === at.purchase.storeId) return {};
  return purchaseLine(item, line.pack, count, sum, known ?? { taxFree: false }, settings, currency);
};
