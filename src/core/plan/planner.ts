/** All that plans, proves and checks: for workers and the command line. Screens need none of it. */
export { bestPlan } from './bestPlan';
export { byHandPlan } from './byHand';
export { checkedPlan } from './checkedPlan';
export { checkPlan } from './check';
export { continuePlan } from './continuePlan';
export { firstPlan } from './firstPlan';
export { solverOf, type Highs, type Solver } from '../cutting/solver';
