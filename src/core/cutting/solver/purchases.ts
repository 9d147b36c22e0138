import { leastCover } from './leastCover';
import type { Deadline } from './deadline';
import type { Solver } from './highs';
import { cheapestPacks } from '../heuristics/packs';
import { withFixedColumns, type Row, type StockSupply } from './modelBuilder';
import type { Subproblem } from './subproblem';

/** Purchases by the columns of a subproblem's program, what they cost, and what none can cost less than. */
interface Bought {
  values: ArrayLike<number> | null;
  objective: number;
  bound: number;
}

/** Buys for a subproblem, at some stores. */
export interface Purchaser {
  /** The cheapest whole purchases that all cuts allow. */
  cheapest: (stores: Set<string>, cuts: Row[]) => Bought;
  /** The cheapest purchases that bring so many boards of each stock. */
  boards: (stores: Set<string>, boards: number[]) => Bought;
  /** The cheapest purchases of what is only bought. */
  item: (stores: Set<string>) => Bought;
  /** The columns of offers at other stores, held to none. */
  closed: (stores: Set<string>) => Map<number, number>;
  /** What one board of each stock costs at some stores; what is owned next to nothing. */
  boardPrices: (stores: Set<string>) => number[];
}

/** Items of which more are wanted than this are left to the solver. */
const MAX_BY_TABLE = 20_000;

/** What is owned costs nothing: next to nothing, so that less of it is better. */
const OWNED_PRICE = 1e-3;

/** What one board of a stock costs at the least, of the columns that are open. */
const boardPrice = (
  { offers, owned, share }: StockSupply,
  isOpen: (column: number) => boolean,
  costOf: (column: number) => number,
): number =>
  Math.min(
    owned > 0 ? OWNED_PRICE : Infinity,
    ...offers
      .filter(([column]) => isOpen(column))
      .map(([column, boards]) => (costOf(column) / boards) * (1 + share)),
  );

/** Finds the cheapest purchases for a subproblem. `tolerance`: two costs this near are the same. */
export const newPurchaser = (
  subproblem: Subproblem,
  solver: Solver,
  tolerance: number,
  { left }: Deadline,
): Purchaser => {
  const { program, tags, supply } = subproblem;
  const isDirect = supply.every(({ terms, offers }) => terms === offers);
  const isPlain = tags.every(({ offer }) => offer.tiers.length === 1 && offer.tiers[0]?.minQty === 1);
  const stores = new Map(tags.map(({ column, offer }) => [column, offer.storeId]));
  const isEndless = new Set(tags.filter(({ offer }) => offer.available === null).map(({ column }) => column));
  const storeOf = (column: number): string => stores.get(column) ?? '';
  const costOf = (column: number): number => program.cost[column] ?? 0;
  const gap = tolerance / 2;

  const closed = (open: Set<string>): Map<number, number> =>
    new Map(tags.flatMap(({ column, offer }) => (open.has(offer.storeId) ? [] : [[column, 0] as const])));

  /** How many of each are worth buying: none of what another store sells for less, as many of it as are wanted. */
  const undominatedOffers = (open: Set<string>): number[] => {
    const upper = program.upper.map(() => 0);
    for (const { terms } of supply) {
      const sold = terms.filter(([column]) => open.has(storeOf(column)));
      const endless = sold.filter(([column, boards]) => boards === 1 && isEndless.has(column));
      const least = Math.min(...endless.map(([column]) => costOf(column)));
      const cheapest = endless.find(([column]) => costOf(column) === least)?.[0];
      for (const [column, boards] of sold)
        if (column === cheapest || costOf(column) < least * boards)
          upper[column] = program.upper[column] ?? 0;
    }
    return upper;
  };

  const byTable = (open: Set<string>): Bought => {
    const sold = tags.filter(({ offer }) => open.has(offer.storeId));
    const way = cheapestPacks(
      subproblem.pieces,
      sold.map(({ column, offer }) => ({ pack: offer.pack, cost: costOf(column) })),
    );
    if (!way) return { values: null, objective: Infinity, bound: Infinity };
    const values = program.cost.map(() => 0);
    sold.forEach(({ column }, index) => (values[column] = way.counts[index] ?? 0));
    return { values, objective: way.cost, bound: way.cost };
  };

  return {
    closed,
    boardPrices: (open) => supply.map((of) => boardPrice(of, (column) => open.has(storeOf(column)), costOf)),
    cheapest: (open, cuts) => {
      const end = left() / 2;
      const isOver = () => left() < end;
      const cover =
        isPlain && isDirect ? leastCover(program.cost, undominatedOffers(open), cuts, isOver) : null;
      if (cover)
        return {
          values: cover.cost < Infinity ? cover.values : null,
          objective: cover.cost,
          bound: cover.cost,
        };
      return solver.mip(withFixedColumns(program, closed(open), cuts), {
        seconds: Math.min(left() / 2, 3),
        gap,
      });
    },
    boards: (open, boards) => {
      const rows = boards.flatMap((count, stock): Row[] => {
        const { owned = 0, terms = [] } = supply[stock] ?? {};
        return count > owned ? [{ terms, lower: count - owned, upper: Infinity }] : [];
      });
      return solver.mip(withFixedColumns(program, closed(open), rows), {
        seconds: Math.max(0.1, left() / 4),
        gap,
      });
    },
    item: (open) => {
      const isEasy =
        isPlain && subproblem.pieces <= MAX_BY_TABLE && tags.every(({ column }) => isEndless.has(column));
      return isEasy
        ? byTable(open)
        : solver.mip(withFixedColumns(program, closed(open)), { seconds: Math.max(0.1, left() / 2), gap });
    },
  };
};
