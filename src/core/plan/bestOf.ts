import { isPreferred, planCost, type Plan } from '../cutting/model';

/**
 * Of the plan on screen and one that a search has come to, the one to show: what is on screen stays unless the other is
 * better, or cuts the same purchases in a way that is liked better; and takes from it what is known of the least that any costs.
 */
export const bestOf = (shown: Plan | null, found: Plan | undefined): Plan | null => {
  if (!found) return shown;
  if (!shown) return found;
  if (found.status === 'infeasible') {
    // Of what cannot all be made, the better plan for the rest.
    if (shown.status !== 'infeasible' || !found.rest) return shown;
    const rest = bestOf(shown.rest ?? null, found.rest);
    return rest ? { ...shown, rest } : shown;
  }
  const known = found.lowerBound + found.committedShipping - shown.committedShipping;
  if (isAsGood(shown, found)) {
    // At the saw no board is drawn anew for its looks.
    const isBegun = shown.layouts.some(({ sawn }) => sawn);
    if (!isBegun && isPreferred(found, shown) && purchasesOf(found) === purchasesOf(shown)) return found;
    return { ...shown, status: found.status, lowerBound: known };
  }
  if (planCost(found) <= planCost(shown)) return found;
  return { ...shown, lowerBound: Math.min(shown.total, Math.max(shown.lowerBound, known)) };
};

/** Whether two plans come to the same, spares and all. */
const isAsGood = (a: Plan, b: Plan): boolean => planCost(a) === planCost(b) && spareCost(a) === spareCost(b);

const spareCost = ({ buys }: Plan): number =>
  buys.reduce((sum, { spare, unitPrice, pack }) => sum + (spare * unitPrice) / pack, 0);

/** What is bought, the same for the same shopping list. */
export const purchasesOf = ({ buys }: Pick<Plan, 'buys'>): string =>
  buys
    .map(({ offerKey, qty }) => `${offerKey} ${qty}`)
    .sort()
    .join('|');
