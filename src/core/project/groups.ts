import type { Group, Option, Project } from './types';
import { letterOf } from './names';

/** How many of a group one of the project has. */
export const copiesOf = (group: Group | undefined): number => group?.copies ?? 1;

/** The option of a group that is made. */
export const chosenOption = (group: Group): Option | undefined =>
  group.options.find((option) => option.id === group.chosen) ?? group.options[0];

/** The groups that are made now, those left for later aside. */
export const madeNow = ({ groups }: Project): Group[] => groups.filter(({ isLater }) => !isLater);

/** The letter of every part that is cut, by id: A for the first of what is made, and on through the groups. */
export const partLetters = (project: Project): Record<string, string> =>
  Object.fromEntries(
    madeNow(project)
      .flatMap((group) => chosenOption(group)?.parts ?? [])
      .filter(({ kind }) => kind !== 'hardware')
      .map(({ id }, index) => [id, letterOf(index)]),
  );
