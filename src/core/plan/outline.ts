import { formatLength, fromInches, type LengthUnit, type Ticks } from '../units';
import { actualSection, actualThickness, nameKey, parseSection, parseThickness } from '../lumber';
import { measureOf, type Item } from '../project';
import type { Layout, Offcut, Point } from '../cutting/model';

/** A finished piece's longest edge along its board, and its width. A parallelogram is as long as its edge, not as it reaches. */
export const sidesOf = (outline: Point[]): { along: Ticks; across: Ticks } => {
  const ys = outline.map(([, y]) => y);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const edge = (at: Ticks): Ticks => {
    const xs = outline.filter(([, y]) => y === at).map(([x]) => x);
    return Math.max(...xs) - Math.min(...xs);
  };
  return { along: Math.max(edge(low), edge(high)), across: high - low };
};

/** The sides of something on a layout; of what is as wide as its board the length says enough. */
export const facesText = (
  { kind, width }: Pick<Layout, 'kind' | 'width'>,
  along: Ticks,
  across: Ticks,
  unit: LengthUnit,
): string =>
  kind === 'board' && across >= width
    ? formatLength(along, unit)
    : `${formatLength(along, unit)} x ${formatLength(across, unit)}`;

/** The face of a piece, in square ticks. */
export const faceOf = (outline: Point[]): number =>
  Math.abs(
    outline.reduce((sum, [x, y], index) => {
      const [nextX = 0, nextY = 0] = outline[(index + 1) % outline.length] ?? [];
      return sum + x * nextY - nextX * y;
    }, 0),
  ) / 2;

/** Narrower than this, what is left is not worth a word (common practice). */
const MIN_USEFUL_OFFCUT = fromInches(0.5);

/** What is left of a board that could still be of use. */
export const usefulOffcuts = (offcuts: Offcut[]): Offcut[] =>
  offcuts
    .map(({ ofUse, ...offcut }) => ({ ...offcut, length: ofUse ?? offcut.length }))
    .filter(({ length, width }) => Math.min(length, width) >= MIN_USEFUL_OFFCUT);

/** How thick a board or sheet is that pieces are cut from: what a calliper reads. */
export const thicknessOf = ({
  kind,
  section,
  material,
}: Pick<Layout, 'kind' | 'section' | 'material'>): Ticks => {
  if (kind === 'board') {
    const read = parseSection(section, 'mm');
    return read.ok ? read.value.thickness : 0;
  }
  const trade = parseThickness(section, 'in');
  return trade.ok ? actualThickness(trade.value, material) : 0;
};

/** An offcut as a thing that is there: a board by its section, a strip by its actual sides, a piece of a sheet. */
export const offcutItem = (
  layout: Pick<Layout, 'kind' | 'section' | 'material' | 'width'>,
  { length, width }: Pick<Offcut, 'length' | 'width'>,
  unit: LengthUnit,
): Item => {
  const { kind, section, material } = layout;
  if (kind === 'sheet')
    return {
      kind,
      name: '',
      section,
      length: measureOf(length, unit),
      width: measureOf(width, unit),
      material,
    };
  const isWhole = width >= layout.width;
  const name = isWhole
    ? section
    : actualSection(Math.min(thicknessOf(layout), width), Math.max(thicknessOf(layout), width), unit).name;
  return { kind, name: '', section: name, length: measureOf(length, unit), width: null, material };
};

/** Whether a drawing is of such a thing: the same stuff, as long; a sheet as wide too. */
export const isCutFrom = (
  {
    kind,
    section,
    material,
    length,
    width,
  }: Pick<Layout, 'kind' | 'section' | 'material' | 'length' | 'width'>,
  item: Item,
): boolean =>
  kind === item.kind &&
  section === item.section &&
  nameKey(material) === nameKey(item.material) &&
  length === item.length?.ticks &&
  (kind === 'board' || width === item.width?.ticks);
