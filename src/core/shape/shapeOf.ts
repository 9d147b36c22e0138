import { formatLength, type LengthUnit, type Ticks } from '../units';
import { slantOffset, type Ends, type Point } from '../cutting/model';
import { fail, ok, type Result } from '../result';
import { distanceToLine, flatten, isInside, isSimple } from './geometry';
import {
  CORNERS,
  EDGES,
  isCorner,
  isEdge,
  type Corner,
  type Edge,
  type Hole,
  type Operation,
  type Shape,
  type Vertex,
} from './types';

/** A corner while it is worked on: which of the rectangle's it is, and on which edge the side to the next one lies. */
interface Node extends Vertex {
  corner?: Corner;
  /** Null: it is a corner cut off, or within a notch. */
  edge: Edge | null;
}

/** What a part is before its operations. In ticks; slanted ends across the face are drawn. */
export interface Blank {
  length: Ticks;
  width: Ticks;
  ends: Ends;
}

/** The rectangle that a part with such ends needs: as long as it reaches. */
export const blankLength = ({ length, width, ends }: Blank): Ticks =>
  ends.shape === 'parallel' && ends.across === 'face' ? length + slantOffset(ends, width) : length;

/**
 * The outline of a part of that size once the operations are done, one after the other. Problems: `shape`, with the operation as its
 * place by its number from 0; what does not fit the part, what meets itself, what leaves nothing.
 */
export const shapeOf = (blank: Blank, operations: Operation[], unit: LengthUnit): Result<Shape> => {
  const maker = new ShapeMaker(blank, unit);
  for (const [index, operation] of operations.entries()) {
    const fault = maker.apply(operation);
    if (fault !== null) return fail('shape', fault, `${index}`);
  }
  return maker.finished(operations.length - 1);
};

/** A tick or so: what rounding does. */
const NEAR = 1.5;

class ShapeMaker {
  private nodes: Node[];
  private readonly holes: Hole[] = [];
  private readonly length: Ticks;

  constructor(
    private readonly blank: Blank,
    private readonly unit: LengthUnit,
  ) {
    this.length = blankLength(blank);
    this.nodes = cornersOf(blank).map(([x, y], index) => ({
      x,
      y,
      bulge: 0,
      corner: CORNERS[index],
      edge: EDGES[index] ?? 'bottom',
    }));
  }

  /** Does an operation; a sentence where it cannot be done. */
  apply(operation: Operation): string | null {
    const { kind, place } = operation;
    if (kind === 'hole') {
      this.holes.push({ x: operation.from, y: operation.across, diameter: operation.along });
      return operation.along > 0 ? null : 'A hole needs a diameter.';
    }
    if (kind === 'curve') return isEdge(place) ? this.curve(place, operation.across) : UNPLACED;
    if (kind === 'notch' && isEdge(place)) return this.notchInEdge(place, operation);
    if (!isCorner(place)) return UNPLACED;
    const at = this.nodes.findIndex(({ corner }) => corner === place);
    if (at < 0) return `The ${place} corner is cut already; choose another corner.`;
    if (kind === 'taper') return this.taper(at, place, operation);
    if (kind === 'round') return this.round(at, place, operation.along);
    return this.cutCorner(at, place, operation);
  }

  /** The shape, where it is one piece inside its rectangle. */
  finished(last: number): Result<Shape> {
    const place = `${Math.max(0, last)}`;
    const outline = withoutTwins(this.nodes).map(({ x, y, bulge }) => ({ x, y, bulge }));
    const points = flatten(outline);
    const isWithin = points.every(
      ([x, y]) => x >= -NEAR && x <= this.length + NEAR && y >= -NEAR && y <= this.blank.width + NEAR,
    );
    if (!isWithin)
      return fail('shape', 'It comes out wider or longer than its board; make a measure smaller.', place);
    if (points.length < 3 || !isSimple(points))
      return fail(
        'shape',
        'What is cut away meets itself and leaves no piece; make a measure smaller.',
        place,
      );
    for (const { x, y, diameter } of this.holes) {
      const meets = this.holes.some((hole) =>
        hole.x !== x || hole.y !== y
          ? Math.hypot(hole.x - x, hole.y - y) < (hole.diameter + diameter) / 2
          : false,
      );
      if (meets) return fail('shape', 'The hole meets another; move it or make it smaller.', place);
      const clear = Math.min(
        ...points.map((point, index) =>
          distanceToLine([x, y], point, points[(index + 1) % points.length] ?? point),
        ),
      );
      if (!isInside([x, y], points) || clear < diameter / 2)
        return fail('shape', 'The hole does not lie inside the part; move it or make it smaller.', place);
    }
    return ok({ outline, holes: this.holes });
  }

