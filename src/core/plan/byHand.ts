import { buyItems, buyStocks, countStocks, spendStocks } from '../cutting/heuristics/buying';
import { assemble, type Basket } from '../cutting/heuristics';
import { bestFitDecreasing, boardPieces } from '../cutting/heuristics/packBoards';
import { rowByRow, TURNINGS } from '../cutting/heuristics/packPanels';
import {
  offerFitsInCar,
  needKey,
  netPricing,
  planCost,
  stocksOf,
  usefulOffers,
  useOf,
  type NetPricing,
  type Plan,
  type Stock,
} from '../cutting/model';
import { groupBy } from '../groupBy';
import type { PlanInput } from './inputTypes';

/**
 * What a person would buy by hand: everything at one store, each section in one length, the longest pieces first. The
 * cheapest store for that; null where none has everything. Boards go in the car as they are; what is owned is used as in any plan.
 */
export const byHandPlan = (given: PlanInput): Plan | null => {
  const fits = (offer: PlanInput['offers'][number]) => offerFitsInCar(offer, given.settings);
  const input = { ...given, offers: usefulOffers(given).filter(fits) };
  const plans = [...new Set(input.offers.map(({ storeId }) => storeId))]
    .sort()
    .map((id) => atOneStore({ ...input, offers: input.offers.filter(({ storeId }) => storeId === id) }))
    .filter((plan) => plan !== null);
  return plans.reduce<Plan | null>(
    (best, plan) => (planCost(plan) < (best ? planCost(best) : Infinity) ? plan : best),
    null,
  );
};

const atOneStore = (input: PlanInput): Plan | null => {
  const tillOf = netPricing(input.stores, input.settings);
  const stocks = stocksOf(input, tillOf);
  const basket: Basket = { boards: [], panels: [], purchases: [] };
  for (const parts of groupBy(
    input.parts.filter(({ kind }) => kind !== 'hardware'),
    needKey,
  )) {
    const way = inOneLength(parts, input, stocks, tillOf);
    if (!way) return null;
    spendStocks(countStocks([...way.boards, ...way.panels].map(({ stock }) => stock)), way.purchases);
    basket.boards.push(...way.boards);
    basket.panels.push(...way.panels);
    basket.purchases.push(...way.purchases);
  }
  const bought = buyItems(input, tillOf);
  if (!bought) return null;
  basket.purchases.push(...bought);
  return assemble(input, basket);
};

const inOneLength = (
  parts: PlanInput['parts'],
  input: PlanInput,
  stocks: Stock[],
  tillOf: NetPricing,
): (Basket & { cost: number }) | null => {
  const [first] = parts;
  if (!first) return null;
  let best: (Basket & { cost: number }) | null = null;
  for (const stock of stocks) {
    if (
      parts.some(
        (part) => useOf(part, stock, input.settings) !== (part.kind === 'sheet' ? 'panel' : 'crosscut'),
      )
    )
      continue;
    const boards =
      first.kind === 'board'
        ? bestFitDecreasing(boardPieces(parts, input.settings), stock, input.settings)
        : [];
    const panels =
      first.kind === 'sheet'
        ? TURNINGS.map((turning) => rowByRow(parts, turning, stock, input.settings)).find(
            (rows) => rows !== null,
          )
        : [];
    if (!boards || !panels) continue;
    const bought = buyStocks(new Map([[stock, boards.length + panels.length]]), tillOf);
    if (bought && bought.cost < (best?.cost ?? Infinity)) best = { boards, panels, ...bought };
  }
  return best;
};
