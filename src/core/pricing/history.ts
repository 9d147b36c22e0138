import { daysBetween, type Micros } from '../units';
import type { Book, Price } from '../project';
import { normalisedPrice } from './observations';
import type { Offer } from './offers';

/** Whether what was seen on `date` is older than `staleAfter` days; a price without date is. */
export const isStale = (date: string | null, today: string, staleAfter: number): boolean =>
  date === null || daysBetween(date, today) > staleAfter;

const histories = new WeakMap<Book['prices'], Map<string, Price[]>>();

/** All observations of each offer, by its key, oldest first. Worked out once for a book. */
export const historiesOf = (book: Book): Map<string, Price[]> => {
  const before = histories.get(book.prices);
  if (before) return before;
  const byOffer = new Map<string, Price[]>();
  for (const price of Object.values(book.prices)) {
    const key = normalisedPrice(price)?.key;
    if (key === undefined) continue;
    const held = byOffer.get(key);
    if (held) held.push(price);
    else byOffer.set(key, [price]);
  }
  for (const seen of byOffer.values())
    seen.sort((a, b) => ((a.date ?? '') < (b.date ?? '') ? -1 : (a.date ?? '') > (b.date ?? '') ? 1 : 0));
  histories.set(book.prices, byOffer);
  return byOffer;
};

/** How a price moved: the share by which the one that holds is above the one before it. */
export interface Trend {
  way: 'up' | 'down';
  share: number;
  /** When it was other. */
  since: string | null;
}

/** The last move of an offer's first tier; null where only one price of it was ever seen. */
export const trendOf = (offer: Offer, book: Book): Trend | null => {
  const [tier] = offer.tiers;
  if (!tier) return null;
  const earlier = (historiesOf(book).get(offer.key) ?? [])
    .filter(({ minQty, id }) => minQty === tier.minQty && id !== tier.price.id)
    .filter((price) => (price.date ?? '') <= (tier.price.date ?? ''));
  const before = earlier.findLast((price) => normalisedPrice(price)?.unitPrice !== tier.unitPrice);
  const was = before && normalisedPrice(before)?.unitPrice;
  if (!before || !was) return null;
  return {
    way: tier.unitPrice > was ? 'up' : 'down',
    share: Math.abs(tier.unitPrice / was - 1),
    since: before.date,
  };
};

/** What an offer's first tier cost over time, for a chart: dated observations, oldest first, the last of each day. */
export const seriesOf = (offer: Offer, book: Book): { date: string; unitPrice: Micros }[] => {
  const minQty = offer.tiers[0]?.minQty;
  const byDay = new Map<string, Micros>();
  for (const price of historiesOf(book).get(offer.key) ?? []) {
    const seen = normalisedPrice(price);
    if (seen && price.minQty === minQty && price.date !== null) byDay.set(price.date, seen.unitPrice);
  }
  return [...byDay].map(([date, unitPrice]) => ({ date, unitPrice }));
};

/**
 * Ids of observations that say little any more: of each price, what is not its newest, is older than `before`, and is
 * not the last one seen in its month.
 */
export const thinnable = (book: Book, before: string): string[] => {
  const kept = new Set<string>();
  const old: Price[] = [];
  for (const seen of historiesOf(book).values()) {
    const lastOfMonth = new Map<string, string>();
    const newest = new Map<number, string>();
    for (const { id, date, minQty } of seen) {
      newest.set(minQty, id);
      lastOfMonth.set(`${minQty} ${(date ?? '').slice(0, 7)}`, id);
    }
    for (const id of [...newest.values(), ...lastOfMonth.values()]) kept.add(id);
    old.push(...seen.filter(({ date }) => date === null || date < before));
  }
  return old.filter(({ id }) => !kept.has(id)).map(({ id }) => id);
};
