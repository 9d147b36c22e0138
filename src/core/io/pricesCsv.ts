import { MICROS, parseCount, parseDecimal, parseTag, type LengthUnit, type Micros, isDay } from '../units';
import { amountOf } from '../pricing';
import {
  type Book,
  type Item,
  type Kind,
  type PackWeight,
  type Price,
  type PriceUnit,
  type Rough,
} from '../project';
import type { Problem, Result } from '../result';
import { ITEM_KINDS, readItem } from './readItem';
import { rowReader, type RowReader } from './rowReader';
import { readTable, unknownCells, writeTable, type TableRow } from './table';
import { withUnit } from './partsCsv';

const COLUMNS = [
  'store',
  'item',
  'kind',
  'section',
  'length',
  'width',
  'material',
  'price',
  'unit',
  'pack',
  'available',
  'unusable',
  'min_qty',
  'date',
] as const;
const UNITS: readonly PriceUnit[] = ['each', 'ft', 'm', 'bf', 'sqft', 'm2', 'm3', 'pack'];

/** Columns of our own, beside those of the contract: written only where a price has what they tell. */
const OWN_COLUMNS = [
  'billet_note',
  'billet_weight',
  'billet_per_weight',
  'billet_planing',
  'billet_waste',
] as const;

/** A row of prices.csv: a price and the name of its store, and the line on which it begins. */
export interface PriceRow {
  store: string;
  line: number;
  price: Omit<Price, 'id' | 'storeId'>;
}

/** How a sheet with other headings is read. */
export interface SheetReading {
  /** What each heading stands for; blank or absent: nothing. */
  columns: Record<string, PriceColumn | ''>;
  /** The store of rows that name none. */
  store: string;
}

/** A column of prices.csv. */
export type PriceColumn = (typeof COLUMNS)[number];
/** The columns of prices.csv, in their order. */
export const PRICE_COLUMNS: readonly PriceColumn[] = COLUMNS;

/** The rows that can be read, and what is wrong in the others, line by line. */
export interface PriceSheet {
  rows: PriceRow[];
  problems: Problem[];
}

/** Reads prices.csv (formats.md). Bare lengths take `unit`. All faults at once. */
export const readPrices = (text: string, file: string, unit: LengthUnit): Result<PriceRow[]> => {
  const sheet = readPriceSheet(text, file, unit);
  if (!sheet.ok) return sheet;
  const { rows, problems } = sheet.value;
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: rows };
};

/**
 * As readPrices, but what is right is read though other rows are wrong; by `reading` where the sheet has headings of
 * its own. Problems: of the sheet as a whole.
 */
export const readPriceSheet = (
  text: string,
  file: string,
  unit: LengthUnit,
  reading?: SheetReading,
): Result<PriceSheet> => {
  const columnOf = reading && ((heading: string) => reading.columns[heading] || heading);
  const required = reading && reading.store.trim() !== '' ? ['price'] : ['store', 'price'];
  const table = readTable(text, file, [...COLUMNS, ...OWN_COLUMNS], required, columnOf);
  if (!table.ok) return table;
  const sheet: PriceSheet = { rows: [], problems: [] };
  const items = new Map<string, Item>();
  for (const row of table.value.rows) {
    const read = readPrice(row, file, unit, items, reading);
    if (read.faults.length > 0) sheet.problems.push(...read.faults);
    else sheet.rows.push(read.row);
  }
  return { ok: true, value: sheet };
};

/** What a row is the price of. Rows of one thing share it: a long sheet has far fewer things than rows. */
const sharedItem = (reader: RowReader, kind: Kind, items: Map<string, Item>): Item => {
  const { cell, fault, faults } = reader;
  const key = [
    kind,
    cell('item'),
    cell('section'),
    cell('length'),
    cell('width'),
    cell('material'),
    cell('unusable'),
  ].join('|');
  const held = items.get(key);
  if (held) return held;
  const item = readItem(reader, kind);
  const unusable = kind === 'hardware' || cell('unusable') === '' ? null : reader.lengthOrZero('unusable');
  if (unusable && item.length && unusable.ticks >= item.length.ticks)
    fault('unusable', `"${cell('unusable')}" is all of its length; nothing could be cut from it`);
  if (unusable && unusable.ticks > 0) item.unusable = unusable;
  if (kind !== 'hardware' && item.material.includes('|'))
    fault('material', `"${item.material}" is more than one material; a price is for one`);
  if (faults.length === 0) items.set(key, item);
  return item;
};

/** What is wrong with the unit of a price, by column; `isRead`: the item came out without a fault. */
const unitFaults = (item: Item, unit: PriceUnit, pack: number, isRead: boolean): [string, string][] => {
  if (unit === 'each' || unit === 'pack') return [];
  const found: [string, string][] = [];
  if (item.kind === 'hardware') found.push(['unit', `hardware is not priced by ${unit}; write each or pack`]);
  if (pack !== 1) found.push(['pack', `a price by ${unit} is for one piece; leave the pack at 1`]);
  if (found.length === 0 && isRead && amountOf(item, unit) === null)
    found.push(['unit', `a ${item.kind} cannot be priced by ${unit}`]);
  return found;
};

