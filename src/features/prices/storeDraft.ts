import {
  MICROS,
  parseCount,
  parseDecimal,
  parseMoney,
  parseTag,
  percentText,
  writeMoney,
  toMinor,
  type LengthUnit,
  type Minor,
} from '@/core/units';
import type { Store } from '@/core/project';
import { ok, type Problem, type Result } from '@/core/result';
import { nameKey } from '@/core/lumber';

/** A store as it is typed. */
export interface StoreDraft extends Pick<Store, 'name' | 'kind' | 'note'> {
  /** The trip as a sum, or by the way there and back. */
  tripBy: 'sum' | 'mi' | 'km';
  trip: string;
  distance: string;
  rate: string;
  tax: 'project' | 'none' | 'own';
  taxRate: string;
  discount: string;
  fee: string;
  freeFrom: string;
  /** How many cuts it makes in a board or sheet so that it fits the car, and what each costs. */
  cuts: string;
  cutFee: string;
}

/** A store as its form shows it. */
export const draftOfStore = (store: Store, unit: LengthUnit): StoreDraft => {
  const { name, kind, currency, taxFree, taxRate, note, trip, way, discount, shipping, cuts, cutFee } = store;
  const sum = (minor: Minor | null | undefined) =>
    minor === null || minor === undefined ? '' : writeMoney(minor, currency);
  const rate = (way?.rate ?? 0) / MICROS;
  return {
    name,
    kind,
    note,
    tripBy: way ? way.unit : 'sum',
    trip: trip === 0 || way ? '' : sum(trip),
    distance: way ? String(way.distance) : '',
    rate: way ? String(rate) : unit === 'in' ? '0.30' : '0.25',
    tax: taxFree ? 'none' : taxRate === undefined ? 'project' : 'own',
    taxRate: taxRate === undefined ? '' : percentText(taxRate),
    discount: discount === 0 ? '' : percentText(discount),
    fee: sum(shipping?.fee),
    freeFrom: sum(shipping?.freeFrom),
    cuts: String(Number(cuts)),
    cutFee: sum(cutFee),
  };
};

/** What a way there and back costs. */
export const tripOf = ({ distance, rate }: NonNullable<Store['way']>, currency: string): Minor =>
  toMinor(Math.round(distance * rate), currency);

/** The draft as a store; every fault with its field as the place. `others` are the stores beside it. */
export const readStore = (draft: StoreDraft, held: Store, others: Store[]): Result<Store> => {
  const problems: Problem[] = [];
  const fault = (place: keyof StoreDraft, sentence: string) =>
    problems.push({ code: 'store', place, sentence });
  const money = (place: 'trip' | 'fee' | 'freeFrom' | 'cutFee'): Minor | null => {
    if (draft[place].trim() === '') return null;
    const sum = parseMoney(draft[place], held.currency);
    if (!sum.ok) fault(place, sum.problems[0]?.sentence ?? '');
    return sum.ok ? sum.value : null;
  };
  const share = (place: 'discount' | 'taxRate'): number => {
    const read = draft[place].trim() === '' ? ok(0) : parseDecimal(draft[place].replace('%', ''));
    if (read.ok && read.value <= 100) return read.value / 100;
    fault(place, 'Write a share in percent, from 0 to 100.');
    return 0;
  };
  const readWay = (unit: 'mi' | 'km'): NonNullable<Store['way']> => {
    const distance = parseDecimal(draft.distance);
    const rate = parseTag(draft.rate);
    if (!distance.ok || distance.value > 100_000)
      fault('distance', `Write how far it is there and back, in ${unit}, such as 12.5.`);
    if (!rate.ok) fault('rate', 'Write what a mile or kilometre costs you, such as 0.30.');
    return { distance: distance.ok ? distance.value : 0, unit, rate: rate.ok ? rate.value : 0 };
  };
  const name = draft.name.trim();
  if (name === '') fault('name', 'Give the store a name.');
  if (others.some((store) => nameKey(store.name) === nameKey(name)))
    fault('name', `There is a ${name} already.`);
  const discount = share('discount');
  const taxRate = draft.tax === 'own' ? share('taxRate') : null;
  const way = draft.tripBy === 'sum' ? null : readWay(draft.tripBy);
  const trip = way ? tripOf(way, held.currency) : (money('trip') ?? 0);
  const fee = money('fee');
  const freeFrom = fee === null ? null : money('freeFrom');
  const cuts = readCuts();
  const cutFee = cuts === false ? null : money('cutFee');
  if (problems.length > 0) return { ok: false, problems };
  const { way: _, taxRate: __, cutFee: ___, ...rest } = held;
  return ok({
    ...rest,
    name,
    kind: draft.kind,
    note: draft.note.trim(),
    trip,
    ...(way ? { way } : {}),
    taxFree: draft.tax === 'none',
    ...(taxRate === null ? {} : { taxRate }),
    discount,
    shipping: fee === null ? null : { fee, freeFrom },
    cuts,
    ...(cutFee === null ? {} : { cutFee }),
  });

  /** One cut is `true`, none `false`, as they always were. */
  function readCuts(): Store['cuts'] {
    const text = draft.cuts.trim();
    if (text === '' || text === '0') return false;
    const count = parseCount(text);
    if (!count.ok || count.value > 100) fault('cuts', 'Write how many cuts, from 0 to 100.');
    return count.ok && count.value > 1 ? count.value : true;
  }
};
