import { nameKey } from '../wood';
import { assemble, type Basket } from './assemble';
import { buyPieces, till, type Till } from './buying';
import { useOf } from './cuttable';
import type { PlanInput } from './input';
import { bestFitDecreasing, boardPieces } from './packBoards';
import { rowByRow, TURNINGS } from './packPanels';
import { buyStocks, stocksOf, type Stock } from './stock';
import type { Plan } from './types';

/**
 * What a person would buy by hand: everything at one store, each section in one length, the longest pieces first. The
 * cheapest store for that; null where none has everything. What is owned is used as in any plan.
 */
export const byHandPlan = (input: PlanInput): Plan | null => {
  const plans = [...new Set(input.offers.map(({ storeId }) => storeId))]
    .sort()
    .map((id) => atOneStore({ ...input, offers: input.offers.filter(({ storeId }) => storeId === id) }))
    .filter((plan) => plan !== null);
  return plans.reduce<Plan | null>((best, plan) => (plan.total < (best?.total ?? Infinity) ? plan : best), null); // prettier-ignore
};

const atOneStore = (input: PlanInput): Plan | null => {
  const tillOf = till(input.stores, input.settings);
  const stocks = stocksOf(input, tillOf);
  const basket: Basket = { boards: [], panels: [], purchases: [] };
  for (const parts of groupsOf(input)) {
    const way = inOneLength(parts, input, stocks, tillOf);
    if (!way) return null;
    basket.boards.push(...way.boards);
    basket.panels.push(...way.panels);
    basket.purchases.push(...way.purchases);
  }
  return assemble(input, basket);
};

/** Parts that are bought as one thing: of one section and choice of materials, or of one item. */
const groupsOf = ({ parts }: PlanInput): PlanInput['parts'][] => {
  const groups = new Map<string, PlanInput['parts']>();
  for (const part of parts) {
    const size = part.kind === 'hardware' ? nameKey(part.item) : `${part.thickness}x${part.kind === 'board' ? part.width : ''}:${part.materials.map(nameKey).sort().join('|')}`; // prettier-ignore
    const key = `${part.kind}:${size}`;
    groups.set(key, [...(groups.get(key) ?? []), part]);
  }
  return [...groups.values()];
};

const inOneLength = (parts: PlanInput['parts'], input: PlanInput, stocks: Stock[], tillOf: Till): (Basket & { cost: number }) | null => {
  const [first] = parts;
  if (!first) return null;
  if (first.kind === 'hardware') {
    const isIt = (name: string) => nameKey(name) === nameKey(first.item);
    const held = input.owned.filter(({ kind, name }) => kind === 'hardware' && isIt(name));
    const wanted = parts.reduce((sum, { count }) => sum + count, 0) - held.reduce((sum, { count }) => sum + count, 0);
    const sold = input.offers.filter(({ item, name }) => item.kind === 'hardware' && isIt(name));
    const bought = buyPieces(wanted, sold, tillOf);
    return bought && { boards: [], panels: [], ...bought };
  }
  let best: (Basket & { cost: number }) | null = null;
  for (const stock of stocks) {
    if (parts.some((part) => useOf(part, stock, input.settings) !== (part.kind === 'sheet' ? 'panel' : 'crosscut'))) continue;
    const boards = first.kind === 'board' ? bestFitDecreasing(boardPieces(parts, input.settings), stock, input.settings) : [];
    const panels = first.kind === 'sheet' ? TURNINGS.map((turning) => rowByRow(parts, turning, stock, input.settings)).find((rows) => rows !== null) : [];
    if (!boards || !panels) continue;
    const bought = buyStocks(new Map([[stock, boards.length + panels.length]]), tillOf);
    if (bought && bought.cost < (best?.cost ?? Infinity)) best = { boards, panels, ...bought };
  }
  return best;
}; // prettier-ignore
