import type { LengthUnit } from '../units';
import type { Book, Kind } from '../project';
import { nameKey } from '../lumber';
import { comparedBy, perPiece, pieceBy } from './compared';
import { isStale } from './history';
import { newestOf, type Offer } from './offers';
import type { Need } from './needs';

/** One thing and what each store asks for it. */
export interface GridRow {
  key: string;
  name: string;
  kind: Kind;
  section: string;
  material: string;
  /** By store: the cheapest by the piece first. */
  cells: Record<string, Offer[]>;
  /** Key of the offer that is cheapest by the piece, where more than one store has it; out of stock does not count. */
  cheapest: string | null;
  /** The least that one piece costs by the unit in which its kind compares; null where that cannot be told. */
  least: number | null;
  isNeeded: boolean;
  isStale: boolean;
}

/** When a price of an offer was last known to hold: when it was seen, or when the service of its store was last looked at. */
export const knownOn = (offer: Offer, book: Book): string | null => {
  const { date, source } = newestOf(offer);
  const taken = source === 'service' ? (book.stores[offer.storeId]?.feed?.taken ?? null) : null;
  return taken !== null && taken > (date ?? '') ? taken : date;
};

/** By what a table of prices is made: the unit lengths are read in, when a price is old, and what the project needs. */
export interface GridOptions {
  unit: LengthUnit;
  today: string;
  staleAfter: number;
  needs: Need[];
}

/** Offers as rows of things: wood of one size and material, hardware of one name. What is needed comes first. */
export const gridRows = (offers: Offer[], book: Book, options: GridOptions): GridRow[] => {
  const needed = new Set(options.needs.flatMap(({ offers: fitting }) => fitting.map(({ key }) => key)));
  const rows = new Map<string, GridRow>();
  for (const offer of offers) {
    const key = offer.rough ? `rough:${offer.itemKey}` : offer.itemKey;
    const row = rows.get(key) ?? newRow(key, offer);
    (row.cells[offer.storeId] ??= []).push(offer);
    row.isNeeded ||= needed.has(offer.key);
    row.isStale ||= isStale(knownOn(offer, book), options.today, options.staleAfter);
    rows.set(key, row);
  }
  for (const row of rows.values()) rank(row, options.unit);
  return [...rows.values()].sort(byNeed);
};

const newRow = (key: string, { name, item }: Offer): GridRow => ({
  key,
  name,
  kind: item.kind,
  section: item.section,
  material: item.material,
  cells: {},
  cheapest: null,
  least: null,
  isNeeded: false,
  isStale: false,
});

const rank = (row: GridRow, unit: LengthUnit): void => {
  for (const cell of Object.values(row.cells)) cell.sort((a, b) => perPiece(a) - perPiece(b));
  const sold = Object.values(row.cells)
    .flatMap(([first]) => (first && first.available !== 0 ? [first] : []))
    .sort((a, b) => perPiece(a) - perPiece(b));
  const [least] = sold;
  row.cheapest = sold.length > 1 && least ? least.key : null;
  row.least = least ? pieceBy(least, comparedBy(row.kind, unit)) : null;
};

const KINDS: Kind[] = ['board', 'sheet', 'hardware'];

const byName = (a: GridRow, b: GridRow): number =>
  KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind) ||
  collator.compare(a.section, b.section) ||
  collator.compare(a.material, b.material) ||
  collator.compare(a.name, b.name);

const collator = new Intl.Collator('en', { numeric: true });

const byNeed = (a: GridRow, b: GridRow): number => Number(b.isNeeded) - Number(a.isNeeded) || byName(a, b);

/** How a grid may be sorted. */
export type GridOrder = 'needed' | 'name' | 'price';

/** Which rows are looked at: words of the name, and one choice for each of the rest; blank: any. */
export interface GridFilter {
  words: string;
  section: string;
  material: string;
  storeId: string;
  age: '' | 'old' | 'missing';
}

/** Everything is shown. */
export const NO_FILTER: GridFilter = { words: '', section: '', material: '', storeId: '', age: '' };

/** The rows that a filter leaves, in an order. `stores` are those that a row can lack a price of. */
export const filteredRows = (
  rows: GridRow[],
  filter: GridFilter,
  order: GridOrder,
  stores: number,
): GridRow[] => {
  const words = nameKey(filter.words).split(' ').filter(Boolean);
  const left = rows.filter(
    (row) =>
      words.every((word) => nameKey(`${row.name} ${row.section} ${row.material}`).includes(word)) &&
      (filter.section === '' || row.section === filter.section) &&
      (filter.material === '' || nameKey(row.material) === nameKey(filter.material)) &&
      (filter.storeId === '' || filter.storeId in row.cells) &&
      (filter.age !== 'old' || row.isStale) &&
      (filter.age !== 'missing' || Object.keys(row.cells).length < stores),
  );
  if (order === 'needed') return left;
  return order === 'name'
    ? left.sort(byName)
    : left.sort((a, b) => (a.least ?? Infinity) - (b.least ?? Infinity) || byName(a, b));
};
