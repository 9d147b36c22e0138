import { fail, ok, type Result } from '../result';
import { byText } from '../byText';
import { formatAngle, parseAngle, plainCharacters, type Degrees, type Ticks } from '../units';

/**
 * How the two ends of a board part are cut. `mitre`: both slanted inward, a trapezoid; `parallel`: both
 * slanted the same way; `one`: one end slanted. `edge`: across the thickness and not across the face.
 */
export type Ends =
  { shape: 'square' } | { shape: 'mitre' | 'parallel' | 'one'; angle: Degrees; across: 'face' | 'edge' };

export const SQUARE: Ends = { shape: 'square' };

/** Reads `square`, `mitre 45`, `parallel 22.5`, `one 30 edge`. Blank is square. Problems: `ends`. */
export const parseEnds = (text: string): Result<Ends> => read(text);

const read = byText((text: string): Result<Ends> => {
  const plain = plainCharacters(text).toLowerCase();
  if (plain === '' || plain === 'square') return ok(SQUARE);
  const match = /^(mitre|miter|parallel|one) (.+?)( edge)?$/.exec(plain);
  const angle = match ? parseAngle(match[2] ?? '') : null;
  if (!match || !angle)
    return fail(
      'ends',
      `"${text.trim()}" is not a way to cut ends; write square, mitre 45, parallel 22.5 or one 30`,
    );
  if (!angle.ok) return fail('ends', angle.problems[0]?.sentence ?? '');
  const shape = match[1] === 'miter' ? 'mitre' : (match[1] as 'mitre' | 'parallel' | 'one');
  return ok({ shape, angle: angle.value, across: match[3] ? 'edge' : 'face' });
});

/** The form that parseEnds reads and files hold. */
export const writeEnds = (ends: Ends): string =>
  ends.shape === 'square' ? 'square' : `${ends.shape} ${ends.angle}${ends.across === 'edge' ? ' edge' : ''}`;

/** `both ends 45° inward`, for reading. */
export const describeEnds = (ends: Ends): string => {
  if (ends.shape === 'square') return 'square ends';
  const angle = `${formatAngle(ends.angle)}${ends.across === 'edge' ? ' across the edge' : ''}`;
  if (ends.shape === 'mitre') return `both ends ${angle} inward`;
  return ends.shape === 'parallel' ? `both ends ${angle} the same way` : `one end ${angle}`;
};

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
