import { formatTag, type LengthUnit, type Micros } from '../units';
import type { Item, PriceUnit } from '../project';
import { amountOf } from './perPurchase';
import type { Offer } from './offers';

/** What each unit is called behind a price. */
export const UNIT_WORDS: Record<PriceUnit, string> = {
  each: 'each',
  ft: 'a foot',
  m: 'a metre',
  bf: 'a board foot',
  sqft: 'a square foot',
  m2: 'a square metre',
  m3: 'a cubic metre',
  pack: 'a pack',
};

/** The price of one piece at the first tier, in millionths. */
export const perPiece = (offer: Offer): Micros => (offer.tiers[0]?.unitPrice ?? 0) / offer.pack;

/**
 * A price by one unit as a price by another of the same item: 0.50 a foot of an eight-foot board is 4.00 each. Not
 * rounded, so that it can be turned back. Null where the item lacks the size for either.
 */
export const convert = (price: Micros, item: Item, from: PriceUnit, to: PriceUnit): Micros | null => {
  const had = amountOf(item, from);
  const has = amountOf(item, to);
  return had === null || has === null || has === 0 ? null : (price * had) / has;
};

/** The unit in which things of a kind compare: a foot or metre of board, a square foot or metre of sheet, a piece. */
export const comparedBy = (kind: Item['kind'], unit: LengthUnit): PriceUnit => {
  if (kind === 'hardware') return 'each';
  if (kind === 'sheet') return unit === 'in' ? 'sqft' : 'm2';
  return unit === 'in' ? 'ft' : 'm';
};

/** The units in which a price is told beside its shelf tag: also by volume for boards. */
const toldBy = (kind: Item['kind'], unit: LengthUnit): PriceUnit[] => {
  const by = comparedBy(kind, unit);
  return kind === 'board' ? [by, unit === 'in' ? 'bf' : 'm3'] : [by];
};

/** One piece of an offer priced by a unit; null where it lacks the size. */
export const pieceBy = (offer: Offer, by: PriceUnit): Micros | null =>
  convert(perPiece(offer), offer.item, 'each', by);

const told = (micros: Micros, by: PriceUnit, currency: string): string =>
  `${formatTag(Math.round(micros / 1000) * 1000, currency)} ${by === 'each' ? 'a piece' : UNIT_WORDS[by]}`;

/** A price in the unit in which its kind compares; blank where it cannot be told. */
export const asCompared = (offer: Offer, unit: LengthUnit, currency: string): string => {
  const by = comparedBy(offer.item.kind, unit);
  const micros = pieceBy(offer, by);
  return micros === null ? '' : told(micros, by, currency);
};

/** A price in every way in which it compares: per piece, by length, and by volume for boards; by area for sheets. */
export const allCompared = (offer: Offer, unit: LengthUnit, currency: string): string[] => [
  told(perPiece(offer), 'each', currency),
  ...toldBy(offer.item.kind, unit)
    .filter((by) => by !== 'each')
    .flatMap((by) => {
      const micros = pieceBy(offer, by);
      return micros === null ? [] : [told(micros, by, currency)];
    }),
];
