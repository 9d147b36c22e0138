import { fail, ok, type Result } from '../result';
import { chosenOption } from './groups';
import { identifier } from './names';
import type { Group, Option, Part, Project } from './types';

/** The option of a group that a part stands in. */
export interface Home {
  group: Group;
  option: Option;
}

interface Found {
  part: Part;
  home: Home;
  word: string;
}

const indexes = new WeakMap<Project, Map<string, Found[]>>();

/** Every part of what is made, by the word that formulas have for it. */
const indexOf = (project: Project): Map<string, Found[]> => {
  const held = indexes.get(project);
  if (held) return held;
  const index = new Map<string, Found[]>();
  for (const group of project.groups) {
    const option = chosenOption(group);
    for (const part of option?.parts ?? []) {
      const word = identifier(part.name);
      if (option) index.set(word, [...(index.get(word) ?? []), { part, home: { group, option }, word }]);
    }
  }
  indexes.set(project, index);
  return index;
};

/** `rail`, `frame.rail`: in the same option, else anywhere among what is made. */
export const findPart = (
  project: Project,
  path: string[],
  home?: Home,
): Result<{ part: Part; home: Home }> => {
  const word = path.at(-1)?.toLowerCase() ?? '';
  const groupName = path.length > 1 ? path[0]?.toLowerCase() : undefined;
  const all = indexOf(project).get(word) ?? [];
  if (groupName === undefined && home) {
    const made = all.find((found) => found.home.option.id === home.option.id);
    const own = made?.part ?? home.option.parts.find((part) => identifier(part.name) === word);
    if (own) return ok({ part: own, home });
  }
  const [first, second] =
    groupName === undefined ? all : all.filter((found) => identifier(found.home.group.name) === groupName);
  if (!first) return fail('name', `there is no part ${path.join('.')}`);
  if (second)
    return fail(
      'name',
      `${word} is in ${first.home.group.name} and in ${second.home.group.name}; write ${identifier(first.home.group.name)}.${word}`,
    );
  return ok(first);
};

/** What is made of a group; undefined where there is no such group. */
export const homeOf = (project: Project, groupId: string | null): Home | undefined => {
  const group = project.groups.find(({ id }) => id === groupId);
  const option = group && chosenOption(group);
  return group && option ? { group, option } : undefined;
};
