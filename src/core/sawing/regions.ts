import type { Ticks } from '../units';
import type { Layout, Point, Remainder } from '../cutting/model';

/** Lengths closer than this are the same: slants are rounded to ticks. */
export const NEAR = 2;
/** Whether two places on a board are one, but for rounding. */
export const isNear = (a: number, b: number): boolean => Math.abs(a - b) <= NEAR;

/** Where a side that runs across a board meets the low and the high edge of its region. */
export type Side = [low: number, high: number];

/** What is left of a board: straight along, its ends square or slanted. */
export interface Region {
  bottom: number;
  top: number;
  left: Side;
  right: Side;
}

/** Something to be cut out of a board, as it lies there: a piece of the layout, or an offcut. */
export interface Target extends Region {
  is: Remainder;
}

/** Where a region begins, in ticks from the left end. */
export const leftOf = ({ left }: Region): number => Math.min(...left);
/** Where a region ends, in ticks from the left end. */
export const rightOf = ({ right }: Region): number => Math.max(...right);

/** Whether two regions are one, but for rounding. */
export const isSameRegion = (a: Region, b: Region): boolean =>
  isNear(a.bottom, b.bottom) &&
  isNear(a.top, b.top) &&
  isSameSide(a.left, b.left) &&
  isSameSide(a.right, b.right);

/** Whether two slanted sides are one, but for rounding. */
export const isSameSide = (a: Side, b: Side): boolean => isNear(a[0], b[0]) && isNear(a[1], b[1]);

/** How much longer a saw's kerf is along a board where a side slants. */
export const along = (
  kerf: Ticks,
  [low, high]: Side,
  { bottom, top }: Pick<Region, 'bottom' | 'top'>,
): number => kerf * Math.hypot(1, (high - low) / (top - bottom));

/** A side moved along the board. */
export const moved = ([low, high]: Side, by: number): Side => [low + by, high + by];

/** What is cut out of a layout: its pieces, then its offcuts. */
export const targetsOf = ({ pieces, offcuts }: Pick<Layout, 'pieces' | 'offcuts'>): Target[] => [
  ...pieces.map(({ outline }, index): Target => ({ ...regionOf(outline), is: index })),
  ...offcuts.map(({ x, y, length, width }): Target => ({
    bottom: y,
    top: y + width,
    left: [x, x],
    right: [x + length, x + length],
    is: 'offcut',
  })),
];

const regionOf = (outline: Point[]): Region => {
  const ys = outline.map(([, y]) => y);
  const [bottom, top] = [Math.min(...ys), Math.max(...ys)];
  const at = (edge: number) => outline.filter(([, y]) => y === edge).map(([x]) => x);
  const [low, high] = [at(bottom), at(top)];
  return {
    bottom,
    top,
    left: [Math.min(...low), Math.min(...high)],
    right: [Math.max(...low), Math.max(...high)],
  };
};
