import type { Ticks } from '../../units';

/** A place on a board: x along its length from the left end, y across its width. */
export type Point = [x: Ticks, y: Ticks];