  /** The corner moves in along its end, and its long edge stays as it is for a stretch. */
  private taper(at: number, corner: Corner, { from, across }: Operation): string | null {
    const node = this.nodes[at];
    if (!node) return UNPLACED;
    const isTop = corner.startsWith('top');
    const isRight = corner.endsWith('right');
    const { width } = this.blank;
    if (from >= this.length) return `It stays full for ${this.say(from)}, and is no longer than that.`;
    if (across >= width) return `It is ${this.say(width)} wide; a taper goes to less than that.`;
    const edge: Edge = isTop ? 'top' : 'bottom';
    if (this.nodes.some((one) => one.edge === edge && one.bulge !== 0))
      return `The ${edge} edge is curved; it cannot be tapered as well.`;
    const start: Node = {
      x: isRight ? from : this.length - from,
      y: isTop ? width : 0,
      bulge: 0,
      edge,
    };
    const moved = { ...node, y: isTop ? across : width - across };
    // Its long edge begins at a lower left or upper right corner, and ends at the others.
    const isStart = isTop === isRight;
    this.nodes.splice(at, 1, ...(isStart ? [moved, start] : [start, moved]));
    return null;
  }

  /** A clip or a notch: so far along both edges that meet there. */
  private cutCorner(at: number, corner: Corner, { kind, along, across }: Operation): string | null {
    const [before, node, after] = this.around(at);
    if (!before || !node || !after) return UNPLACED;
    const leavesLong = node.edge === 'bottom' || node.edge === 'top';
    const out = leavesLong ? along : across;
    const back = leavesLong ? across : along;
    if (along <= 0 || across <= 0) return `The ${kind} at the ${corner} needs both measures.`;
    const [outside, inside] = [distance(node, after), distance(node, before)];
    if (out > outside + NEAR || back > inside + NEAR)
      return `The ${kind} at the ${corner} reaches past the next corner; make it smaller.`;
    if (node.bulge !== 0 || before.bulge !== 0)
      return `The edge at the ${corner} is curved; ${kind} it before.`;
    const [u, v] = [towards(node, after), towards(node, before)];
    const first: Node = { x: node.x + v.x * back, y: node.y + v.y * back, bulge: 0, edge: null };
    const last: Node = { x: node.x + u.x * out, y: node.y + u.y * out, bulge: 0, edge: node.edge };
    const middle: Node = {
      x: node.x + u.x * out + v.x * back,
      y: node.y + u.y * out + v.y * back,
      bulge: 0,
      edge: null,
    };
    this.nodes.splice(at, 1, ...(kind === 'notch' ? [first, middle, last] : [first, last]).map(rounded));
    return null;
  }

  private round(at: number, corner: Corner, radius: Ticks): string | null {
    const [before, node, after] = this.around(at);
    if (!before || !node || !after) return UNPLACED;
    if (radius <= 0) return `The round at the ${corner} needs a radius.`;
    if (node.bulge !== 0 || before.bulge !== 0)
      return `The edge at the ${corner} is curved; round it before.`;
    const [u, v] = [towards(node, after), towards(node, before)];
    const inside = Math.acos(Math.max(-1, Math.min(1, u.x * v.x + u.y * v.y)));
    const reach = radius / Math.tan(inside / 2);
    if (reach > distance(node, after) + NEAR || reach > distance(node, before) + NEAR)
      return `A radius of ${this.say(radius)} at the ${corner} reaches past the next corner; make it smaller.`;
    const first: Node = {
      x: node.x + v.x * reach,
      y: node.y + v.y * reach,
      bulge: Math.tan((Math.PI - inside) / 4),
      edge: null,
    };
    const last: Node = { x: node.x + u.x * reach, y: node.y + u.y * reach, bulge: 0, edge: node.edge };
    this.nodes.splice(at, 1, rounded(first), rounded(last));
    return null;
  }

