import { fitsInCar, isCutFrom, shownPlan, storeCutsOf, type Cut, type Layout, type Plan } from '../plan';
import { TICKS_PER_INCH, type Ticks } from '../units';
import { cartOf } from './run';
import type { Book, Project } from '../project';

/** What must be left of a board beyond its pieces for it to be measured afterwards: an eighth of an inch. */
const TO_SPARE: Ticks = TICKS_PER_INCH / 8;

/**
 * How many boards and sheets of each line must have all of their length, by the name on the tag: what is cut from them leaves less
 * than an eighth of an inch, and stores sell some that are short (common practice: measure before you pay).
 */
export const fullLengths = (plan: Plan | null, storeId: string): Map<string, number> => {
  const found = new Map<string, number>();
  for (const { layout, item } of layoutsFrom(plan, storeId))
    if (layout.length - reach(layout) < TO_SPARE) found.set(item, layout.count + (found.get(item) ?? 0));
  return found;
};

const reach = ({ pieces }: Layout): Ticks =>
  Math.max(0, ...pieces.flatMap(({ outline }) => outline.map(([x]) => x)));

/** Boards or sheets that the store saws alike, so that they can be carried. */
export interface StoreSawing extends Pick<Layout, 'kind' | 'length' | 'width'> {
  /** As on the tag. */
  item: string;
  count: number;
  cuts: Cut[];
}

/** What is sawn in a store before it goes home: of what is to take there, and of what lies in the cart. */
export const storeSawing = (
  project: Project,
  book: Book,
  plan: Plan | null,
  storeId: string,
): StoreSawing[] => {
  const planned = layoutsFrom(plan, storeId).flatMap(({ layout, item }) =>
    layout.storeCuts.length > 0 ? [sawing(layout, item, layout.storeCuts)] : [],
  );
  const inCart = (cartOf(project, storeId)?.lines ?? []).flatMap(({ item, quantity, pack }) => {
    let left = quantity * pack;
    return (shownPlan(plan)?.layouts ?? []).flatMap((layout) => {
      if (!('owned' in layout.source) || layout.sawn || !isCutFrom(layout, item)) return [];
      if (left === 0 || fitsInCar(layout, project.settings)) return [];
      const cuts = storeCutsOf(layout, project.settings, Number(book.stores[storeId]?.cuts ?? 0));
      const count = Math.min(left, layout.count);
      left -= count;
      return cuts ? [{ ...sawing(layout, layout.source.owned, cuts), count }] : [];
    });
  });
  return [...planned, ...inCart];
};

const sawing = ({ kind, length, width, count }: Layout, item: string, cuts: Cut[]): StoreSawing => ({
  kind,
  length,
  width,
  count,
  item,
  cuts,
});

/** What is cut from a thing that is bought in a store, with its name on the tag. */
const layoutsFrom = (plan: Plan | null, storeId: string): { layout: Layout; item: string }[] =>
  (shownPlan(plan)?.layouts ?? []).flatMap((layout) =>
    'storeId' in layout.source && layout.source.storeId === storeId
      ? [{ layout, item: layout.source.item }]
      : [],
  );
