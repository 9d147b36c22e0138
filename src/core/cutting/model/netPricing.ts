import type { Micros } from '../../units';
import { tierFor, type Offer } from './offer';
import type { SawSettings } from './settings';
import type { StoreTerms } from './problem';

/** Purchases of one offer. */
export interface Purchases {
  offer: Offer;
  quantity: number;
}

/** What leaves the pocket per unit of a tag's price at a store: less its discount, with tax. */
export const netPriceFactor = (store: StoreTerms, settings: SawSettings): number =>
  (1 - store.discount) * (1 + taxAt(store, settings));

/** The share of tax that a store adds to its tags. */
export const taxAt = (
  store: { taxFree: boolean; taxRate?: number | null },
  settings: Pick<SawSettings, 'tax' | 'taxIncluded'>,
): number => (settings.taxIncluded || store.taxFree ? 0 : (store.taxRate ?? settings.tax));

/** Prices offers as the pocket feels them; made once for a plan. */
export interface NetPricing {
  /** Cost of `quantity` purchases; null where the store sells no so few. */
  cost: (offer: Offer, quantity: number) => Micros | null;
  /** Least that one piece can cost, at the best tier. */
  leastPerPiece: (offer: Offer) => Micros;
}

/** What leaves the pocket for goods of each store, by its discount and tax. */
export const netPricing = (stores: StoreTerms[], settings: SawSettings): NetPricing => {
  const factors = new Map(stores.map((store) => [store.id, netPriceFactor(store, settings)]));
  return {
    cost: (offer, quantity) => {
      const tier = tierFor(offer.tiers, quantity);
      return tier && quantity * tier.unitPrice * (factors.get(offer.storeId) ?? 1);
    },
    leastPerPiece: (offer) =>
      (Math.min(...offer.tiers.map(({ unitPrice }) => unitPrice)) / offer.pack) *
      (factors.get(offer.storeId) ?? 1),
  };
};
