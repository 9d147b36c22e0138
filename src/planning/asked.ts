import { againstProject, planInput, type CheckAgainst, type PlanInput } from '@/core/plan';
import type { Book, Project } from '@/core/project';

/** How what was worked out is kept: it follows from its key alone. */
export const KEPT = {
  staleTime: Infinity,
  gcTime: 5 * 60 * 1000,
  networkMode: 'always',
  structuralSharing: false,
} as const;

/** What a planner is asked for. */
export interface Asked {
  project: Project;
  book: Book;
  input: PlanInput;
}

export const askedOf = (project: Project, book: Book): Asked => ({
  project,
  book,
  input: planInput(project, book),
});

/** What a plan is checked against: of the prices, those that it may rest on. */
export const againstOf = ({ project, book, input }: Asked): CheckAgainst => {
  const used = input.offers.flatMap(({ tiers }) => tiers.map(({ price }) => [price.id, price] as const));
  return againstProject(project, { ...book, prices: Object.fromEntries(used) });
};

/** Where the best plan of what is asked is kept. */
export const bestKey = ({ project, input }: Asked) => ['best plan', project.id, fingerprint(input)];

/** A short name for an input: the same for the same content. 53 bits of a multiplicative hash over its JSON. */
export const fingerprint = (input: PlanInput): string => {
  const held = fingerprints.get(input) ?? hash(input);
  fingerprints.set(input, held);
  return held;
};

const fingerprints = new WeakMap<PlanInput, string>();

const hash = (input: PlanInput): string => {
  const text = JSON.stringify(input);
  let high = 0xdeadbeef;
  let low = 0x41c6ce57;
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    high = Math.imul(high ^ code, 2654435761);
    low = Math.imul(low ^ code, 1597334677);
  }
  high = Math.imul(high ^ (high >>> 16), 2246822507) ^ Math.imul(low ^ (low >>> 13), 3266489909);
  low = Math.imul(low ^ (low >>> 16), 2246822507) ^ Math.imul(high ^ (high >>> 13), 3266489909);
  return `${text.length}-${(low >>> 0).toString(36)}${(high >>> 0).toString(36)}`;
};