const readPrice = (
  row: TableRow,
  file: string,
  lengthUnit: LengthUnit,
  items: Map<string, Item>,
  reading: SheetReading | undefined,
): { row: PriceRow; faults: Problem[] } => {
  const reader = rowReader(row, file, lengthUnit);
  const { faults, cell, fault, read, oneOf, lengthOrZero } = reader;
  const count = (column: string): number =>
    cell(column) === '' ? 1 : (read(column, parseCount(cell(column))) ?? 1);

  const store = cell('store') || (reading?.store ?? '');
  if (store === '') fault('store', 'the store is missing');
  const kind = oneOf('kind', ITEM_KINDS, 'board');
  const item = sharedItem(reader, kind, items);
  const price = priceOf();
  const unit = oneOf<PriceUnit>('unit', UNITS, kind === 'hardware' ? 'pack' : 'each');
  const pack = count('pack');
  for (const [column, sentence] of unitFaults(item, unit, pack, faults.length === 0)) fault(column, sentence);
  const available = availableOf();
  if (cell('date') !== '' && !isDay(cell('date')))
    fault('date', `"${cell('date')}" is not a date; write it as 2026-05-31`);
  const weight = weightOf();
  const rough = roughOf();
  const extra = unknownCells(row.cells, [...COLUMNS, ...OWN_COLUMNS]);
  return {
    row: {
      store,
      line: row.line,
      price: {
        item,
        price,
        unit,
        pack,
        minQty: count('min_qty'),
        available,
        date: cell('date') || null,
        source: 'file',
        note: cell('billet_note'),
        ...(weight ? { weight } : {}),
        ...(rough ? { rough } : {}),
        ...(extra ? { extra } : {}),
      },
    },
    faults,
  };

  /** A sheet of another make may write the currency with its prices. */
  function priceOf(): Micros {
    if (cell('price') === '') {
      fault('price', 'the price is missing');
      return 0;
    }
    if (reading) return Math.round(read('price', parseTag(cell('price'))) ?? 0);
    return Math.round((read('price', parseDecimal(cell('price'))) ?? 0) * MICROS);
  }

  /** Null: as many as one likes. */
  function availableOf(): number | null {
    if (cell('available') === '') return null;
    return cell('available') === '0' ? 0 : read('available', parseCount(cell('available')));
  }

  function weightOf(): PackWeight | null {
    if (cell('billet_weight') === '') return null;
    const [, amount = '', weighed = ''] = /^([\d.,]+) ?(lb|kg)$/i.exec(cell('billet_weight')) ?? [];
    const pieces = read('billet_per_weight', parseDecimal(cell('billet_per_weight')));
    if (amount === '')
      fault('billet_weight', `"${cell('billet_weight')}" is not a weight; write it as 5 lb or 2.5 kg`);
    const heavy = amount === '' ? null : read('billet_weight', parseDecimal(amount));
    return heavy && pieces
      ? { amount: heavy, unit: weighed.toLowerCase() as PackWeight['unit'], pieces }
      : null;
  }

  function roughOf(): Rough | null {
    if (cell('billet_planing') === '') return null;
    const planing = lengthOrZero('billet_planing');
    const waste = cell('billet_waste') === '' ? 0 : read('billet_waste', parseDecimal(cell('billet_waste')));
    return planing && waste !== null ? { planing, waste } : null;
  }
};

/** Writes prices as prices.csv, the stores of `currency` alone: the file has no column for it. */
export const writePrices = (book: Book, currency: string, unit: LengthUnit): string => {
  const prices = Object.values(book.prices).filter(
    ({ storeId }) => book.stores[storeId]?.currency === currency,
  );
  const own = OWN_COLUMNS.filter((column) => prices.some((price) => ownCell(price, column, unit) !== ''));
  return writeTable(
    [...COLUMNS, ...own],
    prices.map((price) => ({
      ...price.extra,
      store: book.stores[price.storeId]?.name ?? '',
      item: price.item.name,
      kind: price.item.kind,
      section: price.item.section,
      length: withUnit(price.item.length, unit),
      width: withUnit(price.item.width, unit),
      material: price.item.material,
      price: String(price.price / MICROS),
      unit: price.unit,
      pack: String(price.pack),
      available: price.available === null ? '' : String(price.available),
      unusable: withUnit(price.item.unusable ?? null, unit),
      min_qty: String(price.minQty),
      date: price.date ?? '',
      ...Object.fromEntries(own.map((column) => [column, ownCell(price, column, unit)])),
    })),
  );
};

const ownCell = (
  { note, weight, rough }: Price,
  column: (typeof OWN_COLUMNS)[number],
  unit: LengthUnit,
): string => {
  switch (column) {
    case 'billet_note':
      return note;
    case 'billet_weight':
      return weight ? `${weight.amount} ${weight.unit}` : '';
    case 'billet_per_weight':
      return weight ? String(weight.pieces) : '';
    case 'billet_planing':
      return rough ? withUnit(rough.planing, unit) : '';
    case 'billet_waste':
      return rough ? String(rough.waste) : '';
  }
};
