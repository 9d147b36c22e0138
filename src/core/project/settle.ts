import { parseEnds, writeEnds } from '../wood';
import type { Project } from './types';
import { measuresOf, valuesOf } from './values';

/**
 * Writes into `draft` what its formulas come to, so that every measure and count kept says what it follows from and
 * what that is. Where a formula is wrong the last value stays, and `resolve` tells. `project`: the same, at rest.
 */
export const settle = (draft: Project, project: Project): void => {
  const values = valuesOf(project);
  for (const group of draft.groups)
    for (const option of group.options) {
      for (const part of option.parts) {
        const found = values.parts[part.id];
        if (!found) continue;
        for (const [field, measure] of measuresOf(part)) {
          const value = found[field];
          if (measure && value?.ok && value.value >= 0 && measure.ticks !== value.value)
            measure.ticks = value.value;
        }
        if (found.quantity?.ok && part.quantity !== found.quantity.value)
          part.quantity = found.quantity.value;
        const ends = parseEnds(part.ends);
        if (found.angle?.ok && ends.ok && ends.value.shape !== 'square') {
          const written = writeEnds({ ...ends.value, angle: found.angle.value });
          if (written !== part.ends) part.ends = written;
        }
      }
      for (const joint of option.joints ?? []) {
        const value = values.joints[joint.id];
        if (value?.ok && joint.quantity !== value.value) joint.quantity = value.value;
      }
    }
};

/** A project with its measures in step with its formulas. */
export const settled = (project: Project): Project => {
  const copy = structuredClone(project);
  settle(copy, project);
  return copy;
};
