import { readParts, readPrices, rowsForBook } from './io';
import { toMicros, type LengthUnit, type Minor } from './units';
import { againstProject, planInput, type Plan, type PlanToCheck } from './plan';
import { checkPlan, firstPlan } from './plan/planner';
import { offerAt } from './pricing';
import {
  measure,
  emptyBook,
  emptyProject,
  type Book,
  type PlanSettings,
  type Project,
  type Store,
  type RackEntry,
} from './project';
import type { Result } from './result';

/** For tests: the value of a result that must be one. */
export const must = <T>(result: Result<T>): T => {
  if (!result.ok)
    throw new Error(result.problems.map(({ place, sentence }) => `${place}: ${sentence}`).join('\n'));
  return result.value;
};

/** For tests: ids that count up. */
export const counter = (): (() => string) => {
  let last = 0;
  return () => `id${++last}`;
};

/** For tests: parts and prices as tables, with settings and terms of stores. */
export interface Case {
  parts: string;
  prices: string;
  unit?: LengthUnit;
  currency?: string;
  settings?: Partial<PlanSettings>;
  /** By store name. */
  stores?: Record<string, Partial<Store>>;
}

/** For tests: a project and a price book from the text of parts.csv and prices.csv. */
export const fromCsv = ({
  parts,
  prices,
  unit = 'in',
  currency = 'USD',
  settings,
  stores = {},
}: Case): { project: Project; book: Book } => {
  const newId = counter();
  const project = emptyProject(newId(), 'Case', unit, currency);
  const taken = rowsForBook(must(readPrices(prices, 'prices.csv', unit)), emptyBook(), currency, newId);
  const book: Book = {
    stores: Object.fromEntries(taken.stores.map((store) => [store.id, { ...store, ...stores[store.name] }])),
    prices: Object.fromEntries(taken.prices.map((price) => [price.id, price])),
  };
  return {
    project: {
      ...project,
      settings: { ...project.settings, ...settings },
      groups: must(readParts(parts, 'parts.csv', unit, newId)),
    },
    book,
  };
};

/** For tests: what the checker has against a plan of such a case. */
export const faultsOf = (given: Case, plan: PlanToCheck): string[] => {
  const { project, book } = fromCsv(given);
  return checkPlan(plan, againstProject(project, book)).map(({ place, sentence }) => `${place}: ${sentence}`);
};

/** For tests: the first plan of such a case. */
export const planCsv = (given: Case): Plan => {
  const { project, book } = fromCsv(given);
  return firstPlan(planInput(project, book));
};

/** For tests: a book in which one line of a plan, by item and store, costs another price and all else is as it was. */
export const atPrice = (
  book: Book,
  plan: Plan,
  { item, store }: { item: string; store: string },
  price: Minor,
): Book => {
  const buy = (plan.rest ?? plan).buys.find((one) => one.item === item && one.store === store);
  if (!buy) throw new Error(`${item} is not bought at ${store}`);
  const ids = new Set(offerAt(book, buy.offerKey)?.tiers.map((tier) => tier.price.id));
  const share = toMicros(price, plan.currency) / buy.unitPrice;
  const prices = Object.entries(book.prices).map(
    ([id, seen]) => [id, ids.has(id) ? { ...seen, price: Math.round(seen.price * share) } : seen] as const,
  );
  return { ...book, prices: Object.fromEntries(prices) };
};

/** So many 2x4 of 47 in on the rack, as entry `a`. */
export const rackBoards = (quantity: number): RackEntry => ({
  id: 'a',
  quantity,
  from: 'Old bench',
  item: {
    kind: 'board',
    name: '',
    section: '2x4',
    length: measure('47', 'in'),
    width: null,
    material: 'stud',
  },
});
