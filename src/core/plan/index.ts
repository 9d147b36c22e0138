export * from './types';
export {
  ownedOf,
  planInput,
  rackFor,
  rackWorth,
  shippingFor,
  type PlanInput,
  type StoreTerms,
  type Owned,
} from './input';
export { byHandPlan } from './byHand';
export { firstPlan } from './firstPlan';
export { bestOf, continuePlan, type PreviousPlan } from './continuePlan';
export { checkedPlan } from './checkedPlan';
export { againstProject, checkPlan, type CheckAgainst, type PlanToCheck } from './check';
export { taxAt } from './netPricing';
export { bestPlan, type Progress } from './exact';
export { solverOf, type Highs, type Solver } from './exact/highs';
export { thing } from './problems';
export { proofTerms } from './proof';
export { faceOf, sidesOf, thicknessOf, usefulOffcuts } from './outline';
