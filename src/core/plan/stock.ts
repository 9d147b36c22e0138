import type { Micros, Ticks } from '../measure';
import { nameKey } from '../wood';
import type { Offer } from '../prices';
import type { Owned, PlanInput } from './input';
import { buyPieces, type Purchases, type Till } from './buying';

/** Boards or sheets of one size: all that is owned and offered of it. */
export interface Stock {
  length: Ticks;
  width: Ticks;
  owned: Owned[];
  ownedCount: number;
  offers: Offer[];
  /** One piece bought alone, for comparing sizes; infinite where none is sold. */
  price: Micros;
}

/** The sizes to be had of one section (or sheet thickness) and material, longest first. */
export const stocksOf = (
  kind: 'board' | 'sheet',
  thickness: Ticks,
  width: Ticks | null,
  material: string,
  { offers, owned }: Pick<PlanInput, 'offers' | 'owned'>,
  { cost }: Till,
): Stock[] => {
  const stocks = new Map<string, Stock>();
  const stockFor = (size: { length: Ticks; width: Ticks }): Stock => {
    const key = `${size.length}x${size.width}`;
    const stock = stocks.get(key) ?? { length: size.length, width: size.width, owned: [], ownedCount: 0, offers: [], price: Infinity }; // prettier-ignore
    stocks.set(key, stock);
    return stock;
  };
  const isOf = (size: { thickness: Ticks; width: Ticks }, of: { kind: string; material: string }) =>
    of.kind === kind &&
    size.thickness === thickness &&
    (width === null || size.width === width) &&
    nameKey(of.material) === nameKey(material);
  for (const offer of offers)
    if (isOf(offer, offer.item)) {
      const stock = stockFor(offer);
      stock.offers.push(offer);
      const quantity = offer.tiers[0]?.minQty ?? 1;
      stock.price = Math.min(stock.price, (cost(offer, quantity) ?? Infinity) / quantity / offer.pack);
    }
  for (const pile of owned)
    if (isOf(pile, pile)) {
      const stock = stockFor(pile);
      stock.owned.push(pile);
      stock.ownedCount += pile.count;
    }
  return [...stocks.values()].sort((a, b) => b.length - a.length || b.width - a.width);
};

/** What it costs to have so many of each stock, owned ones first. Null where they are not to be had. */
export const buyStocks = (
  counts: Map<Stock, number>,
  till: Till,
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
