import type { PlanInput } from './inputTypes';

/** Goes up when the same input would be planned otherwise: what was kept of before is then planned anew. */
const PLANNER_VERSION = 2;

/**
 * A name for all that decides a plan: the same for two inputs of which the same plan follows. What decides nothing is not in
 * it: ids, dates, notes and sources of the prices, how a measure is written, the order of the price rows.
 */
export const planKey = (input: PlanInput): string => {
  const held = keys.get(input) ?? hash(JSON.stringify(decisive(input)));
  keys.set(input, held);
  return held;
};

const keys = new WeakMap<PlanInput, string>();

const decisive = ({ offers, settings, ...rest }: PlanInput) => ({
  version: PLANNER_VERSION,
  ...rest,
  settings: {
    ...settings,
    kerf: settings.kerf.ticks,
    endTrim: settings.endTrim.ticks,
    sheetTrim: settings.sheetTrim.ticks,
    shortOk: settings.shortOk.ticks,
    maxCarryLength: settings.maxCarryLength?.ticks ?? null,
    maxCarryWidth: settings.maxCarryWidth?.ticks ?? null,
    maxCarrySheet: settings.maxCarrySheet
      ? [settings.maxCarrySheet.length.ticks, settings.maxCarrySheet.width.ticks]
      : null,
  },
  offers: [...offers]
    .sort((a, b) => (a.key < b.key ? -1 : 1))
    .map(({ key, name, item, thickness, width, length, unusable, pack, available, tiers, rough }) => [
      key,
      name,
      item.section,
      item.material,
      [thickness, width, length, pack, available, unusable ?? 0],
      tiers.map(({ minQty, unitPrice }) => [minQty, unitPrice]),
      rough ? [rough.planing.ticks, rough.waste] : 0,
    ]),
});

/** 106 bits of a multiplicative hash, twice over with other seeds: two inputs do not meet by chance. */
const hash = (text: string): string => `${text.length}-${half(text, 0xdeadbeef)}-${half(text, 0x9e3779b9)}`;

const half = (text: string, seed: number): string => {
  let high = seed;
  let low = 0x41c6ce57 ^ seed;
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    high = Math.imul(high ^ code, 2654435761);
    low = Math.imul(low ^ code, 1597334677);
  }
  high = Math.imul(high ^ (high >>> 16), 2246822507) ^ Math.imul(low ^ (low >>> 13), 3266489909);
  low = Math.imul(low ^ (low >>> 16), 2246822507) ^ Math.imul(high ^ (high >>> 13), 3266489909);
  return `${(low >>> 0).toString(36)}${(high >>> 0).toString(36)}`;
};
