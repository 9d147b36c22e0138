import type { Ticks } from '../units';
import type { Point } from '../cutting/model';
import { distanceToLine, isConvex } from './geometry';

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
  const turned = turn(outline, length, width);
  const pairs = [outline, turned].map((first): Pair => ({
    length: length + leastShift(first, turn(first, length, width), length, kerf),
    outline: first,
  }));
  const [one, other] = pairs;
  const best = one && other && other.length < one.length ? other : one;
  return best && best.length < 2 * length + kerf ? best : null;
};

/** A shape turned end for end in its own rectangle, its face still up. */
export const turn = (outline: Point[], length: Ticks, width: Ticks): Point[] =>
  outline.map(([x, y]): Point => [length - x, width - y]);

/** How far the second must be moved along: the gap between two that curve nowhere inward only grows once they are clear. */
const leastShift = (first: Point[], second: Point[], length: Ticks, kerf: Ticks): Ticks => {
  let [near, far] = [0, length + kerf];
  while (far - near > 1) {
    const middle = Math.floor((near + far) / 2);
    const moved = second.map(([x, y]): Point => [x + middle, y]);
    if (gapBetween(first, moved) >= kerf) far = middle;
    else near = middle;
  }
  return far;
};

/** How far two outlines that curve nowhere inward lie apart; 0 where they meet. */
const gapBetween = (a: Point[], b: Point[]): number => {
  if (!areApart(a, b) && !areApart(b, a)) return 0;
  return Math.min(nearest(a, b), nearest(b, a));
};

/** Whether one of the sides of the first parts the two. */
const areApart = (a: Point[], b: Point[]): boolean =>
  a.some(([ax, ay], index) => {
    const [bx, by] = a[(index + 1) % a.length] ?? [ax, ay];
    return (bx !== ax || by !== ay) && b.every(([x, y]) => (bx - ax) * (y - ay) - (by - ay) * (x - ax) <= 0);
  });

const nearest = (from: Point[], to: Point[]): number =>
  Math.min(
    ...from.flatMap((point) =>
      to.map((corner, index) => distanceToLine(point, corner, to[(index + 1) % to.length] ?? corner)),
    ),
  );
