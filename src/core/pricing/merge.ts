import type { Book, Price } from '../project';
import { currentOffers, type Offer, type Tier } from './offers';
import { isNewer, readNormalisedPrice, normalisedPrice } from './observations';

/**
 * What an observation from outside means for the book. `new`: nothing of it was known. `changed`: it is newer than the
 * one that holds, and other. `history`: older than the one that holds. `conflict`: of the same day as one
 * that says otherwise, or against one that a person typed. `same`: it says nothing new.
 */
export type Meaning = 'new' | 'changed' | 'history' | 'conflict' | 'same';

/** What a price that comes in does to the book. */
export interface Change {
  meaning: Meaning;
  price: Price;
  /** The observation that holds now. */
  held: Tier | null;
}

/** What makes two observations the same one: all but their ids, their sources and what is noted beside. */
const sameness = (key: string, { price, unit, minQty, available, date }: Price): string =>
  `${key}|${price}|${unit}|${minQty}|${available}|${date}`;

/** One key for what is the same observation of a price. */
export const observationKey = (price: Price): string =>
  sameness(readNormalisedPrice(price)?.key ?? price.id, price);

/** Weighs observations from outside against the book, each in its turn; the book is left as it is. */
export const weigh = (observations: Price[], book: Book): Change[] => {
  const offers = new Map<string, Offer>(currentOffers(book).map((offer) => [offer.key, offer]));
  const known = new Set(
    Object.values(book.prices).map((price) => sameness(normalisedPrice(price)?.key ?? price.id, price)),
  );
  return observations.map((price): Change => {
    // Read without remembering: most are looked at once.
    const key = readNormalisedPrice(price)?.key ?? price.id;
    const same = sameness(key, price);
    const held = offers.get(key)?.tiers.find(({ minQty }) => minQty === price.minQty) ?? null;
    const meaning = known.has(same) ? 'same' : meaningOf(price, held?.price ?? null);
    known.add(same);
    return { meaning, price, held };
  });
};

const meaningOf = (price: Price, held: Price | null): Meaning => {
  if (!held) return 'new';
  const isSame = held.price === price.price && held.unit === price.unit && held.available === price.available;
  if (held.date === price.date) return isSame ? 'same' : 'conflict';
  if (!isNewer(price, held)) return 'history';
  if (isSame) return 'same';
  return held.source === 'typed' ? 'conflict' : 'changed';
};
