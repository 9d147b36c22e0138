import type { Ticks } from '../../units';

/** A place on a board, in ticks. */
export type Point = [x: Ticks, y: Ticks];

/** The rectangle along the board that holds an outline. */
export interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** The least rectangle along the board that holds an outline. */
export const boxOf = (outline: Point[]): Box => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) };
};
