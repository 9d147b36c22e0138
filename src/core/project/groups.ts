import type { Ticks } from '../units';
import type { Group, Option, Part, Project } from './types';
import { letterOf } from './names';

/** How many of a group one of the project has. */
export const copiesOf = (group: Group | undefined): number => group?.copies ?? 1;

/** The option of a group that is made. */
export const chosenOption = (group: Group): Option | undefined =>
  group.options.find((option) => option.id === group.chosen) ?? group.options[0];

/** The groups that are made now, those left for later aside. */
export const madeNow = ({ groups }: Project): Group[] => groups.filter(({ isLater }) => !isLater);

/** Whether something is in a group, as it is made. */
export const hasParts = (group: Group): boolean => (chosenOption(group)?.parts ?? []).length > 0;

/** Whether a group is left for another time, with something in it: its cost is put off, not saved. */
export const isLeftForLater = (group: Group): boolean => group.isLater === true && hasParts(group);

/** The parts of a group, as it is made, that are cut from wood. */
export const cutParts = (group: Group): Part[] =>
  (chosenOption(group)?.parts ?? []).filter(({ kind }) => kind !== 'hardware');

/** The part of an id, in whichever way a group may be made; undefined: there is none. */
export const partOf = ({ groups }: Pick<Project, 'groups'>, partId: string): Part | undefined =>
  groups.flatMap(({ options }) => options.flatMap(({ parts }) => parts)).find(({ id }) => id === partId);

/**
 * How much longer a part is sawn, since it is cut to fit and not measured yet, in ticks; 0: it is sawn as planned, as a shaped part is,
 * for what is drawn on it has its measures.
 */
export const fitOverOf = ({
  kind,
  fitOver,
  measured,
  shape = [],
}: Pick<Part, 'kind' | 'fitOver' | 'measured' | 'shape'>): Ticks =>
  kind === 'hardware' || measured || shape.length > 0 ? 0 : (fitOver?.ticks ?? 0);

/** What a part may be of: its own materials, or else its group's. */
export const materialsOf = (part: Pick<Part, 'materials'>, group: Pick<Group, 'materials'>): string[] =>
  part.materials.length > 0 ? part.materials : group.materials;

/** The letter of every part that is cut, by id: A for the first of what is made, and on through the groups. */
export const partLetters = (project: Project): Record<string, string> =>
  Object.fromEntries(
    madeNow(project)
      .flatMap(cutParts)
      .map(({ id }, index) => [id, letterOf(index)]),
  );

/** A part by its letter and its name: `A Leg`. */
export const withLetter = (letters: Record<string, string>, partId: string, name: string): string =>
  `${letters[partId] ?? ''} ${name}`.trim();
