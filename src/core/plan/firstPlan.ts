import {
  basketFrom,
  cheapestBasket,
  isBroughtHome,
  isCarried,
  lowerBound,
  planOf,
  type Basket,
} from '../cutting/heuristics';
import { carriable, offerFitsInCar, usefulOffers, type Plan, type PlanProblem } from '../cutting/model';
import { groupBy } from '../groupBy';
import type { Offer } from '../pricing';
import type { ResolvedPart } from '../project';
import { formatLength } from '../units';
import type { PlanInput } from './inputTypes';
import { cheaperWay } from './cheaperWay';
import { findProblems, thing } from './problems';
import { infeasiblePlan } from './refusedPlan';

/**
 * A first plan: boards filled best-fit decreasing over all stock lengths, sheets row by row, each thing bought
 * where it costs least, and stores left out while that saves their trip. It is not proved: `status` is
 * `bounded`, and no plan under planner.md's rules costs less than `lowerBound`. Where something cannot be made,
 * `infeasible`, with the reasons, and in `rest` a plan for what can.
 */
export const firstPlan = (input: PlanInput): Plan => cheaperWay(input, (one) => firstBasket(one).plan);

/** A first plan with what it decides. */
export interface FirstPlan {
  plan: Plan;
  /** What the plan decides, or the plan for the rest where not everything can be made; null: there is neither. */
  basket: Basket | null;
  /** What that basket is for: with those offers alone that some part can be made of and that can come home, without the
   * parts that cannot be had. */
  input: PlanInput;
}

/** A first plan with what it decides. What cannot be made or carried is left out, with its reason, and the rest is planned. */
export const firstBasket = (given: PlanInput): FirstPlan => {
  const useful = { ...given, offers: usefulOffers(given) };
  const { stores, settings } = useful;
  const input = { ...useful, offers: carriable(useful.offers, stores, settings) };
  const first = planFrom(input);
  if (isCarried(first.plan, settings)) return first;
  // A board cannot be sawn at the store between its pieces: then without boards of its size, one size after the other.
  const fewer = withoutStuckSizes(input, first);
  if (fewer && isAllMade(fewer)) return fewer;
  // Else without all boards that are too long.
  const isShort = (offer: Offer) => offerFitsInCar(offer, settings);
  const short = planFrom({ ...input, offers: input.offers.filter(isShort) });
  if (isAllMade(short) || short.plan.problems.length <= first.plan.problems.length)
    return { ...short, input: { ...input, parts: short.input.parts, problems: [] } };
  return withoutStuck(input, first);
};

/** A plan without the sizes of boards that would have to be sawn through a piece; null: what is left makes less. */
const withoutStuckSizes = (input: PlanInput, first: FirstPlan): FirstPlan | null => {
  let { offers } = input;
  let made = first;
  while (made.basket && !isCarried(made.plan, input.settings)) {
    const stuck = stuckLayouts(made.plan.rest ?? made.plan, input);
    const isStuck = ({ item, length, width }: Offer) =>
      stuck.some((layout) => layout.kind === item.kind && layout.length === length && layout.width === width);
    const left = offers.filter((offer) => !isStuck(offer));
    if (left.length === offers.length) return null;
    offers = left;
    made = planFrom({ ...input, offers });
  }
  // What is proved is proved of all that is sold.
  return made.basket ? { ...made, input: { ...input, parts: made.input.parts, problems: [] } } : null;
};

/** Layouts that do not go in the car, and that no cut of the store makes so. */
const stuckLayouts = ({ layouts }: Plan, { settings }: Pick<PlanInput, 'settings'>): Plan['layouts'] =>
  layouts.filter((layout) => !isBroughtHome(layout, settings));

const isAllMade = ({ plan }: FirstPlan): boolean => plan.status !== 'infeasible';

