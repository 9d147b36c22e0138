import type { Ticks } from '../../units';
import type { Item } from './item';
import type { Piece, Point } from './plan';

/**
 * The finished faces of a piece that is shaped after it is sawn, as they lie in its rectangle on the board: one, or two head to tail.
 * Undefined: the piece is finished as it is sawn, or lies on its edge, where its face is not seen and only their number counts.
 */
export const facesOn = (
  { shape, length, width }: Pick<Item, 'shape' | 'length' | 'width'>,
  outline: Point[],
): Point[][] | undefined => {
  if (!shape) return undefined;
  const { left, bottom, along, across } = boxOf(outline);
  const place = placing(length, width, along, across);
  const one = shape.outline;
  const faces = shape.pieces === 2 ? [one, one.map(([x, y]): Point => [length - x, width - y])] : [one];
  return faces.map((face) =>
    place
      ? face.map((corner): Point => {
          const [x, y] = place(corner);
          return [left + x, bottom + y];
        })
      : outline,
  );
};

/** How a corner of a piece comes to lie: as it is, turned a quarter, or, where the piece lies on its edge, not to be seen. */
const placing = (length: Ticks, width: Ticks, along: Ticks, across: Ticks): ((at: Point) => Point) | null => {
  const isSize = (a: Ticks, b: Ticks) => Math.abs(along - a) <= NEAR && Math.abs(across - b) <= NEAR;
  if (isSize(length, width)) return (at) => at;
  return isSize(width, length) ? ([x, y]) => [width - y, x] : null;
};

/** What rounding does, in ticks. */
const NEAR = 3;

/** How many finished pieces a piece on a board is. */
export const finishedCount = ({ faces }: Pick<Piece, 'faces'>): number => faces?.length ?? 1;

const boxOf = (outline: Point[]) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  return { left, bottom, along: Math.max(...xs) - left, across: Math.max(...ys) - bottom };
};
