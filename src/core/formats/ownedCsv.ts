import { parseCount, type LengthUnit } from '../measure';
import { itemName, type Item, type Kind } from '../project';
import type { Problem, Result } from '../result';
import { parseSection, parseThickness, thicknessName } from '../wood';
import { rowReader } from './rowReader';
import { readTable } from './table';

const COLUMNS = ['kind', 'section', 'length', 'width', 'material', 'qty', 'item'] as const;
const KINDS: readonly Kind[] = ['board', 'sheet', 'hardware'];

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
    const { faults, cell, fault, read, oneOf, length } = rowReader(row, file, unit);
    const kind = oneOf('kind', KINDS, 'board');
    const item: Item = { kind, name: cell('item'), section: '', length: null, width: null, material: cell('material').replace(/\s+/g, ' ') }; // prettier-ignore
    if (kind === 'hardware' && item.name === '')
      fault('item', 'the item is missing; hardware is found by it');
    if (kind !== 'hardware') {
      if (cell('section') === '')
        fault('section', 'the section is missing; write one such as 2x4, 30x90mm, or 18mm for a sheet');
      else if (kind === 'board') item.section = read('section', parseSection(cell('section')))?.name ?? '';
      else item.section = thicknessName(read('section', parseThickness(cell('section'))) ?? 0);
      item.length = length('length');
      if (kind === 'sheet') item.width = length('width');
      if (item.material === '')
        fault('material', 'the material is missing; write one such as stud or birch ply');
    }
    const quantity = cell('qty') === '' ? 1 : (read('qty', parseCount(cell('qty'))) ?? 1);
    problems.push(...faults);
    return { item: item.name === '' && faults.length === 0 ? { ...item, name: itemName(item) } : item, quantity }; // prettier-ignore
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: rows };
};
