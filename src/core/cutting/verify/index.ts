export { verifyPlan } from './verifyPlan';
export {
  sizeOf,
  type CheckAgainst,
  type OwnedRow,
  type PlanToCheck,
  type PriceRow,
  type SectionSize,
} from './types';
