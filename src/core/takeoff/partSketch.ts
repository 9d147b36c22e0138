import { parseEnds, slantOffset } from '../lumber';
import { faceOf, sidesOf, type Group, type Part } from '../project';
import { flatten } from '../shape';
import type { LengthUnit } from '../units';

/** The box that a sketch lies in. */
export const SKETCH = { width: 40, height: 20 } as const;

/** What a sketch keeps of what is very thin or hardly slanted, so that it can be seen. */
const LEAST = { high: 5, slant: 3 } as const;

/**
 * The shape of a part in a box of `SKETCH`, as corners for a drawing: its face, or its edge where its ends are slanted across the
 * thickness. Thin ones are drawn thicker and slight slants steeper than they are. Null: hardware, and what has no size yet.
 */
export const partSketch = (
  part: Part,
  group: Group | undefined,
  unit: LengthUnit,
): [x: number, y: number][] | null => {
  const sides = sidesOf(part, group, unit);
  const ends = parseEnds(part.ends);
  const length = part.length?.ticks ?? 0;
  if (!sides.ok || !ends.ok || length <= 0) return null;
  const isEdge = ends.value.shape !== 'square' && ends.value.across === 'edge';
  const across = isEdge ? sides.value.thickness : sides.value.width;
  if (across <= 0) return null;
  const scale = Math.min(SKETCH.width / length, SKETCH.height / across);
  const face =
    part.shape?.length && !isEdge ? faceOf(part, { length, width: across, ends: ends.value }, unit) : null;
  if (face?.ok) return inBox(flatten(face.value.outline));
  const wide = Math.max(LEAST.high, length * scale);
  const high = Math.max(LEAST.high, across * scale);
  const most = ends.value.shape === 'mitre' ? wide / 2 - 1 : wide - 2;
  const slant =
    ends.value.shape === 'square'
      ? 0
      : Math.min(most, Math.max(LEAST.slant, slantOffset(ends.value, across) * scale));
  const left = (SKETCH.width - wide) / 2;
  const right = left + wide;
  const [top, bottom] = [(SKETCH.height - high) / 2, (SKETCH.height + high) / 2];
  switch (ends.value.shape) {
    case 'square':
      return box(left, right, left, right, top, bottom);
    case 'mitre':
      return box(left + slant, right - slant, left, right, top, bottom);
    case 'one':
      return box(left, right - slant, left, right, top, bottom);
    case 'parallel':
      return box(left + slant, right, left, right - slant, top, bottom);
  }
};

/** An outline in the box, upside up. */
const inBox = (outline: [number, number][]): [number, number][] => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  const [along, across] = [Math.max(...xs) - left, Math.max(...ys) - bottom];
  const scale = Math.min(SKETCH.width / along, SKETCH.height / across);
  const high = Math.max(LEAST.high, across * scale);
  const [x0, y0] = [(SKETCH.width - along * scale) / 2, (SKETCH.height + high) / 2];
  return outline.map(([x, y]) => [x0 + (x - left) * scale, y0 - ((y - bottom) / across) * high]);
};

/** Corners from where an outline begins and ends above and below. */
const box = (
  high: number,
  highEnd: number,
  low: number,
  lowEnd: number,
  top: number,
  bottom: number,
): [number, number][] => [
  [high, top],
  [highEnd, top],
  [lowEnd, bottom],
  [low, bottom],
];
