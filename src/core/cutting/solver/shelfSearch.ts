import { otherAxis, type Axis } from '../model';
import { timesIn, type Times } from './dive';
import type { PatternPool } from './master';
import { cuttingOf, patternOf } from './panelPattern';
import { randomNumbers } from './randomNumbers';
import type { WoodInstance } from './subproblem';
import type { Pattern } from './types';
import { cheapest, fillOf, isShelved, openedFor, takes, type Bin, type BinKind } from './shelves';

/** What decides a packing: pieces in their order, each turned as it lies first, and which way each bin is cut first. */
interface Order {
  pieces: { type: number; isTurned: boolean }[];
  axes: Axis[];
  /** Of which stock each bin is, by its place among those that hold its first piece. */
  stocks: number[];
  /** A piece goes into a shelf only where it loses no more than so many times its own size. */
  mostLost: number;
}

/** A panel so full is kept for programs over whole patterns, also where its plan was not the best; while there are so few. */
const FULL = 0.9;
const MAX_KEPT = 1500;
/** So many pieces at most: a packing looks at every shelf for each. */
const MAX_PIECES = 250;
/** After so many changes that bring nothing another beginning is made. */
const PATIENCE = 1500;
/** Of so many bins, the first ones, stock and first cut change. */
const MAX_CHANGED_BINS = 8;
/** How much a beginning may let a piece lose in a shelf, in its own sizes. */
const MOST_LOST = [0.3, 0.6, 1, Infinity];
/** How much a panel that is nearly empty counts against one that is nearly full, as a share of the cheapest. */
const FULLNESS = 0.02;

/**
 * Panels packed shelf by shelf in an order that is changed a little each time, and kept where that is no worse: local search over
 * orders. Yields each way to cut all pieces that is cheaper than those before. `prices`: of a board of each stock. Ends after `tries` packings.
 */
export function* shelfSearch(
  wood: WoodInstance,
  pool: PatternPool,
  prices: number[],
  isOver: () => boolean,
  tries = Infinity,
): Generator<Times> {
  const kinds = binKinds(wood, prices);
  const pieces = wood.types.flatMap(({ demand }, type) => Array.from({ length: demand }, () => type));
  if (kinds.length === 0 || pieces.length > MAX_PIECES) return;
  const unit = FULLNESS * Math.min(...kinds.map(({ price }) => price));
  const next = randomNumbers();
  let least = Infinity;
  let left = tries;
  while (left > 0 && !isOver()) {
    let order = begun(pieces, kinds, next);
    let worth = Infinity;
    for (let idle = 0; idle < PATIENCE && left > 0 && !isOver(); idle++) {
      left--;
      const changed = idle === 0 ? order : changedOf(order, kinds, next);
      const bins = packed(changed, kinds);
      if (!bins) continue;
      const cost = costOf(bins);
      if (cost < least - 1e-9) {
        const times = timesIn(bins.map(binPattern), pool);
        if (times) {
          least = cost;
          yield times;
        }
      }
      const value = cost - fullnessOf(bins, unit);
      if (value < worth - 1e-9) {
        idle = 0;
        if (pool.patterns.length < MAX_KEPT) pool.add(bins.filter(isFull).map(binPattern));
      }
      if (value <= worth) [order, worth] = [changed, value];
    }
  }
}

/** The stocks that cost least for their size first. */
const binKinds = ({ generators, types }: WoodInstance, prices: number[]): BinKind[] => {
  const rate = ({ price, room }: BinKind) => price / (room.along * room.across);
  const kinds = generators.flatMap(({ panel, stocks: [stock = 0] }): BinKind[] => {
    const price = prices[stock] ?? Infinity;
    if (!panel || price === Infinity) return [];
    const ways = types.map((_, type) => panel.ways.filter((placed) => placed.type === type));
    const turned = ways.map((own) => [...own].reverse());
    return [{ stock, price, room: panel.room, ways, turned }];
  });
  return kinds.sort((a, b) => rate(a) - rate(b));
};

