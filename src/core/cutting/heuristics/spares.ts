import { groupBy } from '../../groupBy';
import { nameKey } from '../../nameKey';
import {
  offerFitsInCar,
  tierFor,
  woodKey,
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
const mayWantSpares = ({ settings, offers }: Pick<CuttingProblem, 'settings' | 'offers'>): boolean =>
  Object.keys(settings.spare ?? {}).length > 0 || offers.some(({ waste }) => waste !== undefined);

/**
 * Purchases with the extra boards against defects: of every section and material the share of the boards cut, rounded up, in
 * the longest length that is bought of it; where there are no more of those, in others, of stores that are gone to anyway
 * first. What was bought before counts: its boards want spares too, and those of them that are not cut are spares already.
 * `cut`: the stocks of all boards that are cut, one for each board.
 */
export const withSpares = (
  purchases: Purchases[],
  cut: Stock[],
  problem: Pick<CuttingProblem, 'settings' | 'owned' | 'offers'>,
): Purchases[] => {
  if (!mayWantSpares(problem)) return purchases;
  const groups = groupBy(
    purchases.filter(({ offer }) => offer.item.kind === 'board'),
    ({ offer }) => woodKey(woodOf(offer)),
  );
  const visited = new Set(purchases.map(({ offer }) => offer.storeId));
  return [...purchases, ...groups.flatMap((group) => sparesOf(group, cut, visited, problem))];
};

const woodOf = ({ thickness, width, item }: Offer): Pick<Stock, 'thickness' | 'width' | 'material'> => ({
  thickness,
  width,
  material: item.material,
});

/** The spares that are still wanted of one section and material, of which `group` is bought. */
const sparesOf = (
  group: Purchases[],
  cut: Stock[],
  visited: Set<string>,
  { settings, owned, offers }: Pick<CuttingProblem, 'settings' | 'owned' | 'offers'>,
): Purchases[] => {
  const [first] = group;
  if (!first) return [];
  const wood = woodKey(woodOf(first.offer));
  const isOfIt = (of: ReturnType<typeof woodOf>) => woodKey(of) === wood;
  const own = offers.filter((offer) => offer.item.kind === 'board' && isOfIt(woodOf(offer)));
  // The longest that is bought and can be carried; where it may run out, others are as good.
  const longest = Math.max(
    0,
    ...group.flatMap(({ offer }) => (offerFitsInCar(offer, settings) ? [offer.length] : [])),
  );
  const isEndless = own.every(({ length, available }) => length !== longest || available === null);
  const counts = boardsCut(cut.filter((stock) => stock.kind === 'board' && isOfIt(stock)));
  const isSpare = ({ length }: { length: number }) => !isEndless || length === longest;
  const there = total(group, ({ offer, quantity }) => (isSpare(offer) ? offer.pack * quantity : 0));
  const spare = there - total(counts, ({ stock, bought }) => (isSpare(stock) ? bought : 0));
  const before = total(owned, (pile) => (pile.isBought && isOfIt(pile) ? pile.count : 0));
  const cutBefore = Math.min(
    before,
    total(counts, (count) => count.owned),
  );
  const cutNow = total(counts, ({ bought }) => bought);
  const share = Math.max(...group.map(({ offer }) => spareShares(settings)(offer)));
  // 10 % of ten is one, not two.
  let wanted = Math.ceil((cutNow + cutBefore) * share - 1e-9) - (before - cutBefore) - Math.max(0, spare);
  const bought = (offer: Offer) => group.filter((purchase) => purchase.offer.key === offer.key);
  const isBought = (offer: Offer) => Number(bought(offer).length > 0);
  return own
    .filter((offer) => offerFitsInCar(offer, settings))
    .sort(
      (a, b) =>
        isBought(b) - isBought(a) ||
        (isBought(a) ? 0 : Number(visited.has(b.storeId)) - Number(visited.has(a.storeId))) ||
        b.length - a.length,
    )
    .flatMap((offer) => {
      const quantity = total(bought(offer), (purchase) => purchase.quantity);
      const more = Math.min((offer.available ?? Infinity) - quantity, Math.ceil(wanted / offer.pack));
      if (more <= 0 || !tierFor(offer.tiers, quantity + more)) return [];
      wanted -= more * offer.pack;
      return [{ offer, quantity: more }];
    });
};

/** How many boards of each stock are cut from what is owned, and how many from what is bought: what is owned comes first. */
const boardsCut = (stocks: Stock[]): { stock: Stock; owned: number; bought: number }[] =>
  groupBy(stocks, (stock) => stock).flatMap((same) => {
    const [stock] = same;
    if (!stock) return [];
    const owned = Math.min(same.length, stock.ownedCount);
    return [{ stock, owned, bought: same.length - owned }];
  });

const total = <T>(of: T[], each: (one: T) => number): number => of.reduce((sum, one) => sum + each(one), 0);
