import type { PlanSettings, ResolvedPart } from '../project';
import { assemble, type Basket } from './assemble';
import { lowerBound } from './bound';
import { buyPieces, netPricing } from './netPricing';
import { carriable, fitsInCar, storeCutOf } from './carry';
import { usefulOffers } from './cuttable';
import { itemsOf } from './items';
import type { Offer } from '../pricing';
import type { PlanInput } from './inputTypes';
import { chooseBatches, packBatch } from './batches';
import { findProblems, thing } from './problems';
import { buyStocks, countStocks, stocksOf } from './stock';
import { planCost, type Plan, type PlanProblem } from './types';

/**
 * A first plan: boards filled best-fit decreasing over all stock lengths, sheets row by row, each thing bought
 * where it costs least, and stores left out while that saves their trip. It is not proved: `status` is
 * `bounded`, and no plan under planner.md's rules costs less than `lowerBound`. Where something cannot be made,
 * `infeasible`, with the reasons, and in `rest` a plan for what can.
 */
export const firstPlan = (input: PlanInput): Plan => firstBasket(input).plan;

export interface FirstPlan {
  plan: Plan;
  /** What it decides; null where not everything can be made. */
  basket: Basket | null;
  /** The input with those offers alone that some part can be made of, and that can come home. */
  input: PlanInput;
}

/** A first plan with what it decides. */
export const firstBasket = (given: PlanInput): FirstPlan => {
  const input = { ...given, offers: usefulOffers(given) };
  const carried = { ...input, offers: carriable(input.offers, input.stores, input.settings) };
  const first = planFrom(carried);
  if (isCarried(first.plan, input.settings)) return { ...first, input: carried };
  // A board cannot be sawn at the store between its pieces: then without the boards that are too long.
  const isShort = (offer: Offer) => offer.item.kind === 'hardware' || fitsInCar(offer, input.settings);
  const short = planFrom({ ...carried, offers: carried.offers.filter(isShort) });
  if (short.plan.status !== 'infeasible' || first.plan.status === 'infeasible')
    return { ...short, input: carried };
  return { input: carried, plan: infeasible(input, [tooLongToCarry(first.plan, input)]), basket: null };
};

const tooLongToCarry = (plan: Plan, { settings }: PlanInput): PlanProblem => {
  const stuck = plan.layouts.filter(
    (layout) => !fitsInCar(layout, settings) && layout.storeCuts.length === 0,
  );
  const names = [...new Set(stuck.flatMap(({ pieces }) => pieces.map(({ part }) => part)))].join(', ');
  return {
    code: 'tooLongToCarry',
    partIds: [...new Set(stuck.flatMap(({ pieces }) => pieces.map(({ partId }) => partId)))],
    part: names,
    sentence: `${names}: found no way to saw their boards once at the store so that both halves go in the car. Raise the limit for carrying, or add a price for shorter boards.`,
  };
};

/** Whether everything that is too long for the car is sawn at the store first. */
export const isCarried = ({ layouts, rest }: Plan, settings: PlanSettings): boolean =>
  (!rest || isCarried(rest, settings)) &&
  layouts.every(
    (layout) => 'owned' in layout.source || fitsInCar(layout, settings) || layout.storeCuts.length > 0,
  );

const planFrom = (input: PlanInput): { plan: Plan; basket: Basket | null } => {
  const problems = [...input.problems, ...findProblems(input)];
  const makeable = without(input, problems);
  const basket = cheapestBasket(makeable);
  const bounded = (of: PlanInput, made: Basket): Plan => {
    const plan = planOf(of, made);
    return { ...plan, lowerBound: Math.min(plan.total, lowerBound(of)) };
  };
  if (basket && problems.length === 0) return { plan: bounded(makeable, basket), basket };
  if (basket) return { plan: infeasible(input, problems, bounded(makeable, basket)), basket: null };
  const soldOut = findSoldOut(makeable);
  const rest = without(makeable, soldOut);
  const restBasket = cheapestBasket(rest);
  const plan = infeasible(
    input,
    [...problems, ...soldOut],
    restBasket ? bounded(rest, restBasket) : undefined,
  );
  return { plan, basket: null };
};

/** A basket as a plan, with the cuts that the stores make. */
export const planOf = (input: PlanInput, basket: Basket): Plan => {
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

const infeasible = ({ currency }: PlanInput, problems: PlanProblem[], rest?: Plan): Plan => ({
  status: 'infeasible',
  currency,
  total: 0,
  lowerBound: 0,
  goods: 0,
  tax: 0,
  trips: 0,
  shipping: 0,
  committedShipping: 0,
  buys: [],
  layouts: [],
  short: [],
  stores: [],
  problems,
  rest,
});

const without = (input: PlanInput, problems: PlanProblem[]): PlanInput => {
  const left = new Set(problems.flatMap(({ partIds }) => partIds));
  return { ...input, problems: [], parts: input.parts.filter(({ id }) => !left.has(id)) };
};

/**
 * All stores at first, or one of the few that have everything; then, as long as the whole gets cheaper by it, the one
 * whose absence saves most is left out.
 */
const cheapestBasket = (input: PlanInput): Basket | null => {
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

const basketFrom = (input: PlanInput): Basket | null => {
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
  for (const { pieces, offers } of itemsOf(input)) {
    const bought = buyPieces(pieces, offers, tillOf);
    if (!bought) return null;
    basket.purchases.push(...bought.purchases);
  }
  return basket;
};

/** What is offered but not enough of: each section and material, and each item, tried by itself. */
const findSoldOut = (input: PlanInput): PlanProblem[] => {
  const alone = new Map<string, ResolvedPart[]>();
  for (const part of input.parts) alone.set(thing(part), [...(alone.get(thing(part)) ?? []), part]);
  return [...alone].flatMap(([name, parts]): PlanProblem[] =>
    basketFrom({ ...input, parts })
      ? []
      : [
          {
            code: 'soldOut',
            partIds: parts.map(({ id }) => id),
            part: name,
            sentence: `${name}: the stores do not have enough of it for ${parts.map((part) => part.name).join(', ')}. Add a price at another store, or allow another material.`,
          },
        ],
  );
};
