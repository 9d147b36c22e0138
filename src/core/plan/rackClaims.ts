import { nameKey } from '../lumber';
import { rackPieces, type Book, type BookCommand, type Project, type RackEntry } from '../project';
import { rackFor } from './rack';
import type { Plan } from '../cutting/model';

/** A piece on the rack that stands in more plans than there are of it. */
export interface RackClaim {
  entry: RackEntry;
  /** How many of it the plan at hand cuts. */
  wanted: number;
  /** The projects whose plans cut it too, and how many of it. */
  others: { id: string; name: string; count: number }[];
}

const shown = (plan: Plan): Plan => plan.rest ?? plan;

/** How many boards or sheets of an entry a plan cuts. */
const cutFrom = (plan: Plan, { item }: RackEntry): number =>
  plan.layouts
    .filter(
      (layout) =>
        'owned' in layout.source &&
        layout.kind === item.kind &&
        nameKey(layout.section) === nameKey(item.section) &&
        nameKey(layout.material) === nameKey(item.material) &&
        layout.length === item.length?.ticks &&
        (item.kind !== 'sheet' || layout.width === item.width?.ticks),
    )
    .reduce((sum, { count }) => sum + count, 0);

/** How many pieces of which entries of the rack a plan cuts, by id. */
export const rackUse = (plan: Plan, rack: RackEntry[]): Record<string, number> =>
  Object.fromEntries(
    rack.flatMap((entry) => {
      const count = cutFrom(shown(plan), entry);
      return count > 0 ? [[entry.id, count]] : [];
    }),
  );

/**
 * What of the rack is promised twice: by the plan of the project at hand, and by those of others. What is kept for one is no
 * longer asked about.
 */
export const rackClaims = (
  rack: RackEntry[],
  { id: own, plan }: { id: string; plan: Plan },
  others: { id: string; name: string; plan: Plan }[],
): RackClaim[] =>
  rack.flatMap((entry): RackClaim[] => {
    const kept = (id: string) => entry.keptFor?.[id] ?? 0;
    const wanted = cutFrom(shown(plan), entry);
    if (wanted <= kept(own)) return [];
    const claimed = others
      .map(({ id, name, plan: of }) => ({ id, name, count: cutFrom(shown(of), entry) - kept(id) }))
      .filter(({ count }) => count > 0);
    const all = claimed.reduce((sum, { count }) => sum + count, wanted);
    return all > rackPieces(entry) ? [{ entry, wanted, others: claimed }] : [];
  });

/** With the first purchase a project is begun: what its plan cuts of the rack is kept for it. No command otherwise. */
export const keepForBegun = (project: Project, book: Book, plan: Plan | null): BookCommand[] => {
  if (!plan || project.purchases.length > 0) return [];
  const pieces = rackUse(plan, rackFor(project, book));
  return Object.keys(pieces).length > 0 ? [{ type: 'keepOnRack', projectId: project.id, pieces }] : [];
};
