import type { Ticks } from '../units';
import type { Ends, Section } from '../lumber';
import type { Part } from './types';

/** How many of something are used up: of cans and bags not whole ones. */
export const consumedQuantity = ({ count, fill }: { count: number; fill?: number }): number => fill ?? count;

/** So little of a can or bag is no reason for another. */
export const QUANTITY_TOLERANCE = 1e-3;

/** Whole ones still to buy where so many are used up and so many are there. */
export const packsToBuy = (used: number, there: number): number =>
  Math.max(0, Math.ceil(used - there - QUANTITY_TOLERANCE));

/** A part with everything worked out: sizes in ticks, counts for all that is built, materials it may be of. */
export interface ResolvedPart {
  id: string;
  name: string;
  group: string;
  groupId: string;
  kind: Part['kind'];
  /** For all `builds`. */
  count: number;
  /** Boards only. */
  section: Section | null;
  /** Sheets only: trade thickness. */
  thickness: Ticks;
  length: Ticks;
  width: Ticks;
  ends: Ends;
  grain: Part['grain'];
  shortOk: Ticks;
  /** Empty: any. */
  materials: string[];
  /** Hardware only. */
  item: string;
  /** Hardware: how many are used up where they need not be whole, as of cans and bags; absent: `count`. */
  fractionalQuantity?: number;
}
