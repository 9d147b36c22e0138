import type { CatalogueItem, FeedStore } from './catalogue';
import { chance } from './seeded';

const DAY = 24 * 3600 * 1000;
export const dayNumber = (iso: string): number => Math.floor(Date.parse(`${iso}T00:00:00Z`) / DAY);
export const isoOf = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10);

/** Every so many days a store writes new tags. */
const TAG_DAYS = 5;
/** Prices are looked back for so long; a tag that is older is dated so. */
const LOOK_BACK = 90;

const wave = (day: number, days: number, phase: number): number =>
  Math.sin(2 * Math.PI * (day / days + phase));

/** Wood is dear in spring and cheap in winter. */
const season = (day: number): number => 1 + 0.06 * wave(day - 20, 365.25, 0);

/** Twice in three years one species is short for a hundred days. */
const shortage = (material: string, day: number): number => {
  const period = Math.floor(day / 540);
  const short = ['cedar', 'birch ply', 'treated', 'fir'][Math.floor(chance('short', period) * 4)];
  const into = day - period * 540 - Math.floor(chance('short from', period) * 300);
  return material === short && into >= 0 && into < 100 ? 1 + 0.35 * Math.sin((Math.PI * into) / 100) : 1;
};

/** A few things are on sale for a week. */
const sale = (store: FeedStore, item: string, day: number): number =>
  chance('sale', store.id, item, Math.floor(day / 7)) < 0.03 ? 0.85 : 1;

const drift = (store: FeedStore, item: string, day: number): number =>
  1 + 0.04 * wave(day, 97, chance('drift', item)) + 0.02 * wave(day, 31, chance('drift', store.id, item));

/** Tags end in 8: 5.48. */
const asTag = (price: number): number => Math.max(0.18, Math.round(price * 10 - 0.8) / 10 + 0.08);

/** The tag of a thing on a day, in the currency's main unit. */
export const priceOn = (store: FeedStore, thing: CatalogueItem, day: number): number => {
  // Tags are not all written on one day.
  const written = day - ((day + Math.floor(chance('tag', store.id, thing.item) * TAG_DAYS)) % TAG_DAYS);
  const wood = thing.kind === 'hardware' ? 1 : season(written) * shortage(thing.material, written);
  const price =
    thing.base * store.level * wood * drift(store, thing.item, written) * sale(store, thing.item, day);
  return Number(asTag(price).toFixed(2));
};

/** Three things in a hundred are out of stock in any week. */
export const isOut = (store: FeedStore, { item }: CatalogueItem, day: number): boolean =>
  chance('out', store.id, item, Math.floor(day / 7)) < 0.03;

/** The last day on which price or stock changed. */
export const changedOn = (store: FeedStore, thing: CatalogueItem, day: number): number => {
  const price = priceOn(store, thing, day);
  const out = isOut(store, thing, day);
  for (let before = day - 1; before > day - LOOK_BACK; before--)
    if (priceOn(store, thing, before) !== price || isOut(store, thing, before) !== out) return before + 1;
  return day - LOOK_BACK;
};
