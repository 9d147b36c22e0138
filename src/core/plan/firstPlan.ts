import {
  basketFrom,
  cheapestBasket,
  isCarried,
  lowerBound,
  planOf,
  type Basket,
} from '../cutting/heuristics';
import { carriable, fitsInCar, usefulOffers, type Plan, type PlanProblem } from '../cutting/model';
import type { Offer } from '../pricing';
import type { ResolvedPart } from '../project';
import type { PlanInput } from './inputTypes';
import { findProblems, thing } from './problems';

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
