import { buyPieces, buyStocks, countStocks } from './buying';
import {
  fitsInCar,
  netPricing,
  planCost,
  stocksOf,
  storeCutOf,
  wantedItems,
  type CuttingProblem,
  type Plan,
  type SawSettings,
} from '../model';
import { assemble, type Basket } from './assemble';
import { chooseBatches, packBatch } from './batches';

/**
 * All stores at first, or one of the few that have everything; then, as long as the whole gets cheaper by it, the one
 * whose absence saves most is left out.
 */
export const cheapestBasket = (input: CuttingProblem): Basket | null => {
  const price = (basket: Basket | null) => (basket ? planCost(assemble(input, basket)) : Infinity);
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
  const tillOf = netPricing(input.stores, input.settings);
  const stocks = stocksOf(input, tillOf);
  const cut = input.parts.filter(({ kind }) => kind !== 'hardware');
  const pools = chooseBatches(cut, input, stocks, tillOf);
  if (!pools) return null;
  const basket: Basket = { boards: [], panels: [], purchases: [] };
  for (const pool of pools) {
    const packed = packBatch(pool, input, stocks, tillOf);
    if (!packed) return null;
    basket.boards.push(...packed.boards);
    basket.panels.push(...packed.panels);
  }
  // Pools may take from one pile: it is bought for all of them together.
  const counts = countStocks([...basket.boards, ...basket.panels].map(({ stock }) => stock));
  const wood = buyStocks(counts, tillOf);
  if (!wood) return null;
  basket.purchases.push(...wood.purchases);
  for (const { pieces, offers } of wantedItems(input)) {
    const bought = buyPieces(pieces, offers, tillOf);
    if (!bought) return null;
    basket.purchases.push(...bought.purchases);
  }
  return basket;
};

/** A basket as a plan, with the cuts that the stores make. */
export const planOf = (input: CuttingProblem, basket: Basket): Plan => {
  const plan = assemble(input, basket);
  const layouts = plan.layouts.map((layout) => {
    const isLong = !('owned' in layout.source) && !fitsInCar(layout, input.settings);
    const cut = isLong ? storeCutOf(layout, input.settings) : null;
    if (!cut) return layout;
    const cuts = layout.cuts.includes(cut) ? layout.cuts : [cut, ...layout.cuts];
    return { ...layout, cuts, storeCuts: [cut] };
  });
  return { ...plan, layouts };
};

/** Whether everything that is too long for the car is sawn at the store first. */
export const isCarried = ({ layouts, rest }: Plan, settings: SawSettings): boolean =>
  (!rest || isCarried(rest, settings)) &&
  layouts.every(
    (layout) => 'owned' in layout.source || fitsInCar(layout, settings) || layout.storeCuts.length > 0,
  );
