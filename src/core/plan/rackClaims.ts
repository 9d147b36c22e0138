import { nameKey } from '../lumber';
import { rackPieces, type RackEntry } from '../project';
import type { Plan } from '../cutting/model';

/** A piece on the rack that stands in more plans than there are of it. */
export interface RackClaim {
  entry: RackEntry;
  /** How many of it the plan at hand cuts. */
  wanted: number;
  /** Names of the projects whose plans cut it too. */
  others: string[];
}

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

/** What of the rack is promised twice: by the plan at hand, and by those of other projects. */
export const rackClaims = (
  rack: RackEntry[],
  plan: Plan,
  others: { name: string; plan: Plan }[],
): RackClaim[] =>
  rack.flatMap((entry): RackClaim[] => {
    const wanted = cutFrom(plan, entry);
    if (wanted === 0) return [];
    const claimed = others
      .map((other) => ({ name: other.name, count: cutFrom(other.plan.rest ?? other.plan, entry) }))
      .filter(({ count }) => count > 0);
    const all = claimed.reduce((sum, { count }) => sum + count, wanted);
    return all > rackPieces(entry) ? [{ entry, wanted, others: claimed.map(({ name }) => name) }] : [];
  });