/** The parts whose boards cannot be brought home are left out one after the other, until all that is left can. */
const withoutStuck = (input: PlanInput, first: FirstPlan): FirstPlan => {
  const stuck: PlanProblem[] = [];
  let made = first;
  while (made.basket && !isCarried(made.plan, input.settings)) {
    const problems = tooLongToCarry(made.plan.rest ?? made.plan, made.input);
    if (problems.length === 0)
      return { input: made.input, plan: infeasiblePlan(input.currency, stuck), basket: null };
    stuck.push(...problems);
    made = planFrom(without(input, stuck));
  }
  const rest = made.plan.status === 'infeasible' ? made.plan.rest : made.plan;
  return { ...made, plan: infeasiblePlan(input.currency, [...made.plan.problems, ...stuck], rest) };
};

/** The parts of boards that cannot be brought home: those alone that cannot by themselves, where there are such. */
const tooLongToCarry = (plan: Plan, input: PlanInput): PlanProblem[] => {
  const stuck = stuckLayouts(plan, input);
  const ids = new Set(stuck.flatMap(({ pieces }) => pieces.map(({ partId }) => partId)));
  const parts = input.parts.filter(({ id }) => ids.has(id));
  const hopeless = parts.filter((part) => {
    const alone = planFrom({ ...input, parts: [{ ...part, count: 1 }] });
    return !isAllMade(alone) || !isCarried(alone.plan, input.settings);
  });
  return (hopeless.length > 0 ? hopeless : parts).map((part) => ({
    code: 'tooLongToCarry',
    partIds: [part.id],
    part: part.name,
    sentence: `${part.name}, ${formatLength(part.length, input.unit)}: found no way to saw its board at the store so that all of it goes in the car. Raise the limit for carrying, or add a price for shorter boards.`,
  }));
};

const planFrom = (input: PlanInput): FirstPlan => {
  const problems = [...input.problems, ...findProblems(input)];
  const makeable = without(input, problems);
  const basket = cheapestBasket(makeable);
  if (basket) {
    const plan = bounded(makeable, basket);
    return {
      plan: problems.length > 0 ? infeasiblePlan(input.currency, problems, plan) : plan,
      basket,
      input: makeable,
    };
  }
  const { soldOut, parts } = takenInTurn(makeable);
  const rest = { ...makeable, parts };
  const restBasket = cheapestBasket(rest);
  const plan = restBasket ? bounded(rest, restBasket) : undefined;
  const reasons = [...problems, ...soldOut];
  return {
    plan: plan && reasons.length === 0 ? plan : infeasiblePlan(input.currency, reasons, plan),
    basket: restBasket,
    input: rest,
  };
};

const bounded = (of: PlanInput, made: Basket): Plan => {
  const plan = planOf(of, made);
  return { ...plan, lowerBound: Math.min(plan.total, lowerBound(of)) };
};

const without = (input: PlanInput, problems: PlanProblem[]): PlanInput => {
  const left = new Set(problems.flatMap(({ partIds }) => partIds));
  return { ...input, problems: [], parts: input.parts.filter(({ id }) => !left.has(id)) };
};

/**
 * What is offered but not enough of: sections, sheets and things are taken in one after the other, and what there is not
 * enough of beside those before is told. `parts` are those that there is enough for.
 */
const takenInTurn = (input: PlanInput): { soldOut: PlanProblem[]; parts: ResolvedPart[] } => {
  const problems: PlanProblem[] = [];
  let kept: ResolvedPart[] = [];
  const takes = (parts: ResolvedPart[]): boolean => {
    if (!basketFrom({ ...input, parts: [...kept, ...parts] })) return false;
    kept = [...kept, ...parts];
    return true;
  };
  for (const parts of groupBy(input.parts, thing)) {
    if (takes(parts)) continue;
    // Of some of them there may be enough.
    const short = parts.length > MAX_ALONE ? parts : parts.filter((part) => !takes([part]));
    const name = short[0] ? thing(short[0]) : '';
    if (short.length === 0) continue;
    problems.push({
      code: 'soldOut',
      partIds: short.map(({ id }) => id),
      part: name,
      sentence: `${name}: the stores do not have enough of it for ${short.map((part) => part.name).join(', ')}. Add a price at another store, or allow another material.`,
    });
  }
  return { soldOut: problems, parts: kept };
};

/** Of more parts than these of one section it is not tried which of them there is enough for: that takes long. */
const MAX_ALONE = 40;
