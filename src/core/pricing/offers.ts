import type { Micros, Ticks } from '../units';
import type { Book, Item, Price, Rough } from '../project';
import { isNewer, normalisedPrice, type NormalisedPrice } from './observations';

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
  /** Rough wood: it must be planed, and is sold in random widths. */
  rough?: Rough;
}

const offersOf = new WeakMap<Book['prices'], { stores: Book['stores']; offers: Offer[] }>();

/**
 * The offers that hold, by key: of the observations of one thing, at one store, in one pack and from one quantity
 * on, the newest counts; without dates, the later one. Observations that cannot be priced are left out.
 * Worked out once for a book.
 */
export const currentOffers = (book: Book): Offer[] => {
  const before = offersOf.get(book.prices);
  if (before?.stores === book.stores) return before.offers;
  const offers = makeOffers(book);
  offersOf.set(book.prices, { stores: book.stores, offers });
  return offers;
};

const makeOffers = (book: Book): Offer[] => {
  const offers = new Map<string, Offer>();
  for (const price of Object.values(book.prices)) {
    const seen = book.stores[price.storeId] ? normalisedPrice(price) : null;
    if (!seen) continue;
    const held = offers.get(seen.key);
    const tier: Tier = { minQty: price.minQty, unitPrice: seen.unitPrice, price };
    if (!held) offers.set(seen.key, offerOf(price, seen, tier));
    else {
      const index = held.tiers.findIndex(({ minQty }) => minQty === price.minQty);
      if (index < 0) held.tiers.push(tier);
      else if (isNewer(price, held.tiers[index]?.price)) held.tiers[index] = tier;
    }
  }
  for (const offer of offers.values()) settle(offer);
  return [...offers.values()].sort((a, b) => (a.key < b.key ? -1 : 1));
};

const offerOf = (price: Price, seen: NormalisedPrice, tier: Tier): Offer => ({
  key: seen.key,
  storeId: price.storeId,
  item: price.item,
  itemKey: seen.itemKey,
  name: seen.name,
  thickness: seen.thickness,
  width: seen.width,
  length: price.item.length?.ticks ?? 0,
  pack: price.pack,
  available: null,
  tiers: [tier],
});

/** What its newest observation says of all of an offer: how it is spelt, and how much there is of it. */
const settle = (offer: Offer): void => {
  offer.tiers.sort((a, b) => a.minQty - b.minQty);
  const newest = newestOf(offer);
  offer.available = newest.available;
  offer.item = newest.item;
  offer.name = normalisedPrice(newest)?.name ?? offer.name;
  if (newest.rough) offer.rough = newest.rough;
};

/** What follows the key of rough wood in the key of a board that is planed from it; no name holds a line break. */
const PLANED = '\n';

/** The key of a board of a section that is planed from rough wood. */
export const planedKey = (key: string, section: string): string => `${key}${PLANED}${section}`;

const byKey = new WeakMap<Offer[], Map<string, Offer>>();

/** The offer of a key, as it lies in the store: of a board that is planed from rough wood, the rough wood. */
export const offerAt = (book: Book, key: string): Offer | undefined => {
  const offers = currentOffers(book);
  const held = byKey.get(offers) ?? new Map(offers.map((offer) => [offer.key, offer]));
  byKey.set(offers, held);
  return held.get(key.split(PLANED)[0] ?? key);
};

/** The newest observation that an offer rests on. */
export const newestOf = (offer: Offer): Price =>
  offer.tiers.map(({ price }) => price).reduce((a, b) => (isNewer(b, a) ? b : a));

export { tierFor } from '../cutting/model';
