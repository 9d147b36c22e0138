import { formatTag, type LengthUnit, type Micros } from '../measure';
import type { PriceUnit } from '../project';
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

/** A price in the unit in which its kind compares: a foot or metre of board, a square foot or metre of sheet, a piece. */
export const asCompared = (offer: Offer, unit: LengthUnit, currency: string): string => {
  const by: PriceUnit = offer.item.kind === 'hardware' ? 'each' : offer.item.kind === 'sheet' ? (unit === 'in' ? 'sqft' : 'm2') : unit === 'in' ? 'ft' : 'm'; // prettier-ignore
  const amount = amountOf(offer.item, by);
  if (amount === null) return '';
  const micros = Math.round(perPiece(offer) / amount / 1000) * 1000;
  return `${formatTag(micros, currency)} ${by === 'each' ? 'a piece' : UNIT_WORDS[by]}`;
};
