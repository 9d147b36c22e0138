import { TICKS_PER_FOOT, writeLength, type LengthUnit } from '../units';
import { hardwareKey } from '../hardwareKey';
import { nameKey, parseSection, parseThickness, thicknessName } from '../lumber';
import type { Item, Measure, RackEntry } from './types';

/**
 * What makes two shelf tags the same thing: actual sizes and material for wood, the name for hardware.
 * A section that cannot be read stands for itself.
 */
export const itemKey = (item: Item): string => {
  const held = keys.get(item);
  if (held !== undefined) return held;
  const key = makeKey(item);
  keys.set(item, key);
  return key;
};

/** Items are never changed in place, and are asked for often. */
const keys = new WeakMap<Item, string>();

const makeKey = (item: Item): string => {
  if (item.kind === 'hardware') return `hardware:${hardwareKey(item.name)}`;
  const length = item.length?.ticks ?? 0;
  if (item.kind === 'sheet') {
    const thickness = parseThickness(item.section, 'in');
    return `sheet:${thickness.ok ? thickness.value : nameKey(item.section)}:${length}:${item.width?.ticks ?? 0}:${nameKey(item.material)}`;
  }
  const section = parseSection(item.section, 'mm');
  const size = section.ok ? `${section.value.thickness}x${section.value.width}` : nameKey(item.section);
  return `board:${size}:${length}:${nameKey(item.material)}`;
};

/** The name of a thing without one, from section, length and material: `2x4x8 stud`, `18mm 2440x1220 birch ply`. */
export const itemName = (item: Item): string => {
  if (item.kind === 'hardware') return item.name;
  if (item.kind === 'sheet') {
    const thickness = parseThickness(item.section, 'in');
    const name = thickness.ok ? thicknessName(thickness.value) : item.section;
    return `${name} ${sideText(item.length)} x ${sideText(item.width)} ${item.material}`.trim();
  }
  const section = parseSection(item.section, 'mm');
  const name = section.ok ? section.value.name : item.section.trim();
  const metric = name.endsWith('mm');
  const ticks = item.length?.ticks ?? 0;
  const feet = ticks / TICKS_PER_FOOT;
  if (!/(mm|in)$/.test(name) && Number.isInteger(feet)) return `${name}x${feet} ${item.material}`.trim();
  return `${name} x ${writeLength(ticks, unitOf(item.length, metric ? 'mm' : 'in'))} ${item.material}`.trim();
};

/** The name to show: the tag's own where it has one. */
export const tagName = (item: Item): string => (item.name.trim() === '' ? itemName(item) : item.name);

/** How many pieces of a thing are on the rack: of an opened can a share of one. */
export const rackPieces = ({ quantity, share = 1 }: RackEntry): number => quantity * share;

/** How a thing on the rack is called: an opened can by how full it is. */
export const rackName = ({ item, share }: Pick<RackEntry, 'item' | 'share'>): string =>
  share === undefined ? tagName(item) : `${tagName(item)}, about ${Math.round(share * 100)} % left`;

const unitOf = (measure: Measure | null, otherwise: LengthUnit): LengthUnit =>
  measure && /mm|cm|m\s*$/i.test(measure.text) ? 'mm' : otherwise;

const sideText = (measure: Measure | null): string => {
  if (!measure) return '?';
  const isMetric = measure.ticks % 320 === 0 && measure.ticks % 127 !== 0;
  return writeLength(measure.ticks, isMetric ? 'mm' : 'in');
};
