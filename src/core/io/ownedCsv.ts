import { parseCount, type LengthUnit } from '../units';
import type { Item } from '../project';
import type { Problem, Result } from '../result';
import { ITEM_KINDS, readItem } from './readItem';
import { rowReader } from './rowReader';
import { readTable } from './table';

const COLUMNS = ['kind', 'section', 'length', 'width', 'material', 'qty', 'item'] as const;

/** Something on the rack: a thing, and how many pieces of it. */
export interface OwnedRow {
  item: Item;
  quantity: number;
}

/** Reads owned.csv (formats.md). All faults at once. */
export const readOwned = (text: string, file: string, unit: LengthUnit): Result<OwnedRow[]> => {
  const table = readTable(text, file, COLUMNS, []);
  if (!table.ok) return table;
  const problems: Problem[] = [];
  const rows = table.value.rows.map((row): OwnedRow => {
    const reader = rowReader(row, file, unit);
    const { faults, cell, read, oneOf } = reader;
    const item = readItem(reader, oneOf('kind', ITEM_KINDS, 'board'));
    const quantity = cell('qty') === '' ? 1 : (read('qty', parseCount(cell('qty'))) ?? 1);
    problems.push(...faults);
    return { item, quantity };
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: rows };
};
