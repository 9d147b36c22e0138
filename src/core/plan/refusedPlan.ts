import type { Plan } from '../cutting/model';

/** In place of a plan that must not be shown, or could not be made: nothing, and why in a sentence. */
export const refusedPlan = (currency: string, sentence: string): Plan => ({
  status: 'infeasible',
  currency,
  total: 0,
  lowerBound: 0,
  goods: 0,
  tax: 0,
  trips: 0,
  shipping: 0,
  committedShipping: 0,
  buys: [],
  layouts: [],
  short: [],
  stores: [],
  problems: [{ code: 'unchecked', partIds: [], part: '', sentence }],
});
