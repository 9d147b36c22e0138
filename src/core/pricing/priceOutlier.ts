import type { Micros } from '../units';
import type { Item, PriceUnit } from '../project';
import { comparedBy, convert, pieceBy } from './compared';
import type { Offer } from './offers';

/** How far a price may be off what was seen before it is asked about: the slipped decimal point. */
export const OUTLIER_SHARE = 0.4;

/** Why a price is doubted, and what it is held against, in its own unit. */
export interface PriceOutlier {
  against: 'last' | 'neighbours';
  expected: Micros;
}

/**
 * Whether a price that was just typed is more than 40 % off the last one of the same thing at the same store, or,
 * where there is none, off what boards of its section and material cost elsewhere.
 */
export const priceOutlier = (
  typed: { price: Micros; unit: PriceUnit; item: Item; pack: number },
  last: Offer | null,
  offers: Offer[],
): PriceOutlier | null => {
  const each = convert(
    typed.price / typed.pack,
    typed.item,
    typed.unit === 'pack' ? 'each' : typed.unit,
    'each',
  );
  if (each === null) return null;
  const expected = last ? pieceBy(last, 'each') : neighbours(typed.item, offers);
  if (expected === null || expected <= 0) return null;
  const off = each / expected - 1;
  if (Math.abs(off) <= OUTLIER_SHARE + 1e-9) return null;
  return { against: last ? 'last' : 'neighbours', expected: (typed.price * expected) / each };
};

/** What one piece would cost at the middle price of its neighbours; null without any. */
const neighbours = (item: Item, offers: Offer[]): Micros | null => {
  if (item.kind === 'hardware') return null;
  const same = offers.filter(
    (offer) =>
      offer.item.kind === item.kind &&
      offer.item.section === item.section &&
      offer.item.material.toLowerCase() === item.material.toLowerCase(),
  );
  const by = comparedBy(item.kind, 'in');
  return atMiddle(item, same, by);
};

const atMiddle = (item: Item, offers: Offer[], by: PriceUnit): Micros | null => {
  const rates = offers
    .map((offer) => pieceBy(offer, by))
    .filter((rate): rate is number => rate !== null)
    .sort((a, b) => a - b);
  const middle = rates[Math.floor((rates.length - 1) / 2)];
  return middle === undefined ? null : convert(middle, item, by, 'each');
};
