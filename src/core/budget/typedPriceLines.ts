import type { Minor } from '../units';
import { hardwareKey } from '../hardwareKey';
import { rackFor } from '../plan';
import {
  keptPieces,
  rackPieces,
  resolve,
  servesAs,
  tagName,
  consumedQuantity,
  packsToBuy,
  type Book,
  type Category,
  type Project,
} from '../project';
import { categoryOf } from './purchase';

/** Something still to buy whose price was typed, and is in no store of the book. */
export interface TypedPriceLine {
  extraId: string;
  item: string;
  /** Pieces still to buy. */
  quantity: number;
  /** With tax. */
  costWithTax: Minor;
  category: Category;
}

/** What is still to buy beside the plan: what has a typed price, less what was bought of it or is on the rack. */
export const typedPriceLines = (project: Project, book: Book): TypedPriceLine[] => {
  const there = new Map<string, number>();
  const put = (name: string, pieces: number) =>
    there.set(hardwareKey(name), (there.get(hardwareKey(name)) ?? 0) + pieces);
  for (const line of project.purchases.flatMap(({ lines }) => lines))
    put(servesAs(line).name, keptPieces(line));
  for (const entry of rackFor(project, book)) put(tagName(entry.item), rackPieces(entry));
  return resolve(project, book.materials).typedPriced.flatMap(
    ({ extra, item, count, fractionalQuantity, price }): TypedPriceLine[] => {
      const held = there.get(hardwareKey(item)) ?? 0;
      const used = consumedQuantity({ count, fractionalQuantity });
      const quantity = packsToBuy(used, held);
      // What is opened for one serves the next.
      put(item, quantity - used);
      const category = extra.category ?? categoryOf({ kind: 'hardware', name: item });
      return quantity > 0
        ? [{ extraId: extra.id, item, quantity, costWithTax: quantity * price, category }]
        : [];
    },
  );
};
