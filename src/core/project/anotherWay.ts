import { copyOption, measureAnswered, withOwnAnswers } from './options';
import { freeVariableName } from './names';
import { measureNames, namesUsed, renameVariable } from './rewrite';
import type { Group, Option, Project, Variable } from './types';

/** Another way to make a group, with measures of its own. */
export interface AnotherWay {
  option: Option;
  /** Copies of the measures that only the option it is made from has: to change them changes that way alone. */
  variables: Variable[];
}

/**
 * A copy of an option to be changed without changing the first. What measures the option alone uses are copied with it, under
 * names of their own; those that others use too stay shared. `idOf` gives each id of old a new one, the same for the same.
 */
export const anotherWay = (
  project: Project,
  group: Group,
  from: Option,
  name: string,
  idOf: (id: string) => string,
): AnotherWay => {
  const own = ownVariables(project, group, from);
  const taken = project.variables.map((variable) => variable.name);
  const copies = own.map((variable): Variable => {
    const free = freeVariableName(variable.name, taken);
    taken.push(free);
    return { ...variable, id: idOf(variable.id), name: free };
  });
  const copy = copyOption(from, name, idOf);
  // The copy and its measures alone, so that nothing else is renamed.
  const alone: Project = structuredClone({
    ...project,
    variables: copies,
    extras: [],
    groups: [{ ...group, options: [copy], chosen: copy.id }],
  });
  own.forEach((variable, index) =>
    renameVariable(alone, variable.name, copies[index]?.name ?? variable.name),
  );
  const option = alone.groups[0]?.options[0] ?? copy;
  return {
    option: withOwnAnswers(option, new Map(own.map(({ id }) => [id, idOf(id)]))),
    variables: alone.variables,
  };
};

/** The measures that an option uses and nothing else does. */
export const ownVariables = (project: Project, group: Group, option: Option): Variable[] => {
  const usedBy = (of: Partial<Project>): Set<string> =>
    namesUsed(structuredClone({ ...project, variables: [], extras: [], groups: [], ...of }));
  const inOption = usedBy({ groups: [{ ...group, options: [option] }] });
  const elsewhere = usedBy({
    extras: project.extras,
    groups: project.groups.map((other) =>
      other.id === group.id
        ? { ...other, options: other.options.filter(({ id }) => id !== option.id) }
        : other,
    ),
  });
  const answered = new Set(
    Object.values(option.made?.answers ?? {}).flatMap((answer) => measureAnswered(answer) ?? []),
  );
  const candidates = project.variables.filter(
    ({ id, name }) =>
      (inOption.has(name.toLowerCase()) || answered.has(id)) && !elsewhere.has(name.toLowerCase()),
  );
  // What a measure that stays is reckoned from stays with it.
  const kept = new Set(candidates.map(({ id }) => id));
  for (let before = -1; before !== kept.size;) {
    before = kept.size;
    for (const variable of project.variables)
      if (!kept.has(variable.id))
        for (const one of candidates)
          if (kept.has(one.id) && measureNames(variable.formula).includes(one.name.toLowerCase()))
            kept.delete(one.id);
  }
  return candidates.filter(({ id }) => kept.has(id));
};
