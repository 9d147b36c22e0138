import { TICKS_PER_FOOT, TICKS_PER_INCH, TICKS_PER_METRE, type Micros, type Ticks } from '../units';
import { actualThickness, boardFeet, parseSection, parseThickness, type Section } from '../lumber';
import type { Item, Price, PriceUnit } from '../project';

/**
 * What one purchase costs, in millionths, before discount and tax. `each` and `pack` price a purchase; the
 * others price its length (given length), its board feet (nominal size, PS 20), its face or its volume (actual
 * size). Null where the item lacks what the unit needs.
 */
export const perPurchase = ({ price, unit, item }: Pick<Price, 'price' | 'unit' | 'item'>): Micros | null => {
  const amount = amountOf(item, unit);
  return amount === null ? null : Math.round(price * amount);
};

/** How many of `unit` one piece of the item holds: 8 for an eight-foot board priced by the foot. Null: not known. */
export const amountOf = (item: Item, unit: PriceUnit): number | null => {
  if (unit === 'each' || unit === 'pack') return 1;
  const length = item.length?.ticks ?? 0;
  if (length <= 0) return null;
  if (unit === 'ft') return length / TICKS_PER_FOOT;
  if (unit === 'm') return length / TICKS_PER_METRE;
  const section = item.kind === 'board' ? parseSection(item.section, 'mm') : null;
  const size = section?.ok ? section.value : null;
  if (unit === 'bf') return size ? boardFeet(size, length) : sheetBoardFeet(item, length);
  const face = faceOf(item, size);
  if (face === null) return null;
  if (unit === 'sqft') return (length / TICKS_PER_FOOT) * (face.width / TICKS_PER_FOOT);
  const squareMetres = (length / TICKS_PER_METRE) * (face.width / TICKS_PER_METRE);
  return unit === 'm2' ? squareMetres : squareMetres * (face.thickness / TICKS_PER_METRE);
};

const faceOf = (item: Item, section: Section | null): { width: Ticks; thickness: Ticks } | null => {
  if (section) return { width: section.width, thickness: section.thickness };
  const thickness = item.kind === 'sheet' ? parseThickness(item.section, 'in') : null;
  if (!thickness?.ok || !item.width) return null;
  return { width: item.width.ticks, thickness: actualThickness(thickness.value, item.material) };
};

const sheetBoardFeet = (item: Item, length: Ticks): number | null => {
  const face = faceOf(item, null);
  const thickness = parseThickness(item.section, 'in');
  if (!face || !thickness.ok) return null;
  return (length / TICKS_PER_FOOT) * (face.width / TICKS_PER_FOOT) * (thickness.value / TICKS_PER_INCH);
};
