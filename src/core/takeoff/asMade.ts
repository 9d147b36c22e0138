import { chosenOption, operationOf, type Group, type Part, type Project } from '../project';
import { previewMade, toldBefore } from './build';
import type { Helper } from './types';

/**
 * Whether the parts that a helper made of a group are still what it would make of its measures, whatever they are called: a drawing
 * of the helper shows them as they are. Parts that were added by hand are none of them.
 */
export const isAsMade = (helper: Helper, project: Project, group: Group): boolean => {
  const option = chosenOption(group);
  if (!option?.made) return false;
  let last = 0;
  const anew = previewMade(helper, toldBefore(helper, option, project), {
    project,
    groupName: group.name,
    groupId: group.id,
    materials: group.materials,
    newId: () => `anew-${++last}`,
  });
  return anew.ok && sizesByRole(anew.value.option.parts) === sizesByRole(option.parts);
};

const sizesByRole = (parts: Part[]): string =>
  JSON.stringify(
    parts
      .filter(({ role }) => role !== undefined)
      .map(({ role, kind, quantity, section, length, width, ends, shape = [] }) => [
        role,
        kind,
        quantity,
        section,
        length?.ticks,
        width?.ticks,
        ends,
        shape.map(operationOf),
      ])
      .sort(),
  );
