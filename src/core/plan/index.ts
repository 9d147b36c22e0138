export * from './types';
export { ownedOf, planInput, type PlanInput, type StoreTerms, type Owned } from './input';
export { byHandPlan } from './byHand';
export { firstPlan } from './firstPlan';
export { againstProject, checkPlan, type CheckAgainst, type PlanToCheck } from './check';
export { taxAt } from './buying';
export { bestPlan, isWithinRules, type SolveProgram } from './exact';
export { solverOf, type Highs } from './exact/highs';
export { thing } from './problems';
