import { buyItems, buyStocks, countStocks, spendStocks } from './buying';
import type { Minor } from '../../units';
import {
  fitsInCar,
  netPricing,
  stocksOf,
  partedOffcuts,
  storeCutsOf,
  type CuttingProblem,
  type Layout,
  type Plan,
  type NetPricing,
  type SawSettings,
  type Stock,
} from '../model';
import { assemble, basketCost, type Basket } from './assemble';
import { chooseBatches, packBatch, type MaterialBatch } from './batches';

/**
 * All stores at first, or one of the few that have everything; then, as long as the whole gets cheaper by it, the one
 * whose absence saves most is left out.
 */
export const cheapestBasket = (input: CuttingProblem): Basket | null => {
  const known = new Map<Basket | null, number>([[null, Infinity]]);
  const price = (basket: Basket | null): number => {
    const cost = known.get(basket) ?? (basket ? basketCost(input, basket) : Infinity);
    known.set(basket, cost);
    return cost;
  };
  let best = [basketFrom(input), ...alone()].reduce((a, b) => (price(b) < price(a) ? b : a), null);
  for (let improved = best !== null; improved && best;) {
    const used = new Set(best.purchases.map(({ offer }) => offer.storeId));
    const total = price(best);
    const fewer = [...used].sort().map((left) =>
      basketFrom({
        ...input,
        offers: input.offers.filter(({ storeId }) => used.has(storeId) && storeId !== left),
      }),
    );
    const cheapest: Basket | null = fewer.reduce((a, b) => (price(b) < price(a) ? b : a), null);
    improved = price(cheapest) < total;
    if (improved) best = cheapest;
  }
  return best;

  /** Everything from one store, for each of them. */
  function alone(): (Basket | null)[] {
    const stores = [...new Set(input.offers.map(({ storeId }) => storeId))].sort();
    if (stores.length < 2 || stores.length > MAX_ALONE) return [];
    return stores.map((id) =>
      basketFrom({ ...input, offers: input.offers.filter(({ storeId }) => storeId === id) }),
    );
  }
};

/** With more stores than these, what each would cost alone is not tried: the first plan must be there at once. */
const MAX_ALONE = 8;

/** What one pass over all offers comes to: each thing bought where it costs least. Null where not everything can be made. */
export const basketFrom = (input: CuttingProblem): Basket | null => {
  const pricing = netPricing(input.stores, input.settings);
  const wood = woodTogether(input, pricing) ?? woodInTurn(input, pricing);
  if (!wood) return null;
  const bought = buyItems(input, pricing);
  return bought && { ...wood, purchases: [...wood.purchases, ...bought] };
};

/** All batches packed by themselves, and their boards bought together: they may take from one pile. */
const woodTogether = (input: CuttingProblem, pricing: NetPricing): Basket | null => {
  const stocks = stocksOf(input, pricing);
  const batches = batchesOf(input, stocks, pricing);
  if (!batches) return null;
  const basket: Basket = { boards: [], panels: [], purchases: [] };
  for (const batch of batches) {
    const packed = packBatch(batch, input, stocks, pricing);
    if (!packed) return null;
    basket.boards.push(...packed.boards);
    basket.panels.push(...packed.panels);
  }
  const bought = buyStocks(boardsIn(basket), pricing);
  return bought && { ...basket, purchases: bought.purchases };
};

/** One batch after the other, each from what those before have left: for when there is not enough for all at once. */
const woodInTurn = (input: CuttingProblem, pricing: NetPricing): Basket | null => {
  const stocks = stocksOf(input, pricing);
  const batches = batchesOf(input, stocks, pricing);
  if (!batches) return null;
  const basket: Basket = { boards: [], panels: [], purchases: [] };
  for (const batch of batches)
    if (!take(batch)) {
      // Others were there first: then of whatever material there is still enough of.
      const again = chooseBatches(batch.parts, input, stocks, pricing);
      if (!again?.every(take)) return null;
    }
  return basket;

  function take(batch: MaterialBatch): boolean {
    const packed = packBatch(batch, input, stocks, pricing);
    const counts = packed && boardsIn(packed);
    const bought = counts && buyStocks(counts, pricing);
    if (!packed || !bought) return false;
    spendStocks(counts, bought.purchases);
    basket.boards.push(...packed.boards);
    basket.panels.push(...packed.panels);
    basket.purchases.push(...bought.purchases);
    return true;
  }
};

const batchesOf = (input: CuttingProblem, stocks: Stock[], pricing: NetPricing): MaterialBatch[] | null => {
  const cut = input.parts.filter(({ kind }) => kind !== 'hardware');
  return chooseBatches(cut, input, stocks, pricing);
};

const boardsIn = ({ boards, panels }: Pick<Basket, 'boards' | 'panels'>): Map<Stock, number> =>
  countStocks([...boards, ...panels].map(({ stock }) => stock));

/** A basket as a plan, with the cuts that the stores make. */
export const planOf = (input: CuttingProblem, basket: Basket): Plan => {
  const plan = assemble(input, basket);
  const layouts = plan.layouts.map((layout) => {
    const isLong = !('owned' in layout.source) && !fitsInCar(layout, input.settings);
    if (!isLong) return layout;
    const storeCuts = storeCutsOf(layout, input.settings, cutsBy(layout.source)?.cuts ?? 0) ?? [];
    const added = storeCuts.filter((cut) => !layout.cuts.includes(cut));
    const offcuts = partedOffcuts(layout.offcuts, storeCuts, input.settings.kerf.ticks);
    return { ...layout, cuts: [...added, ...layout.cuts], storeCuts, offcuts };
  });
  const feeOf = ({ source, storeCuts, count }: Layout): Minor =>
    storeCuts.length * count * (cutsBy(source)?.cutFee ?? 0);
  const sawing = layouts.reduce((sum, layout) => sum + feeOf(layout), 0);
  return { ...plan, layouts, sawing, total: plan.total + sawing };

  function cutsBy(source: Layout['source']) {
    return 'owned' in source ? undefined : input.stores.find(({ id }) => id === source.storeId);
  }
};

/** Whether everything that is too long for the car is sawn at the store first. */
export const isCarried = ({ layouts, rest }: Plan, settings: SawSettings): boolean =>
  (!rest || isCarried(rest, settings)) && layouts.every((layout) => isBroughtHome(layout, settings));

/** Whether what a layout cuts is there, goes in the car, or is sawn at the store so that it does. */
export const isBroughtHome = (layout: Layout, settings: SawSettings): boolean =>
  'owned' in layout.source || fitsInCar(layout, settings) || layout.storeCuts.length > 0;
