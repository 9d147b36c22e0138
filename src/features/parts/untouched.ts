import { FIRST_GROUP, type Command, type Group, type Project } from '@/core/project';

/** Whether a group is as a new project has it: nothing was ever put in it. */
const isUntouched = ({ id, name, materials, options }: Group, { extras }: Project): boolean =>
  name === FIRST_GROUP &&
  materials.length === 0 &&
  options.length === 1 &&
  options.every(({ parts }) => parts.length === 0) &&
  extras.every(({ groupId }) => groupId !== id);

/** The group that a new project begins with gives way to the first that something is in. */
export const withoutUntouched = (project: Project): Command[] =>
  project.groups
    .filter((group) => isUntouched(group, project))
    .map(({ id }) => ({ type: 'removeGroup', groupId: id }));
