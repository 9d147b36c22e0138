import type { Draft } from 'immer';
import { chosenOption } from '../groups';
import type { Option, Part, Project } from '../types';

/** A project that is being changed. */
export type ProjectDraft = Draft<Project>;

/** Sets the fields that differ, so that a change without effect leaves no step to undo. */
export const assign = <T extends object>(target: T | undefined, fields: Partial<T>): void => {
  if (!target) return;
  for (const key of Object.keys(fields) as (keyof T)[])
    if (JSON.stringify(target[key]) !== JSON.stringify(fields[key])) target[key] = fields[key] as T[keyof T];
};

/** Puts an entry at a place of a list; at its end where none is given. */
export const insert = <T>(list: T[] | undefined, entry: T, index = list?.length ?? 0): void => {
  list?.splice(index, 0, entry);
};

/** Takes what is meant out of a list; where nothing is, the list is left as it is and no step to undo comes of it. */
export const takeOut = <T>(list: T[] | undefined, isMeant: (entry: T) => boolean): void => {
  for (let index = (list?.length ?? 0) - 1; list && index >= 0; index--)
    if (isMeant(list[index] as T)) list.splice(index, 1);
};

/** The option of a group that is made now. */
export const optionOf = (draft: ProjectDraft, groupId: string): Option | undefined => {
  const group = draft.groups.find(({ id }) => id === groupId);
  return group && chosenOption(group);
};

/** All options of all groups. */
export const optionsOf = (draft: ProjectDraft): Option[] => draft.groups.flatMap(({ options }) => options);

/** The list that a part stands in, and its place there; null where there is none of that id. */
export const homeOfPart = (draft: ProjectDraft, partId: string): { parts: Part[]; index: number } | null => {
  for (const { parts } of optionsOf(draft)) {
    const index = parts.findIndex(({ id }) => id === partId);
    if (index >= 0) return { parts, index };
  }
  return null;
};
