import type { LengthUnit, Ticks } from '../units';
import { map, ok, type Result } from '../result';
import { SQUARE } from '../lumber';
import {
  areaOf,
  blankLength,
  edgeOf,
  flatten,
  shapeOf,
  type Blank,
  type Operation,
  type Shape,
} from '../shape';
import { measureOf } from './defaults';
import type { Part, Shaping } from './types';
import type { ResolvedPart } from './resolvedPart';

/** What is done to a part's outline, in ticks. */
export const operationOf = ({ kind, place, along, across, from }: Shaping): Operation => ({
  kind,
  place,
  along: along?.ticks ?? 0,
  across: across?.ticks ?? 0,
  from: from?.ticks ?? 0,
});

/** The face of a part of such a size, its operations done. Problems: `shape`, the place the number of the operation from 0. */
export const faceOf = (part: Part, blank: Blank, unit: LengthUnit): Result<Shape> =>
  shapeOf(blank, (part.shape ?? []).map(operationOf), unit);

/** A part with the face that it is shaped to: then a rectangle is cut for it, of the length that it was asked. Problems: `shape`. */
export const withShape = (resolved: ResolvedPart, part: Part, unit: LengthUnit): Result<ResolvedPart> => {
  if (resolved.kind === 'hardware' || !part.shape || part.shape.length === 0) return ok(resolved);
  return map(faceOf(part, resolved, unit), (shape) => ({
    ...resolved,
    length: blankLength(resolved),
    ends: resolved.ends.shape !== 'square' && resolved.ends.across === 'edge' ? resolved.ends : SQUARE,
    // What is drawn on it has its measures.
    shortOk: 0,
    shape: { outline: flatten(shape.outline), pieces: 1, area: areaOf(shape), edge: edgeOf(shape) },
  }));
};

/** The same operations on the mirror image of a part, the bottom edge its top. `width`: of the part. */
export const mirroredShape = (shape: Shaping[], width: Ticks, unit: LengthUnit): Shaping[] =>
  shape.map((shaping): Shaping => {
    const { kind, place, across, from } = shaping;
    if (kind === 'hole') return { ...shaping, across: measureOf(width - (across?.ticks ?? 0), unit) };
    if (kind === 'notch' && (place === 'left' || place === 'right'))
      return { ...shaping, from: measureOf(width - (from?.ticks ?? 0) - (across?.ticks ?? 0), unit) };
    const mirrored = place.startsWith('top')
      ? place.replace('top', 'bottom')
      : place.replace('bottom', 'top');
    return { ...shaping, place: mirrored as Shaping['place'] };
  });
