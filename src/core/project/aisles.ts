import { CATEGORIES, type Category } from './category';
import type { Store } from './types';

/** Sheets and boards first, while the cart is empty; what is small last (rule of thumb). */
const USUAL_AISLES: Category[] = [
  'sheets',
  'wood',
  'hardware',
  'consumables',
  'finish',
  'tools',
  'other',
  'trips',
];

/** The order in which one walks through a store: as it was learnt there, then the usual one. */
export const aislesOf = (store: Pick<Store, 'aisles'> | undefined): Category[] => [
  ...new Set([...(store?.aisles ?? []), ...USUAL_AISLES, ...CATEGORIES]),
];

/** The order of the aisles when one of them comes right before another. */
export const aislesWith = (store: Store | undefined, category: Category, before: Category): Category[] => {
  const others = aislesOf(store).filter((one) => one !== category);
  others.splice(others.indexOf(before), 0, category);
  return others;
};
