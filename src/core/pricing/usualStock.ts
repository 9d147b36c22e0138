import { TICKS_PER_FOOT, TICKS_PER_MM, parseLength, type LengthUnit, type Ticks } from '../units';
import { itemName, type Item, type Measure } from '../project';
import type { Need } from './needs';

/** The shortest usual length that holds a piece: framing lengths are 8 to 20 ft by 2 ft, metric 1.8 to 6.0 m by 0.3 m. */
export const usualLength = (longest: Ticks, unit: LengthUnit): string =>
  unit === 'in'
    ? `${Math.max(8, Math.ceil(longest / TICKS_PER_FOOT / 2) * 2)}ft`
    : `${Math.max(6, Math.ceil(longest / (300 * TICKS_PER_MM))) * 300}mm`;

/** Lengths in which most stores sell boards: 8 to 16 ft by 2 ft, metric 2.4 to 4.8 m by 0.6 m (common practice). */
export const usualLengths = (unit: LengthUnit): Measure[] =>
  [4, 5, 6, 7, 8].map((step) => measured(unit === 'in' ? `${step * 2}ft` : `${step * 600}mm`, unit));

const measured = (text: string, unit: LengthUnit): Measure => {
  const read = parseLength(text, unit);
  return { text, ticks: read.ok ? read.value : 0 };
};

/** A whole sheet, as it is usually sold. */
export const USUAL_SHEET: Record<LengthUnit, { length: string; width: string }> = {
  in: { length: '96in', width: '48in' },
  mm: { length: '2440mm', width: '1220mm' },
};

/** Framing lumber is at least so thick: 1 1/2 in. */
const FRAMING = (TICKS_PER_FOOT / 12) * 1.5;

/** What a need is made of where it does not say: framing, boards and sheets as they are mostly sold (common practice). */
export const usualMaterial = ({ kind, thickness, materials }: Need, unit: LengthUnit): string =>
  materials[0] ??
  (kind === 'hardware'
    ? ''
    : kind === 'sheet'
      ? 'plywood'
      : unit === 'in' && thickness >= FRAMING
        ? 'stud'
        : 'pine');

/**
 * What a need is usually sold as: one board that holds its longest part, one sheet, one of the item; of `given` where its tag
 * says another material or length. A length that is none is taken as nothing.
 */
export const usualItem = (
  need: Need,
  unit: LengthUnit,
  given: { material?: string; length?: string } = {},
): Item => {
  const bare = { kind: need.kind, section: '', length: null, width: null, material: '' };
  if (need.kind === 'hardware') return { ...bare, name: need.name };
  const sheet = USUAL_SHEET[unit];
  const usual = need.kind === 'sheet' ? sheet.length : usualLength(need.longest, unit);
  const item: Item = {
    ...bare,
    name: '',
    section: need.name,
    material: given.material ?? usualMaterial(need, unit),
    length: measured(given.length ?? usual, unit),
    width: need.kind === 'sheet' ? measured(sheet.width, unit) : null,
  };
  return { ...item, name: itemName(item) };
};
