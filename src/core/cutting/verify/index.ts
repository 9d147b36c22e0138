export { verifyPlan } from './verifyPlan';
export { replay } from './replay';
export {
  sizeOf,
  type CheckAgainst,
  type LayoutToCheck,
  type OwnedRow,
  type PlanToCheck,
  type PriceRow,
  type SectionSize,
  type SequenceToCheck,
} from './types';
