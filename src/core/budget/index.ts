export * from './money';
export * from './inThePiece';
export * from './purchase';
export * from './ledger';
export * from './leftovers';
export * from './typedPriceLines';
export * from './target';
export * from './toolsToBuy';
export * from './freeShipping';
export * from './run';
export * from './atTheStore';
export * from './lineEdits';
export * from './costs';
export * from './overTime';
export * from './baseline';
export * from './begun';
export {
  explainBuy,
  explainLeft,
  explainSpent,
  explainStore,
  explainToBuy,
  explainTotal,
  explainVerdict,
  explanationText,
  type Explanation,
} from './explain';
export * from './explainCosts';
export { aislesOf, aislesWith } from '../project';
