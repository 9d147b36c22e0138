import {
  wantedItems,
  type CuttingProblem,
  type NetPricing,
  type Offer,
  type Purchases,
  type Stock,
} from '../model';
import type { Micros } from '../../units';
import { cheapestPacks } from './packs';

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

/** What it costs to have so many of each stock, owned ones first. Null where they are not to be had. */
export const buyStocks = (
  counts: Map<Stock, number>,
  till: NetPricing,
): { purchases: Purchases[]; cost: Micros } | null => {
  const bought: { purchases: Purchases[]; cost: Micros } = { purchases: [], cost: 0 };
  for (const [stock, count] of counts) {
    const way = buyPieces(count - stock.ownedCount, stock.offers, till);
    if (!way) return null;
    bought.purchases.push(...way.purchases);
    bought.cost += way.cost;
  }
  return bought;
};

/** How many of each stock are taken, all lists together. */
export const countStocks = (stocks: Stock[]): Map<Stock, number> => {
  const counts = new Map<Stock, number>();
  for (const stock of stocks) counts.set(stock, (counts.get(stock) ?? 0) + 1);
  return counts;
};

/** Takes boards out of what there is of their stocks, after they were bought: what is owned, and what stores have few of. */
export const spendStocks = (counts: Map<Stock, number>, purchases: Purchases[]): void => {
  const bought = new Map(purchases.map(({ offer, quantity }) => [offer.key, quantity]));
  for (const [stock, count] of counts) {
    stock.ownedCount = Math.max(0, stock.ownedCount - count);
    stock.offers = stock.offers.map((offer) =>
      offer.available === null
        ? offer
        : { ...offer, available: Math.max(0, offer.available - (bought.get(offer.key) ?? 0)) },
    );
  }
};

/** A cheap way to buy all that is not cut; null where there is not enough of something. */
export const buyItems = (input: CuttingProblem, pricing: NetPricing): Purchases[] | null => {
  const ways = wantedItems(input).map(({ pieces, offers }) => buyPieces(pieces, offers, pricing));
  return ways.every((way) => way !== null) ? ways.flatMap(({ purchases }) => purchases) : null;
};
