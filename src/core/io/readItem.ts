import { itemName, type Item, type Kind } from '../project';
import { parseSection, parseThickness, thicknessName } from '../lumber';
import type { RowReader } from './rowReader';

/** The kinds of thing that a row may be of. */
export const ITEM_KINDS: readonly Kind[] = ['board', 'sheet', 'hardware'];

/** What a row of a file names: a board, sheet or hardware, with its name built where it is blank. */
export const readItem = ({ cell, fault, read, length }: RowReader, kind: Kind): Item => {
  const item: Item = {
    kind,
    name: cell('item'),
    section: '',
    length: null,
    width: null,
    material: cell('material').replace(/\s+/g, ' '),
  };
  if (kind === 'hardware') {
    if (item.name === '') fault('item', 'the item is missing; hardware is found by it');
    return item;
  }
  if (cell('section') === '')
    fault('section', 'the section is missing; write one such as 2x4, 30x90mm, or 18mm for a sheet');
  else if (kind === 'board') item.section = read('section', parseSection(cell('section')))?.name ?? '';
  else item.section = thicknessName(read('section', parseThickness(cell('section'))) ?? 0);
  item.length = length('length');
  if (kind === 'sheet') item.width = length('width');
  if (item.material === '') fault('material', 'the material is missing; write one such as stud or birch ply');
  return item.name === '' ? { ...item, name: itemName(item) } : item;
};
