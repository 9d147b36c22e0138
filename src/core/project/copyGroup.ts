import type { LengthUnit } from '../units';
import { apply } from './commands';
import { valueOf } from './formula';
import { findPart } from './findPart';
import { freeVariableName, numbered } from './names';
import { copyOption, measureAnswered, withOwnAnswers } from './options';
import {
  measureNames,
  namesUsed,
  replaceNames,
  renameGroup,
  renameVariable,
  rewriteFormulas,
  sameHome,
  valueLeaf,
} from './rewrite';
import type { Extra, Group, Project, Variable } from './types';
import { scopeOf } from './values';

/** A group that goes into another project, with the measures its formulas use and what it needs beside its parts. */
export interface CopiedGroup {
  group: Group;
  variables: Variable[];
  extras: Extra[];
}

/**
 * A group of one project for another, or for its own once more: under ids of its own and a name that is free there, with copies of
 * its measures under free names, so that nothing that is there moves. What it takes from another group comes as the length it has
 * now. Nothing of it is measured on a real thing yet, and a price that was typed for it stays behind where money is another there.
 * `idOf` gives each id of old a new one, the same for the same. Null: there is no such group.
 */
export const copyGroup = (
  source: Project,
  groupId: string,
  into: Project,
  idOf: (id: string) => string,
): CopiedGroup | null => {
  const from = inUnit(source, into.unit);
  const group = from.groups.find(({ id }) => id === groupId);
  if (!group) return null;
  const alone: Project = structuredClone({
    ...from,
    groups: [group],
    extras: from.extras.filter(({ groupId }) => groupId === group.id),
  });
  keepInside(from, alone);
  alone.variables = usedVariables(alone);
  const taken = [...into.variables, ...alone.variables].map(({ name }) => name);
  for (const variable of alone.variables) {
    const isTaken = into.variables.some(({ name }) => name.toLowerCase() === variable.name.toLowerCase());
    if (!isTaken) continue;
    const free = freeVariableName(variable.name, taken);
    taken.push(free);
    renameVariable(alone, variable.name, free);
    variable.name = free;
  }
  const name = numbered(group.name, (wanted) => into.groups.some((other) => other.name === wanted));
  renameGroup(alone, group.name, name);
  const newIds = new Map(alone.variables.map(({ id }) => [id, idOf(id)]));
  const copied = alone.groups[0] ?? group;
  return {
    group: {
      ...copied,
      id: idOf(group.id),
      name,
      chosen: idOf(group.chosen),
      options: copied.options.map((option) => {
        const copy = withOwnAnswers(copyOption(option, option.name, idOf), newIds);
        return { ...copy, parts: copy.parts.map(({ measured: _, ...part }) => part) };
      }),
    },
    variables: alone.variables.map((variable) => ({ ...variable, id: idOf(variable.id) })),
    extras: alone.extras.map(({ price, ...extra }) => ({
      ...extra,
      ...(price !== undefined && from.currency === into.currency ? { price } : {}),
      id: idOf(extra.id),
      groupId: idOf(group.id),
    })),
  };
};

const inUnit = (project: Project, unit: LengthUnit): Project =>
  project.unit === unit
    ? project
    : (apply(project, { type: 'editProject', fields: { unit } }, 0)?.document ?? project);

/** Puts what the formulas of `alone` take from groups that are not in it as the value it has in `from`. */
const keepInside = (from: Project, alone: Project): void => {
  const read = scopeOf(from);
  rewriteFormulas(alone, (text, { home }) =>
    replaceNames(text, (path) => {
      if (path.length < 2) return null;
      const there = home && sameHome(from, home);
      const found = findPart(from, path.slice(0, -1), there);
      if (!found.ok || alone.groups.some(({ id }) => id === found.value.home.group.id)) return null;
      const value = read(there).scope.lookUp(path);
      return value.ok ? valueLeaf(valueOf(value.value), value.value.dimension === 1, from.unit) : null;
    }),
  );
};

/** The measures that the formulas of a project use, and those that these are reckoned from. */
const usedVariables = (project: Project): Variable[] => {
  const formulas = new Map(project.variables.map(({ name, formula }) => [name.toLowerCase(), formula]));
  const answered = new Set(
    project.groups.flatMap(({ options }) =>
      options.flatMap(({ made }) => Object.values(made?.answers ?? {}).map(measureAnswered)),
    ),
  );
  const used = namesUsed({ ...project, variables: [] });
  for (const { id, name } of project.variables) if (answered.has(id)) used.add(name.toLowerCase());
  // What is added on the way is gone through too.
  for (const name of used) for (const needed of measureNames(formulas.get(name) ?? '')) used.add(needed);
  return project.variables.filter(({ name }) => used.has(name.toLowerCase()));
};
