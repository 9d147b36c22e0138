import { otherAxis, type Axis, type Cutting } from '../model';
import { nestedFilling, type NestedPiece } from './nestedRows';
import { cuttingOf } from './panelPattern';
import type { Placed, Sizes } from './types';

/** Pieces of one size the second way, that are parted by a third cut. */
interface Stack {
  size: number;
  worth: number;
  pieces: Placed[];
}

interface Strip {
  height: number;
  worth: number;
  stacks: Stack[];
  /** What nests before them. */
  nested: Placed[];
}

/** What a panel is filled with: pieces as they lie, those of them that nest, their worths by type, and the panel's room in cells. */
export interface Filling {
  pieces: Placed[];
  nested: NestedPiece[];
  worth: Float64Array;
  room: Sizes;
  /** The way of the first cuts. */
  first: Axis;
}

/**
 * One panel filled with pieces no more often than they are wanted: strip after strip the one that is worth most for its
 * height, each of stacks by a knapsack. Not always the best. Null where nothing fits.
 */
export const fillOnce = (filling: Filling, wanted: number[]): Cutting | null => {
  const { room, first } = filling;
  // The first strip decides most: several are tried, the rest follows.
  const beginnings = bestStrips(filling, wanted, room[first]).slice(0, MAX_BEGINNINGS);
  let strips: Strip[] = [];
  let most = 0;
  for (const beginning of beginnings) {
    const tried = completed(beginning, filling, wanted);
    const sum = tried.reduce((total, strip) => total + strip.worth, 0);
    if (sum > most) [strips, most] = [tried, sum];
  }
  if (strips.length === 0) return null;
  return cuttingOf(first, strips);
};

const completed = (beginning: Strip, filling: Filling, wanted: number[]): Strip[] => {
  const left = [...wanted];
  const strips: Strip[] = [];
  let strip: Strip | undefined = beginning;
  for (let high = filling.room[filling.first]; strip;) {
    for (const { type } of [...strip.nested, ...strip.stacks.flatMap((stack) => stack.pieces)])
      left[type] = (left[type] ?? 0) - 1;
    strips.push(strip);
    high -= strip.height;
    strip = bestStrips(filling, left, high)[0];
  }
  return strips;
};

/** Strips that are worth most for the height they take, which is all that is left where nothing would fit beside them. */
const bestStrips = (filling: Filling, left: number[], high: number): Strip[] => {
  const { pieces, worth, room, first } = filling;
  const second: Axis = otherAxis(first);
  const usable = pieces.filter(
    (piece) => (left[piece.type] ?? 0) > 0 && (worth[piece.type] ?? 0) > 0 && piece[first] <= high,
  );
  const heights = new Set<number>();
  for (const piece of usable)
    for (let count = 1; count <= (left[piece.type] ?? 0) && count * piece[first] <= high; count++)
      heights.add(count * piece[first]);
  // With few pieces also heights that two of them reach together.
  if (usable.length <= 12)
    for (const a of usable)
      for (const b of usable) if (a[first] + b[first] <= high) heights.add(a[first] + b[first]);
  const lowest = Math.min(...usable.map((piece) => piece[first]));
  const takes = (height: number) => (high - height < lowest ? high : height);
  const wide = room[second];
  const stacked = [...heights]
    .map((height) => {
      const stacks = stacksIn(usable, worth, left, height, first, second);
      return { height, stacks, rate: roughly(stacks, wide) / takes(height) };
    })
    .sort((a, b) => b.rate - a.rate)
    .slice(0, MAX_HEIGHTS)
    .map(({ height, stacks }): Strip => ({ height, nested: [], ...knapsack(stacks, wide, left) }));
  return [...stacked, ...nestedStrips(filling, usable, left, high)]
    .filter((strip) => strip.worth > 0)
    .sort((a, b) => b.worth / takes(b.height) - a.worth / takes(a.height));
};

