import { observationKey } from '../pricing';
import { emptyStore, type Book, type Price, type Store } from '../project';
import { nameKey } from '../lumber';
import type { PriceRow } from './pricesCsv';

/** Stores of the book in a currency by their names; one that is not there is made, and is among `added`. */
export const storesByName = (
  book: Book,
  currency: string,
  newId: () => string,
): { storeOf: (name: string) => Store; added: Store[] } => {
  const known = new Map(
    Object.values(book.stores)
      .filter((store) => store.currency === currency)
      .map((store) => [nameKey(store.name), store]),
  );
  const added: Store[] = [];
  const storeOf = (name: string): Store => {
    const held = known.get(nameKey(name));
    if (held) return held;
    const made = emptyStore(newId(), name.trim().replace(/\s+/g, ' '), currency);
    known.set(nameKey(name), made);
    added.push(made);
    return made;
  };
  return { storeOf, added };
};

/**
 * What taking rows into the book would add: prices that are not there yet, and stores not known in `currency`.
 * A row without a date is taken as seen on `undated`.
 */
export const rowsForBook = (
  rows: PriceRow[],
  book: Book,
  currency: string,
  newId: () => string,
  undated: string | null = null,
): { prices: Price[]; stores: Store[]; known: number } => {
  const { storeOf, added } = storesByName(book, currency, newId);
  const held = new Set(Object.values(book.prices).map(observationKey));
  const prices: Price[] = [];
  for (const { store: name, price } of rows) {
    const store = storeOf(name);
    const asWritten: Price = { ...price, id: newId(), storeId: store.id };
    const observation: Price = { ...asWritten, date: price.date ?? undated };
    if (held.has(observationKey(asWritten)) || held.has(observationKey(observation))) continue;
    held.add(observationKey(observation));
    prices.push(observation);
  }
  return { prices, stores: added, known: rows.length - prices.length };
};
