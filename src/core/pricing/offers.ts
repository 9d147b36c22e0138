import type { Micros, Ticks } from '../units';
import type { Book, Item, Price, Rough } from '../project';
import { isNewer, normalisedPrice, type NormalisedPrice } from './observations';

/** A price that holds from `minQty` purchases on. */
export interface Tier {
  minQty: number;
  /** Per purchase, before discount and tax. */
  unitPrice: Micros;
  price: Price;
}

/** One thing one store sells in one pack, at the prices that hold now. */
export interface Offer {
  /** The same for rows that agree in store, item, kind, section, length, width, material and pack. */
  key: string;
  storeId: string;
  item: Item;
  itemKey: string;
  name: string;
  /** Actual size of the section; a sheet's trade thickness and width. */
  thickness: Ticks;
  width: Ticks;
  length: Ticks;
  /** Length at the ends that cannot be used; absent: none. */
  unusable?: Ticks;
  /** How many cuts its store makes in one so that it can be carried; absent: one at most. */
  storeCuts?: number;
  pack: number;
  /** Most purchases; null: no limit. */
  available: number | null;
  /** By `minQty`, ascending. */
  tiers: Tier[];
  /** Rough wood: it must be planed, and is sold in random widths. */
  rough?: Rough;
  /** The share of spare boards that are wanted of it, whatever its material; absent: as its material. */
  waste?: number;
}

/** The offers of a book as they were worked out, with what they rest on. */
interface KnownOffers {
  book: Pick<Book, 'prices' | 'stores'>;
  /** By key, each in the order of the book. */
  observations: Map<string, Price[]>;
  /** By key, ascending. */
  offers: Offer[];
  /** Observations in the book, priced or not. */
  size: number;
}

const known = new WeakMap<Book['prices'], KnownOffers>();
/** The one that was asked for last: most books are it, and a price more. */
let last: KnownOffers | null = null;

/**
 * The offers that hold, by key: of the observations of one thing, at one store, in one pack and from one quantity
 * on, the newest counts; without dates, the later one. Observations that cannot be priced are left out.
 * Worked out once for a book; of one that differs in a few observations only their offers are made anew.
 */
export const currentOffers = (book: Book): Offer[] => {
  const before = known.get(book.prices);
  if (before?.book.stores === book.stores) return before.offers;
  const made = (last && updated(last, book)) ?? makeOffers(book);
  known.set(book.prices, made);
  last = made;
  return made.offers;
};

/** The key of an observation that counts; null: its store is gone, or it cannot be priced. */
const keyIn = ({ stores }: Pick<Book, 'stores'>, price: Price): string | null =>
  stores[price.storeId] ? (normalisedPrice(price)?.key ?? null) : null;

const makeOffers = (book: Book): KnownOffers => {
  const observations = new Map<string, Price[]>();
  for (const price of Object.values(book.prices)) {
    const key = keyIn(book, price);
    if (key === null) continue;
    const own = observations.get(key);
    if (own) own.push(price);
    else observations.set(key, [price]);
  }
  const offers = [...observations.values()].flatMap(offerFrom).sort(byOfferKey);
  return { book, observations, offers, size: Object.keys(book.prices).length };
};

const byOfferKey = (a: Offer, b: Offer): number => (a.key < b.key ? -1 : 1);

/** With more differences than this all is worked out anew. */
const MAX_DIFFERENCES = 200;

/** What was known, brought to another state of the book; null where too much differs. */
const updated = (from: KnownOffers, book: Book): KnownOffers | null => {
  if (!hasSameStores(from.book.stores, book.stores)) return null;
  const before = from.book.prices;
  const now = book.prices;
  const [gone, came] = [[] as Price[], [] as Price[]];
  let size = 0;
  for (const id in now) {
    size++;
    const old = before[id];
    const next = now[id];
    if (old === next || !next) continue;
    // In its place it would be another's turn where no dates tell: then all is worked out anew.
    if (old) return null;
    came.push(next);
  }
  // What both have is what is there now less what came: only where that is not all of before, something went.
  if (size - came.length < from.size)
    for (const id in before) {
      const old = before[id];
      if (old && !(id in now)) gone.push(old);
    }
  if (gone.length + came.length > MAX_DIFFERENCES) return null;
  const observations = new Map(from.observations);
  const touched = new Set<string>();
  for (const price of [...gone, ...came]) {
    const key = keyIn(book, price);
    if (key === null) continue;
    touched.add(key);
    const own = observations.get(key) ?? [];
    observations.set(key, price.id in now ? [...own, price] : own.filter((one) => one !== price));
  }
  const kept = from.offers.filter(({ key }) => !touched.has(key));
  const anew = [...touched].flatMap((key) => offerFrom(observations.get(key) ?? []));
  return { book, observations, offers: [...kept, ...anew].sort(byOfferKey), size };
};

const hasSameStores = (a: Book['stores'], b: Book['stores']): boolean =>
  a === b || (Object.keys(a).length === Object.keys(b).length && Object.keys(a).every((id) => id in b));

/** The offer of the observations of one key, in their order; none where there are none. */
const offerFrom = (prices: Price[]): Offer[] => {
  let offer: Offer | null = null;
  for (const price of prices) {
    const seen = normalisedPrice(price);
    if (!seen) continue;
    const tier: Tier = { minQty: price.minQty, unitPrice: seen.unitPrice, price };
    if (!offer) {
      offer = offerOf(price, seen, tier);
      continue;
    }
    const index = offer.tiers.findIndex(({ minQty }) => minQty === price.minQty);
    if (index < 0) offer.tiers.push(tier);
    else if (isNewer(price, offer.tiers[index]?.price)) offer.tiers[index] = tier;
  }
  if (!offer) return [];
  settleOffer(offer);
  return [offer];
};

const offerOf = (price: Price, seen: NormalisedPrice, tier: Tier): Offer => ({
  key: seen.key,
  storeId: price.storeId,
  item: price.item,
  itemKey: seen.itemKey,
  name: seen.name,
  thickness: seen.thickness,
  width: seen.width,
  length: price.item.length?.ticks ?? 0,
  pack: price.pack,
  available: null,
  tiers: [tier],
});

/** What its newest observation says of all of an offer: how it is spelt, and how much there is of it. */
const settleOffer = (offer: Offer): void => {
  offer.tiers.sort((a, b) => a.minQty - b.minQty);
  const newest = newestOf(offer);
  offer.available = newest.available;
  offer.item = newest.item;
  offer.name = normalisedPrice(newest)?.name ?? offer.name;
  if (newest.item.unusable) offer.unusable = newest.item.unusable.ticks;
  if (newest.rough) offer.rough = newest.rough;
};

/** What follows the key of rough wood in the key of a board that is planed from it; no name holds a line break. */
const PLANED = '\n';

/** The key of a board of a section that is planed from rough wood. */
export const planedKey = (key: string, section: string): string => `${key}${PLANED}${section}`;

const byKey = new WeakMap<Offer[], Map<string, Offer>>();

/** The offer of a key, as it lies in the store: of a board that is planed from rough wood, the rough wood. */
export const offerAt = (book: Book, key: string): Offer | undefined => {
  const offers = currentOffers(book);
  const held = byKey.get(offers) ?? new Map(offers.map((offer) => [offer.key, offer]));
  byKey.set(offers, held);
  return held.get(key.split(PLANED)[0] ?? key);
};

/** The newest observation that an offer rests on. */
export const newestOf = (offer: Offer): Price =>
  offer.tiers.map(({ price }) => price).reduce((a, b) => (isNewer(b, a) ? b : a));

export { tierFor } from '../cutting/model';
