import { sideBySide, type Axis, type Cutting } from '../model';
import type { Times } from './dive';
import type { PatternPool } from './master';
import { randomNumbers } from './randomNumbers';
import type { WoodInstance } from './subproblem';
import type { Pattern, Placed, Sizes, TypedLeaf } from './types';

/** Pieces of one size the second way, one behind the other the first way. */
interface Stack {
  size: number;
  free: number;
  pieces: Placed[];
}

/** A strip clean across a panel, as high as its first piece. */
interface Shelf {
  height: number;
  free: number;
  stacks: Stack[];
}

/** A board or sheet with its shelves; `free`: what is left the first way. */
interface Bin {
  kind: BinKind;
  first: Axis;
  free: number;
  shelves: Shelf[];
}

/** A stock that panels are cut from, with the ways in which pieces of each type lie on it. */
interface BinKind {
  stock: number;
  price: number;
  room: Sizes;
  ways: Placed[][];
}

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
/** What beginnings hold with that. */
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
        const used = bins.map(patternOf);
        pool.add(used);
        const times = timesIn(used, pool);
        least = cost;
        if (times) yield times;
      }
      const value = cost - fullnessOf(bins, kinds);
      if (value < worth - 1e-9) {
        idle = 0;
        if (pool.patterns.length < MAX_KEPT) pool.add(bins.filter(isFull).map(patternOf));
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
    return [{ stock, price, room: panel.room, ways }];
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
    const flipped = axes.map((axis, at) => (at !== bin ? axis : axis === 'along' ? 'across' : 'along'));
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

/** The ways of a type in a bin, the one that is tried first at the beginning. */
const waysIn = ({ kind }: Pick<Bin, 'kind'>, type: number, isTurned: boolean): Placed[] => {
  const ways = kind.ways[type] ?? [];
  return isTurned && ways.length > 1 ? [...ways].reverse() : ways;
};

/** Room for a piece in a shelf, and what is lost there. */
interface Place {
  lost: number;
  shelf: Shelf;
  stack: Stack | null;
  placed: Placed;
  high: number;
  wide: number;
}

/** Behind another piece this share of what is lost counts: it may still be filled. */
const BEHIND = 0.1;

/** Where in the shelves of bins a piece leaves least: behind another, or beside others; as it is turned, if it can be. */
const bestPlace = (bins: Bin[], type: number, isTurned: boolean, mostLost: number): Place | null => {
  let best: Place | null = null;
  for (const bin of bins) {
    const second: Axis = bin.first === 'along' ? 'across' : 'along';
    for (const placed of waysIn(bin, type, isTurned)) {
      const [high, wide] = [placed[bin.first], placed[second]];
      for (const shelf of bin.shelves) {
        if (high > shelf.height) continue;
        for (const stack of shelf.stacks) {
          const lost = (stack.free - high) * wide * BEHIND;
          if (stack.size === wide && lost >= 0 && (!best || lost < best.lost))
            best = { lost, shelf, stack, placed, high, wide };
        }
        const lost = (shelf.height - high) * wide;
        if (wide <= shelf.free && lost <= mostLost * high * wide && (!best || lost < best.lost))
          best = { lost, shelf, stack: null, placed, high, wide };
      }
    }
  }
  return best;
};

/** Puts a piece where it leaves least in the shelves that there are. */
const isShelved = (bins: Bin[], type: number, isTurned: boolean, mostLost: number): boolean => {
  const best = bestPlace(bins, type, isTurned, mostLost);
  if (!best) return false;
  const { shelf, stack, placed, high, wide } = best;
  if (stack) {
    stack.pieces.push(placed);
    stack.free -= high;
  } else {
    shelf.stacks.push({ size: wide, free: shelf.height - high, pieces: [placed] });
    shelf.free -= wide;
  }
  return true;
};

/** Puts a piece on a shelf of its own. */
const takes = (bin: Bin, type: number, isTurned: boolean): boolean => {
  const second: Axis = bin.first === 'along' ? 'across' : 'along';
  const placed = waysIn(bin, type, isTurned).find(
    (way) => way[bin.first] <= bin.free && way[second] <= bin.kind.room[second],
  );
  if (!placed) return false;
  const height = placed[bin.first];
  bin.shelves.push({
    height,
    free: bin.kind.room[second] - placed[second],
    stacks: [{ size: placed[second], free: 0, pieces: [placed] }],
  });
  bin.free -= height;
  return true;
};

/** An empty bin with a piece in it, of the `skip`-th of the stocks that hold it; the last of them where there are fewer. */
const openedFor = (
  type: number,
  isTurned: boolean,
  first: Axis,
  kinds: BinKind[],
  skip: number,
): Bin | null => {
  let opened: Bin | null = null;
  let left = skip;
  for (const kind of kinds) {
    const bin: Bin = { kind, first, free: kind.room[first], shelves: [] };
    if (!takes(bin, type, isTurned)) continue;
    opened = bin;
    if (left-- === 0) break;
  }
  return opened;
};

/** The same bin of the cheapest stock on which all that is in it has room, lying as it does. */
const cheapest = (bin: Bin, kinds: BinKind[]): Bin => {
  const second: Axis = bin.first === 'along' ? 'across' : 'along';
  const high = bin.kind.room[bin.first] - bin.free;
  const wide = Math.max(...bin.shelves.map(({ free }) => bin.kind.room[second] - free));
  const kind = kinds.reduce((best, other) => {
    const fits =
      other.price < best.price &&
      other.room[bin.first] >= high &&
      other.room[second] >= wide &&
      bin.shelves.every(({ stacks }) =>
        stacks.every(({ pieces }) => pieces.every((placed) => liesOn(placed, other))),
      );
    return fits ? other : best;
  }, bin.kind);
  return kind === bin.kind ? bin : { ...bin, kind };
};

const liesOn = ({ type, along, across }: Placed, { ways }: BinKind): boolean =>
  (ways[type] ?? []).some((way) => way.along === along && way.across === across);

const costOf = (bins: Bin[]): number => bins.reduce((sum, { kind }) => sum + kind.price, 0);

/** Which share of a bin its pieces take, with a kerf each way. */
const fillOf = ({ kind: { room }, shelves }: Bin): number => {
  let used = 0;
  for (const { stacks } of shelves)
    for (const { pieces } of stacks) for (const { along, across } of pieces) used += along * across;
  return used / (room.along * room.across);
};

const isFull = (bin: Bin): boolean => fillOf(bin) >= FULL;

/** More for full bins and one nearly empty than for bins that are all half full: the nearly empty one may go. */
const fullnessOf = (bins: Bin[], kinds: BinKind[]): number => {
  const unit = Math.min(...kinds.map(({ price }) => price)) * FULLNESS;
  return bins.reduce((sum, bin) => sum + unit * fillOf(bin) ** 2, 0);
};

const patternOf = ({ kind: { stock }, first, shelves }: Bin): Pattern => {
  const second: Axis = first === 'along' ? 'across' : 'along';
  const counts = new Map<number, number>();
  const typed = ({ leaf, type }: Placed): TypedLeaf => {
    counts.set(type, (counts.get(type) ?? 0) + 1);
    return { ...leaf, type };
  };
  const cutting: Cutting = {
    axis: first,
    parts: shelves.map(({ stacks }) =>
      sideBySide(
        second,
        stacks.map(({ pieces }) => sideBySide(first, pieces.map(typed))),
      ),
    ),
  };
  return { stock, counts: [...counts].sort(([a], [b]) => a - b), cutting };
};

/** How often each pattern is used; null where the pool refused one. */
const timesIn = (used: Pattern[], pool: PatternPool): Times | null => {
  const counts = new Map<number, number>();
  for (const pattern of used) {
    const index = pool.indexOf(pattern);
    if (index < 0) return null;
    counts.set(index, (counts.get(index) ?? 0) + 1);
  }
  return [...counts];
};
