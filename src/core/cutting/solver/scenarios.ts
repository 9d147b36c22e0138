import { decimals, toMicros, toMinor } from '../../units';
import { taxAt, type CuttingProblem, type StoreTerms } from '../model';
import { newModelBuilder, type Program, type Terms } from './modelBuilder';
import type { Subproblem } from './subproblem';

/** Half a millionth of the main unit, in the smallest coin: a sum that ends in exactly a half is rounded up. */
const HALF = 0.5 - 5e-5;

/** A set of stores that may be used, and what going there costs at the least, in the smallest coin. */
export interface StoreScenario {
  stores: Set<string>;
  /** Stores whose shipping is free, because enough is bought there. */
  free: Set<string>;
  trips: number;
  /** How far rounding at the till can bring a sum below the exact one. */
  rounding: number;
}

/** More sets of stores than these are not told apart. */
const MAX_MODES = 128;

/**
 * The sets of stores that may be used, shipping paid or free: together they are all plans. Of very many stores the sets of
 * few are told apart, and one scenario stands for all larger ones. `used`: stores of a plan that is known, told apart too.
 */
export const storeScenarios = (input: CuttingProblem, used: Set<string> = new Set()): StoreScenario[] => {
  const sold = new Set(input.offers.map(({ storeId }) => storeId));
  const selling = input.stores.filter(({ id }) => sold.has(id));
  // Counted before they are made: of thirty stores there are a thousand million.
  const count = selling.reduce((product, store) => product * waysAt(store).length, 1);
  return count <= MAX_MODES ? setsOf(selling, waysAt, input) : withFewStores(selling, used, input);
};

const NONE: StoreScenario = { stores: new Set(), free: new Set(), trips: 0, rounding: 0 };

/** Every way of using some stores, each in one of the ways that `ways` gives it. */
const setsOf = (
  stores: StoreTerms[],
  ways: (store: StoreTerms) => Way[],
  input: CuttingProblem,
): StoreScenario[] =>
  stores.reduce<StoreScenario[]>(
    (sets, store) =>
      sets.flatMap((scenario) => ways(store).map((way) => withStore(scenario, store, way, input))),
    [NONE],
  );

/** Sets of as few stores as can be told apart, and one for all that have more: they pay so many trips at the least. */
const withFewStores = (selling: StoreTerms[], used: Set<string>, input: CuttingProblem): StoreScenario[] => {
  const isOptional = (store: StoreTerms) => waysAt(store).includes('not');
  const always = selling.filter((store) => !isOptional(store));
  const optional = selling.filter(isOptional);
  const going = (store: StoreTerms): Way[] => waysAt(store).filter((way) => way !== 'not');
  const countOf = (stores: StoreTerms[]) =>
    stores.reduce((product, store) => product * going(store).length, 1);
  let sets: StoreTerms[][] = [[]];
  let told = countOf(always) <= MAX_MODES ? sets : [];
  let size = 0;
  while (told.length > 0 && size < optional.length) {
    const larger = sets.flatMap((set) =>
      optional
        .slice(set.length === 0 ? 0 : optional.indexOf(set.at(-1) as StoreTerms) + 1)
        .map((store) => [...set, store]),
    );
    const all = [...told, ...larger].reduce((sum, set) => sum + countOf([...always, ...set]), 0);
    if (all > MAX_MODES) break;
    sets = larger;
    told = [...told, ...larger];
    size++;
  }
  const known = optional.filter(({ id }) => used.has(id));
  const isKnownTold = known.length <= size || countOf([...always, ...known]) > MAX_MODES;
  const trips = optional
    .map(leastToGo)
    .sort((a, b) => a - b)
    .slice(0, told.length > 0 ? size + 1 : 0);
  return [
    ...[...told, ...(isKnownTold ? [] : [known])].flatMap((set) => setsOf([...always, ...set], going, input)),
    {
      stores: new Set(selling.map(({ id }) => id)),
      free: new Set(),
      trips: [...always.map(leastToGo), ...trips].reduce((sum, trip) => sum + trip, 0),
      rounding: selling.reduce((sum, store) => sum + roundingAt(store, input), 0),
    },
  ];
};

/** What going to a store costs at the least. */
const leastToGo = (store: StoreTerms): number =>
  store.trip + (waysAt(store).includes('free') ? 0 : (store.shipping?.fee ?? 0));

type Way = 'not' | 'paying' | 'free';

/** How a store may be used: where going there costs nothing, it may always be. */
const waysAt = ({ trip, shipping, committedShipping }: StoreTerms): Way[] => {
  if (trip + (shipping?.fee ?? 0) === 0) return ['paying'];
  // It is paid already, unless so much more is bought that it need not be.
  if (committedShipping > 0) return shipping?.freeFrom ? ['paying', 'free'] : ['paying'];
  return shipping && shipping.fee > 0 && shipping.freeFrom !== null
    ? ['not', 'paying', 'free']
    : ['not', 'paying'];
};

