import { againstProject, planInput, planKey, type CheckAgainst, type PlanInput } from '@/core/plan';
import type { Book, Project } from '@/core/project';

/** What a planner is asked for: a state of project and prices, what a plan of it follows from, and the name of that. */
export interface PlanRequest {
  project: Project;
  book: Book;
  input: PlanInput;
  key: string;
}

/** The request that a project and the price book make. */
export const planRequest = (project: Project, book: Book): PlanRequest => {
  const input = planInput(project, book);
  return { project, book, input, key: planKey(input) };
};

/** What a plan is checked against: of the prices, those that it may rest on. */
export const againstOf = ({ project, book, input }: PlanRequest): CheckAgainst => {
  const used = input.offers.flatMap(({ tiers }) => tiers.map(({ price }) => [price.id, price] as const));
  return againstProject(project, { ...book, prices: Object.fromEntries(used) });
};
