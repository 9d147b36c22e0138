import { projectMoney } from '../budget';
import { nameKey } from '../lumber';
import { shownBeside, shownPlan, type Plan } from '../plan';
import { offerAt, trendOf } from '../pricing';
import { tagName, type Book, type Price, type Project } from '../project';
import { formatMoney, type Minor } from '../units';
import type { PlanWith } from './breakEven';
import { boughtIn, buysDifference } from './differences';
import { repriced } from './repriced';

/** Whose prices move: all wood and sheets, all hardware, what a store sells, or one thing by its shelf tag, wherever it is sold. */
export type Moved =
  | { kind: 'wood' }
  | { kind: 'hardware' }
  | { kind: 'store'; storeId: string }
  | { kind: 'item'; item: string };

/** What may happen to prices: some move by a share, what fell lately is as dear as before, a store takes a fee or a trip more. */
export type Scenario =
  | { kind: 'moves'; what: Moved; share: number }
  | { kind: 'as before' }
  | { kind: 'shipping' | 'trip'; storeId: string; sum: Minor };

/** What a project comes to if a scenario holds, planned anew at its prices. */
export interface WhatIf {
  /** What leaves the pocket in all, what has left it included. */
  total: Minor;
  /** Nothing can be cheaper at those prices. */
  isProved: boolean;
  /** What would be bought otherwise; blank: the same. */
  otherwise: string;
}

/** The price book if a scenario holds. What a share makes of a price is rounded to a millionth of its currency. */
export const bookIf = (scenario: Scenario, project: Project, book: Book, plan: Plan | null): Book => {
  if (scenario.kind === 'moves')
    return repriced(book, (price) =>
      isMoved(scenario.what, price) ? Math.round(price.price * (1 + scenario.share)) : price.price,
    );
  if (scenario.kind === 'as before') {
    const before = fallenIn(plan, book);
    return repriced(book, ({ id, price }) => before.get(id) ?? price);
  }
  const store = book.stores[scenario.storeId];
  if (!store || store.currency !== project.currency) return book;
  const { sum } = scenario;
  const changed =
    scenario.kind === 'trip'
      ? { ...store, trip: sum }
      : { ...store, shipping: { fee: sum, freeFrom: store.shipping?.freeFrom ?? null } };
  return { ...book, stores: { ...book.stores, [store.id]: changed } };
};

const isMoved = (what: Moved, { storeId, item }: Price): boolean => {
  switch (what.kind) {
    case 'wood':
      return item.kind !== 'hardware';
    case 'hardware':
      return item.kind === 'hardware';
    case 'store':
      return storeId === what.storeId;
    case 'item':
      return nameKey(tagName(item)) === nameKey(what.item);
  }
};

/** Of what a plan buys, the observations that are lower than the one before, by id, with what that one said of the same unit. */
const fallenIn = (plan: Plan | null, book: Book): Map<string, number> =>
  new Map(
    (shownPlan(plan)?.buys ?? []).flatMap(({ offerKey }) => {
      const offer = offerAt(book, offerKey);
      const trend = offer && trendOf(offer, book);
      const now = offer?.tiers[0]?.price;
      return now && trend?.way === 'down' ? [[now.id, Math.round(now.price / (1 - trend.share))]] : [];
    }),
  );

/** Whether something that a plan buys fell lately. */
export const hasFallen = (plan: Plan | null, book: Book): boolean => fallenIn(plan, book).size > 0;

/** A project planned anew as a scenario has it; null where it cannot be held against the plan as it is. */
export const whatIf = (
  scenario: Scenario,
  project: Project,
  book: Book,
  plan: Plan,
  planWith: PlanWith,
): WhatIf | null => {
  const then = bookIf(scenario, project, book, plan);
  const made = planWith(project, then);
  const shown = shownPlan(made);
  if (!made || !shown || !shownBeside(made, plan)) return null;
  return {
    total: projectMoney(project, then, made).total,
    isProved: shown.status === 'proved',
    otherwise: boughtIn(made) === boughtIn(plan) ? '' : buysDifference(plan, made),
  };
};

/** A scenario in words: `Wood and sheets 10 % dearer`. */
export const scenarioWords = (scenario: Scenario, { stores }: Book, { currency }: Project): string => {
  if (scenario.kind === 'as before') return 'What fell lately costs what it did before';
  const nameOf = (storeId: string) => stores[storeId]?.name ?? 'the store';
  if (scenario.kind === 'moves') {
    const { what, share } = scenario;
    const name =
      what.kind === 'store'
        ? `All at ${nameOf(what.storeId)}`
        : what.kind === 'item'
          ? what.item
          : { wood: 'Wood and sheets', hardware: 'Hardware' }[what.kind];
    const percent = Number((Math.abs(share) * 100).toFixed(2));
    return `${name} ${percent} % ${share < 0 ? 'cheaper' : 'dearer'}`;
  }
  const said = formatMoney(scenario.sum, currency);
  return scenario.kind === 'trip'
    ? `Going to ${nameOf(scenario.storeId)} costs ${said}`
    : `Shipping from ${nameOf(scenario.storeId)} costs ${said}`;
};
