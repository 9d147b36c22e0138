import { fromCsv } from '../testing';
import { againstProject, planCost, planInput, shownPlan, type Plan, type PlanInput } from '.';
import { bestPlan, byHandPlan, checkPlan, firstPlan, type Solver } from './planner';
import { randomList } from './randomList';

/** What planning one random list came to. */
export interface FuzzResult {
  seed: number;
  /** What is wrong, one line each; empty: nothing. */
  faults: string[];
  plan: Plan | null;
  seconds: number;
}

/** The random list of a seed as a project and its price book, with what is on the rack. */
export const givenList = (seed: number): ReturnType<typeof fromCsv> => {
  const { rack, ...list } = randomList(seed);
  const given = fromCsv(list);
  const entries = rack.map((entry, index) => ({ ...entry, id: `r${index}` }));
  return {
    ...given,
    book: { ...given.book, rack: Object.fromEntries(entries.map((entry) => [entry.id, entry])) },
  };
};

/**
 * Plans the list of a seed within `limit` seconds and holds the plan against what must always be true: it does not crash, it
 * passes its check, it is not dearer than buying by hand, what cannot be made has a reason and all else a plan, the bound is
 * not above it, and `allowed` seconds are kept.
 */
export const fuzzOne = (
  seed: number,
  solver: Solver,
  limit: number,
  allowed = limit * 1.1 + 0.5,
): FuzzResult => {
  const given = givenList(seed);
  const input = planInput(given.project, given.book);
  const began = performance.now();
  const faults: string[] = [];
  let plan: Plan | null = null;
  try {
    plan = bestPlan(input, solver, limit);
  } catch (error) {
    faults.push(`crashed: ${(error as Error).message}`);
  }
  const seconds = (performance.now() - began) / 1000;
  if (seconds > allowed) faults.push(`took ${seconds.toFixed(1)} s of ${limit}`);
  if (plan) faults.push(...faultsOf(plan, given, input));
  return { seed, faults, plan, seconds };
};

/** What is false of a plan that was found for a list. */
const faultsOf = (plan: Plan, given: ReturnType<typeof fromCsv>, input: PlanInput): string[] => {
  const faults: string[] = [];
  const shown = shownPlan(plan);
  for (const { place, sentence } of checkPlan(plan, againstProject(given.project, given.book)))
    faults.push(`refused: ${place}: ${sentence}`);
  if (plan.status === 'infeasible' && plan.problems.length === 0) faults.push('no plan, and no reason');
  if (plan.status === 'infeasible' && plan.problems.some(({ partIds }) => partIds.length === 0))
    faults.push(`a reason without a part: ${plan.problems.map(({ sentence }) => sentence).join(' ')}`);
  if (plan.status === 'infeasible' && !shown && plan.problems.length < given.project.groups.length)
    faults.push(`nothing is planned: ${plan.problems.map(({ sentence }) => sentence).join(' ')}`);
  if (shown && shown.lowerBound > shown.total) faults.push('the bound is above the plan');
  for (const name of leftOutForNothing(plan, input)) faults.push(`${name} is left out, and can be made`);
  const hand = plan.status === 'infeasible' ? null : byHandPlan(input);
  if (hand && shown && planCost(hand) < planCost(shown))
    faults.push(`by hand ${planCost(hand)}, planned ${planCost(shown)}`);
  return faults;
};

/** Parts that a plan leaves out, though one of each to a board of an offer without limit can be bought and brought home. */
const leftOutForNothing = (plan: Plan, input: PlanInput): string[] => {
  const left = new Set(plan.problems.flatMap(({ partIds }) => partIds));
  const endless = input.offers.filter(({ available }) => available === null);
  return input.parts
    .filter(({ id, kind }) => left.has(id) && kind !== 'hardware')
    .filter((part) =>
      endless.some((offer) => {
        const alone = firstPlan({
          ...input,
          parts: [{ ...part, count: 1 }],
          singly: undefined,
          offers: [offer],
          owned: [],
          problems: [],
          settings: { ...input.settings, spare: {} },
        });
        return alone.status !== 'infeasible';
      }),
    )
    .map(({ name }) => name);
};
