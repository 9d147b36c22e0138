import type { Micros } from '../units';
import { tierFor, type Offer } from '../pricing';
import type { PlanSettings } from '../project';
import type { StoreTerms } from './inputTypes';
import { cheapestPacks } from './packs';

/** Purchases of one offer. */
export interface Purchases {
  offer: Offer;
  quantity: number;
}

/** What leaves the pocket per unit of a tag's price at a store: less its discount, with tax. */
export const netPriceFactor = (store: StoreTerms, settings: PlanSettings): number =>
  (1 - store.discount) * (1 + taxAt(store, settings));

/** The share of tax that a store adds to its tags. */
export const taxAt = (
  store: { taxFree: boolean; taxRate?: number | null },
  settings: Pick<PlanSettings, 'tax' | 'taxIncluded'>,
): number => (settings.taxIncluded || store.taxFree ? 0 : (store.taxRate ?? settings.tax));

/** Prices offers as the pocket feels them; made once for a plan. */
export interface NetPricing {
  /** Cost of `quantity` purchases; null where the store sells no so few. */
  cost: (offer: Offer, quantity: number) => Micros | null;
  /** Least that one piece can cost, at the best tier. */
  leastPerPiece: (offer: Offer) => Micros;
}

export const netPricing = (stores: StoreTerms[], settings: PlanSettings): NetPricing => {
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

/**
 * A cheap way to buy `pieces` of one thing from the offers of it: one offer alone, a mix of packs, or offers one
 * after the other where they run out. Null where there is not enough to be had.
 */
export const buyPieces = (
  pieces: number,
  offers: Offer[],
  { cost }: NetPricing,
): { purchases: Purchases[]; cost: Micros } | null => {
  if (pieces <= 0) return { purchases: [], cost: 0 };
  const ways = [
    ...offers.flatMap((offer) => alone(pieces, offer)),
    mixed(pieces, offers),
    oneAfterAnother(pieces, offers),
  ];
  let best: { purchases: Purchases[]; cost: Micros } | null = null;
  for (const purchases of ways) {
    const sum = purchases?.reduce(
      (total, { offer, quantity }) => total + (cost(offer, quantity) ?? Infinity),
      0,
    );
    if (purchases && sum !== undefined && sum < (best?.cost ?? Infinity)) best = { purchases, cost: sum };
  }
  return best;

  function alone(count: number, offer: Offer): Purchases[][] {
    const least = Math.ceil(count / offer.pack);
    const quantities = [
      least,
      ...offer.tiers.map(({ minQty }) => minQty).filter((quantity) => quantity > least),
    ];
    return quantities
      .filter((quantity) => quantity <= (offer.available ?? Infinity))
      .map((quantity) => [{ offer, quantity }]);
  }

  /** The cheapest mix of packs at their single price, by dynamic programming over the pieces still wanted. */
  function mixed(count: number, sold: Offer[]): Purchases[] | null {
    const unlimited = sold.filter((offer) => offer.available === null && cost(offer, 1) !== null);
    if (new Set(unlimited.map(({ pack }) => pack)).size < 2 || count > 5000) return null;
    const packs = unlimited.map((offer) => ({ pack: offer.pack, cost: cost(offer, 1) ?? Infinity }));
    const way = cheapestPacks(count, packs);
    return (
      way &&
      unlimited.flatMap((offer, index) => (way.counts[index] ? [{ offer, quantity: way.counts[index] }] : []))
    );
  }

  function oneAfterAnother(count: number, sold: Offer[]): Purchases[] | null {
    const purchases: Purchases[] = [];
    let wanted = count;
    const perPiece = (offer: Offer) =>
      (cost(offer, Math.ceil(count / offer.pack)) ?? Infinity) / Math.ceil(count / offer.pack) / offer.pack;
    for (const offer of [...sold].sort((a, b) => perPiece(a) - perPiece(b) || (a.key < b.key ? -1 : 1))) {
      const quantity = Math.min(Math.ceil(wanted / offer.pack), offer.available ?? Infinity);
      if (wanted <= 0 || quantity <= 0 || cost(offer, quantity) === null) continue;
      purchases.push({ offer, quantity });
      wanted -= quantity * offer.pack;
    }
    return wanted > 0 ? null : purchases;
  }
};
