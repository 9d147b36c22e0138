import { otherAxis, type Axis } from '../model';
import type { Placed, Sizes } from './types';

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
export interface Bin {
  kind: BinKind;
  first: Axis;
  free: number;
  shelves: Shelf[];
}

/** A stock that panels are cut from, with the ways in which pieces of each type lie on it: as they are tried, and turned. */
export interface BinKind {
  stock: number;
  price: number;
  room: Sizes;
  ways: Placed[][];
  turned: Placed[][];
}

/** The ways of a type in a bin, the one that is tried first at the beginning. */
const waysIn = ({ kind }: Bin, type: number, isTurned: boolean): Placed[] =>
  (isTurned ? kind.turned : kind.ways)[type] ?? [];

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
    const second = otherAxis(bin.first);
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
export const isShelved = (bins: Bin[], type: number, isTurned: boolean, mostLost: number): boolean => {
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
export const takes = (bin: Bin, type: number, isTurned: boolean): boolean => {
  const second = otherAxis(bin.first);
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
export const openedFor = (
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
export const cheapest = (bin: Bin, kinds: BinKind[]): Bin => {
  const second = otherAxis(bin.first);
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

/** Which share of a bin its pieces take, with a kerf each way. */
export const fillOf = ({ kind: { room }, shelves }: Bin): number => {
  let used = 0;
  for (const { stacks } of shelves)
    for (const { pieces } of stacks) for (const { along, across } of pieces) used += along * across;
  return used / (room.along * room.across);
};
