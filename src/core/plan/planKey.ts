import { textHash } from '../textHash';
import type { PlanInput } from './inputTypes';

/** Goes up when the same input would be planned otherwise: what was kept of before is then planned anew. */
const PLANNER_VERSION = 8;

/**
 * A name for all that decides a plan: the same for two inputs of which the same plan follows. What decides nothing is not in
 * it: ids, dates, notes and sources of the prices, how a measure is written, the order of the price rows.
 */
export const planKey = (input: PlanInput): string => {
  const held = keys.get(input) ?? textHash(JSON.stringify(decisive(input)));
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
