import { toMicros, toMinor, type Minor } from '../units';
import { taxAt } from '../plan';
import { isFinish } from '../lumber';
import type { Category, Item, PlanSettings, PurchaseLine, Store } from '../project';

const BY_KIND: Record<Item['kind'], Category> = { board: 'wood', sheet: 'sheets', hardware: 'hardware' };

/** Words on tags that tell what is used up, and what stays. */
const CONSUMABLES =
  /\b(glue|adhesive|sandpaper|sanding|abrasive|tape|rags?|brush(es)?|rollers?|gloves?|masks?|caulk|filler|pencils?|liner|membrane)\b/i;
const TOOLS =
  /\b(saw|drill|driver|blades?|bits?|jig|clamps?|plane|chisel|square|router|sander|level|hire|rental|rent)\b/i;

/** What money for an item goes into, by its kind, and by its name where that tells a finish, a tool, something used up. */
export const categoryOf = ({ kind, name }: Pick<Item, 'kind' | 'name'>): Category => {
  if (kind !== 'hardware') return BY_KIND[kind];
  if (isFinish(name)) return 'finish';
  return CONSUMABLES.test(name) ? 'consumables' : TOOLS.test(name) ? 'tools' : 'hardware';
};

/**
 * A purchase line from what was paid in all at the till: the part of it that is tax, by the rate that holds at
 * the store, is told apart.
 */
export const purchaseLine = (
  item: Item,
  pack: number,
  quantity: number,
  paid: Minor,
  store: Pick<Store, 'taxFree' | 'taxRate'>,
  settings: PlanSettings,
  currency: string,
): PurchaseLine => {
  const rate = taxAt(store, settings);
  const price = toMinor(Math.round(toMicros(paid, currency) / (1 + rate)), currency);
  return { item, pack, quantity, price, tax: paid - price, category: categoryOf(item) };
};
