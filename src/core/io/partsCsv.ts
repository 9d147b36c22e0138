import { parseCount, parseLength, writeLength, type LengthUnit } from '../units';
import { parseEnds, parseMaterials, parseSection, parseThickness, thicknessName, writeEnds } from '../lumber';
import {
  chosenOption,
  copiesOf,
  emptyGroup,
  FIRST_GROUP,
  emptyPart,
  materialsOf,
  numbered,
  resolve,
  type Group,
  type Measure,
  type Part,
  type Project,
  type Shaping,
} from '../project';
import { parseShape, writeShape } from '../project/shapeText';
import type { Problem, Result } from '../result';
import { rowReader } from './rowReader';
import { fileProblem, readTable, unknownCells, writeTable, type TableRow } from './table';

const COLUMNS = [
  'part',
  'kind',
  'qty',
  'section',
  'length',
  'width',
  'material',
  'ends',
  'shape',
  'grain',
  'short_ok',
  'item',
  'group',
] as const;

/** Reads parts.csv (formats.md). Bare numbers take `unit`. All faults at once; ids come from `newId`. */
export const readParts = (
  text: string,
  file: string,
  unit: LengthUnit,
  newId: () => string,
): Result<Group[]> => {
  const table = readTable(text, file, COLUMNS, ['part', 'qty']);
  if (!table.ok) return table;
  const groups = new Map<string, Group>();
  const known = new Set<string>();
  const problems: Problem[] = [];
  for (const row of table.value.rows) {
    const name = row.cells['group'] || FIRST_GROUP;
    const group = groups.get(name) ?? emptyGroup(newId(), newId(), name);
    groups.set(name, group);
    const parts = group.options[0]?.parts ?? [];
    const { part, faults } = readPart(row, file, unit, newId());
    const place = JSON.stringify([name, part.name]);
    if (part.name !== '' && known.has(place))
      faults.push(
        fileProblem(
          file,
          row.line,
          'part',
          `"${part.name}" is in the group ${name} already; give it another name`,
        ),
      );
    known.add(place);
    problems.push(...faults);
    parts.push(part);
  }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: [...groups.values()] };
};

const readPart = (
  row: TableRow,
  file: string,
  unit: LengthUnit,
  id: string,
): { part: Part; faults: Problem[] } => {
  const { faults, cell, fault, read, oneOf, length, lengthOrZero } = rowReader(row, file, unit);
  const part = emptyPart(id);
  part.name = cell('part');
  if (part.name === '') fault('part', 'the name is missing; call the part something');
  part.kind = oneOf('kind', ['board', 'sheet', 'hardware'], 'board');
  if (cell('qty') === '') fault('qty', 'the quantity is missing; write a whole number, 1 or more');
  else part.quantity = read('qty', parseCount(cell('qty'))) ?? 1;
  part.materials = parseMaterials(cell('material'));
  part.item = cell('item');
  if (part.kind !== 'hardware') {
    if (cell('section') === '')
      fault(
        'section',
        part.kind === 'board'
          ? 'the section is missing; write one such as 2x4 or 30x90mm'
          : 'the thickness is missing; write one such as 3/4in or 18mm',
      );
    else if (part.kind === 'board') part.section = read('section', parseSection(cell('section')))?.name ?? '';
    else part.section = thicknessName(read('section', parseThickness(cell('section'))) ?? 0);
    part.length = length('length');
    if (cell('short_ok') !== '') part.shortOk = lengthOrZero('short_ok');
  }
  if (part.kind === 'sheet') part.width = length('width');
  part.grain = oneOf('grain', ['any', 'length'], 'any');
  const ends = read('ends', parseEnds(cell('ends')));
  if (ends && ends.shape !== 'square' && part.kind !== 'board')
    fault('ends', 'only boards have slanted ends; leave it blank');
  part.ends = ends ? writeEnds(ends) : 'square';
  readShape(part, read('shape', parseShape(cell('shape'), unit)) ?? [], fault);
  const extra = unknownCells(row.cells, COLUMNS);
  return { part: extra ? { ...part, extra } : part, faults };
};

const readShape = (part: Part, shape: Shaping[], fault: (column: string, sentence: string) => void): void => {
  if (shape.length === 0) return;
  if (part.kind === 'hardware') fault('shape', 'hardware is not shaped; leave it blank');
  part.shape = shape;
};

/**
 * Writes the parts of the chosen options as parts.csv, every length with its unit and worked out, and with them the
 * fasteners of joints and what covers and fills, as hardware.
 */
export const writeParts = (project: Project): string => {
  const rows = [...partRows(project), ...derivedRows(project)];
  const isShaped = rows.some(({ shape = '' }) => shape !== '');
  // The column is there where something is shaped.
  const columns = COLUMNS.filter((column) => isShaped || column !== 'shape');
  return writeTable(columns, isShaped ? rows : rows.map(({ shape: _, ...row }) => row));
};

const partRows = (project: Project): Record<string, string>[] =>
  project.groups.flatMap((group) =>
    (chosenOption(group)?.parts ?? [])
      .filter(({ quantity }) => quantity > 0)
      .map((part) => ({
        ...part.extra,
        part: part.name,
        kind: part.kind,
        qty: String(part.quantity * copiesOf(group)),
        section: part.section,
        length: withUnit(part.length, project.unit),
        width: withUnit(part.width, project.unit),
        material: materialsOf(part, group).join('|'),
        ends: part.ends === 'square' ? '' : part.ends,
        shape: writeShape(part.shape, project.unit),
        grain: part.grain === 'any' ? '' : part.grain,
        short_ok: withUnit(part.shortOk, project.unit),
        item: part.item,
        group: group.name,
      })),
  );

/** What no part stands for. Names are unique in their group, as a file wants them. */
const derivedRows = (project: Project): Record<string, string>[] => {
  const listed = project.groups.map((group) => ({ group, parts: chosenOption(group)?.parts ?? [] }));
  const ids = new Set(listed.flatMap(({ parts }) => parts.map(({ id }) => id)));
  const taken = new Set(
    listed.flatMap(({ group, parts }) => parts.map(({ name }) => `${group.name}/${name}`)),
  );
  // Those of what is left for another time too: nothing is lost on the way.
  const all = project.groups.map((group) => ({ ...group, isLater: false }));
  return resolve({ ...project, groups: all })
    .parts.filter(({ id }) => !ids.has(id))
    .map(({ name, item, count, group }) => {
      const home = group || 'Spares';
      const free = numbered(name, (wanted) => taken.has(`${home}/${wanted}`));
      taken.add(`${home}/${free}`);
      return {
        part: free,
        kind: 'hardware',
        qty: String(Math.ceil(count / project.builds)),
        item,
        group: home,
      };
    });
};

/** A measure as it was written, with a unit where it had none, so that it reads the same anywhere. */
export const withUnit = (measure: Measure | null, unit: LengthUnit): string => {
  if (!measure) return '';
  const meansTheSame = (text: string) =>
    (['in', 'mm'] as const).every((other) => {
      const read = parseLength(text, other);
      return read.ok && read.value === measure.ticks;
    });
  return [measure.text, `${measure.text}${unit}`].find(meansTheSame) ?? writeLength(measure.ticks, unit);
};
