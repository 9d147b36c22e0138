import type { Micros, Ticks } from '../../units';
import { nameKey } from '../../nameKey';
import type { Offer } from './offer';
import type { Owned, CuttingProblem } from './problem';
import type { NetPricing } from './netPricing';

/** Boards or sheets of one size and material: all that is owned and offered of it. */
export interface Stock {
  kind: 'board' | 'sheet';
  thickness: Ticks;
  width: Ticks;
  length: Ticks;
  /** Length at its ends that cannot be used: it comes off before anything is cut. */
  unusable: Ticks;
  /** How many cuts the stores make in one so that it can be carried, where they make more than one. */
  storeCuts: number;
  /** Its name key. */
  material: string;
  owned: Owned[];
  ownedCount: number;
  offers: Offer[];
  /** One piece bought alone, for comparing sizes; infinite where none is sold. */
  price: Micros;
}

/** All boards and sheets to be had, the longest to cut from first: one entry for each size and material. */
export const stocksOf = (
  { offers, owned }: Pick<CuttingProblem, 'offers' | 'owned'>,
  { cost }: NetPricing,
): Stock[] => {
  const stocks = new Map<string, Stock>();
  const stockFor = (
    kind: Stock['kind'],
    material: string,
    size: { thickness: Ticks; width: Ticks; length: Ticks; unusable?: Ticks; storeCuts?: number },
  ): Stock => {
    const { thickness, width, length, unusable = 0 } = size;
    const storeCuts = Math.max(1, size.storeCuts ?? 1);
    const name = nameKey(material);
    const key = `${kind}:${thickness}x${width}x${length}-${unusable}:${storeCuts}:${name}`;
    const stock = stocks.get(key) ?? {
      kind,
      thickness,
      width,
      length,
      unusable,
      storeCuts,
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
  return [...stocks.values()].sort(
    (a, b) => usableLength(b) - usableLength(a) || a.length - b.length || b.width - a.width,
  );
};

/** One key for all boards of one section and material. */
export const woodKey = ({
  thickness,
  width,
  material,
}: Pick<Stock, 'thickness' | 'width' | 'material'>): string => `${thickness}x${width}:${nameKey(material)}`;

/** A length, and what of it cannot be used; absent: nothing. */
export interface Sized {
  length: Ticks;
  unusable?: Ticks;
}

/** What of a board or sheet can be cut at all, trims not taken off. */
export const usableLength = ({ length, unusable = 0 }: Sized): Ticks => Math.max(0, length - unusable);
