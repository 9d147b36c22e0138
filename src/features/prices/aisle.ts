import { parseCount, parseLength, parseTag, type LengthUnit, type Micros, type Ticks } from '@/core/units';
import { withUnit } from '@/core/io';
import {
  amountOf,
  comparedBy,
  priceOutlier,
  newestOf,
  usualItem,
  usualLengths,
  offerAt,
  type PriceOutlier,
  type Offer,
} from '@/core/pricing';
import { itemKey, itemName, type Item, type Measure, type Price, type PriceUnit } from '@/core/project';
import { at, fail, ok, type Result } from '@/core/result';
import type { PriceBookView } from './priceBookView';

/** One price to find in the store: what was seen there before, or what is needed and never was. */
export interface Ask {
  key: string;
  item: Item;
  /** As it was seen here last; null: never. */
  last: Offer | null;
  /** Parts that want it, for a reminder. */
  for: string[];
  /** Nothing says what it is made of: the tag does. */
  isOpen: boolean;
}

/** A length in which a board may be sold, and what it was last here; null: never seen here. */
export interface LengthCell {
  length: Measure;
  last: Offer | null;
}

/** What is typed at one shelf. */
export interface Entry {
  price: string;
  unit: PriceUnit;
  length: string;
  pack: string;
  material: string;
}

/** What became of an ask on this visit. */
export type Answer = { kind: 'priced' | 'out'; priceId: string } | { kind: 'passed' };

/** A walk through one store: kept while it lasts, so that a closed tab brings it back. */
export interface Visit {
  storeId: string;
  day: string;
  answers: Record<string, Answer>;
  /** The ask that is before the eyes; null: the next unanswered. */
  key: string | null;
  entry: Entry | null;
}

/** What the projects need at a store, in the order of their parts: every size that was seen there, or one for what never was. */
export const asksOf = (desk: PriceBookView, storeId: string): Ask[] => {
  const asks = new Map<string, Ask>();
  for (const need of desk.needs) {
    const names = need.parts.map(({ name }) => name);
    const here = need.offers
      .filter((offer) => offer.storeId === storeId)
      .sort((a, b) => a.length - b.length || a.pack - b.pack);
    for (const { key } of here) {
      // Wood that is planed from rough is asked for as it lies in the store.
      const offer = offerAt(desk.book, key);
      if (offer)
        add({ key: keyOf(offer.item, offer), item: offer.item, last: offer, for: names, isOpen: false });
    }
    if (here.length === 0) {
      const item = itemOfNeed(desk, need);
      const isOpen = need.kind !== 'hardware' && need.materials.length === 0;
      add({ key: keyOf(item, null), item, last: null, for: names, isOpen });
    }
  }
  return [...asks.values()];

  function add(ask: Ask): void {
    const held = asks.get(ask.key);
    asks.set(ask.key, held ? { ...held, for: [...new Set([...held.for, ...ask.for])] } : ask);
  }

  /** The same before and after a thing is first priced; other packs and names of it are asks of their own. */
  function keyOf(item: Item, offer: Offer | null): string {
    const key = itemKey(item);
    const held = asks.get(key);
    return held && offer && held.last?.key !== offer.key ? `${key}/${offer.key}` : key;
  }
};

/** In the size in which another store sells it, so that the two compare; else as it is usually sold. */
const itemOfNeed = ({ unit, offers }: PriceBookView, need: PriceBookView['needs'][number]): Item => {
  const elsewhere = need.offers.find(({ rough }) => !rough) ?? offers.find(({ name }) => name === need.name);
  return elsewhere ? elsewhere.item : usualItem(need, unit);
};

/** Nothing typed yet. */
export const blankEntry = ({ item, last }: Ask, unit: LengthUnit): Entry => {
  const seen = last && newestOf(last);
  return {
    price: '',
    unit: seen?.unit ?? (item.kind === 'hardware' ? 'pack' : 'each'),
    length: withUnit(item.length, unit),
    pack: String(seen?.pack ?? 1),
    material: item.material,
  };
};

/** The lengths of a board side by side: those mostly sold, and those in which any store has it. The shorter first. */
export const lengthsOf = (
  { offers, unit }: Pick<PriceBookView, 'offers' | 'unit'>,
  storeId: string,
  { item }: Ask,
  material: string,
): LengthCell[] => {
  if (item.kind !== 'board' || !item.length) return [];
  const same = offers.filter(
    (offer) =>
      offer.item.kind === 'board' &&
      !offer.rough &&
      offer.item.section === item.section &&
      isSameName(offer.item.material, material),
  );
  const cells = new Map<Ticks, LengthCell>();
  const own = [...usualLengths(unit), item.length, ...same.flatMap((offer) => offer.item.length ?? [])];
  for (const length of own) if (!cells.has(length.ticks)) cells.set(length.ticks, { length, last: null });
  for (const offer of same) {
    const cell = cells.get(offer.item.length?.ticks ?? 0);
    if (cell && offer.storeId === storeId) cell.last = offer;
  }
  return [...cells.values()].sort((a, b) => a.length.ticks - b.length.ticks);
};

