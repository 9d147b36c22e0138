import type { Micros, Ticks } from '../units';
import { nameKey } from '../lumber';
import type { Offer } from '../pricing';
import type { Owned, PlanInput } from './inputTypes';
import { buyPieces, type Purchases, type NetPricing } from './netPricing';

/** Boards or sheets of one size and material: all that is owned and offered of it. */
export interface Stock {
  kind: 'board' | 'sheet';
  thickness: Ticks;
  width: Ticks;
  length: Ticks;
  /** Its name key. */
  material: string;
  owned: Owned[];
  ownedCount: number;
  offers: Offer[];
  /** One piece bought alone, for comparing sizes; infinite where none is sold. */
  price: Micros;
}

/** All boards and sheets to be had, longest first: one entry for each size and material. */
export const stocksOf = (
  { offers, owned }: Pick<PlanInput, 'offers' | 'owned'>,
  { cost }: NetPricing,
): Stock[] => {
  const stocks = new Map<string, Stock>();
  const stockFor = (
    kind: Stock['kind'],
    material: string,
    size: { thickness: Ticks; width: Ticks; length: Ticks },
  ): Stock => {
    const { thickness, width, length } = size;
    const name = nameKey(material);
    const key = `${kind}:${thickness}x${width}x${length}:${name}`;
    const stock = stocks.get(key) ?? {
      kind,
      thickness,
      width,
      length,
      material: name,
      owned: [],
      ownedCount: 0,
      offers: [],
      price: Infinity,
    };
    stocks.set(key, stock);
    return stock;
  };
  for (const offer of offers)
    if (offer.item.kind !== 'hardware') {
      const stock = stockFor(offer.item.kind, offer.item.material, offer);
      stock.offers.push(offer);
      const quantity = offer.tiers[0]?.minQty ?? 1;
      stock.price = Math.min(stock.price, (cost(offer, quantity) ?? Infinity) / quantity / offer.pack);
    }
  for (const pile of owned)
    if (pile.kind !== 'hardware') {
      const stock = stockFor(pile.kind, pile.material, pile);
      stock.owned.push(pile);
      stock.ownedCount += pile.count;
    }
  return [...stocks.values()].sort((a, b) => b.length - a.length || b.width - a.width);
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