const withStore = (
  scenario: StoreScenario,
  store: StoreTerms,
  way: Way,
  input: CuttingProblem,
): StoreScenario => {
  if (way === 'not') return scenario;
  return {
    stores: new Set([...scenario.stores, store.id]),
    free: way === 'free' ? new Set([...scenario.free, store.id]) : scenario.free,
    trips: scenario.trips + store.trip + (way === 'paying' ? (store.shipping?.fee ?? 0) : 0),
    rounding: scenario.rounding + roundingAt(store, input),
  };
};

const roundingAt = (store: StoreTerms, input: CuttingProblem): number => {
  const rate = taxAt(store, input.settings);
  return (isWholeAt(store, input) ? 0 : 0.5 * (1 + rate)) + (rate > 0 ? 0.5 : 0);
};

/** Whether all goods of a store come to whole coins before tax. */
const isWholeAt = (store: StoreTerms, { offers, currency }: CuttingProblem): boolean => {
  const coin = 10 ** (6 - decimals(currency));
  return offers.every(
    ({ storeId, tiers }) =>
      storeId !== store.id || tiers.every(({ unitPrice }) => (unitPrice * (1 - store.discount)) % coin === 0),
  );
};

/** The least whole sum at the till for goods that come to `exact` with tax: at one store it is known to the coin. */
export const roundedLowerBound = (
  exact: number,
  { stores, trips, rounding }: StoreScenario,
  input: CuttingProblem,
): number => {
  const [store] = input.stores.filter(({ id }) => stores.has(id));
  // What is sawn for a fee is in the sum, and is not taxed.
  if (stores.size !== 1 || !store || store.cutFee) return Math.ceil(exact - rounding - 1e-4) + trips;
  const rate = taxAt(store, input.settings);
  const goods = exact / (1 + rate);
  const least = isWholeAt(store, input) ? Math.ceil(goods - 1e-4) : Math.floor(goods + 0.5 - 1e-4);
  return least + toMinor(Math.round(toMicros(least, input.currency) * rate), input.currency) + trips;
};

/** The whole purchase as one program over all subproblems. */
export interface RoundingModel {
  program: Program;
  /** Where the columns of a subproblem's own program begin here: they come in the same order. */
  firstOf: (subproblem: Subproblem) => number;
}

/**
 * Goods g and tax t of each store in the smallest coin, rounded half up once a store as `assemble` does, over the
 * purchases y of all subproblems, and the trips of the scenario. Cost: what leaves the pocket.
 */
export const roundingModel = (
  input: CuttingProblem,
  subproblems: Subproblem[],
  scenario: StoreScenario,
): RoundingModel => {
  const coin = 10 ** (6 - decimals(input.currency));
  const { program, tags, column, row } = newModelBuilder();
  const firsts = new Map<Subproblem, number>();
  for (const subproblem of subproblems) {
    const { cost, lower, upper, rows } = subproblem.program;
    const first = program.cost.length;
    firsts.set(subproblem, first);
    const bought = new Set(subproblem.tags.map((tag) => tag.column));
    // What is bought is paid with the goods of its store, rounded; what else costs something, by itself.
    cost.forEach((each, own) => column(bought.has(own) ? 0 : each, lower[own] ?? 0, upper[own] ?? 0));
    for (const own of rows) row(asTerms(own.terms, first), own.lower, own.upper);
    tags.push(...subproblem.tags.map((tag) => ({ ...tag, column: first + tag.column })));
  }
  for (const tag of tags) if (!scenario.stores.has(tag.offer.storeId)) program.upper[tag.column] = 0;
  for (const store of input.stores) storeRows(store);
  column(scenario.trips, 1, 1);
  return { program, firstOf: (subproblem) => firsts.get(subproblem) ?? 0 };

  function storeRows(store: StoreTerms): void {
    const own = tags.filter(({ offer }) => offer.storeId === store.id);
    if (own.length === 0 || !scenario.stores.has(store.id)) return;
    const goods = column(1, 0, Infinity);
    const costs = own.map(({ column: made, unitPrice }): [number, number] => [
      made,
      (unitPrice * (1 - store.discount)) / coin,
    ]);
    row([...costs, [goods, -1]], -Infinity, HALF);
    const rate = taxAt(store, input.settings);
    if (rate > 0) {
      const tax = column(1, 0, Infinity);
      row(
        [
          [goods, rate],
          [tax, -1],
        ],
        -Infinity,
        HALF,
      );
    }
    const freeFrom = store.shipping?.freeFrom ?? 0;
    // Rounded half up it reaches the sum.
    if (scenario.free.has(store.id)) row(costs, freeFrom - 0.5, Infinity);
  }
};

/** The terms of a subproblem's own program as terms of the whole one, in which its columns begin at `first`. */
export const asTerms = (terms: Terms, first: number): Terms =>
  terms.map(([column, value]) => [first + column, value]);
