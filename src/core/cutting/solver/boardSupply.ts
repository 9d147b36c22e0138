import { groupBy } from '../../groupBy';
import type { Minor } from '../../units';
import {
  offerFitsInCar,
  storeCutsAtLeast,
  woodKey,
  type CuttingProblem,
  type Offer,
  type Stock,
} from '../model';
import { spareShares } from '../heuristics';
import type { ModelBuilder, StockSupply, Terms } from './modelBuilder';

/** Boards of one section and material: spares are wanted of all of them together. */
interface Group {
  stocks: Stock[];
  /** The share of the boards cut that is wanted as spares, at the least. */
  share: number;
  /** Boards of it that were bought before: what of them is not cut is a spare already. */
  before: number;
}

/** What the boards of a stock from one store are bought for. Terms are columns with how many boards one of each brings. */
interface Split {
  stock: Stock;
  bought: Terms;
  cut: number;
  /** Null: the spare of a board that is too long for the car would be, too. */
  spare: number | null;
}

/**
 * The boards that purchases bring, of each stock in turn; writes the columns and rows of the purchases. Where nothing else
 * hangs on it, each board that is bought may be cut. Where spares are wanted of a section and material, or a store saws for a
 * fee, boards that are cut have columns of their own, c, and spare ones, z, for each stock and store:
 *
 *   bought ≥ c + z;  Σ z ≥ share Σ c − bought before;  z = 0 for what is shorter than the longest that is bought.
 *
 * `pieces`: no more boards are cut than these. `costOf`: of one purchase at a price, in the smallest coin.
 */
export const boardSupply = (
  builder: ModelBuilder,
  stocks: Stock[],
  problem: CuttingProblem,
  pieces: number,
  costOf: (storeId: string, unitPrice: number) => number,
): StockSupply[] => {
  const groups = groupsOf(stocks, problem);
  const splits = new Map<Stock, Split[]>();
  const supply = stocks.map((stock): StockSupply => {
    const share = groups.get(stock)?.share ?? 0;
    const most = pieces + Math.ceil(pieces * share);
    const bought = (offers: Offer[]): Terms =>
      offers.flatMap((offer) =>
        builder
          .purchase(offer, most, (price) => costOf(offer.storeId, price))
          .map((column): [number, number] => [column, offer.pack]),
      );
    const fees = feesOf(stock, problem);
    const offers = bought(stock.offers);
    if (share === 0 && [...fees.values()].every((fee) => fee === 0))
      return { owned: stock.ownedCount, terms: offers, offers, share };
    const own = [...fees].map(([storeId, fee]): Split => {
      const mine = stock.offers.filter((offer) => offer.storeId === storeId);
      const canBeSpare = share > 0 && mine.every((offer) => offerFitsInCar(offer, problem.settings));
      const split = {
        stock,
        bought: bought(mine),
        cut: builder.column(fee, 0, pieces),
        spare: canBeSpare ? builder.column(0, 0, Math.ceil(pieces * share)) : null,
      };
      builder.row([...split.bought, ...without([split.cut, split.spare])], 0, Infinity);
      return split;
    });
    splits.set(stock, own);
    return {
      owned: stock.ownedCount,
      terms: own.map(({ cut }) => [cut, 1]),
      offers,
      share,
    };
  });
  for (const group of new Set(groups.values())) spareRows(builder, group, splits, pieces);
  return supply;
};

const without = (columns: (number | null)[]): Terms =>
  columns.flatMap((column): Terms => (column === null ? [] : [[column, -1]]));

/** What each store takes at the least to saw one board of a stock so that it can be carried. */
const feesOf = ({ offers }: Stock, { stores, settings }: CuttingProblem): Map<string, Minor> =>
  new Map(
    offers.map((offer) => {
      const fee = stores.find(({ id }) => id === offer.storeId)?.cutFee ?? 0;
      return [offer.storeId, fee * storeCutsAtLeast(offer, settings)];
    }),
  );

/** The group of each stock of which spares are wanted. */
const groupsOf = (stocks: Stock[], problem: CuttingProblem): Map<Stock, Group> => {
  const shareOf = spareShares(problem.settings);
  const sold = stocks.filter(({ kind, offers }) => kind === 'board' && offers.length > 0);
  const groups = groupBy(sold, woodKey).map((own): Group => ({
    stocks: own,
    // Of rough wood it goes by the row: the least of them holds for any that is bought.
    share: Math.min(...own.flatMap(({ offers }) => offers.map(shareOf))),
    before: own
      .flatMap(({ owned }) => owned)
      .reduce((sum, { count, isBought }) => sum + (isBought ? count : 0), 0),
  }));
  return new Map(
    groups
      .filter(({ share }) => share > 0)
      .flatMap((group) => group.stocks.map((stock): [Stock, Group] => [stock, group])),
  );
};

/** As many spares as are wanted, of the longest that is bought wherever there is always more of it. */
const spareRows = (
  { row, column }: ModelBuilder,
  { stocks, share, before }: Group,
  splits: Map<Stock, Split[]>,
  pieces: number,
): void => {
  const own = stocks.flatMap((stock) => splits.get(stock) ?? []);
  const spares = own.flatMap(({ stock, spare }) => (spare === null ? [] : [{ stock, spare }]));
  if (spares.length === 0) return;
  row(
    [
      ...spares.map(({ spare }): [number, number] => [spare, 1]),
      ...own.map(({ cut }): [number, number] => [cut, -share]),
    ],
    -before,
    Infinity,
  );
  const most = Math.ceil(pieces * share);
  for (const { stock, bought } of own) {
    const shorter = spares.filter((other) => other.stock.length < stock.length);
    // One of that length that may run out, and any other length will do.
    const sameLength = stocks.filter(({ length }) => length === stock.length);
    const isEndless =
      spares.some((other) => other.stock === stock) &&
      sameLength.every(({ offers }) => offers.every(isAlwaysThere));
    if (shorter.length === 0 || !isEndless) continue;
    const isBought = column(0, 0, 1);
    row([...bought, [isBought, -(pieces + most)]], -Infinity, 0);
    row([...shorter.map(({ spare }): [number, number] => [spare, 1]), [isBought, most]], -Infinity, most);
  }
};

const isAlwaysThere = ({ available }: Offer): boolean => available === null;
