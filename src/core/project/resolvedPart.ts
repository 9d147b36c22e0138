import type { Ticks } from '../units';
import type { ItemShape } from '../cutting/model';
import type { Ends, Section } from '../lumber';
import type { Part } from './types';

export { consumedQuantity, packsToBuy, QUANTITY_TOLERANCE } from '../cutting/model';

/** The face of a part that is shaped after it is sawn. */
export interface ShapedFace extends ItemShape {
  /** Square ticks, less its holes. */
  area: number;
  /** All its edges, those of holes among them, in ticks. */
  edge: number;
}

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
  /** What is done to its outline; its length, width and ends are then those of the rectangle it is cut from. Absent: nothing. */
  shape?: ShapedFace;
  /** It is cut to fit: so much of its length is over, until it is measured. Absent: none. */
  over?: Ticks;
  /** Hardware only. */
  item: string;
  /** Hardware: how many are used up where they need not be whole, as of cans and bags; absent: `count`. */
  fractionalQuantity?: number;
  /** Hardware bought on top of what is needed, since some is lost. */
  isSpare?: true;
}
