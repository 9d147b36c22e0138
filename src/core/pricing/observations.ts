import type { Micros, Ticks } from '../units';
import { itemKey, tagName, type Item, type Price } from '../project';
import { nameKey, parseSection, parseThickness } from '../lumber';
import { perPurchase } from './perPurchase';

/** What follows from one observation alone. */
export interface NormalisedPrice {
  /** Of its offer: the same for rows that agree in store, item, kind, section, length, width, material and pack. */
  key: string;
  itemKey: string;
  name: string;
  /** Actual size of the section; a sheet's trade thickness and width. */
  thickness: Ticks;
  width: Ticks;
  /** Per purchase, before discount and tax. */
  unitPrice: Micros;
}

const held = new WeakMap<Price, NormalisedPrice | null>();

/** What an observation says; null where it cannot be priced. Worked out once for each. */
export const normalisedPrice = (price: Price): NormalisedPrice | null => {
  const before = held.get(price);
  if (before !== undefined) return before;
  const seen = readNormalisedPrice(price);
  held.set(price, seen);
  return seen;
};

/** What an observation says, worked out anew. */
export const readNormalisedPrice = (price: Price): NormalisedPrice | null => {
  const { item } = price;
  const unitPrice = perPurchase(price);
  const size = sizeOf(item);
  if (unitPrice === null || !size) return null;
  const key = itemKey(item);
  const name = tagName(item);
  return {
    key: `${price.storeId}/${nameKey(name)}/${key}/${price.pack}`,
    itemKey: key,
    name,
    ...size,
    unitPrice,
  };
};

const sizeOf = (item: Item): { thickness: Ticks; width: Ticks } | null => {
  if (item.kind === 'hardware') return { thickness: 0, width: 0 };
  if (item.kind === 'sheet') {
    const thickness = parseThickness(item.section, 'in');
    return thickness.ok && item.width ? { thickness: thickness.value, width: item.width.ticks } : null;
  }
  const section = parseSection(item.section, 'mm');
  return section.ok ? { thickness: section.value.thickness, width: section.value.width } : null;
};

/** Whether an observation holds over another of the same thing: the newer does, without dates the later one. */
export const isNewer = (price: Pick<Price, 'date'>, than: Pick<Price, 'date'> | undefined): boolean =>
  (price.date ?? '') >= (than?.date ?? '');
