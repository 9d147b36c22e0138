import { nameKey } from '../../nameKey';
import {
  offerFitsInCar,
  tierFor,
  type CuttingProblem,
  type Offer,
  type Purchases,
  type Stock,
} from '../model';

/** The share of extra boards that is wanted of an offer: as its material asks for, or as it brings with it. */
export const spareShares = ({
  spare = {},
}: CuttingProblem['settings']): ((offer: Pick<Offer, 'item' | 'waste'>) => number) => {
  const shares = new Map(Object.entries(spare).map(([name, share]) => [nameKey(name), share]));
  return ({ item, waste = 0 }) =>
    item.kind === 'board' ? Math.max(shares.get(nameKey(item.material)) ?? 0, waste) : 0;
};

/** Whether spare boards may be wanted of anything. */
export const mayWantSpares = ({ settings, offers }: Pick<CuttingProblem, 'settings' | 'offers'>): boolean =>
  Object.keys(settings.spare ?? {}).length > 0 || offers.some(({ waste }) => waste !== undefined);

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
  if (!mayWantSpares({ settings, offers })) return purchases;
  const shareOf = spareShares(settings);
  const visited = new Set(purchases.map(({ offer }) => offer.storeId));
  const groups = new Map<string, Purchases[]>();
  for (const purchase of purchases) {
    const { item, thickness, width } = purchase.offer;
    if (item.kind !== 'board') continue;
    const key = `${thickness}x${width}:${nameKey(item.material)}`;
    groups.set(key, [...(groups.get(key) ?? []), purchase]);
  }
  const added = [...groups.values()].flatMap((group): Purchases[] => {
    const share = Math.max(...group.map(({ offer }) => shareOf(offer)));
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
