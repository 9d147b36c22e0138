import { shownPlan, type Plan } from '../cutting/model';

const lackOf = ({ problems }: Plan): string[] =>
  [...new Set(problems.flatMap(({ partIds }) => partIds))].sort();

/** Whether two plans leave out the same parts: only then can their sums be held against each other. */
export const isSameLack = (a: Plan, b: Plan): boolean => lackOf(a).join() === lackOf(b).join();

/**
 * What a plan makes, to be held against another: null where it makes nothing, or leaves out a part that the other makes and would
 * look cheaper for it.
 */
export const shownBeside = (plan: Plan | null | undefined, other: Plan): Plan | null => {
  const left = new Set(lackOf(other));
  return plan && lackOf(plan).every((id) => left.has(id)) ? shownPlan(plan) : null;
};
