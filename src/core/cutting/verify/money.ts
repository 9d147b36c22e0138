import { toMicros, toMinor, type Micros, type Minor } from '../../units';
import { hardwareKey } from '../../hardwareKey';
import { nameKey } from '../../nameKey';
import {
  newestOf,
  sizeOf,
  storeOf,
  type BuyToCheck,
  type CheckAgainst,
  type Note,
  type PlanToCheck,
  type PriceRow,
} from './types';

/** Sums that differ by a millionth here and there are the same: they were multiplied in another order. */
const isSame = (a: Micros, b: Micros): boolean => Math.abs(a - b) <= Math.max(2, Math.abs(a) * 1e-9);

const isOf = (buy: BuyToCheck, row: PriceRow): boolean => {
  if (nameKey(row.store) !== nameKey(buy.store) || row.pack !== buy.pack || row.kind !== buy.kind)
    return false;
  if (row.kind === 'hardware') return hardwareKey(row.name) === hardwareKey(buy.item);
  if (nameKey(row.name) !== nameKey(buy.item)) return false;
  return (
    row.length === buy.length &&
    nameKey(row.material) === nameKey(buy.material) &&
    row.section === buy.section
  );
};

/** The rows that hold for a buy: of each quantity the newest, without dates the last. */
const holding = (buy: BuyToCheck, prices: PriceRow[]): Map<number, PriceRow> => {
  const rows = new Map<number, PriceRow>();
  for (const row of prices) {
    if (!isOf(buy, row) || row.rough) continue;
    const held = rows.get(row.minQty);
    if (!held || (row.date ?? '') >= (held.date ?? '')) rows.set(row.minQty, row);
  }
  return rows;
};

/** The rows of rough wood from which a board can be planed: as wide as its straight edges leave it, and no thicker. */
export const roughRows = (buy: BuyToCheck, against: CheckAgainst): PriceRow[] => {
  const size = sizeOf(against, buy);
  if (!size || buy.kind !== 'board') return [];
  return against.prices.filter(
    ({ store, rough, pack, length, material }) =>
      rough?.size &&
      nameKey(store) === nameKey(buy.store) &&
      nameKey(material) === nameKey(buy.material) &&
      length === buy.length &&
      pack === buy.pack &&
      size.thickness + rough.planing <= rough.size.thickness &&
      size.width + rough.planing <= rough.size.width,
  );
};

/** The share of spare boards that rough wood brings with it; 0 for what is sold as it is. */
export const roughWaste = (buy: BuyToCheck, against: CheckAgainst): number => {
  if (holding(buy, against.prices).size > 0) return 0;
  const wastes = roughRows(buy, against).map(({ rough }) => rough?.waste ?? 0);
  return wastes.length === 0 ? 0 : Math.min(...wastes);
};

/** Whether every buy is at a price that holds, and all sums follow from them: rounded half up, once a store. */
export const checkMoney = (plan: PlanToCheck, against: CheckAgainst, note: Note): void => {
  for (const buy of plan.buys) checkBuy(buy, plan, against, note);
  const names = [...new Set(plan.buys.map(({ store }) => nameKey(store)))];
  const sums = { goods: 0, tax: 0, trips: 0, shipping: 0 };
  for (const name of names) {
    const of = storeSums(name, plan, against);
    for (const key of Object.keys(sums) as (keyof typeof sums)[]) sums[key] += of[key];
  }
  for (const [name, sum] of Object.entries(sums) as [keyof typeof sums, Minor][])
    if (plan[name] !== sum)
      note(name, `is ${plan[name]}, and the buys come to ${sum} (in the smallest coin)`);
  const sawing = plan.layouts.reduce(
    (sum, layout) => sum + layout.storeCuts.length * layout.count * (storeOf(layout, against)?.cutFee ?? 0),
    0,
  );
  if (plan.sawing !== sawing)
    note('sawing', `is ${plan.sawing}, and the stores ask ${sawing} for their cuts (in the smallest coin)`);
  const total = sums.goods + sums.tax + sums.trips + sums.shipping + sawing;
  if (plan.total !== total)
    note('total', `is ${plan.total}, and all sums come to ${total} (in the smallest coin)`);
  if (plan.lowerBound > plan.total) note('lowerBound', 'is above the plan');
};

/** What one store asks for all that is bought there, in minor units. */
const storeSums = (
  name: string,
  plan: PlanToCheck,
  { stores, settings, currency }: CheckAgainst,
): Record<'goods' | 'tax' | 'trips' | 'shipping', Minor> => {
  const terms = stores.find((store) => nameKey(store.name) === name);
  const cost = plan.buys
    .filter(({ store }) => nameKey(store) === name)
    .reduce((sum, buy) => sum + buy.cost, 0);
  const goods: Minor = toMinor(Math.round(cost * (1 - (terms?.discount ?? 0))), currency);
  const rate = settings.taxIncluded || terms?.taxFree ? 0 : (terms?.taxRate ?? settings.tax);
  const isFree = goods + (terms?.bought ?? 0) >= (terms?.shipping?.freeFrom ?? Infinity);
  return {
    goods,
    tax: toMinor(Math.round(toMicros(goods, currency) * rate), currency),
    trips: terms?.trip ?? 0,
    shipping: terms?.shipping && !isFree ? terms.shipping.fee : 0,
  };
};

const checkBuy = (buy: BuyToCheck, plan: PlanToCheck, against: CheckAgainst, note: Note): void => {
  const place = `${buy.item} at ${buy.store}`;
  const rows = holding(buy, against.prices);
  const quantity = plan.buys
    .filter(
      (other) =>
        other.store === buy.store &&
        other.item === buy.item &&
        other.pack === buy.pack &&
        other.length === buy.length,
    )
    .reduce((sum, { qty }) => sum + qty, 0);
  const tier = [...rows.keys()].filter((least) => least <= quantity).sort((a, b) => b - a)[0];
  const row = tier === undefined ? undefined : rows.get(tier);
  const expected = row
    ? [row.unitPrice]
    : rows.size === 0
      ? roughRows(buy, against).map(({ unitPrice }) => unitPrice)
      : [];
  if (!expected.some((price) => price !== null && isSame(price, buy.unitPrice)))
    note(
      place,
      row ? 'is bought at another price than holds for so many' : 'is not on sale there, or not so few of it',
    );
  const newest = newestOf([...rows.values()]);
  if (newest && newest.available !== null && quantity > newest.available)
    note(place, `the store has ${newest.available}, and ${quantity} are bought`);
  if (!isSame(buy.cost, buy.qty * buy.unitPrice))
    note(place, 'costs other than its quantity times its price');
  if (!Number.isInteger(buy.qty) || buy.qty < 1) note(place, 'is bought in no whole number');
};
