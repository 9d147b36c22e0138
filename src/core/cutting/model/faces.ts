import type { Ticks } from '../../units';
import type { Item } from './item';
import type { Piece, Point } from './plan';

/**
 * The finished faces of a piece that is shaped after it is sawn, as they lie in its rectangle on the board: one, or two head to tail.
 * Undefined: the piece is finished as it is sawn, or lies on its edge, where its face is not seen and only their number counts.
 */
const facesOn = (
  { shape, length, width }: Pick<Item, 'shape' | 'length' | 'width'>,
  outline: Point[],
): Point[][] | undefined => {
  if (!shape) return undefined;
  const { left, bottom, along, across } = boxOf(outline);
  const place = placing(length, width, along, across);
  const one = shape.outline;
  const faces = shape.pieces === 2 ? [one, turnedEndForEnd(one, length, width)] : [one];
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

/** A shape turned end for end in its own rectangle, its face still up. */
export const turnedEndForEnd = (outline: Point[], length: Ticks, width: Ticks): Point[] =>
  outline.map(([x, y]): Point => [length - x, width - y]);

/** An item as a piece of a layout, cut as `outline`. */
export const pieceOf = (item: Item, outline: Point[]): Piece => {
  const faces = facesOn(item, outline);
  return {
    partId: item.id,
    part: item.name,
    group: item.group,
    ends: item.ends,
    outline,
    ...(faces ? { faces } : {}),
  };
};

const boxOf = (outline: Point[]) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  return { left, bottom, along: Math.max(...xs) - left, across: Math.max(...ys) - bottom };
};
