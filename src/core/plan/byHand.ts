import { buyItems, buyStocks, countStocks, spendStocks } from '../cutting/heuristics/buying';
import { assemble, type Basket } from '../cutting/heuristics';
import { bestFitDecreasing, boardPieces, room } from '../cutting/heuristics/packBoards';
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
import { toMinor } from '../units';
import type { PlanInput } from './inputTypes';

/**
 * What a person would buy by hand: everything at one store, each section in one length, the longest pieces first. The
 * cheapest store for that; null where none has everything. Boards go in the car as they are; what is owned is used as in any plan.
 */
export const byHandPlan = (given: PlanInput): Plan | null => {
  const fits = (offer: PlanInput['offers'][number]) => offerFitsInCar(offer, given.settings);
  // Each shaped piece for itself: by hand nobody looks which lie head to tail.
  const parts = given.singly ?? given.parts;
  const input = { ...given, parts, offers: usefulOffers(given).filter(fits) };
  let best: Plan | null = null;
  const stores = [...new Set(input.offers.map(({ storeId }) => storeId))].sort().map((id) => {
    const own = { ...input, offers: input.offers.filter(({ storeId }) => storeId === id) };
    return { own, least: leastAtOneStore(own) };
  });
  for (const { own, least } of stores.sort((a, b) => a.least - b.least)) {
    if (best && toMinor(least, given.currency) > planCost(best)) break;
    const plan = atOneStore(own);
    if (plan && planCost(plan) < (best ? planCost(best) : Infinity)) best = plan;
  }
  return best;
};

/** What the boards of a list cost at one store at the least, in millionths: as many as its pieces are long together. */
const leastAtOneStore = (input: PlanInput): number => {
  const tillOf = netPricing(input.stores, input.settings);
  const stocks = stocksOf(input, tillOf);
  const boards = groupBy(
    input.parts.filter(({ kind }) => kind === 'board'),
    needKey,
  );
  return boards.reduce(
    (sum, parts) => sum + Math.min(...stocks.map((stock) => leastInOne(parts, stock, input, tillOf))),
    0,
  );
};

/** What boards of one length cost for parts at the least; infinite where one of them is not cut from it. */
const leastInOne = (
  parts: PlanInput['parts'],
  stock: Stock,
  { settings }: PlanInput,
  tillOf: NetPricing,
): number => {
  if (parts.some((part) => useOf(part, stock, settings) !== 'crosscut')) return Infinity;
  // What is owned costs nothing.
  if (stock.ownedCount > 0) return 0;
  const size = boardPieces(parts, settings).reduce((sum, piece) => sum + piece.size - piece.slack, 0);
  const boards = Math.ceil(size / room(stock, settings) - 1e-9);
  return buyStocks(new Map([[stock, boards]]), tillOf)?.cost ?? Infinity;
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
  const ranked =
    first.kind === 'board'
      ? stocks
          .map((stock) => ({ stock, least: leastInOne(parts, stock, input, tillOf) }))
          .sort((a, b) => a.least - b.least)
      : stocks.map((stock) => ({ stock, least: 0 }));
  for (const { stock, least } of ranked) {
    if (best && least > best.cost) break;
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
