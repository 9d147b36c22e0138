import type { Plan, PlanProblem } from '../cutting/model';

/** Where not everything can be made: why, and in `rest` a plan for what can; without one there is nothing to buy. */
export const infeasiblePlan = (currency: string, problems: PlanProblem[], rest?: Plan): Plan => ({
  status: 'infeasible',
  currency,
  total: 0,
  lowerBound: 0,
  goods: 0,
  tax: 0,
  trips: 0,
  sawing: 0,
  shipping: 0,
  committedShipping: 0,
  buys: [],
  layouts: [],
  short: [],
  stores: [],
  problems,
  rest,
});

/** In place of a plan that must not be shown, or could not be made: nothing, and why in a sentence. */
export const refusedPlan = (currency: string, sentence: string): Plan =>
  infeasiblePlan(currency, [{ code: 'unchecked', partIds: [], part: '', sentence }]);
