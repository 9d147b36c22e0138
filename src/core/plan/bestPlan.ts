import { deadlineIn, searchBest, type Deadline, type Progress, type Solver } from '../cutting/solver';
import { isCarried, paidAt, spareShares } from '../cutting/heuristics';
import { offerFitsInCar, planCost, type Plan } from '../cutting/model';
import { byHandPlan } from './byHand';
import { firstBasket } from './firstPlan';
import type { PlanInput } from './inputTypes';

/**
 * The cheapest plan of an input: `proved` where no plan under the rules (docs/planner.md) costs less; else `bounded`, and none
 * costs less than `lowerBound`. Where something cannot be made, `infeasible`, with the reasons, and in `rest` the cheapest plan
 * for all else, proved or bounded likewise. `seconds` is when to stop, the first plan among them; `tell` hears of the best so far.
 */
export const bestPlan = (
  input: PlanInput,
  solver: Solver,
  seconds: number,
  tell: (progress: Progress) => void = () => undefined,
): Plan => {
  const deadline = deadlineIn(seconds);
  const { plan: first, basket, input: problem } = firstBasket(input);
  const isPart = first.status === 'infeasible';
  const plan = isPart ? first.rest : first;
  if (!plan || !basket) return first;
  const asWhole = (found: Plan): Plan => (isPart ? { ...first, rest: found } : found);
  const others = besides(problem);
  const share = others.length > 0 ? FIRST_SHARE : 1;
  let found = searchBest({ plan, basket, problem }, solver, searchTime(deadline) * share, (progress) =>
    tell({ ...progress, plan: asWhole(withRestPaid(progress.plan)) }),
  );
  for (const [index, other] of others.entries()) {
    // Nothing is added to what was proved: then there is nothing to look for.
    if (deadline.left() <= LEAST_SEARCH || found.lowerBound >= found.total) break;
    found = cheaper(found, planAs(other, problem, solver, deadline.left() / (others.length - index)));
  }
  return asWhole(orByHand(withRestPaid(found), problem));
};

/** Seconds that a search has at the least: the first plan of a very long list may take all there are. */
const LEAST_SEARCH = 0.1;
const searchTime = ({ left }: Deadline): number => Math.max(LEAST_SEARCH, left());

/** Of the time there is, what goes to the search that gives the bound, where others follow. */
const FIRST_SHARE = 0.6;

/**
 * Problems like one, in whose plans what the search does not decide on costs less: boards of which spares are bought cost so much
 * more, and what is sawn for a fee is not sold.
 */
const besides = (problem: PlanInput): PlanInput[] => {
  const { settings, offers, stores } = problem;
  const shareOf = spareShares(settings);
  const withSpares = offers.map((offer) => {
    const part = shareOf(offer);
    const dearer = (tier: (typeof offer.tiers)[number]) => ({
      ...tier,
      unitPrice: Math.round(tier.unitPrice * (1 + part)),
    });
    return part > 0 ? { ...offer, tiers: offer.tiers.map(dearer) } : offer;
  });
  const isFree = (offer: (typeof offers)[number]) =>
    offerFitsInCar(offer, settings) || stores.find(({ id }) => id === offer.storeId)?.cutFee === 0;
  const unsawn = offers.filter(isFree);
  return [
    ...(withSpares.some((offer, index) => offer !== offers[index])
      ? [{ ...problem, offers: withSpares }]
      : []),
    ...(unsawn.length < offers.length ? [{ ...problem, offers: unsawn }] : []),
  ];
};

/** The best plan of another problem, at the prices of this one; null: it has none for all parts. */
const planAs = (other: PlanInput, problem: PlanInput, solver: Solver, seconds: number): Plan | null => {
  const deadline = deadlineIn(seconds);
  const { plan, basket, input } = firstBasket(other);
  if (!basket || plan.status === 'infeasible') return null;
  const found = searchBest({ plan, basket, problem: input }, solver, searchTime(deadline), () => undefined);
  const purchases = found.buys.flatMap(({ offerKey, qty }) => {
    const offer = problem.offers.find(({ key }) => key === offerKey);
    return offer ? [{ offer, quantity: qty }] : [];
  });
  const paid = paidAt(problem, purchases, found.layouts, found.short);
  return { ...paid, sawing: found.sawing, total: paid.total + found.sawing };
};

/** The cheaper of a plan and another for the same; the bound is that of the first. */
const cheaper = (plan: Plan, other: Plan | null): Plan => {
  if (!other || planCost(other) >= planCost(plan)) return plan;
  const least = plan.lowerBound + plan.committedShipping - other.committedShipping;
  const lowerBound = Math.max(0, Math.min(other.total, least));
  return { ...other, lowerBound, status: lowerBound >= other.total ? 'proved' : 'bounded' };
};

/** The search decides neither on spare boards nor on sawing for a fee: where they cost something, it has proved what the rest costs. */
const withRestPaid = (plan: Plan): Plan =>
  plan.status === 'proved' && plan.lowerBound < plan.total ? { ...plan, status: 'bounded' } : plan;

/** Spare boards may make dearer what is cheaper without them: never dearer than what a person would buy by hand. */
const orByHand = (found: Plan, input: PlanInput): Plan => {
  const hand = byHandPlan(input);
  const best = cheaper(found, hand && isCarried(hand, input.settings) ? hand : null);
  return best === found ? found : { ...best, status: 'bounded' };
};
