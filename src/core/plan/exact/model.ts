import { decimals } from '../../measure';
import type { Offer } from '../../prices';
import { taxAt } from '../buying';
import type { PlanInput, StoreTerms } from '../input';
import type { Pattern, PieceType } from './types';

/** So many pieces of something that is only bought, not cut by this program: hardware, and sheets that are filled already. */
export interface Bought {
  offers: Offer[];
  /** Beyond what is owned. */
  count: number;
}

/** A stock of boards, what is owned of it and the offers of it. */
export interface Supplied {
  offers: Offer[];
  owned: number;
  /** Places in the list of patterns. */
  patterns: number[];
}

export interface Program {
  input: PlanInput;
  types: PieceType[];
  patterns: Pattern[];
  stocks: Supplied[];
  bought: Bought[];
}

/** A purchase variable: an offer in one of its tiers. */
export interface Purchase {
  name: string;
  offer: Offer;
}

/** Half a millionth of the main unit, in the smallest coin: a sum that ends in exactly a half is rounded up. */
const HALF = 0.5 - 5e-5;

/**
 * The whole purchase as one program in CPLEX LP text. Sets: patterns x, purchases y by offer and tier, tiers z, stores u,
 * shipping waived w, goods g and tax t of each store, in the smallest coin. Rows: every type's demand; boards supplied
 * over boards cut; what is only bought; tiers; availability; stores; rounding half up once a store, as `assemble` does.
 * Objective: what leaves the pocket.
 */
export const programText = ({ input, types, patterns, stocks, bought }: Program): { text: string; purchases: Purchase[] } => {
  const coin = 10 ** (6 - decimals(input.currency));
  const rows: string[] = [];
  const bounds: string[] = [];
  const integers = patterns.map((_, index) => `x${index}`);
  const binaries: string[] = [];
  const objective: string[] = [];
  const purchases: Purchase[] = [];
  const bySource = new Map<Offer, string[]>();

  types.forEach(({ demand }, type) => {
    const terms = patterns.flatMap(({ counts }, index) => {
      const count = counts.find(([at]) => at === type)?.[1];
      return count ? [`${count} x${index}`] : [];
    });
    rows.push(`${sum(terms)} >= ${demand}`);
  });
  const most = types.reduce((all, { demand }) => all + demand, 0);
  for (const { offers, owned, patterns: own } of stocks) {
    const supplied = offers.flatMap((offer) => purchase(offer, most).map((name) => `${offer.pack} ${name}`));
    const cut = own.map((index) => `- x${index}`);
    if (cut.length > 0) rows.push(`${[...supplied, ...cut].join(' + ').replaceAll('+ -', '-')} >= ${-owned}`);
  }
  for (const { offers, count } of bought)
    if (count > 0)
      rows.push(`${sum(offers.flatMap((offer) => purchase(offer, count).map((name) => `${offer.pack} ${name}`)))} >= ${count}`);
  for (const store of input.stores) storeRows(store);

  const text = [
    'Minimize', ` cost: ${sum(objective)}`, 'Subject To', ...rows.map((row, index) => ` r${index}: ${row}`),
    'Bounds', ...bounds.map((bound) => ` ${bound}`), 'General', ` ${integers.join(' ')}`,
    ...(binaries.length > 0 ? ['Binary', ` ${binaries.join(' ')}`] : []), 'End', '',
  ].join('\n');
  return { text, purchases };

  /** The variables of an offer: one, or one for each tier of which one at most is used. */
  function purchase(offer: Offer, wanted: number): string[] {
    const held = bySource.get(offer);
    if (held) return held;
    const names: string[] = [];
    const chosen: string[] = [];
    const isPlain = offer.tiers.length === 1 && offer.tiers[0]?.minQty === 1;
    offer.tiers.forEach(({ minQty }, index) => {
      const name = `y${purchases.length}`;
      purchases.push({ name, offer });
      integers.push(name);
      names.push(name);
      const next = offer.tiers[index + 1]?.minQty;
      // A tier may be worth reaching though fewer are needed.
      const usual = Math.max(Math.ceil(wanted / offer.pack), minQty);
      const cap = Math.min(usual, offer.available ?? Infinity, next === undefined ? Infinity : next - 1);
      bounds.push(`0 <= ${name} <= ${Math.max(0, cap)}`);
      if (isPlain) return;
      const tier = `z${name.slice(1)}`;
      binaries.push(tier);
      chosen.push(tier);
      rows.push(`${name} - ${Math.max(0, cap)} ${tier} <= 0`, `${name} - ${minQty} ${tier} >= 0`);
    });
    if (chosen.length > 1) rows.push(`${sum(chosen)} <= 1`);
    bySource.set(offer, names);
    return names;
  }

  function storeRows(store: StoreTerms): void {
    const own = purchases.filter(({ offer }) => offer.storeId === store.id);
    if (own.length === 0) return;
    const at = input.stores.indexOf(store);
    const [goods, tax, used, waived] = [`g${at}`, `t${at}`, `u${at}`, `w${at}`];
    const costs = own.map(({ name, offer }) => {
      const tier = offer.tiers[purchases.filter((other) => other.offer === offer).findIndex((other) => other.name === name)];
      return `${number(((tier?.unitPrice ?? 0) * (1 - store.discount)) / coin)} ${name}`;
    });
    integers.push(goods);
    rows.push(`${sum(costs)} - ${goods} <= ${number(HALF)}`);
    objective.push(goods);
    const rate = taxAt(store, input.settings);
    if (rate > 0) {
      integers.push(tax);
      rows.push(`${number(rate)} ${goods} - ${tax} <= ${number(HALF)}`);
      objective.push(tax);
    }
    const fee = store.shipping?.fee ?? 0;
    if (store.trip + fee === 0) return;
    binaries.push(used);
    const pieces = own.map(({ name }) => name);
    const all = own.reduce((total, { offer }) => total + Math.max(most, ...bought.map(({ count }) => count), offer.tiers.at(-1)?.minQty ?? 1), 0);
    rows.push(`${sum(pieces)} - ${all} ${used} <= 0`);
    objective.push(`${store.trip + fee} ${used}`);
    const freeFrom = store.shipping?.freeFrom ?? null;
    if (fee === 0 || freeFrom === null) return;
    binaries.push(waived);
    rows.push(`${waived} - ${used} <= 0`, `${goods} - ${freeFrom} ${waived} >= 0`);
    objective.push(`- ${fee} ${waived}`);
  }
}; // prettier-ignore

const sum = (terms: string[]): string =>
  terms.length === 0 ? '0 x0' : terms.join(' + ').replaceAll('+ -', '-');

/** As LP text has numbers: no exponents. */
const number = (value: number): string => value.toFixed(9).replace(/0+$/, '').replace(/\.$/, '');
