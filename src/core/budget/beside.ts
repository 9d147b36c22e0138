import type { Minor } from '../measure';
import { rackFor } from '../plan';
import {
  keptPieces,
  rackPieces,
  resolve,
  servesAs,
  tagName,
  usedUp,
  wholeOnes,
  type Book,
  type Category,
  type Project,
} from '../project';
import { nameKey } from '../wood';
import { categoryOf } from './purchase';

/** Something still to buy whose price was typed, and is in no store of the book. */
export interface BesideLine {
  extraId: string;
  item: string;
  /** Pieces still to buy. */
  quantity: number;
  /** With tax. */
  paid: Minor;
  category: Category;
}

/** What is still to buy beside the plan: what has a typed price, less what was bought of it or is on the rack. */
export const besideOf = (project: Project, book: Book): BesideLine[] => {
  const there = new Map<string, number>();
  const put = (name: string, pieces: number) =>
    there.set(nameKey(name), (there.get(nameKey(name)) ?? 0) + pieces);
  for (const line of project.purchases.flatMap(({ lines }) => lines))
    put(servesAs(line).name, keptPieces(line));
  for (const entry of rackFor(project, book)) put(tagName(entry.item), rackPieces(entry));
  return resolve(project, book.materials).beside.flatMap(
    ({ extra, item, count, fill, price }): BesideLine[] => {
      const held = there.get(nameKey(item)) ?? 0;
      const used = usedUp({ count, fill });
      const quantity = wholeOnes(used, held);
      // What is opened for one serves the next.
      put(item, quantity - used);
      const category = extra.category ?? categoryOf({ kind: 'hardware', name: item });
      return quantity > 0 ? [{ extraId: extra.id, item, quantity, paid: quantity * price, category }] : [];
    },
  );
};
