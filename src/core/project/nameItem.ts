import type { Command } from './commands';
import type { Project } from './types';

/** The commands that let what has one of these ids, a part, an extra or a joint, be bought under a name of a shelf tag. */
export const nameItem = (project: Project, ids: string[], item: string): Command[] => {
  const wanted = new Set(ids);
  const options = project.groups.flatMap((group) => group.options);
  return [
    ...options
      .flatMap(({ parts }) => parts)
      .filter(({ id }) => wanted.has(id))
      .map(({ id }): Command => ({ type: 'editPart', partId: id, fields: { item } })),
    ...options
      .flatMap(({ joints = [] }) => joints)
      .filter(({ id }) => wanted.has(id))
      .map(({ id }): Command => ({ type: 'editJoint', jointId: id, fields: { item } })),
    ...project.extras
      .filter(({ id }) => wanted.has(id))
      .map(({ id }): Command => ({ type: 'editExtra', extraId: id, fields: { item } })),
  ];
};
