import { categoryOf, ledgerOf, paidFor, purchaseLine, takeBack, type Entry } from '../budget';
import { parseCount, parseMoney, writeMoney, type LengthUnit, type Minor, isDay } from '../units';
import {
  CATEGORIES,
  keptQuantity,
  tagName,
  type Book,
  type Category,
  type Item,
  type Project,
  type Purchase,
  type PurchaseLine,
} from '../project';
import type { Problem, Result } from '../result';
import { nameKey } from '../lumber';
import { withUnit } from './partsCsv';
import { ITEM_KINDS, readItem } from './readItem';
import { rowReader } from './rowReader';
import { readTable, writeTable } from './table';

const ROWS = ['bought', 'returned', 'receipt', 'trip'] as const;
const COLUMNS = [
  'date',
  'store',
  'item',
  'qty',
  'pack',
  'price',
  'tax',
  'paid',
  'category',
  'note',
  'row',
  'kind',
  'section',
  'length',
  'width',
  'material',
] as const;

/** A ledger as CSV (RFC 4180), oldest first; money in main units, `price` without tax. What was taken back is below nothing. */
export const writeLedger = (entries: Entry[], currency: string, unit: LengthUnit): string => {
  const money = (minor: Minor) => writeMoney(minor, currency);
  return writeTable(
    COLUMNS,
    oldestFirst(entries).map((entry) => ({
      date: entry.date,
      store: entry.store,
      item: entry.item,
      qty: String(entry.quantity),
      pack: String(entry.pack),
      price: money(entry.price),
      tax: money(entry.tax),
      paid: money(paidFor(entry)),
      category: entry.category,
      note: entry.note,
      row: entry.kind,
      kind: entry.thing?.kind ?? '',
      section: entry.thing?.section ?? '',
      length: withUnit(entry.thing?.length ?? null, unit),
      width: withUnit(entry.thing?.width ?? null, unit),
      material: entry.thing?.material ?? '',
    })),
  );
};

/** Purchases by their day, the oldest first. */
export const oldestFirst = (entries: Entry[]): Entry[] =>
  [...entries].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));

/** One record of a ledger file. */
export interface LedgerRow {
  line: number;
  row: (typeof ROWS)[number];
  date: string;
  store: string;
  item: Item;
  /** Below nothing: taken back. */
  quantity: number;
  pack: number;
  /** With tax. */
  paid: Minor;
  /** Null: told apart by the store's rate. */
  tax: Minor | null;
  category: Category;
  note: string;
}