  private curve(edge: Edge, depth: Ticks): string | null {
    const on = this.nodes.flatMap((node, index) => (node.edge === edge ? [index] : []));
    const [at = -1] = on;
    const [, node, after] = this.around(at);
    if (on.length !== 1 || !node || !after || node.bulge !== 0)
      return `The ${edge} edge is cut already; curve it before.`;
    const chord = distance(node, after);
    if (depth <= 0) return `How deep is the curve of the ${edge} edge?`;
    if (depth > chord / 2)
      return `A curve of ${this.say(chord)} is at most ${this.say(Math.floor(chord / 2))} deep.`;
    this.nodes[at] = { ...node, bulge: (-2 * depth) / chord };
    return null;
  }

  private notchInEdge(edge: Edge, { along, across, from }: Operation): string | null {
    if (along <= 0 || across <= 0) return `The notch in the ${edge} edge needs both measures.`;
    const isLong = edge === 'bottom' || edge === 'top';
    const [wide, deep] = isLong ? [along, across] : [across, along];
    const [axis, other] = isLong ? (['x', 'y'] as const) : (['y', 'x'] as const);
    const at = this.nodes.findIndex((node, index) => {
      const after = this.nodes[(index + 1) % this.nodes.length];
      return (
        node.edge === edge &&
        node.bulge === 0 &&
        after !== undefined &&
        Math.abs(node[other] - after[other]) <= NEAR &&
        Math.min(node[axis], after[axis]) <= from + NEAR &&
        Math.max(node[axis], after[axis]) >= from + wide - NEAR
      );
    });
    const node = this.nodes[at];
    if (!node)
      return `The ${edge} edge is not straight and free from ${this.say(from)} to ${this.say(from + wide)}; move the notch.`;
    // Counter-clockwise: below and on the right the edge runs upwards.
    const isUp = edge === 'bottom' || edge === 'right';
    const inward = edge === 'bottom' || edge === 'left' ? deep : -deep;
    const [near, far] = isUp ? [from, from + wide] : [from + wide, from];
    const point = (on: number, depth: number): Node =>
      isLong ? { x: on, y: node.y + depth, bulge: 0, edge } : { x: node.x + depth, y: on, bulge: 0, edge };
    this.nodes.splice(at + 1, 0, point(near, 0), point(near, inward), point(far, inward), point(far, 0));
    return null;
  }

  private around(at: number): [Node?, Node?, Node?] {
    return [this.nodes.at(at - 1), this.nodes[at], this.nodes[(at + 1) % this.nodes.length]];
  }

  private say(ticks: Ticks): string {
    return formatLength(Math.round(ticks), this.unit);
  }
}

const UNPLACED = 'Choose a corner or an edge for it.';

const rounded = (node: Node): Node => ({ ...node, x: Math.round(node.x), y: Math.round(node.y) });

const distance = (a: Vertex, b: Vertex): number => Math.hypot(b.x - a.x, b.y - a.y);

const towards = (from: Vertex, to: Vertex): { x: number; y: number } => {
  const length = distance(from, to) || 1;
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
};

/** Corners that fall on the next one are one. */
const withoutTwins = (nodes: Node[]): Node[] =>
  nodes.filter((node, index) => {
    const next = nodes[(index + 1) % nodes.length];
    return !next || Math.abs(node.x - next.x) > NEAR || Math.abs(node.y - next.y) > NEAR;
  });

/** Corners from the lower left one, counter-clockwise, with the ends as they are cut across the face. */
const cornersOf = (blank: Blank): Point[] => {
  const { length, width, ends } = blank;
  const slant = ends.shape === 'square' || ends.across === 'edge' ? 0 : slantOffset(ends, width);
  const [left, right] =
    ends.shape === 'mitre'
      ? [slant, length - slant]
      : ends.shape === 'parallel'
        ? [slant, length + slant]
        : [0, length - slant];
  return [
    [0, 0],
    [length, 0],
    [right, width],
    [slant === 0 ? 0 : left, width],
  ];
};
