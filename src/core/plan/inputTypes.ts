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
  /** All that is wanted and there, as it was before any sawing; absent: nothing is sawn. */
  whole?: { parts: ResolvedPart[]; owned: Owned[] };
}
