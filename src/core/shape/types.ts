import type { Ticks } from '../units';

/** A corner of a part that lies with its length from left to right and its face up. */
export type Corner = 'bottom left' | 'bottom right' | 'top right' | 'top left';

/** An edge of a part that lies so: the two long ones, and its ends. */
export type Edge = 'bottom' | 'right' | 'top' | 'left';

/** Counter-clockwise from the origin, each the start of the edge at the same place of `EDGES`. */
export const CORNERS: Corner[] = ['bottom left', 'bottom right', 'top right', 'top left'];
/** The edges, each from the corner at the same place of `CORNERS` to the next. */
export const EDGES: Edge[] = ['bottom', 'right', 'top', 'left'];

/** What can be done to a part's outline, and the word for it in files. */
export type OperationKind = 'clip' | 'taper' | 'notch' | 'round' | 'curve' | 'hole';

/**
 * One thing that is done to the outline of a part. What its measures mean, all in ticks:
 * - `clip` a corner off: `along` the length and `across` the width.
 * - `taper` to a corner: the edge stays as it is for `from`, and the end there is `across` wide.
 * - `notch` at a corner, or in an edge beginning `from` its left or lower end: `along` the length, `across` the width; in an end
 *   likewise.
 * - `round` a corner by the radius `along`.
 * - `curve` an edge in, by `across` in its middle.
 * - `hole` of the diameter `along`, its middle `from` the left end and `across` from the bottom edge.
 */
export interface Operation {
  kind: OperationKind;
  place: Corner | Edge | 'inside';
  along: Ticks;
  across: Ticks;
  from: Ticks;
}

/** A corner of an outline. `bulge`: of the arc to the next one, tan of a quarter of its angle, above 0 where it turns outward. */
export interface Vertex {
  x: number;
  y: number;
  bulge: number;
}

/** A round hole: its middle and diameter in ticks. */
export interface Hole {
  x: Ticks;
  y: Ticks;
  diameter: Ticks;
}

/** The face of a finished part: its outline counter-clockwise, in ticks from the lower left corner of its rectangle, and its holes. */
export interface Shape {
  outline: Vertex[];
  holes: Hole[];
}

/** Whether a place is a corner. */
export const isCorner = (place: Operation['place']): place is Corner => (CORNERS as string[]).includes(place);

/** Whether a place is an edge. */
export const isEdge = (place: Operation['place']): place is Edge => (EDGES as string[]).includes(place);

/** Which measures an operation of a kind has at a place. */
export const measuresWanted = (
  kind: OperationKind,
  place: Operation['place'],
): ('along' | 'across' | 'from')[] => {
  switch (kind) {
    case 'clip':
      return ['along', 'across'];
    case 'taper':
      return ['from', 'across'];
    case 'notch':
      return isCorner(place) ? ['along', 'across'] : ['along', 'across', 'from'];
    case 'round':
      return ['along'];
    case 'curve':
      return ['across'];
    case 'hole':
      return ['along', 'from', 'across'];
  }
};

/** Where an operation of a kind may be. */
export const placesOf = (kind: OperationKind): Operation['place'][] => {
  switch (kind) {
    case 'clip':
    case 'taper':
    case 'round':
      return CORNERS;
    case 'notch':
      return [...CORNERS, ...EDGES];
    case 'curve':
      return EDGES;
    case 'hole':
      return ['inside'];
  }
};
