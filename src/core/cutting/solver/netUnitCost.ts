import { decimals } from '../../units';
import { netPriceFactor, type CuttingProblem } from '../model';

/** What the pocket pays for one purchase at a price, in the smallest coin, before rounding. */
export const netUnitCost = (input: CuttingProblem): ((storeId: string, unitPrice: number) => number) => {
  const coin = 10 ** (6 - decimals(input.currency));
  const factors = new Map(input.stores.map((store) => [store.id, netPriceFactor(store, input.settings)]));
  return (storeId, unitPrice) => (unitPrice * (factors.get(storeId) ?? 1)) / coin;
};
