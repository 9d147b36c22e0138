import type { Minor } from '../measure';
import { keptPieces, resolve, servesAs, type Book, type Category, type Project } from '../project';
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

/** What is still to buy beside the plan: what has a typed price, less what was bought of it. */
export const besideOf = (project: Project, book: Book): BesideLine[] => {
  const bought = new Map<string, number>();
  for (const line of project.purchases.flatMap(({ lines }) => lines)) {
    const key = nameKey(servesAs(line).name);
    bought.set(key, (bought.get(key) ?? 0) + keptPieces(line));
  }
  return resolve(project, book.materials).beside.flatMap(({ extra, item, count, price }): BesideLine[] => {
    const key = nameKey(item);
    const there = Math.min(count, bought.get(key) ?? 0);
    bought.set(key, (bought.get(key) ?? 0) - there);
    const quantity = count - there;
    const category = extra.category ?? categoryOf({ kind: 'hardware', name: item });
    return quantity > 0 ? [{ extraId: extra.id, item, quantity, paid: quantity * price, category }] : [];
  });
}; // prettier-ignore