/** Strips in which slanted pieces of their width nest, with stacks of what does not behind them. */
const nestedStrips = (
  { nested, worth, room, first }: Filling,
  usable: Placed[],
  left: number[],
  high: number,
): Strip[] => {
  const second: Axis = otherAxis(first);
  const open = nested
    .map((piece) => ({ ...piece, most: left[piece.placed.type] ?? 0 }))
    .filter(({ across, most }) => across <= high && most > 0);
  return [...new Set(open.map(({ across }) => across))].flatMap((height): Strip[] => {
    const own = open.filter(({ across }) => across === height);
    const types = new Set(own.map(({ placed }) => placed.type));
    const others = usable.filter(({ type }) => !types.has(type));
    const stacks = stacksIn(others, worth, left, height, first, second);
    const filled = nestedFilling(
      own,
      stacks.map((stack) => ({ size: stack.size, worth: stack.worth, most: 1 })),
      worth,
      room[second],
    );
    if (!filled) return [];
    const { nested: row, slots } = filled.filling();
    const behind = stacks.filter((_, index) => (slots[index] ?? 0) > 0);
    return [{ height, worth: filled.worth, nested: row, stacks: behind }];
  });
};

const MAX_BEGINNINGS = 3;

/** Of the likely heights so many are looked at closely. */
const MAX_HEIGHTS = 4;

/** What a strip may be worth: the stacks that are worth most for their size, the last in part. */
const roughly = (stacks: Stack[], wide: number): number => {
  let sum = 0;
  let left = wide;
  for (const { size, worth } of [...stacks].sort((a, b) => b.worth / b.size - a.worth / a.size)) {
    sum += worth * Math.min(1, left / size);
    left -= size;
    if (left <= 0) break;
  }
  return sum;
};

/** All pieces wanted that are no higher, as stacks as full as can be: each piece once. */
const stacksIn = (
  usable: Placed[],
  worth: Float64Array,
  wanted: number[],
  height: number,
  first: Axis,
  second: Axis,
): Stack[] => {
  const left = new Map<number, number>();
  const bySize = new Map<number, Placed[]>();
  for (const piece of usable)
    if (piece[first] <= height) bySize.set(piece[second], [...(bySize.get(piece[second]) ?? []), piece]);
  const stacks: Stack[] = [];
  for (const [size, own] of bySize) {
    const sorted = [...own].sort((a, b) => b[first] - a[first]);
    for (const { type } of sorted) left.set(type, wanted[type] ?? 0);
    for (;;) {
      const stack: Stack = { size, worth: 0, pieces: [] };
      let free = height;
      for (const piece of sorted)
        while (piece[first] <= free && (left.get(piece.type) ?? 0) > 0) {
          stack.pieces.push(piece);
          stack.worth += worth[piece.type] ?? 0;
          left.set(piece.type, (left.get(piece.type) ?? 0) - 1);
          free -= piece[first];
        }
      if (stack.pieces.length === 0) break;
      stacks.push(stack);
    }
  }
  return stacks;
};

/** The stacks that are worth most side by side; what can be turned comes no more often than it is wanted. */
const knapsack = (stacks: Stack[], wide: number, wanted: number[]): { worth: number; stacks: Stack[] } => {
  const fitting = stacks.filter(({ size }) => size <= wide);
  const layers: Float64Array[] = [];
  let last = new Float64Array(wide + 1);
  for (const { size, worth } of fitting) {
    const next = Float64Array.from(last);
    for (let cell = size; cell <= wide; cell++)
      next[cell] = Math.max(next[cell] as number, (last[cell - size] as number) + worth);
    layers.push(next);
    last = next;
  }
  const left = [...wanted];
  const chosen: Stack[] = [];
  let cell = wide;
  for (let index = fitting.length - 1; index >= 0; index--) {
    const before = index === 0 ? 0 : (layers[index - 1]?.[cell] as number);
    const stack = fitting[index] as Stack;
    if (layers[index]?.[cell] === before || stack.size > cell) continue;
    cell -= stack.size;
    const counts = new Map<number, number>();
    for (const { type } of stack.pieces) counts.set(type, (counts.get(type) ?? 0) + 1);
    if ([...counts].some(([type, count]) => count > (left[type] ?? 0))) continue;
    for (const [type, count] of counts) left[type] = (left[type] ?? 0) - count;
    chosen.push(stack);
  }
  return { worth: chosen.reduce((sum, { worth }) => sum + worth, 0), stacks: chosen };
};
