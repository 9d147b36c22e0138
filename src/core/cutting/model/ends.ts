import type { Degrees, Ticks } from '../../units';

/**
 * How the two ends of a board part are cut. `mitre`: both slanted inward, a trapezoid; `parallel`: both
 * slanted the same way; `one`: one end slanted. `edge`: across the thickness and not across the face.
 */
export type Ends =
  { shape: 'square' } | { shape: 'mitre' | 'parallel' | 'one'; angle: Degrees; across: 'face' | 'edge' };

/** How far a slanted end runs along the board: the side it crosses x tan A. */
export const slantOffset = (ends: Ends, side: Ticks): Ticks =>
  ends.shape === 'square' ? 0 : Math.round(side * Math.tan((ends.angle * Math.PI) / 180));

/** What a cut at such an end takes along the board: kerf / cos A (planner.md, rule 3). */
export const slantedKerf = (ends: Ends, kerf: Ticks): Ticks =>
  ends.shape === 'square' ? kerf : Math.ceil(kerf / Math.cos((ends.angle * Math.PI) / 180));

/**
 * The length along the board that a piece reaches over. `length` is its longest edge: the slant of a
 * parallelogram comes on top of it, that of the other shapes lies within.
 */
export const reach = (ends: Ends, length: Ticks, thickness: Ticks, width: Ticks): Ticks =>
  ends.shape === 'parallel' ? length + slantOffset(ends, crossed(ends, thickness, width)) : length;

/** The length of board a piece holds once neighbours with the same slant nest: its mean length. */
export const meanLength = (ends: Ends, length: Ticks, thickness: Ticks, width: Ticks): Ticks => {
  const offset = slantOffset(ends, crossed(ends, thickness, width));
  if (ends.shape === 'mitre') return length - offset;
  return ends.shape === 'one' ? length - Math.ceil(offset / 2) : length;
};

/** Below this length the slanted ends of a piece would cross. */
export const shortestLength = (ends: Ends, thickness: Ticks, width: Ticks): Ticks => {
  const offset = slantOffset(ends, crossed(ends, thickness, width));
  if (ends.shape === 'mitre') return 2 * offset;
  return ends.shape === 'one' ? offset : 0;
};

const crossed = (ends: Ends, thickness: Ticks, width: Ticks): Ticks =>
  ends.shape !== 'square' && ends.across === 'edge' ? thickness : width;
