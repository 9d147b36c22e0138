import type { LengthUnit } from '../units';
import type { Book, Price, Store } from '../project';
import { weigh, type Change, type Meaning } from '../pricing';
import type { Problem, Result } from '../result';
import { readPriceSheet, type PriceRow, type SheetReading } from './pricesCsv';
import { storesByName } from './takePrices';

/** One row of a sheet, weighed against the book. */
export interface PreviewRow extends Change {
  line: number;
  store: string;
}

/** What taking a sheet would mean, before anything is taken. */
export interface Preview {
  /** In the order of the sheet. */
  rows: PreviewRow[];
  counts: Record<Meaning, number>;
  /** Stores that are not in the book yet. */
  stores: Store[];
  /** Of rows that cannot be read, with file and line; they are left out. */
  problems: Problem[];
}

/** By what a sheet of prices is read: the file's name, its unit, currency and columns. */
export interface PreviewOptions {
  file: string;
  unit: LengthUnit;
  currency: string;
  /** A row without a date counts as seen on it. */
  today: string;
  newId: () => string;
  reading?: SheetReading;
}

/** Reads a sheet of prices and weighs it row by row against the book. Problems: of the sheet as a whole. */
export const previewPrices = (text: string, book: Book, options: PreviewOptions): Result<Preview> => {
  const sheet = readPriceSheet(text, options.file, options.unit, options.reading);
  if (!sheet.ok) return sheet;
  const named = withStores(sheet.value.rows, book, options);
  const changes = weigh(
    named.rows.map(({ price }) => price),
    {
      ...book,
      stores: { ...book.stores, ...Object.fromEntries(named.stores.map((store) => [store.id, store])) },
    },
  );
  const rows = changes.map((change, index): PreviewRow => {
    const row = named.rows[index];
    return { ...change, line: row?.line ?? 0, store: row?.store ?? '' };
  });
  const counts: Preview['counts'] = { new: 0, changed: 0, history: 0, conflict: 0, same: 0 };
  for (const { meaning } of rows) counts[meaning]++;
  return { ok: true, value: { rows, counts, stores: named.stores, problems: sheet.value.problems } };
};

interface Named {
  line: number;
  store: string;
  price: Price;
}

/** Rows with their store's id: one of the book's in that currency by its name, else a new one. */
const withStores = (
  rows: PriceRow[],
  book: Book,
  { currency, today, newId }: PreviewOptions,
): { rows: Named[]; stores: Store[] } => {
  const { storeOf, added } = storesByName(book, currency, newId);
  return {
    stores: added,
    rows: rows.map(({ line, store: name, price }) => {
      const held = storeOf(name);
      return {
        line,
        store: held.name,
        price: { ...price, id: newId(), storeId: held.id, date: price.date ?? today },
      };
    }),
  };
};
