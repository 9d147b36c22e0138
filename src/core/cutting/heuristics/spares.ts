import { nameKey } from '../../nameKey';
import { offerFitsInCar, tierFor, type CuttingProblem, type Purchases, type Stock } from '../model';

/** The share of extra boards by the name key of a material. */
export const spareShares = ({ spare = {} }: CuttingProblem['settings']): Map<string, number> =>
  new Map(Object.entries(spare).map(([name, share]) => [nameKey(name), share]));

/**
 * Purchases with the extra boards against defects: of every section and material the share of the boards bought,
 * rounded up, in the longest length that is bought of it; where there are no more of those, in others, of stores that are gone
 * to anyway first. What was bought before counts: its boards want spares too, and those of them that are not cut are spares
 * already.
 */
export const withSpares = (
  purchases: Purchases[],
  boards: { stock: Stock }[],
  { settings, owned, offers }: Pick<CuttingProblem, 'settings' | 'owned' | 'offers'>,
): Purchases[] => {
  const shares = spareShares(settings);
  if (shares.size === 0) return purchases;
  const visited = new Set(purchases.map(({ offer }) => offer.storeId));
  const groups = new Map<string, Purchases[]>();
  for (const purchase of purchases) {
    const { item, thickness, width } = purchase.offer;
    if (item.kind !== 'board') continue;
    const key = `${thickness}x${width}:${nameKey(item.material)}`;
    groups.set(key, [...(groups.get(key) ?? []), purchase]);
  }
  const added = [...groups.values()].flatMap((group): Purchases[] => {
    const share = shares.get(nameKey(group[0]?.offer.item.material ?? '')) ?? 0;
    const now = group.reduce((sum, { offer, quantity }) => sum + offer.pack * quantity, 0);
    const [first] = group;
    const isOfIt = (of: { thickness: number; width: number; material: string }) =>
      first !== undefined &&
      of.thickness === first.offer.thickness &&
      of.width === first.offer.width &&
      nameKey(of.material) === nameKey(first.offer.item.material);
    const before = owned
      .filter((pile) => pile.isBought && isOfIt(pile))
      .reduce((sum, { count }) => sum + count, 0);
    const cutBefore = Math.min(before, Math.max(0, boards.filter(({ stock }) => isOfIt(stock)).length - now));
    // 10 % of ten is one, not two.
    let wanted = Math.ceil((now + cutBefore) * share - 1e-9) - (before - cutBefore);
    const byLength = [...group].map(({ offer }) => offer).sort((a, b) => b.length - a.length);
    const others = offers
      .filter(
        (offer) =>
          offer.item.kind === 'board' &&
          isOfIt({ ...offer, material: offer.item.material }) &&
          offerFitsInCar(offer, settings) &&
          !byLength.some(({ key }) => key === offer.key),
      )
      .sort((a, b) => Number(visited.has(b.storeId)) - Number(visited.has(a.storeId)) || b.length - a.length);
    return [...new Set([...byLength, ...others])].flatMap((offer) => {
      const bought = group
        .filter((purchase) => purchase.offer.key === offer.key)
        .reduce((sum, { quantity }) => sum + quantity, 0);
      const left = (offer.available ?? Infinity) - bought;
      const quantity = Math.min(left, Math.ceil(wanted / offer.pack));
      if (quantity <= 0 || !tierFor(offer.tiers, bought + quantity)) return [];
      wanted -= quantity * offer.pack;
      return [{ offer, quantity }];
    });
  });
  return [...purchases, ...added];
};
