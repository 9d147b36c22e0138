import type { Book, Price, Project, Store } from './types';

/** Whose stores and prices: one's own, or those that came with the samples. */
export type BookSide = 'own' | 'samples';

type Parted = Record<BookSide, Pick<Book, 'stores' | 'prices'>>;

/** What a book is parted into, by its prices: the same objects for the same stores and prices, whatever else changes. */
const partedBooks = new WeakMap<Book['prices'], { stores: Book['stores']; parted: Parted }>();
const sidesOfBooks = new WeakMap<Book, Partial<Record<BookSide, Book>>>();

/**
 * One side of the price book: its stores and prices; the rack is one's own. Where there is nothing of the samples one's own
 * side is the book itself. The same object for the same book.
 */
export const bookSide = (book: Book, side: BookSide): Book => {
  const known = sidesOfBooks.get(book) ?? {};
  const found = known[side] ?? makeSide(book, side);
  sidesOfBooks.set(book, { ...known, [side]: found });
  return found;
};

const makeSide = (book: Book, side: BookSide): Book => {
  if (side === 'own' && !Object.values(book.stores).some(({ isSample }) => isSample)) return book;
  let held = partedBooks.get(book.prices);
  if (held?.stores !== book.stores) {
    held = { stores: book.stores, parted: partedOf(book) };
    partedBooks.set(book.prices, held);
  }
  return { ...book, ...held.parted[side], ...(side === 'samples' ? { rack: {} } : {}) };
};

const partedOf = (book: Book): Parted => {
  const parted: Parted = { own: { stores: {}, prices: {} }, samples: { stores: {}, prices: {} } };
  for (const store of Object.values(book.stores)) parted[sideOf(store)].stores[store.id] = store;
  for (const price of Object.values(book.prices)) parted[sideOfPrice(price, book)].prices[price.id] = price;
  return parted;
};

const sideOfPrice = ({ storeId }: Price, { stores }: Book): BookSide => {
  const store = stores[storeId];
  return store ? sideOf(store) : 'own';
};

/** On which side a store is, and on which one a project buys. */
export const sideOf = ({ isSample }: Pick<Project | Store, 'isSample'>): BookSide =>
  isSample ? 'samples' : 'own';

/** The book that a project buys from. */
export const bookFor = (project: Pick<Project, 'isSample'>, book: Book): Book =>
  bookSide(book, sideOf(project));

/** Whether a project buys at a store: in its own money, and it is not left out. */
export const usesStore = (
  { currency, excludedStores }: Pick<Project, 'currency' | 'excludedStores'>,
  store: Pick<Store, 'id' | 'currency'> | undefined,
): boolean => store?.currency === currency && !excludedStores.includes(store.id);
