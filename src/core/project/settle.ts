import { parseEnds, writeEnds } from '../wood';
import type { Part, Project } from './types';
import { measuresOf, valuesOf, type Values } from './values';

/** What of a part is not in step with its formulas. */
const changesOf = (part: Part, found: Values['parts'][string]): ((held: Part) => void)[] => {
  const changes: ((held: Part) => void)[] = [];
  for (const [field, measure] of measuresOf(part)) {
    const value = found[field];
    if (!measure || !value?.ok || value.value < 0 || measure.ticks === value.value) continue;
    const ticks = value.value;
    changes.push((held) => {
      const kept = measuresOf(held).find(([name]) => name === field)?.[1];
      if (kept) kept.ticks = ticks;
    });
  }
  const { quantity, angle } = found;
  if (quantity?.ok && part.quantity !== quantity.value)
    changes.push((held) => (held.quantity = quantity.value));
  const ends = parseEnds(part.ends);
  if (angle?.ok && ends.ok && ends.value.shape !== 'square') {
    const written = writeEnds({ ...ends.value, angle: angle.value });
    if (written !== part.ends) changes.push((held) => (held.ends = written));
  }
  return changes;
};

/**
 * Writes into `draft` what its formulas come to, so that every measure and count kept says what it follows from and
 * what that is. Where a formula is wrong the last value stays, and `resolve` tells. `project`: the same, at rest;
 * the draft is touched only where something differs.
 */
export const settle = (draft: Project, project: Project): void => {
  const values = valuesOf(project);
  project.groups.forEach((group, g) =>
    group.options.forEach((option, o) => {
      option.parts.forEach((part, p) => {
        const found = values.parts[part.id];
        const changes = found ? changesOf(part, found) : [];
        const held = changes.length > 0 ? draft.groups[g]?.options[o]?.parts[p] : undefined;
        if (held) for (const change of changes) change(held);
      });
      option.joints?.forEach((joint, j) => {
        const value = values.joints[joint.id];
        if (!value?.ok || joint.quantity === value.value) return;
        const held = draft.groups[g]?.options[o]?.joints?.[j];
        if (held) held.quantity = value.value;
      });
    }),
  );
};

/** A project with its measures in step with its formulas. */
export const settled = (project: Project): Project => {
  const copy = structuredClone(project);
  settle(copy, project);
  return copy;
};
