import { fitsInCar, shownPlan, storeCutsOf, type Cut, type Layout, type Plan } from '../plan';
import { nameKey } from '../lumber';
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
  for (const layout of layoutsFrom(plan, storeId))
    if ('item' in layout.source && layout.length - reach(layout) < TO_SPARE)
      found.set(layout.source.item, layout.count + (found.get(layout.source.item) ?? 0));
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
  const planned = layoutsFrom(plan, storeId)
    .filter(({ storeCuts }) => storeCuts.length > 0)
    .flatMap((layout) =>
      'item' in layout.source ? [sawing(layout, layout.source.item, layout.storeCuts)] : [],
    );
  const inCart = (cartOf(project, storeId)?.lines ?? []).flatMap(({ item, quantity, pack }) => {
    let left = quantity * pack;
    return (shownPlan(plan)?.layouts ?? []).flatMap((layout) => {
      const isIt =
        'owned' in layout.source &&
        layout.kind === item.kind &&
        layout.section === item.section &&
        layout.length === item.length?.ticks &&
        nameKey(layout.material) === nameKey(item.material);
      if (!isIt || left === 0 || fitsInCar(layout, project.settings)) return [];
      const cuts = storeCutsOf(layout, project.settings, Number(book.stores[storeId]?.cuts ?? 0));
      const count = Math.min(left, layout.count);
      left -= count;
      const name = 'owned' in layout.source ? layout.source.owned : '';
      return cuts ? [{ ...sawing(layout, name, cuts), count }] : [];
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

const layoutsFrom = (plan: Plan | null, storeId: string): Layout[] =>
  (shownPlan(plan)?.layouts ?? []).filter(({ source }) => 'storeId' in source && source.storeId === storeId);
