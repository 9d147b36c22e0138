import type { Ticks } from '../../units';
import type { Item } from '../model';
import { boxOf, type Point } from './box';
import type { LayoutToCheck, Note } from './types';

/** Rounding of corners to ticks, and of lengths in files. */
const NEAR = 4;

/**
 * Whether the finished faces that are drawn in a sawn piece are as many as it stands for, each the outline of its part turned as it may
 * be, all in the piece, and two of them at least a kerf apart. It shares no code with what laid them.
 */
export const checkFaces = (
  part: Item,
  { outline, faces }: Pick<LayoutToCheck['pieces'][number], 'outline' | 'faces'>,
  kerf: Ticks,
  place: string,
  note: Note,
): void => {
  const wanted = part.shape?.pieces ?? 0;
  const drawn = faces ?? [];
  if (drawn.length !== wanted) return note(place, `is drawn as ${drawn.length} shapes, and is ${wanted}`);
  if (!part.shape) return;
  const [box, shape] = [boxOf(outline), part.shape.outline];
  const isOnEdge =
    drawn.every((face) => face.length === 4 && isAlike(face, outline)) && !isAlike(shape, outline);
  // On its edge the face is not seen: the pieces are only counted.
  if (isOnEdge && part.kind === 'board' && Math.abs(box.top - box.bottom - part.width) > NEAR) return;
  for (const face of drawn) {
    const own = boxOf(face);
    const isIn =
      own.left >= box.left - NEAR &&
      own.bottom >= box.bottom - NEAR &&
      own.right <= box.right + NEAR &&
      own.top <= box.top + NEAR;
    if (!isIn) note(place, 'is shaped beyond what is sawn for it');
    if (!turnsOf(shape).some((turned) => isAlike(turned, face))) note(place, 'is not shaped as its part is');
  }
  const [first, second] = drawn;
  if (first && second && clearance(first, second) < kerf - NEAR)
    note(place, 'is laid head to tail closer than a kerf');
};

/** An outline in its four turns by a quarter, face up. */
const turnsOf = (shape: Point[]): Point[][] => {
  const turns = [shape];
  for (let turn = 1; turn < 4; turn++) turns.push((turns.at(-1) ?? []).map(([x, y]): Point => [-y, x]));
  return turns;
};

/** Whether two outlines are one, wherever they lie: corner by corner, from some corner on. */
const isAlike = (a: Point[], b: Point[]): boolean => {
  if (a.length !== b.length) return false;
  const [at, to] = [boxOf(a), boxOf(b)];
  return b.some((_, from) =>
    a.every(([x, y], index) => {
      const [u = 0, v = 0] = b[(from + index) % b.length] ?? [];
      return (
        Math.abs(x - at.left - (u - to.left)) <= NEAR && Math.abs(y - at.bottom - (v - to.bottom)) <= NEAR
      );
    }),
  );
};

/** How far two outlines lie apart, by their sides; less than nothing where one holds a corner of the other. */
const clearance = (a: Point[], b: Point[]): number => {
  if (b.some((point) => holds(a, point)) || a.some((point) => holds(b, point))) return -1;
  let least = Infinity;
  for (const [p, q] of sidesOf(a))
    for (const [r, s] of sidesOf(b)) {
      if (meet(p, q, r, s)) return -1;
      least = Math.min(least, fromSide(p, r, s), fromSide(q, r, s), fromSide(r, p, q), fromSide(s, p, q));
    }
  return least;
};

const sidesOf = (points: Point[]): [Point, Point][] =>
  points.map((point, index) => [point, points[(index + 1) % points.length] ?? point]);

const turnAt = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

const meet = (p: Point, q: Point, r: Point, s: Point): boolean =>
  turnAt(p, q, r) > 0 !== turnAt(p, q, s) > 0 && turnAt(r, s, p) > 0 !== turnAt(r, s, q) > 0;

/** Whether a point lies well inside an outline, by the turns that its sides make around it. */
const holds = (points: Point[], at: Point): boolean => {
  let angle = 0;
  for (const [from, to] of sidesOf(points)) {
    if (fromSide(at, from, to) <= NEAR) return false;
    angle += Math.atan2(turnAt(at, from, to), dot(at, from, to));
  }
  return Math.abs(angle) > Math.PI;
};

const dot = ([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number =>
  (ax - x) * (bx - x) + (ay - y) * (by - y);

/** How far a point is from a side. */
const fromSide = ([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number => {
  const long = (bx - ax) ** 2 + (by - ay) ** 2;
  const share = long === 0 ? 0 : ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / long;
  const on = Math.min(1, Math.max(0, share));
  return Math.hypot(x - ax - on * (bx - ax), y - ay - on * (by - ay));
};
