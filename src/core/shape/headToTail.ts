import type { Ticks } from '../units';
import { turnedEndForEnd, type Point } from '../cutting/model';
import { isConvex } from './geometry';

/** Two of a shape out of one rectangle: how long that is, and the first of them as it lies there. The second is turned end for end. */
export interface Pair {
  length: Ticks;
  outline: Point[];
}

/**
 * Two of a shape head to tail, at least a kerf apart, so that one straight cut parts them: the shortest rectangle as wide as the
 * part; null where that saves nothing, or where the shape has a hollow, for which no one cut does.
 */
export const headToTail = (outline: Point[], length: Ticks, width: Ticks, kerf: Ticks): Pair | null => {
  if (!isConvex(outline)) return null;
  const pairs = [outline, turnedEndForEnd(outline, length, width)].map((first): Pair => ({
    length: length + leastShift(first, length, width, kerf),
    outline: first,
  }));
  const [one, other] = pairs;
  const best = one && other && other.length < one.length ? other : one;
  return best && best.length < 2 * length + kerf ? best : null;
};

/**
 * How far along the second lies. For a shape A that is nowhere hollow, the places of the second, A turned, at which the two are nearer
 * than a kerf are the sum of A, of A turned back, and of a disc of a kerf: twice A, less its rectangle's length and width, and the disc
 * around it. The furthest of them along the board is where it may lie.
 */
const leastShift = (outline: Point[], length: Ticks, width: Ticks, kerf: Ticks): Ticks => {
  const doubled = outline.map(([x, y]): Point => [2 * x - length, 2 * y - width]);
  const reach = ([x, y]: Point): number =>
    Math.abs(y) <= kerf ? x + Math.sqrt(kerf * kerf - y * y) : -Infinity;
  const furthest = doubled.map((from, index) => {
    const to = doubled[(index + 1) % doubled.length] ?? from;
    return Math.max(reach(from), ...heightsOn(from, to, kerf).map((y) => reach(at(from, to, y))));
  });
  return Math.max(0, Math.ceil(Math.max(...furthest)));
};

/** Where on a side a disc of a kerf may reach furthest along: where it is cut off, and where the side touches the disc. */
const heightsOn = ([ax, ay]: Point, [bx, by]: Point, kerf: Ticks): number[] => {
  const [dx, dy] = [bx - ax, by - ay];
  if (dy === 0) return [];
  const touching = (kerf * dx * Math.sign(dy)) / Math.hypot(dx, dy);
  const [low, high] = [Math.min(ay, by), Math.max(ay, by)];
  return [touching, -kerf, kerf].filter((y) => y >= low && y <= high);
};

/** The point of a side at a height. */
const at = ([ax, ay]: Point, [bx, by]: Point, y: number): Point => [
  ax + ((bx - ax) * (y - ay)) / (by - ay),
  y,
];
