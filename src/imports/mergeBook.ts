import { sideOf, type Book, type Price, type Project, type Store } from '@/core/project';
import { nameKey, type Material } from '@/core/lumber';

/** What a file's stores and prices add to the book, and which ids its stores have here. */
export interface Merged {
  stores: Store[];
  prices: Price[];
  /** What the file says of materials of which nothing is said here. */
  materials: Material[];
  storeIds: Record<string, string>;
}

/**
 * Joins the stores and prices of a file to the book: a store is known by its id, or by its name and currency; a
 * price by its id. What is here already stays as it is.
 */
export const mergeBook = (held: Book, own: Book): Merged => {
  const merged: Merged = {
    stores: [],
    prices: [],
    materials: Object.entries(own.materials ?? {}).flatMap(([key, one]) =>
      held.materials?.[key] ? [] : [one],
    ),
    storeIds: {},
  };
  for (const store of Object.values(own.stores)) {
    const same =
      held.stores[store.id] ??
      Object.values(held.stores).find(
        (other) =>
          nameKey(other.name) === nameKey(store.name) &&
          other.currency === store.currency &&
          sideOf(other) === sideOf(store),
      );
    merged.storeIds[store.id] = same?.id ?? store.id;
    if (!same) merged.stores.push(store);
  }
  for (const price of Object.values(own.prices))
    if (!held.prices[price.id])
      merged.prices.push({ ...price, storeId: merged.storeIds[price.storeId] ?? price.storeId });
  return merged;
};

/** A project of a file, with its stores by the ids that they have here. */
export const withStoreIds = (project: Project, storeIds: Record<string, string>): Project => {
  const idHere = (id: string) => storeIds[id] ?? id;
  return {
    ...project,
    excludedStores: project.excludedStores.map(idHere),
    purchases: project.purchases.map((purchase) => ({ ...purchase, storeId: idHere(purchase.storeId) })),
  };
};
