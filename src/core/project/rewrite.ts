import { writeLength, type LengthUnit } from '../units';
import {
  evaluateAs,
  mapFormula,
  namesIn,
  readFormula,
  toFraction,
  writeFormula,
  type Formula,
} from './formula';
import { findPart, homeOf, type Home } from './findPart';
import { identifier } from './names';
import type { Measure, Project } from './types';
import { measuresOf } from './partMeasures';
import { EXTRA_DIMENSIONS, isFormula, PER_DIMENSIONS, scopeOf, valuesOf } from './values';

interface Place {
  home: Home | undefined;
  /** 0: a number; 1: a length; 2: an area; 3: a volume. */
  dimension: number;
}

/** Goes to every formula of a project; `to` gives its new text, or null to leave it as it is written. */
export const rewriteFormulas = (
  project: Project,
  to: (text: string, place: Place) => string | null,
): void => {
  const measure = (held: Measure | null | undefined, home: Home) => {
    if (!held || !isFormula(held.text, project.unit)) return;
    held.text = to(held.text, { home, dimension: 1 }) ?? held.text;
  };
  for (const variable of project.variables)
    variable.formula =
      to(variable.formula, { home: undefined, dimension: variable.kind === 'length' ? 1 : 0 }) ??
      variable.formula;
  for (const group of project.groups)
    for (const option of group.options) {
      const home = { group, option };
      for (const part of option.parts) {
        for (const { measure: held } of measuresOf(part)) measure(held, home);
        for (const field of ['quantity', 'angle'] as const) {
          const text = part.formulas?.[field];
          if (part.formulas && text !== undefined)
            part.formulas[field] = to(text, { home, dimension: 0 }) ?? text;
        }
      }
      for (const joint of option.joints ?? [])
        if (joint.formula !== undefined)
          joint.formula = to(joint.formula, { home, dimension: 0 }) ?? joint.formula;
    }
  rewriteSums(project, to);
};

/** Those of a project as a whole: what is reckoned by area or volume, and what its cost is divided by. */
const rewriteSums = (project: Project, to: (text: string, place: Place) => string | null): void => {
  for (const extra of project.extras)
    if (extra.amount.trim() !== '')
      extra.amount =
        to(extra.amount, {
          home: homeOf(project, extra.groupId),
          dimension: EXTRA_DIMENSIONS[extra.rule],
        }) ?? extra.amount;
  if (project.per)
    project.per.formula =
      to(project.per.formula, { home: undefined, dimension: PER_DIMENSIONS[project.per.of] }) ??
      project.per.formula;
};

/** The names of measures that a formula uses, in small letters. */
export const measureNames = (text: string): string[] => {
  const formula = readFormula(text);
  return formula.ok
    ? namesIn(formula.value).flatMap(([name = '', ...rest]) =>
        rest.length === 0 ? [name.toLowerCase()] : [],
      )
    : [];
};

/** The names of measures that formulas of a project use, in small letters. */
export const namesUsed = (project: Project): Set<string> => {
  const used = new Set<string>();
  rewriteFormulas(project, (text) => {
    for (const name of measureNames(text)) used.add(name);
    return null;
  });
  return used;
};

/** A formula with some of its names replaced; null when none is, or when it cannot be read. */
export const replaceNames = (text: string, replace: (path: string[]) => Formula | null): string | null => {
  const formula = readFormula(text);
  if (!formula.ok) return null;
  let changed = 0;
  const next = mapFormula(formula.value, (part) => {
    const other = part.type === 'name' ? replace(part.path) : null;
    if (other !== null) changed++;
    return other;
  });
  return changed > 0 ? writeFormula(next) : null;
};

/** A value as it stands in a formula: a length of so many ticks, not under nothing, or a number. */
export const valueLeaf = (value: number, isLength: boolean, unit: LengthUnit): Formula =>
  isLength
    ? { type: 'length', ticks: toFraction(value), text: writeLength(Math.max(0, value), unit) }
    : { type: 'number', value: toFraction(value), text: String(value) };

/** Renames a variable in every formula. */
export const renameVariable = (project: Project, from: string, to: string): void =>
  rewriteFormulas(project, (text) =>
    replaceNames(text, ([name = '', ...rest]) =>
      rest.length === 0 && name.toLowerCase() === from.toLowerCase() ? { type: 'name', path: [to] } : null,
    ),
  );

/** Puts the value of a variable, as it is now, where its name stands. */
export const replaceVariable = (project: Project, variableId: string): void => {
  const variable = project.variables.find(({ id }) => id === variableId);
  const value = valuesOf(project).variables[variableId];
  if (!variable || !value?.ok) return;
  const leaf = valueLeaf(value.value, variable.kind === 'length', project.unit);
  rewriteFormulas(project, (text) =>
    replaceNames(text, ([name = '', ...rest]) =>
      rest.length === 0 && name.toLowerCase() === variable.name.toLowerCase() ? leaf : null,
    ),
  );
};

/** Renames a part in every formula that means it. `before`: the project in which it has its old name. */
export const renamePart = (project: Project, before: Project, partId: string, to: string): void =>
  rewriteFormulas(project, (text, { home }) =>
    replaceNames(text, (path) => {
      if (path.length < 2) return null;
      const found = findPart(before, path.slice(0, -1), home && sameHome(before, home));
      if (!found.ok || found.value.part.id !== partId) return null;
      return { type: 'name', path: [...path.slice(0, -2), identifier(to), path.at(-1) ?? ''] };
    }),
  );

/** The same group and option in another state of a project; undefined: they are not there. */
export const sameHome = (project: Project, { group, option }: Home): Home | undefined => {
  const other = project.groups.find(({ id }) => id === group.id);
  const same = other?.options.find(({ id }) => id === option.id);
  return other && same ? { group: other, option: same } : undefined;
};

/** Renames a group in every formula that names it. */
export const renameGroup = (project: Project, from: string, to: string): void =>
  rewriteFormulas(project, (text) =>
    replaceNames(text, (path) =>
      path.length === 3 && path[0]?.toLowerCase() === identifier(from)
        ? { type: 'name', path: [identifier(to), ...path.slice(1)] }
        : null,
    ),
  );

/** Gives every number that is taken for a length its unit, so that formulas mean the same when the project's unit changes. */
export const pinUnits = (project: Project, unit: LengthUnit): void => {
  const read = scopeOf(project);
  rewriteFormulas(project, (text, { home, dimension }) => {
    const formula = readFormula(text);
    if (!formula.ok) return null;
    const turned = new Map<Formula, 'length' | 'stepped'>();
    const scope = read(home).scope;
    evaluateAs(formula.value, dimension, { ...scope, turned: (part, into) => turned.set(part, into) });
    if (turned.size === 0) return null;
    const one = (size: string): Formula => ({ type: 'length', ticks: toFraction(0), text: size });
    const pinned = (part: Formula): Formula | null => {
      const into = turned.get(part);
      if (into === undefined) return null;
      turned.delete(part);
      if (into === 'stepped' && part.type === 'call') {
        const step = part.name === 'round' && unit === 'in' ? '1/16in' : `1${unit}`;
        return { ...part, inputs: [mapFormula(part.inputs[0] as Formula, pinned), one(step)] };
      }
      return part.type === 'number'
        ? one(`${part.text}${unit}`)
        : { type: 'binary', sign: '*', left: mapFormula(part, pinned), right: one(`1${unit}`) };
    };
    return writeFormula(mapFormula(formula.value, pinned));
  });
};
