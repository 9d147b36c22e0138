import type { Ticks } from '../../units';
import type { Offcut } from '../model';
import { NEAR } from './geometry';
import type { LayoutToCheck, Note, SequenceToCheck } from './types';

type Point = [x: number, y: number];
type Polygon = Point[];

/** A layout with what its sequence must leave. */
type LayoutToSaw = Pick<LayoutToCheck, 'length' | 'width' | 'pieces' | 'storeCuts' | 'section'> & {
  offcuts: Offcut[];
};

/**
 * Does a sequence on its board, cut by cut, with a kerf of `kerf` ticks, and notes where it is no work that a saw can do, or where
 * what it leaves are not the layout's pieces and offcuts. It shares no code with what made the sequence.
 */
export const replay = (
  layout: LayoutToSaw,
  { cuts, leaves }: SequenceToCheck,
  kerf: Ticks,
  note: Note,
): void => {
  const { length, width, section, storeCuts } = layout;
  const there = new Map<number, Polygon>([[0, rectangle(0, 0, length, width)]]);
  const wrong = (index: number, sentence: string) => note(section, `cut ${index + 1} ${sentence}`);
  for (const [index, cut] of cuts.entries()) {
    const from = there.get(cut.from);
    if (!from) return wrong(index, `is made on ${cut.from}, and there is no such piece`);
    there.delete(cut.from);
    if (!runsAs(cut)) wrong(index, `is no ${cut.kind}`);
    if (!reachesThrough(cut, from)) wrong(index, 'does not go right through its piece');
    const distance = distanceOf(cut);
    const made = [
      clip(from, (point) => -distance(point)),
      clip(from, (point) => distance(point) - kerf),
    ] as const;
    for (const side of [0, 1] as const) {
      const id = cut.to[side];
      const isLeft = isSomething(made[side]);
      if (isLeft !== (id !== null))
        wrong(index, `${isLeft ? 'leaves' : 'does not leave'} something on side ${side + 1}`);
      if (id === null) continue;
      if (there.has(id)) wrong(index, `names ${id} a second time`);
      there.set(id, made[side]);
    }
  }
  const stored = cuts.filter(({ store }) => store);
  if (stored.length !== storeCuts.length)
    note(section, 'has other cuts made by the store than its plan says');
  checkLeaves(layout, there, leaves, note);
};

const checkLeaves = (
  { pieces, offcuts, section }: LayoutToSaw,
  there: Map<number, Polygon>,
  leaves: SequenceToCheck['leaves'],
  note: Note,
): void => {
  const missing = new Set(pieces.keys());
  const open = offcuts.map(({ x, y, length, width }) => rectangle(x, y, x + length, y + width));
  for (const [id, polygon] of there) {
    const is = leaves[id];
    if (is === undefined) note(section, `says nothing of ${id}, which is left`);
    else if (is === 'offcut') {
      const found = open.findIndex((offcut) => isSame(offcut, polygon));
      if (found < 0) note(section, `leaves an offcut (${id}) that is not in its layout`);
      else open.splice(found, 1);
    } else if (is !== 'waste') {
      const piece = pieces[is];
      if (!piece || !missing.delete(is)) note(section, `leaves piece ${is} twice, or there is none`);
      else if (!isSame(piece.outline, polygon)) note(piece.part, 'is not left by the saw as it is drawn');
    }
  }
  for (const id of Object.keys(leaves))
    if (!there.has(Number(id))) note(section, `tells of ${id}, which is not left`);
  for (const index of missing) note(pieces[index]?.part ?? section, 'is not cut by the sequence');
  if (open.length > 0) note(section, 'does not leave all its offcuts');
};

const rectangle = (x0: number, y0: number, x1: number, y1: number): Polygon => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

type Line = Pick<SequenceToCheck['cuts'][number], 'kind' | 'line'>;

/** The steepest end that there is, in degrees off square, and a little for rounding. */
const STEEPEST = 60.1;

/** Whether a line runs along the board for a rip, and across it, slanted by no more than an end may be, for a crosscut. */
const runsAs = ({ kind, line: [[x0, y0], [x1, y1]] }: Line): boolean => {
  const [along, across] = [Math.abs(x1 - x0), Math.abs(y1 - y0)];
  return kind === 'rip'
    ? across <= NEAR
    : across > NEAR && along <= NEAR + across * Math.tan((STEEPEST * Math.PI) / 180);
};

/** How far a point lies beyond a line, towards greater x for a crosscut and greater y for a rip. */
const distanceOf = ({ kind, line: [[x0, y0], [x1, y1]] }: Line) => {
  const long = Math.hypot(x1 - x0, y1 - y0);
  const [right, up] = [(y0 - y1) / long, (x1 - x0) / long];
  const turn = (kind === 'crosscut' ? right : up) < 0 ? -1 : 1;
  const [nx, ny] = [turn * right, turn * up];
  return ([x, y]: Point): number => (x - x0) * nx + (y - y0) * ny;
};

/** The part of a convex polygon where `inside` is not negative. */
const clip = (polygon: Polygon, inside: (point: Point) => number): Polygon =>
  polygon.flatMap((point, index) => {
    const next = polygon[(index + 1) % polygon.length] ?? point;
    const [here, there] = [inside(point), inside(next)];
    const share = here / (here - there);
    const cross: Point = [point[0] + (next[0] - point[0]) * share, point[1] + (next[1] - point[1]) * share];
    return [...(here >= 0 ? [point] : []), ...(here >= 0 !== there >= 0 ? [cross] : [])];
  });

/** Whether a line that is given by its ends reaches over all of a polygon: the cut does not stop inside it. */
const reachesThrough = (cut: Line, polygon: Polygon): boolean => {
  const [[x0, y0], [x1, y1]] = cut.line;
  const long = Math.hypot(x1 - x0, y1 - y0);
  if (!(long > 0)) return false;
  const at = ([x, y]: Point): number => ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / long;
  const distance = distanceOf(cut);
  // Only where the line is in the piece must it reach: beside it, where a slanted piece reaches further, it need not.
  return clip(
    clip(polygon, (point) => distance(point) + NEAR),
    (point) => NEAR - distance(point),
  ).every((point) => at(point) >= -2 * NEAR && at(point) <= long + 2 * NEAR);
};

/** Whether a polygon is more than the sliver that rounding leaves. */
const isSomething = (polygon: Polygon): boolean => {
  if (polygon.length < 3) return false;
  const [xs, ys] = [polygon.map(([x]) => x), polygon.map(([, y]) => y)];
  const [wide, high] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const area = Math.abs(
    polygon.reduce((sum, [x, y], index) => {
      const [nextX = 0, nextY = 0] = polygon[(index + 1) % polygon.length] ?? [];
      return sum + x * nextY - nextX * y;
    }, 0),
  );
  return area / 2 > NEAR * Math.max(wide, high);
};

/** Whether two polygons have the same corners, as near as files can say: in any order, each of one near one of the other. */
const isSame = (a: Polygon, b: Polygon): boolean => isNearAll(a, b) && isNearAll(b, a);
const isNearAll = (a: Polygon, b: Polygon): boolean =>
  a.every(([x, y]) => b.some(([u, v]) => Math.abs(x - u) <= NEAR && Math.abs(y - v) <= NEAR));
