import { useMemo } from 'react';
import { currentOffers, needsOf, observationKey, normalisedPrice, weigh, type Change } from '@/core/pricing';
import { applyToBook, resolve, type Book, type Price, type Store } from '@/core/project';
import { observationsOf, useFeeds, type FeedAnswer } from '@/hooks';
import type { PriceBookView } from './priceBookView';

/** What a followed store has told, that the book does not know. */
export interface News {
  store: Store;
  /** The day of the answer. */
  asOf: string;
  changes: Change[];
}

/** What the price services have told, and what keeps them from telling. */
export interface FeedState {
  news: News[];
  isAsking: boolean;
  isOffline: boolean;
  /** The first sentence of what went wrong; null: nothing. */
  trouble: string | null;
  again: () => void;
}

/** News of the stores that are followed, weighed against the book. */
export const useNews = ({ stores, book }: Pick<PriceBookView, 'stores' | 'book'>): FeedState => {
  const followed = useMemo(() => stores.filter(({ feed }) => feed), [stores]);
  const feeds = useFeeds(followed);
  const told = feeds.map(({ data }) => data);
  const news = told.flatMap((answer): News[] => {
    const store = followed.find(({ id }) => id === answer?.storeId);
    if (!answer || !store) return [];
    const changes = weighed(answer.answer, store.id, book);
    return changes.length > 0 ? [{ store, asOf: answer.answer.asOf, changes }] : [];
  });
  return {
    news,
    isAsking: feeds.some(({ fetchStatus }) => fetchStatus === 'fetching'),
    isOffline: feeds.some(({ fetchStatus }) => fetchStatus === 'paused'),
    trouble: feeds.find(({ error }) => error)?.error?.message ?? null,
    again: () => {
      for (const { refetch, error } of feeds) if (error) void refetch();
    },
  };
};

const weighings = new WeakMap<FeedAnswer, { book: Book; changes: Change[] }>();

/** An answer weighed against a book, once. */
const weighed = (answer: FeedAnswer, storeId: string, book: Book): Change[] => {
  const held = weighings.get(answer);
  if (held?.book === book) return held.changes;
  const changes = weigh(observationsOf(answer, storeId), book).filter(
    ({ meaning }) => meaning !== 'same' && meaning !== 'history',
  );
  weighings.set(answer, { book, changes });
  return changes;
};

/** The book with changes taken, and the day noted up to which a store's prices were looked at. */
export const withChanges = (
  book: Book,
  { store, asOf }: News,
  taken: Change[],
): { prices: Price[]; stores: Store[] } => ({
  prices: taken.map(({ price }) => price),
  stores: [{ ...(book.stores[store.id] ?? store), feed: { id: store.feed?.id ?? '', taken: asOf } }],
});

/** What the book would be with all news taken that no person's own price stands against. */
export const bookWith = (book: Book, news: News[]): Book | null => {
  if (news.length === 0) return null;
  const prices = news.flatMap(({ changes }) => changes.filter(isUnasked).map(({ price }) => price));
  return applyToBook(book, { type: 'putPrices', prices }, 0)?.document ?? null;
};

/** What a change is about, the same when the store is asked again: its observation gets another id then. */
export const changeKey = ({ price }: Change): string => observationKey(price);

/** Whether a change may be ticked beforehand: not where a person typed another price. */
export const isUnasked = ({ meaning }: Change): boolean => meaning !== 'conflict';

/** Changes in the order in which they matter: what projects need first, then the largest move. */
export const byWeight = (
  changes: Change[],
  desk: Pick<PriceBookView, 'projects' | 'book'>,
): { change: Change; isNeeded: boolean }[] => {
  const parts = desk.projects.flatMap((project) => resolve(project, desk.book.materials).parts);
  const trial: Book = {
    ...desk.book,
    prices: Object.fromEntries(changes.map(({ price }) => [price.id, price])),
  };
  const needed = new Set(
    needsOf(parts, currentOffers(trial)).flatMap(({ offers }) => offers.map(({ key }) => key)),
  );
  const move = ({ held, price }: Change) =>
    held ? Math.abs((normalisedPrice(price)?.unitPrice ?? 0) / (held.unitPrice || 1) - 1) : 0;
  return changes
    .map((change) => ({ change, isNeeded: needed.has(normalisedPrice(change.price)?.key ?? '') }))
    .sort((a, b) => Number(b.isNeeded) - Number(a.isNeeded) || move(b.change) - move(a.change));
};