/** Reads a ledger file. All faults at once. Needed are date, store, item, and what was paid: `paid`, or `price` and `tax`. */
export const readLedger = (
  text: string,
  file: string,
  unit: LengthUnit,
  currency: string,
): Result<LedgerRow[]> => {
  const table = readTable(text, file, COLUMNS, ['date', 'store', 'item']);
  if (!table.ok) return table;
  const problems: Problem[] = [];
  const rows = table.value.rows.map((record): LedgerRow => {
    const reader = rowReader(record, file, unit);
    const { faults, cell, fault, read, oneOf } = reader;
    const signed = (column: string, parse: (plain: string) => Result<number>): number | null => {
      const written = cell(column);
      if (written === '') return null;
      const plain = written.replace(/^[-−]\s*/, '');
      const value = read(column, parse(plain));
      return value === null ? null : plain === written ? value : -value;
    };
    const money = (column: string) => signed(column, (plain) => parseMoney(plain, currency));
    const row = oneOf('row', ROWS, 'bought');
    if (!isDay(cell('date'))) fault('date', `"${cell('date')}" is not a date; write it as 2026-05-31`);
    if (cell('store') === '') fault('store', 'the store is missing; any name will do');
    const kind = oneOf('kind', ITEM_KINDS, 'hardware');
    const item =
      row === 'bought' || row === 'returned'
        ? readItem(reader, kind)
        : { kind, name: cell('item'), section: '', length: null, width: null, material: '' };
    const [price, tax, paid] = [money('price'), money('tax'), money('paid')];
    const sum = paid ?? (price === null ? null : price + (tax ?? 0));
    if (sum === null)
      fault('paid', 'what was paid is missing; write it with tax, or the price and the tax of it');
    if (paid !== null && price !== null && tax !== null && paid !== price + tax)
      fault('paid', `${cell('paid')} is not the sum of price and tax, ${writeMoney(price + tax, currency)}`);
    const quantity = signed('qty', parseCount) ?? 1;
    const pack = cell('pack') === '' ? 1 : (read('pack', parseCount(cell('pack'))) ?? 1);
    const category = oneOf('category', CATEGORIES, categoryOf(item));
    problems.push(...faults);
    return {
      line: record.line,
      row,
      date: cell('date'),
      store: cell('store'),
      item,
      quantity,
      pack,
      paid: sum ?? 0,
      tax: price === null && paid !== null ? null : tax,
      category,
      note: cell('note'),
    };
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: rows };
};

/** What a ledger file brings to a project. */
export interface LedgerTaken {
  /** New purchases, and those that change. */
  purchases: Purchase[];
  added: LedgerRow[];
  /** Rows that the ledger has already. */
  known: LedgerRow[];
  /** Rows that are not taken, and why. */
  passed: { row: LedgerRow; sentence: string }[];
}

/**
 * Rows of a file as purchases: those of a store and a day are one. Rows that are there already, line for line, are left out;
 * what was taken back goes to the line it was bought by; trips are reckoned from the price book.
 */
export const takeLedger = (
  rows: LedgerRow[],
  project: Project,
  book: Book,
  newId: () => string,
): LedgerTaken => {
  const held = new Map<string, number>();
  const count = (key: string, by: number) => held.set(key, (held.get(key) ?? 0) + by);
  for (const entry of ledgerOf(project))
    count(keyOf({ ...entry, name: entry.item, paid: paidFor(entry) }), 1);
  const taken: LedgerTaken = { purchases: [], added: [], known: [], passed: [] };
  const made = new Map<string, Purchase>();
  const put = (purchase: Purchase) => {
    made.set(purchase.id, purchase);
    taken.purchases = [...taken.purchases.filter(({ id }) => id !== purchase.id), purchase];
  };
  for (const row of rows) {
    const key = keyOf({ ...row, name: tagName(row.item) });
    if ((held.get(key) ?? 0) > 0) {
      count(key, -1);
      taken.known.push(row);
    } else if (row.row === 'trip')
      taken.passed.push({ row, sentence: 'Billet reckons trips and shipping from the price book.' });
    else if (row.row === 'receipt')
      taken.passed.push({
        row,
        sentence: 'What a receipt differs by is kept with its purchase; write the receipt’s total there.',
      });
    else if (row.quantity < 0 || row.row === 'returned') takeReturn(row);
    else takeBought(row);
  }
  return taken;

  function takeBought(row: LedgerRow): void {
    const store = Object.values(book.stores).find(
      ({ name, currency }) => nameKey(name) === nameKey(row.store) && currency === project.currency,
    );
    const open = taken.purchases.find(
      (purchase) =>
        !project.purchases.some(({ id }) => id === purchase.id) &&
        purchase.date === row.date &&
        nameKey(purchase.store) === nameKey(row.store),
    );
    const purchase = open ?? {
      id: newId(),
      date: row.date,
      storeId: store?.id ?? '',
      store: store?.name ?? row.store,
      note: '',
      lines: [],
    };
    put({ ...purchase, lines: [...purchase.lines, lineOf(row, store ?? { taxFree: false }, project)] });
    taken.added.push(row);
  }

  function takeReturn(row: LedgerRow): void {
    const all = [...taken.purchases, ...project.purchases.filter(({ id }) => !made.has(id))];
    const many = Math.abs(row.quantity);
    for (const purchase of all) {
      const index = purchase.lines.findIndex(
        (line) => nameKey(tagName(line.item)) === nameKey(tagName(row.item)) && keptQuantity(line) >= many,
      );
      if (index < 0 || nameKey(purchase.store) !== nameKey(row.store)) continue;
      put(
        takeBack(purchase, index, {
          id: newId(),
          date: row.date,
          quantity: many,
          refund: Math.abs(row.paid),
          tax: row.tax === null ? null : Math.abs(row.tax),
        }),
      );
      taken.added.push(row);
      return;
    }
    taken.passed.push({
      row,
      sentence: `No ${tagName(row.item)} was bought at ${row.store} that could be taken back.`,
    });
  }
};

const lineOf = (
  row: LedgerRow,
  store: Parameters<typeof purchaseLine>[4],
  project: Project,
): PurchaseLine => ({
  ...purchaseLine(row.item, row.pack, row.quantity, row.paid, store, project.settings, project.currency),
  ...(row.tax === null ? {} : { price: row.paid - row.tax, tax: row.tax }),
  category: row.category,
  ...(row.note === '' ? {} : { note: row.note }),
});

const keyOf = ({
  date,
  store,
  name,
  quantity,
  paid,
}: {
  date: string;
  store: string;
  name: string;
  quantity: number;
  paid: Minor;
}): string => [date, nameKey(store), nameKey(name), quantity, paid].join('\n');
