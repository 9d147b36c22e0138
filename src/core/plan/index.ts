export * from './types';
export { planInput, type PlanInput, type StoreTerms, type Owned } from './input';
export { firstPlan } from './firstPlan';
export { taxAt } from './buying';
export { thing } from './problems';