const isSameName = (one: string, other: string): boolean =>
  one.trim().toLowerCase() === other.trim().toLowerCase();

/** By the piece, or by length or area: the two ways in which a shelf tag of the kind is mostly written. */
export const unitsFor = ({ item, last }: Ask, unit: LengthUnit): PriceUnit[] => {
  const held = last ? newestOf(last).unit : null;
  if (item.kind === 'hardware') return [held ?? 'pack'];
  return [...new Set<PriceUnit>(['each', comparedBy(item.kind, unit), ...(held ? [held] : [])])];
};

/** The last tag's price, in its own unit; null: never seen here. */
export const lastPrice = ({ last }: Ask): { price: Micros; unit: PriceUnit } | null => {
  if (!last) return null;
  const { price, unit } = newestOf(last);
  return { price, unit };
};

/** What is typed as an observation of a day, without id and store. Problems: places `price`, `length`, `pack`, `material`. */
export const readEntry = (
  ask: Ask,
  entry: Entry,
  unit: LengthUnit,
  today: string,
): Result<Omit<Price, 'id' | 'storeId'>> => {
  const price = tagPrice(entry.price);
  if (!price.ok) return price;
  const pack = at('pack', parseCount(entry.pack));
  if (!pack.ok) return pack;
  const found = itemRead(ask, entry, unit);
  if (!found.ok) return found;
  const item = found.value;
  const isOther = item !== ask.item;
  const byMeasure = entry.unit !== 'each' && entry.unit !== 'pack';
  if (amountOf(item, entry.unit) === null)
    return fail('entry', 'Give its length first: the price is for a measure of it.', 'length');
  const seen = ask.last && !isOther ? newestOf(ask.last) : null;
  return ok({
    item,
    price: price.value,
    unit: entry.unit,
    pack: byMeasure ? 1 : pack.value,
    minQty: 1,
    available: null,
    date: today,
    source: 'typed',
    note: '',
    ...(seen?.weight && pack.value === seen.pack ? { weight: seen.weight } : {}),
    ...(seen?.rough ? { rough: seen.rough } : {}),
  });
};

/** What is asked for as it is being typed: in another length or of another material it is a thing of its own, with its own last price. */
export const askedAt = (desk: PriceBookView, storeId: string, ask: Ask, entry: Entry): Ask => {
  const found = itemRead(ask, entry, desk.unit);
  if (!found.ok || found.value === ask.item) return ask;
  const key = itemKey(found.value);
  const last = desk.offers.find((offer) => offer.storeId === storeId && itemKey(offer.item) === key) ?? null;
  return { ...ask, item: found.value, last };
};

/** What was found: what is asked for, in the length and of the material that its tag says. */
const itemRead = (ask: Ask, entry: Entry, unit: LengthUnit): Result<Item> => {
  const length = ask.item.length ? at('length', parseLength(entry.length, unit)) : ok(null);
  if (!length.ok) return length;
  const material = entry.material.trim().replace(/\s+/g, ' ');
  if (ask.item.kind !== 'hardware' && material === '')
    return fail('entry', 'Write what it is made of, as the tag says, such as pine or treated.', 'material');
  const item = isSameName(material, ask.item.material) ? ask.item : madeOf(ask.item, material);
  const isOther = length.value !== null && length.value !== item.length?.ticks;
  return ok(isOther ? inLength(item, entry.length, length.value, unit) : item);
};

const tagPrice = (text: string): Result<Micros> => {
  if (text.trim() === '') return fail('entry', 'Type the price on the tag, such as 3.98.', 'price');
  const price = at('price', parseTag(text));
  return price.ok && price.value === 0
    ? fail('entry', 'A price of nothing is none; press “Out of stock” if it is not there.', 'price')
    : price;
};

/** The same item in another length. */
const inLength = (item: Item, text: string, ticks: Ticks, unit: LengthUnit): Item => {
  const measured = { ...item, length: { text: withUnit({ text: text.trim(), ticks }, unit), ticks } };
  return { ...measured, name: itemName(measured) };
};

/** The same item of another material. */
const madeOf = (item: Item, material: string): Item => {
  const made = { ...item, material };
  return { ...made, name: itemName(made) };
};

/** Whether what was read looks like a slipped decimal point, and what was expected, in the same unit. */
export const doubtAbout = (
  read: Omit<Price, 'id' | 'storeId'>,
  ask: Ask,
  storeId: string,
  offers: Offer[],
): PriceOutlier | null => {
  const isSame = itemKey(read.item) === itemKey(ask.item);
  return priceOutlier(
    read,
    isSame ? ask.last : null,
    offers.filter((offer) => offer.storeId !== storeId || offer.key !== ask.last?.key),
  );
};
