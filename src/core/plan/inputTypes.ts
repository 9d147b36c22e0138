import type { CuttingProblem } from '../cutting/model';
import type { PlanSettings, ResolvedPart } from '../project';
import type { Offer } from '../pricing';

export type { Owned, StoreTerms } from '../cutting/model';

/** A cutting problem made of a project and the price book, with what its words need. */
export interface PlanInput extends CuttingProblem {
  unit: 'in' | 'mm';
  parts: ResolvedPart[];
  offers: Offer[];
  settings: PlanSettings;
}
