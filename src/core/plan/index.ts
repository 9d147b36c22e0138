export * from './types';
export { ownedOf, planInput, type PlanInput, type StoreTerms, type Owned } from './input';
export { byHandPlan } from './byHand';
export { firstPlan } from './firstPlan';
export { againstProject, checkPlan, type CheckAgainst, type PlanToCheck } from './check';
export { taxAt } from './buying';
export { bestPlan, type Progress } from './exact';
export { solverOf, type Highs, type Solver } from './exact/highs';
export { thing } from './problems';
