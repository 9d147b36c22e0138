import type { Point } from '../cutting/model';
import type { Shape, Vertex } from './types';

/** How far a chord that stands for an arc may lie off it: 0.05 mm, in ticks. */
const CHORD_ERROR = 16;

/** The arc from one vertex to the next: its radius and angle; null: a straight line. */
export const arcOf = (from: Vertex, to: Vertex): { radius: number; angle: number } | null => {
  if (from.bulge === 0) return null;
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  const angle = 4 * Math.atan(from.bulge);
  return { radius: chord / 2 / Math.abs(Math.sin(angle / 2)), angle };
};

/** Each vertex with the next one, round and round. */
export const sidesOf = (outline: Vertex[]): [Vertex, Vertex][] =>
  outline.flatMap((vertex, index): [Vertex, Vertex][] => {
    const next = outline[(index + 1) % outline.length];
    return next ? [[vertex, next]] : [];
  });

/** The nearest tick; never a nothing below nothing. */
const whole = (length: number): number => Math.round(length) || 0;

/** An outline as corners alone: each arc as chords that lie no further off it than 0.05 mm, rounded to ticks. */
export const flatten = (outline: Vertex[]): Point[] =>
  sidesOf(outline).flatMap(([from, to]) => {
    const arc = arcOf(from, to);
    const points: Point[] = [[whole(from.x), whole(from.y)]];
    if (!arc) return points;
    const { radius, angle } = arc;
    const step = 2 * Math.acos(Math.max(0, 1 - CHORD_ERROR / radius)) || Math.PI / 4;
    const steps = Math.max(2, Math.ceil(Math.abs(angle) / step));
    const heading = Math.atan2(to.y - from.y, to.x - from.x) - angle / 2;
    const turn = Math.sign(angle);
    for (let at = 1; at < steps; at++) {
      const swept = (angle * at) / steps;
      const chord = 2 * radius * Math.sin(Math.abs(swept) / 2) * (turn || 1);
      const way = heading + swept / 2;
      points.push([
        whole(from.x + Math.abs(chord) * Math.cos(way)),
        whole(from.y + Math.abs(chord) * Math.sin(way)),
      ]);
    }
    return points;
  });

/** The face of a shape in square ticks: exact, its arcs as arcs, less its holes. */
export const areaOf = ({ outline, holes }: Shape): number => {
  let area = 0;
  for (const [from, to] of sidesOf(outline)) {
    area += (from.x * to.y - to.x * from.y) / 2;
    const arc = arcOf(from, to);
    if (arc) area += (arc.radius ** 2 / 2) * (arc.angle - Math.sin(arc.angle));
  }
  return area - holes.reduce((sum, { diameter }) => sum + (Math.PI / 4) * diameter ** 2, 0);
};

/** The length of all edges of a shape in ticks, those of its holes among them. */
export const edgeOf = ({ outline, holes }: Shape): number =>
  sidesOf(outline).reduce((sum, [from, to]) => {
    const arc = arcOf(from, to);
    return sum + (arc ? arc.radius * Math.abs(arc.angle) : Math.hypot(to.x - from.x, to.y - from.y));
  }, 0) + holes.reduce((sum, { diameter }) => sum + Math.PI * diameter, 0);

/** Whether two lines from corner to corner meet anywhere. */
export const doCross = (a: Point, b: Point, c: Point, d: Point): boolean => {
  const side = (from: Point, to: Point, at: Point) =>
    Math.sign((to[0] - from[0]) * (at[1] - from[1]) - (to[1] - from[1]) * (at[0] - from[0]));
  const [s1, s2, s3, s4] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (s1 !== s2 && s3 !== s4) return true;
  const isOn = (from: Point, to: Point, at: Point) =>
    Math.min(from[0], to[0]) <= at[0] &&
    at[0] <= Math.max(from[0], to[0]) &&
    Math.min(from[1], to[1]) <= at[1] &&
    at[1] <= Math.max(from[1], to[1]);
  return (
    (s1 === 0 && isOn(a, b, c)) ||
    (s2 === 0 && isOn(a, b, d)) ||
    (s3 === 0 && isOn(c, d, a)) ||
    (s4 === 0 && isOn(c, d, b))
  );
};

/** Whether an outline nowhere meets itself: one that turns one way all round, and once, does not. */
export const isSimple = (points: Point[]): boolean => {
  if (isConvex(points) && turnsOf(points) === 1) return true;
  const sides = points.map((point, index): [Point, Point] => [
    point,
    points[(index + 1) % points.length] ?? point,
  ]);
  return sides.every(([a, b], first) =>
    sides.every(([c, d], second) => {
      const apart = (second - first + sides.length) % sides.length;
      return apart <= 1 || apart === sides.length - 1 || !doCross(a, b, c, d);
    }),
  );
};

/** Whether an outline turns one way all round: no notch, nothing hollow. */
export const isConvex = (points: Point[]): boolean =>
  points.every((at, index) => {
    const [before, after] = [points.at(index - 1) ?? at, points[(index + 1) % points.length] ?? at];
    return (at[0] - before[0]) * (after[1] - at[1]) - (at[1] - before[1]) * (after[0] - at[0]) >= 0;
  });

/** How often an outline turns round. */
const turnsOf = (points: Point[]): number => {
  let turned = 0;
  for (const [index, [x, y]] of points.entries()) {
    const [[bx, by], [ax, ay]] = [
      points.at(index - 1) ?? [x, y],
      points[(index + 1) % points.length] ?? [x, y],
    ];
    turned += Math.atan2(
      (x - bx) * (ay - y) - (y - by) * (ax - x),
      (x - bx) * (ax - x) + (y - by) * (ay - y),
    );
  }
  return Math.round(turned / (2 * Math.PI));
};

/** Whether a point lies inside an outline. */
export const isInside = ([x, y]: Point, points: Point[]): boolean => {
  let inside = false;
  for (const [index, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(index + 1) % points.length] ?? [ax, ay];
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
};

/** How far a point lies from a line between two others. */
export const distanceToLine = ([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number => {
  const [dx, dy] = [bx - ax, by - ay];
  const square = dx * dx + dy * dy;
  const along = square === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / square));
  return Math.hypot(x - ax - along * dx, y - ay - along * dy);
};
