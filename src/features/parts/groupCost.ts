import { chosenOption, type Group, type Project } from '@/core/project';
import type { Minor } from '@/core/units';

/** What a group uses up as it is made: its parts, what joins them, and what is for it alone. `costs`: by id. */
export const groupCost = (project: Project, group: Group, costs: Record<string, Minor>): Minor => {
  const option = chosenOption(group);
  return [
    ...(option?.parts ?? []),
    ...(option?.joints ?? []),
    ...project.extras.filter(({ groupId }) => groupId === group.id),
  ].reduce((total, { id }) => total + (costs[id] ?? 0), 0);
};
