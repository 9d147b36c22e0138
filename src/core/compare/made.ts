import { nameKey } from '../lumber';
import { madeNow, resolve, type Book, type Group, type Project } from '../project';
import type { Plan } from '../plan';

/** A material that the plan makes parts of a group of. */
export interface Made {
  material: string;
  group: Group;
}

/** Of what a plan makes the parts of which groups, each once. */
export const madeOf = (project: Project, book: Book, plan: Plan): Made[] => {
  const groupOf = new Map(resolve(project, book.materials).parts.map(({ id, groupId }) => [id, groupId]));
  const groups = new Map(madeNow(project).map((group) => [group.id, group]));
  const found = new Map<string, Made>();
  for (const { material, pieces } of plan.layouts)
    for (const { partId } of pieces) {
      const group = groups.get(groupOf.get(partId) ?? '');
      if (group) found.set(`${group.id}:${nameKey(material)}`, { material, group });
    }
  return [...found.values()];
};
