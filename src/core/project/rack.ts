import type { RackEntry } from './types';

/** How many pieces of a rack entry a project may count on: all but those that are kept for others. */
export const freeFor = ({ quantity, keptFor }: RackEntry, projectId: string): number =>
  Math.max(0, quantity - keptForOthers(keptFor, projectId));

const keptForOthers = (keptFor: RackEntry['keptFor'], projectId: string): number =>
  Object.entries(keptFor ?? {})
    .filter(([id]) => id !== projectId)
    .reduce((sum, [, count]) => sum + count, 0);

/** An entry of which so many pieces are kept for a project, as far as others leave them; 0: none. */
export const keptEntry = (entry: RackEntry, projectId: string, count: number): RackEntry => {
  const { keptFor: { [projectId]: _, ...others } = {}, ...rest } = entry;
  const pieces = Math.min(count, freeFor(entry, projectId));
  const keptFor = pieces > 0 ? { ...others, [projectId]: pieces } : others;
  return Object.keys(keptFor).length > 0 ? { ...rest, keptFor } : rest;
};

/** What lies on the rack and is kept for other projects than this one. */
export const keptElsewhere = (rack: RackEntry[], projectId: string): RackEntry[] =>
  rack.filter((entry) => freeFor(entry, projectId) < entry.quantity);
