import type { CuttingProblem, Owned } from '../cutting/model';
import type { PlanSettings, ResolvedPart } from '../project';
import type { Offer } from '../pricing';

export type { Owned, StoreTerms } from '../cutting/model';

/** A cutting problem made of a project and the price book, with what its words need. */
export interface PlanInput extends CuttingProblem {
  unit: 'in' | 'mm';
  parts: ResolvedPart[];
  offers: Offer[];
  settings: PlanSettings;
  /** The same parts where shapes lie each for itself and not head to tail in pairs; absent: there are no pairs. */
  singly?: ResolvedPart[];
  /** All that is wanted and there, as it was before any sawing; absent: nothing is sawn. */
  whole?: { parts: ResolvedPart[]; owned: Owned[] };
}
