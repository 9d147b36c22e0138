import {
  toMicros,
  toMinor,
  TICKS_PER_FOOT,
  TICKS_PER_INCH,
  TICKS_PER_METRE,
  type Micros,
  type Minor,
} from '../../units';
import type { Item, Price } from '../../project';
import { actualThickness, nameKey, parseSection, parseThickness } from '../../lumber';
import type { BuyToCheck, CheckAgainst, Note, PlanToCheck } from './types';

type Row = CheckAgainst['prices'][number];

const sidesOf = (item: Item): { thickness: number; width: number; nominal: number } | null => {
  if (item.kind === 'board') {
    const section = parseSection(item.section, 'mm');
    if (!section.ok) return null;
    const { thickness, width, nominalThickness, nominalWidth } = section.value;
    return { thickness, width, nominal: nominalThickness * nominalWidth };
  }
  const thickness = parseThickness(item.section, 'in');
  if (!thickness.ok || !item.width) return null;
  const actual = actualThickness(thickness.value, item.material);
  return { thickness: actual, width: item.width.ticks, nominal: thickness.value * item.width.ticks };
};

/** What one purchase of a row costs: a linear foot, board foot, square foot or cubic metre by their definitions. */
const pricedBy = ({ item, unit, price }: Row['price']): Micros | null => {
  if (unit === 'each' || unit === 'pack') return price;
  const length = item.length?.ticks ?? 0;
  const sides = sidesOf(item);
  if (unit === 'ft') return Math.round((price * length) / TICKS_PER_FOOT);
  if (unit === 'm') return Math.round((price * length) / TICKS_PER_METRE);
  if (!sides) return null;
  if (unit === 'bf') return Math.round((price * sides.nominal * length) / (144 * TICKS_PER_INCH ** 3));
  if (unit === 'sqft') return Math.round((price * sides.width * length) / TICKS_PER_FOOT ** 2);
  if (unit === 'm2') return Math.round((price * sides.width * length) / TICKS_PER_METRE ** 2);
  return Math.round((price * sides.width * sides.thickness * length) / TICKS_PER_METRE ** 3);
};

/** Sums that differ by a millionth here and there are the same: they were multiplied in another order. */
const isSame = (a: Micros, b: Micros): boolean => Math.abs(a - b) <= Math.max(2, Math.abs(a) * 1e-9);

const isOf = (buy: BuyToCheck, { store, price }: Row): boolean => {
  const { item } = price;
  if (nameKey(store) !== nameKey(buy.store) || price.pack !== buy.pack || item.kind !== buy.kind)
    return false;
  if (nameKey(item.name) !== nameKey(buy.item)) return false;
  if (item.kind === 'hardware') return true;
  return (
    item.length?.ticks === buy.length &&
    nameKey(item.material) === nameKey(buy.material) &&
    item.section === buy.section
  );
};

/** The rows that hold for a buy: of each quantity the newest, without dates the last. */
const holding = (buy: BuyToCheck, prices: Row[]): Map<number, Row> => {
  const rows = new Map<number, Row>();
  for (const row of prices) {
    if (!isOf(buy, row) || row.price.rough) continue;
    const held = rows.get(row.price.minQty);
    if (!held || (row.price.date ?? '') >= (held.price.date ?? '')) rows.set(row.price.minQty, row);
  }
  return rows;
};

/** Price of a board that is planed from rough wood: its share of the rough board, and what is lost. */
const dressedPrice = (buy: BuyToCheck, prices: Row[]): Micros[] => {
  const section = parseSection(buy.section, 'mm');
  if (!section.ok) return [];
  return prices.flatMap(({ store, price }) => {
    const sides = sidesOf(price.item);
    const each = pricedBy(price);
    if (!price.rough || !sides || each === null || nameKey(store) !== nameKey(buy.store)) return [];
    const planing = price.rough.planing.ticks;
    if (section.value.thickness + planing > sides.thickness || price.item.length?.ticks !== buy.length)
      return [];
    const used = section.value.width + planing;
    return used > sides.width
      ? []
      : [Math.round(((each / price.pack) * used * (1 + price.rough.waste)) / sides.width)];
  });
};

/** Whether every buy is at a price that holds, and all sums follow from them: rounded half up, once a store. */
export const checkMoney = (plan: PlanToCheck, against: CheckAgainst, note: Note): void => {
  for (const buy of plan.buys) checkBuy(buy, plan, against, note);
  const names = [...new Set(plan.buys.map(({ store }) => nameKey(store)))];
  const sums = { goods: 0, tax: 0, trips: 0, shipping: 0 };
  for (const name of names) {
    const terms = against.stores.find((store) => nameKey(store.name) === name);
    const cost = plan.buys
      .filter(({ store }) => nameKey(store) === name)
      .reduce((sum, buy) => sum + buy.cost, 0);
    const goods: Minor = toMinor(Math.round(cost * (1 - (terms?.discount ?? 0))), against.currency);
    const rate =
      against.settings.taxIncluded || terms?.taxFree ? 0 : (terms?.taxRate ?? against.settings.tax);
    sums.goods += goods;
    sums.tax += toMinor(Math.round(toMicros(goods, against.currency) * rate), against.currency);
    sums.trips += terms?.trip ?? 0;
    const isFree = goods + (terms?.bought ?? 0) >= (terms?.shipping?.freeFrom ?? Infinity);
    sums.shipping += terms?.shipping && !isFree ? terms.shipping.fee : 0;
  }
  for (const [name, sum] of Object.entries(sums) as [keyof typeof sums, Minor][])
    if (plan[name] !== sum)
      note(name, `is ${plan[name]}, and the buys come to ${sum} (in the smallest coin)`);
  const total = sums.goods + sums.tax + sums.trips + sums.shipping;
  if (plan.total !== total)
    note('total', `is ${plan.total}, and all sums come to ${total} (in the smallest coin)`);
  if (plan.lowerBound > plan.total) note('lowerBound', 'is above the plan');
};

const checkBuy = (buy: BuyToCheck, plan: PlanToCheck, { prices }: CheckAgainst, note: Note): void => {
  const place = `${buy.item} at ${buy.store}`;
  const rows = holding(buy, prices);
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
  const expected = row ? [pricedBy(row.price)] : rows.size === 0 ? dressedPrice(buy, prices) : [];
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

const newestOf = (rows: Row[]): Row['price'] | undefined =>
  rows
    .map(({ price }): Pick<Price, 'date' | 'available'> & Row['price'] => price)
    .reduce<Row['price'] | undefined>((a, b) => (!a || (b.date ?? '') >= (a.date ?? '') ? b : a), undefined);
