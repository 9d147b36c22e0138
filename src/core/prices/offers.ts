import type { Micros, Ticks } from '../measure';
import { itemKey, tagName, type Book, type Item, type Price } from '../project';
import { nameKey, parseSection, parseThickness } from '../wood';
import { perPurchase } from './perPurchase';

/** A price that holds from `minQty` purchases on. */
export interface Tier {
  minQty: number;
  /** Per purchase, before discount and tax. */
  unitPrice: Micros;
  price: Price;
}

/** One thing one store sells in one pack, at the prices that hold now. */
export interface Offer {
  /** The same for rows that agree in store, item, kind, section, length, width, material and pack. */
  key: string;
  storeId: string;
  item: Item;
  itemKey: string;
  name: string;
  /** Actual size of the section; a sheet's trade thickness and width. */
  thickness: Ticks;
  width: Ticks;
  length: Ticks;
  pack: number;
  /** Most purchases; null: no limit. */
  available: number | null;
  /** By `minQty`, ascending. */
  tiers: Tier[];
}

/**
 * The offers that hold: of the observations of one thing, at one store, in one pack and from one quantity
 * on, the newest counts; without dates, the later one. Observations that cannot be priced are left out.
 */
export const currentOffers = (book: Book): Offer[] => {
  const offers = new Map<string, Offer>();
  for (const price of Object.values(book.prices)) {
    const unitPrice = perPurchase(price);
    const offer = unitPrice === null || !book.stores[price.storeId] ? null : blankOffer(price);
    if (!offer || unitPrice === null) continue;
    const held = offers.get(offer.key) ?? offer;
    offers.set(offer.key, held);
    const tier: Tier = { minQty: price.minQty, unitPrice, price };
    const index = held.tiers.findIndex(({ minQty }) => minQty === price.minQty);
    if (index < 0) held.tiers.push(tier);
    else if (isNewer(price, held.tiers[index]?.price)) held.tiers[index] = tier;
  }
  for (const offer of offers.values()) {
    offer.tiers.sort((a, b) => a.minQty - b.minQty);
    const newest = offer.tiers.reduce((a, b) => (isNewer(b.price, a.price) ? b : a));
    offer.available = newest.price.available;
    offer.item = newest.price.item;
    offer.name = tagName(newest.price.item);
  }
  return [...offers.values()].sort((a, b) => (a.key < b.key ? -1 : 1));
};

/** The tier that holds for `quantity` purchases; null where the store sells no so few. */
export const tierFor = (tiers: Tier[], quantity: number): Tier | null =>
  tiers.filter(({ minQty }) => minQty <= quantity).at(-1) ?? null;

const isNewer = (price: Price, than: Price | undefined): boolean => (price.date ?? '') >= (than?.date ?? '');

const blankOffer = (price: Price): Offer | null => {
  const { item } = price;
  const size = sizeOf(item);
  if (!size) return null;
  const key = itemKey(item);
  return {
    key: `${price.storeId}/${nameKey(tagName(item))}/${key}/${price.pack}`,
    storeId: price.storeId,
    item,
    itemKey: key,
    name: tagName(item),
    ...size,
    length: item.length?.ticks ?? 0,
    pack: price.pack,
    available: null,
    tiers: [],
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
