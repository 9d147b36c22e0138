import { MICROS } from '../units';
import { type Book, type Change, type History, type Measure, type Price } from '../project';
import {
  bookFromJson,
  measureToJson,
  rackToJson,
  storeToJson,
  type JsonBook,
  type JsonMeasure,
  type JsonPrice,
  type JsonStore,
} from '../project/json';
import { deflated, inflated } from './deflated';

/**
 * A price book as columns: one list for each field, what repeats (items, notes) told once and pointed at. Lengths of
 * all lists but `items`, `texts` and the sparse `rest` are the number of prices.
 */
interface Columns {
  stores: JsonStore[];
  /** Different items; measures as text and millimetres. */
  items: JsonPrice['item'][];
  texts: string[];
  id: string[];
  store: number[];
  item: number[];
  /** Millionths. */
  price: number[];
  unit: number[];
  pack: number[];
  minQty: number[];
  /** -1: no limit. */
  available: number[];
  date: number[];
  source: number[];
  note: number[];
  /** What few prices have, by their place in the lists. */
  rest: Record<string, Pick<JsonPrice, 'weight' | 'rough' | 'extra'>>;
}

/** Numbers things in the order in which they are first met. */
const numbering = <T>(keyOf: (thing: T) => string) => {
  const places = new Map<string, number>();
  const things: T[] = [];
  return {
    things,
    place: (thing: T): number => {
      const key = keyOf(thing);
      const held = places.get(key);
      if (held !== undefined) return held;
      places.set(key, things.length);
      things.push(thing);
      return things.length - 1;
    },
  };
};

const measureOut = (measure: Measure | null): JsonMeasure | null => measure && measureToJson(measure);

const columnsOf = (book: Book): Columns => {
  const items = numbering<Price['item']>(
    ({ kind, name, section, length, width, material, unusable }) =>
      `${kind}|${name}|${section}|${length?.text}|${length?.ticks}|${width?.text}|${width?.ticks}|${material}|${unusable?.text}|${unusable?.ticks}`,
  );
  const texts = numbering<string>((text) => text);
  const stores = Object.values(book.stores);
  const storePlaces = new Map(stores.map(({ id }, index) => [id, index]));
  const prices = Object.values(book.prices).filter(({ storeId }) => storePlaces.has(storeId));
  const rest: Columns['rest'] = {};
  prices.forEach(({ weight, rough, extra }, index) => {
    if (weight || rough || extra)
      rest[index] = {
        ...(weight ? { weight } : {}),
        ...(rough ? { rough: { ...rough, planing: measureToJson(rough.planing) } } : {}),
        ...(extra ? { extra } : {}),
      };
  });
  const columns = {
    id: prices.map(({ id }) => id),
    store: prices.map(({ storeId }) => storePlaces.get(storeId) ?? 0),
    item: prices.map(({ item }) => items.place(item)),
    price: prices.map(({ price }) => price),
    unit: prices.map(({ unit }) => texts.place(unit)),
    pack: prices.map(({ pack }) => pack),
    minQty: prices.map(({ minQty }) => minQty),
    available: prices.map(({ available }) => available ?? -1),
    date: prices.map(({ date }) => texts.place(date ?? '')),
    source: prices.map(({ source }) => texts.place(source)),
    note: prices.map(({ note }) => texts.place(note)),
  };
  return {
    stores: stores.map(storeToJson),
    items: items.things.map(({ unusable, ...item }) => ({
      ...item,
      length: measureOut(item.length),
      width: measureOut(item.width),
      ...(unusable ? { unusable: measureToJson(unusable) } : {}),
    })),
    texts: texts.things,
    ...columns,
    rest,
  };
};

/** Columns as the records they stand for; what a list lacks stays undefined, for the schema to refuse. */
const recordsOf = (columns: Columns): { stores: JsonStore[]; prices: JsonPrice[] } => ({
  stores: columns.stores,
  prices: columns.id.map((id, index) => {
    const text = (place: number | undefined) => columns.texts[place ?? -1];
    const available = columns.available[index];
    return {
      id,
      storeId: columns.stores[columns.store[index] ?? -1]?.id,
      item: columns.items[columns.item[index] ?? -1],
      price: (columns.price[index] ?? NaN) / MICROS,
      unit: text(columns.unit[index]),
      pack: columns.pack[index],
      minQty: columns.minQty[index],
      available: available === -1 ? null : available,
      date: text(columns.date[index]) || null,
      source: text(columns.source[index]),
      note: text(columns.note[index]),
      ...columns.rest[index],
    } as JsonPrice;
  }),
});

/** A book, with what is kept beside it, as compact text: columns, deflated, in base 64. */
export const packColumns = (book: Book, beside: object): string =>
  deflated({ ...columnsOf(book), beside }, 4);

/**
 * Reads text of `packColumns` back as JSON records, for a schema to check. Throws when the text is cut or is
 * no such text.
 */
export const unpackColumns = (text: string): { stores: JsonStore[]; prices: JsonPrice[]; beside: object } => {
  const columns = inflated(text) as Columns & { beside: object };
  return { ...recordsOf(columns), beside: columns.beside };
};

/** The price book as it is kept: with its changes, for undo. */
export interface BookRecord {
  book: Book;
  history: History;
  /** A newer Billet wrote what is kept: there are no prices here, and none are written. */
  isNewer?: true;
}

/** Which writing of a record a stored text is, and which it follows: what another tab wrote has other tags. */
export interface Tags {
  tag: string;
  /** Null: the first. */
  parent: string | null;
}

/** Patches that the history of the book may hold when it is written: an import of thousands is undone while the page is open. */
const KEPT_PATCHES = 1000;

const newestWithin = (changes: Change[]): Change[] => {
  let patches = 0;
  const tooMany = changes.findLastIndex((change) => {
    patches += change.patches.length + change.inverse.length;
    return patches > KEPT_PATCHES;
  });
  return changes.slice(tooMany + 1);
};

/** The price book, compact: `billet-book 3`, its tag, the tag it follows (`-`: none), and the packed columns. */
export const packBook = ({ book, history }: BookRecord, { tag, parent }: Tags): string =>
  `${BOOK_HEAD} ${tag} ${parent ?? '-'} ${packColumns(book, {
    ...(book.materials ? { materials: Object.values(book.materials) } : {}),
    ...(book.rack ? { rack: rackToJson(book.rack) } : {}),
    ...(book.tools ? { tools: Object.values(book.tools) } : {}),
    history: { past: newestWithin(history.past), future: newestWithin(history.future) },
  })}`;

/** A text of `packBook` as it was packed, unchecked: for one's own. @throws where it is cut, or no such text. */
export const unpackOwnBook = (text: string): Book => {
  const columns = text.slice(text.lastIndexOf(' ') + 1);
  const { stores, prices, beside } = unpackColumns(columns);
  return bookFromJson({ stores, prices, ...(beside as Partial<JsonBook>) });
};

const BOOK_HEAD = 'billet-book 3';