/** Large pieces first, a little at random. */
const begun = (pieces: number[], kinds: BinKind[], next: () => number): Order => {
  const sizes = new Map<number, number>();
  const by = next() < 0.5 ? 'area' : 'side';
  for (const type of pieces) {
    const way = kinds.map(({ ways }) => ways[type]?.[0]).find((placed) => placed !== undefined);
    const [a, b] = [way?.along ?? 0, way?.across ?? 0];
    sizes.set(type, by === 'area' ? a * b : Math.max(a, b));
  }
  const keyed = pieces.map((type) => ({ type, key: (sizes.get(type) ?? 0) * (0.8 + 0.4 * next()) }));
  return {
    pieces: keyed.sort((a, b) => b.key - a.key).map(({ type }) => ({ type, isTurned: next() < 0.5 })),
    axes: pieces.map((): Axis => (next() < 0.5 ? 'along' : 'across')),
    stocks: pieces.map(() => (next() < 0.3 ? Math.floor(next() * kinds.length) : 0)),
    mostLost: MOST_LOST[Math.floor(next() * MOST_LOST.length)] ?? Infinity,
  };
};

/** The same with one thing changed: two pieces swapped, one moved or turned, a bin cut the other way first or of another stock. */
const changedOf = (order: Order, kinds: BinKind[], next: () => number): Order => {
  const { pieces, axes, stocks } = order;
  const below = (count: number) => Math.floor(next() * count);
  const dice = next();
  if (dice >= 0.95) {
    const bin = below(Math.min(pieces.length, MAX_CHANGED_BINS));
    const flipped = axes.map((axis, at) => (at === bin ? otherAxis(axis) : axis));
    const other = stocks.map((stock, at) => (at === bin ? below(kinds.length) : stock));
    return dice < 0.975 ? { ...order, axes: flipped } : { ...order, stocks: other };
  }
  const changed = [...pieces];
  // What comes late is what found no good place: it is tried earlier.
  const isMoved = dice >= 0.4 && dice < 0.75;
  const [a, b] = [
    isMoved ? Math.max(below(pieces.length), below(pieces.length)) : below(pieces.length),
    below(pieces.length),
  ];
  const [one, other] = [changed[a], changed[b]];
  if (!one || !other) return order;
  if (isMoved) {
    changed.splice(a, 1);
    changed.splice(b, 0, one);
  } else if (dice < 0.4) {
    changed[a] = other;
    changed[b] = one;
  } else changed[a] = { ...one, isTurned: !one.isTurned };
  return { ...order, pieces: changed };
};

/** Bins packed in an order; each then of the cheapest stock that holds what is in it. Null where a piece fits nowhere. */
const packed = ({ pieces, axes, stocks, mostLost }: Order, kinds: BinKind[]): Bin[] | null => {
  const bins: Bin[] = [];
  for (const { type, isTurned } of pieces) {
    if (isShelved(bins, type, isTurned, mostLost) || bins.some((bin) => takes(bin, type, isTurned))) continue;
    const opened = openedFor(type, isTurned, axes[bins.length] ?? 'across', kinds, stocks[bins.length] ?? 0);
    if (!opened) return null;
    bins.push(opened);
  }
  return bins.map((bin) => cheapest(bin, kinds));
};

const costOf = (bins: Bin[]): number => bins.reduce((sum, { kind }) => sum + kind.price, 0);

const isFull = (bin: Bin): boolean => fillOf(bin) >= FULL;

/** More for full bins and one nearly empty than for bins that are all half full: the nearly empty one may go. */
const fullnessOf = (bins: Bin[], unit: number): number =>
  bins.reduce((sum, bin) => sum + unit * fillOf(bin) ** 2, 0);

const binPattern = ({ kind, first, shelves }: Bin): Pattern =>
  patternOf(kind.stock, cuttingOf(first, shelves));
