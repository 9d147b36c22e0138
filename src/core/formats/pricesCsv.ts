import { MICROS, parseCount, parseDecimal, type LengthUnit } from '../measure';
import { amountOf } from '../prices';
import {
  emptyStore,
  itemKey,
  itemName,
  tagName,
  type Book,
  type Item,
  type Kind,
  type Price,
  type PriceUnit,
  type Store,
} from '../project';
import { nameKey, parseSection, parseThickness, thicknessName } from '../wood';
import type { Problem, Result } from '../result';
import { rowReader } from './rowReader';
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
  'min_qty',
  'date',
] as const;
const UNITS: readonly PriceUnit[] = ['each', 'ft', 'm', 'bf', 'sqft', 'm2', 'm3', 'pack'];
const KINDS: readonly Kind[] = ['board', 'sheet', 'hardware'];

/** A row of prices.csv: a price and the name of its store. */
export interface PriceRow {
  store: string;
  price: Omit<Price, 'id' | 'storeId'>;
}

/** Reads prices.csv (formats.md). Bare lengths take `unit`. All faults at once. */
export const readPrices = (text: string, file: string, unit: LengthUnit): Result<PriceRow[]> => {
  const table = readTable(text, file, COLUMNS, ['store', 'price']);
  if (!table.ok) return table;
  const read = table.value.rows.map((row) => readPrice(row, file, unit));
  const problems = read.flatMap(({ faults }) => faults);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: read.map(({ row }) => row) };
};

const readPrice = (
  row: TableRow,
  file: string,
  lengthUnit: LengthUnit,
): { row: PriceRow; faults: Problem[] } => {
  const { faults, cell, fault, read, oneOf, length } = rowReader(row, file, lengthUnit);
  const count = (column: string): number =>
    cell(column) === '' ? 1 : (read(column, parseCount(cell(column))) ?? 1);

  if (cell('store') === '') fault('store', 'the store is missing');
  const kind = oneOf('kind', KINDS, 'board');
  const item: Item = {
    kind,
    name: cell('item'),
    section: '',
    length: null,
    width: null,
    material: cell('material').replace(/\s+/g, ' '),
  };
  if (kind === 'hardware' && item.name === '') fault('item', 'the item is missing; hardware is found by it');
  if (kind !== 'hardware') {
    if (cell('section') === '')
      fault('section', 'the section is missing; write one such as 2x4, 30x90mm, or 18mm for a sheet');
    else if (kind === 'board') item.section = read('section', parseSection(cell('section')))?.name ?? '';
    else item.section = thicknessName(read('section', parseThickness(cell('section'))) ?? 0);
    item.length = length('length');
    if (kind === 'sheet') item.width = length('width');
    if (item.material === '')
      fault('material', 'the material is missing; write one such as stud or birch ply');
    if (item.material.includes('|'))
      fault('material', `"${item.material}" is more than one material; a price is for one`);
  }
  if (cell('price') === '') fault('price', 'the price is missing');
  const price = cell('price') === '' ? null : read('price', parseDecimal(cell('price')));
  const unit = oneOf<PriceUnit>('unit', UNITS, kind === 'hardware' ? 'pack' : 'each');
  const pack = count('pack');
  const byMeasure = unit !== 'each' && unit !== 'pack';
  if (byMeasure && kind === 'hardware')
    fault('unit', `hardware is not priced by ${unit}; write each or pack`);
  if (byMeasure && pack !== 1) fault('pack', `a price by ${unit} is for one piece; leave the pack at 1`);
  if (byMeasure && kind !== 'hardware' && faults.length === 0 && amountOf(item, unit) === null)
    fault('unit', `a ${kind} cannot be priced by ${unit}`);
  const available =
    cell('available') === ''
      ? null
      : cell('available') === '0'
        ? 0
        : read('available', parseCount(cell('available')));
  if (cell('date') !== '' && !isDate(cell('date')))
    fault('date', `"${cell('date')}" is not a date; write it as 2026-05-31`);
  const extra = unknownCells(row.cells, COLUMNS);
  return {
    row: {
      store: cell('store'),
      price: {
        item: item.name === '' ? { ...item, name: itemName(item) } : item,
        price: Math.round((price ?? 0) * MICROS),
        unit,
        pack,
        minQty: count('min_qty'),
        available,
        date: cell('date') || null,
        source: 'file',
        note: '',
        ...(extra ? { extra } : {}),
      },
    },
    faults,
  };
};

/** A day of the calendar as ISO 8601 writes it. */
export const isDate = (text: string): boolean => {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (!match) return false;
  const [year, month, day] = match.slice(1).map(Number) as [number, number, number];
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
};

/**
 * What taking rows into the book would add: prices that are not there yet, and stores not known in `currency`.
 * A row without a date is taken as seen on `undated`.
 */
export const rowsForBook = (
  rows: PriceRow[],
  book: Book,
  currency: string,
  newId: () => string,
  undated: string | null = null,
): { prices: Price[]; stores: Store[]; known: number } => {
  const stores = new Map(
    Object.values(book.stores)
      .filter((store) => store.currency === currency)
      .map((store) => [nameKey(store.name), store]),
  );
  const added: Store[] = [];
  const held = new Set(Object.values(book.prices).map(observationKey));
  const prices: Price[] = [];
  for (const { store: name, price } of rows) {
    const store =
      stores.get(nameKey(name)) ?? emptyStore(newId(), name.trim().replace(/\s+/g, ' '), currency);
    if (!stores.has(nameKey(name))) {
      stores.set(nameKey(name), store);
      added.push(store);
    }
    const asWritten: Price = { ...price, id: newId(), storeId: store.id };
    const observation: Price = { ...asWritten, date: price.date ?? undated };
    if (held.has(observationKey(asWritten)) || held.has(observationKey(observation))) continue;
    held.add(observationKey(observation));
    prices.push(observation);
  }
  return { prices, stores: added, known: rows.length - prices.length };
};

const observationKey = ({ storeId, item, price, unit, pack, minQty, available, date }: Price): string =>
  JSON.stringify([
    storeId,
    nameKey(tagName(item)),
    itemKey(item),
    price,
    unit,
    pack,
    minQty,
    available,
    date,
  ]);

/** Writes prices as prices.csv, the stores of `currency` alone: the file has no column for it. */
export const writePrices = (book: Book, currency: string, unit: LengthUnit): string =>
  writeTable(
    COLUMNS,
    Object.values(book.prices).flatMap(
      ({ storeId, item, price, unit: per, pack, minQty, available, date, extra }) => {
        const store = book.stores[storeId];
        if (store?.currency !== currency) return [];
        return [
          {
            ...extra,
            store: store.name,
            item: item.name,
            kind: item.kind,
            section: item.section,
            length: withUnit(item.length, unit),
            width: withUnit(item.width, unit),
            material: item.material,
            price: String(price / MICROS),
            unit: per,
            pack: String(pack),
            available: available === null ? '' : String(available),
            min_qty: String(minQty),
            date: date ?? '',
          },
        ];
      },
    ),
  );
