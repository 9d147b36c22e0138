import { numbered, type Project } from '@/core/project';

/** Names that parts of a group have, in any of its ways. */
export const namesIn = (project: Project, groupId: string | undefined): Set<string> =>
  new Set(
    project.groups
      .find(({ id }) => id === groupId)
      ?.options.flatMap(({ parts }) => parts.map(({ name }) => name)) ?? [],
  );

/** Names are unique in their group: the second post is `Post 2`, the one after `Post 2` is `Post 3`. */
export const freeName = (names: ReadonlySet<string>, wanted: string): string =>
  names.has(wanted) ? numbered(wanted.replace(/ \d+$/, ''), (name) => names.has(name)) : wanted;
