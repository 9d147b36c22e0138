import type { Patch } from 'immer';
import { parseEnds, writeEnds } from '../lumber';
import type { Joint, Option, Part, Project } from './types';
import { measuresOf } from './partMeasures';
import { valuesOf, type Values } from './values';

/** What one measure or count came to, and where in the project it stands. */
export interface Recalculated {
  path: (string | number)[];
  from: unknown;
  to: unknown;
}

type Tell = (path: Recalculated['path'], from: unknown, to: unknown) => void;

/** A record with another value at a path of it, all else shared. */
const withAt = <T>(held: T, [key, ...path]: (string | number)[], value: unknown): T => {
  if (key === undefined) return value as T;
  if (Array.isArray(held))
    return held.map((entry, index) => (index === key ? withAt(entry, path, value) : entry)) as T;
  return { ...held, [key]: withAt((held as Record<string, unknown>)[key], path, value) };
};

const settledPart = (part: Part, found: Values['parts'][string] | undefined, tell: Tell): Part => {
  if (!found) return part;
  let made = part;
  for (const { field, measure, path } of measuresOf(part)) {
    const value = found[field];
    if (!measure || !value?.ok || value.value < 0 || measure.ticks === value.value) continue;
    tell([...path, 'ticks'], measure.ticks, value.value);
    made = withAt(made, path, { ...measure, ticks: value.value });
  }
  const { quantity, angle } = found;
  if (quantity?.ok && part.quantity !== quantity.value) {
    tell(['quantity'], part.quantity, quantity.value);
    made = { ...made, quantity: quantity.value };
  }
  const ends = parseEnds(part.ends);
  if (angle?.ok && ends.ok && ends.value.shape !== 'square') {
    const written = writeEnds({ ...ends.value, angle: angle.value });
    if (written !== part.ends) {
      tell(['ends'], part.ends, written);
      made = { ...made, ends: written };
    }
  }
  return made;
};

const settledJoint = (joint: Joint, value: Values['joints'][string] | undefined, tell: Tell): Joint => {
  if (!value?.ok || joint.quantity === value.value) return joint;
  tell(['quantity'], joint.quantity, value.value);
  return { ...joint, quantity: value.value };
};

/** `list` itself when nothing in it became another. */
const mapped = <T>(list: T[], map: (entry: T, index: number) => T): T[] => {
  const next = list.map(map);
  return next.some((entry, index) => entry !== list[index]) ? next : list;
};

const settledOption = (option: Option, values: Values, tell: Tell): Option => {
  const at =
    (list: string, index: number): Tell =>
    (path, from, to) =>
      tell([list, index, ...path], from, to);
  const parts = mapped(option.parts, (part, p) => settledPart(part, values.parts[part.id], at('parts', p)));
  const held = option.joints ?? [];
  const joints = mapped(held, (joint, j) => settledJoint(joint, values.joints[joint.id], at('joints', j)));
  if (parts === option.parts && joints === held) return option;
  return { ...option, parts, ...(joints === held ? {} : { joints }) };
};

/**
 * `project` with every measure and count that follows from a formula at what the formula comes to, what stays the
 * same shared with it; and what became another. Where a formula is wrong the last value stays, and `resolve` tells.
 */
export const recalculate = (
  project: Project,
): { project: Project; changes: Recalculated[]; values: Values } => {
  const values = valuesOf(project);
  const changes: Recalculated[] = [];
  const groups = mapped(project.groups, (group, g) => {
    const options = mapped(group.options, (option, o) =>
      settledOption(option, values, (path, from, to) =>
        changes.push({ path: ['groups', g, 'options', o, ...path], from, to }),
      ),
    );
    return options === group.options ? group : { ...group, options };
  });
  return { project: groups === project.groups ? project : { ...project, groups }, changes, values };
};

/** A project with its measures in step with its formulas. */
export const recalculated = (project: Project): Project => recalculate(project).project;

/** The same as patches: to make the changes again, and to take them back. */
export const patchesOf = (changes: Recalculated[]): { patches: Patch[]; inverse: Patch[] } => ({
  patches: changes.map(({ path, to }) => ({ op: 'replace', path, value: to })),
  inverse: changes.map(({ path, from }) => ({ op: 'replace', path, value: from })),
});
