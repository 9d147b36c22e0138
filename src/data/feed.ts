import { useQuery, useQueries } from '@tanstack/react-query';
import { validateStorePrices, validateStores } from './feedSchemas';
import { fromMm, MICROS, writeLength } from '@/core/units';
import {
  itemName,
  type Item,
  type Kind,
  type Measure,
  type Price,
  type PriceUnit,
  type Store,
  type StoreKind,
} from '@/core/project';
import { newId } from './ids';

/** A store as its price service tells of it. */
export interface FeedStore {
  id: string;
  name: string;
  kind: StoreKind;
  currency: string;
  trip: number;
}

interface FeedPrice {
  item: string;
  kind: Kind;
  section: string;
  length: number | null;
  width: number | null;
  material: string;
  unit: PriceUnit;
  pack: number;
  price: number;
  available: number | null;
  date: string;
}

/** What a price service answers for one store. */
export interface FeedAnswer {
  store: FeedStore;
  asOf: string;
  since: string | null;
  prices: FeedPrice[];
}

/** An answer that was refused, and why in a sentence; asking again would not help. */
export class FeedRefused extends Error {}

const UNTOUCHED = 'Your prices are as they were.';

/** Asks the price service. Throws where it does not answer, FeedRefused where the answer is no JSON or not of the schema. */
const ask = async (
  place: string,
  isValid: (answer: unknown) => boolean,
  signal: AbortSignal,
): Promise<unknown> => {
  const response = await fetch(`/api${place}`, { signal });
  if (!response.ok)
    throw new Error(`The price service does not answer now (${response.status}). ${UNTOUCHED}`);
  const text = await response.text();
  let answer: unknown;
  try {
    answer = JSON.parse(text);
  } catch {
    throw new FeedRefused(`The answer of the price service was cut off, and was refused whole. ${UNTOUCHED}`);
  }
  if (!isValid(answer))
    throw new FeedRefused(
      `The price service answered what is no price list; it was refused whole. ${UNTOUCHED}`,
    );
  return answer;
};

const FEED = {
  retry: (failures: number, error: Error) => failures < 2 && !(error instanceof FeedRefused),
  retryDelay: (attempt: number) => 800 * 2 ** attempt,
  staleTime: 10 * 60 * 1000,
  networkMode: 'online',
  structuralSharing: false,
  refetchOnReconnect: 'always',
} as const;

/** The stores whose prices can be followed; asked for while `isWanted`. */
export const useFeedStores = (isWanted: boolean) =>
  useQuery({
    queryKey: ['feed', 'stores'],
    enabled: isWanted,
    queryFn: async ({ signal }) =>
      ((await ask('/stores', validateStores, signal)) as { stores: FeedStore[] }).stores,
    ...FEED,
  });

/** What the followed stores have told since their prices were last looked at. */
export const useFeeds = (stores: Store[]) =>
  useQueries({
    queries: stores.flatMap(({ id, feed }) =>
      feed
        ? [
            {
              queryKey: ['feed', 'prices', id, feed.id, feed.taken],
              queryFn: async ({ signal }: { signal: AbortSignal }) => ({
                storeId: id,
                answer: await askPrices(feed, signal),
              }),
              ...FEED,
            },
          ]
        : [],
    ),
  });

const askPrices = async (
  { id, taken }: NonNullable<Store['feed']>,
  signal: AbortSignal,
): Promise<FeedAnswer> => {
  const since = taken === null ? '' : `?since=${taken}`;
  const isOfStore = (answer: unknown) =>
    validateStorePrices(answer) && (answer as FeedAnswer).store.id === id;
  return (await ask(`/stores/${encodeURIComponent(id)}/prices${since}`, isOfStore, signal)) as FeedAnswer;
};

/** An answer as observations of a store of the book. */
export const observationsOf = ({ prices }: FeedAnswer, storeId: string): Price[] =>
  prices.map((told) => ({
    id: newId(),
    storeId,
    item: itemOf(told),
    price: Math.round(told.price * MICROS),
    unit: told.unit,
    pack: told.pack,
    minQty: 1,
    available: told.available,
    date: told.date,
    source: 'service',
    note: '',
  }));

const itemOf = ({ item: name, kind, section, length, width, material }: FeedPrice): Item => {
  const unit = section.endsWith('mm') ? 'mm' : 'in';
  const measure = (mm: number | null): Measure | null => {
    const ticks = mm === null ? 0 : fromMm(mm);
    return mm === null ? null : { text: writeLength(ticks, unit), ticks };
  };
  const item: Item = { kind, name, section, length: measure(length), width: measure(width), material };
  return name === '' ? { ...item, name: itemName(item) } : item;
};
