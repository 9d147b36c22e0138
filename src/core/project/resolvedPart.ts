import type { Ticks } from '../measure';
import type { Ends, Section } from '../wood';
import type { Part } from './types';

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
}
