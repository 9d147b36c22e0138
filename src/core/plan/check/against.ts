import {
  goodsOf,
  keptPieces,
  rackPieces,
  resolve,
  servesAs,
  toolsOf,
  type Book,
  type Project,
} from '../../project';
import { rackFor } from '../input';
import type { CheckAgainst } from './types';

/** What a plan of a project is checked against: the project, the prices of its stores, and what was bought or is owned. */
export const againstProject = (
  project: Project,
  book: Book,
  owned: CheckAgainst['owned'] = [],
): CheckAgainst => ({
  currency: project.currency,
  parts: resolve(project, book.materials).parts,
  prices: Object.values(book.prices).flatMap((price) => {
    const store = book.stores[price.storeId];
    const isUsed = store?.currency === project.currency && !project.excludedStores.includes(store.id);
    return isUsed ? [{ store: store.name, price }] : [];
  }),
  owned: [
    ...project.purchases.flatMap(({ lines }) =>
      lines.map((line) => ({ item: servesAs(line), quantity: keptPieces(line), isBought: true })),
    ),
    ...rackFor(project, book).map((entry) => ({ item: entry.item, quantity: rackPieces(entry) })),
    ...owned,
  ],
  settings: { ...project.settings, tools: toolsOf(project.settings, book) },
  stores: Object.values(book.stores)
    .filter(({ currency }) => currency === project.currency)
    .map((store) => {
      const bought = project.purchases.filter(({ storeId }) => storeId === store.id);
      return {
        ...store,
        // A trip that was made is not made again.
        trip: bought.length > 0 ? 0 : store.trip,
        // An order that is settled asks nothing more.
        shipping: bought.some(({ shipping }) => shipping !== undefined) ? null : store.shipping,
        bought: goodsOf(bought),
      };
    }),
});
