import { partOf } from './groups';
import type { Project, ProjectChange } from './types';

/** What stands for a field that is absent, where something else than absent says the same. */
const ABSENT: Record<string, unknown> = {
  copies: 1,
  isLater: false,
  nearFood: false,
  leavesRack: false,
  treatedNearFood: 'avoid',
  per: null,
  shape: [],
  shows: 'all',
  role: '',
};

/**
 * The changes that make of a project with `changes` what it is now: the last of them taken back first. Null where it cannot be said as
 * changes.
 */
export const wayBack = (project: Project, changes: ProjectChange[]): ProjectChange[] | null => {
  const back: ProjectChange[] = [];
  for (const change of changes) {
    const one = backOf(project, change);
    if (!one) return null;
    back.unshift(...one);
  }
  return back;
};

const backOf = (project: Project, change: ProjectChange): ProjectChange[] | null => {
  const group = 'groupId' in change ? project.groups.find(({ id }) => id === change.groupId) : undefined;
  switch (change.type) {
    case 'editProject': {
      const fields = fieldsBefore(project, change.fields);
      return fields && [{ ...change, fields }];
    }
    case 'editSettings': {
      const fields = fieldsBefore(project.settings, change.fields);
      return fields && [{ ...change, fields }];
    }
    case 'editGroup': {
      const fields = fieldsBefore(group, change.fields);
      return fields && [{ ...change, fields }];
    }
    case 'editPart': {
      const fields = fieldsBefore(partOf(project, change.partId), change.fields);
      return fields && [{ ...change, fields }];
    }
    case 'editVariable': {
      const held = project.variables.find(({ id }) => id === change.variableId);
      const fields = fieldsBefore(held, change.fields);
      return fields && [{ ...change, fields }];
    }
    case 'putOption': {
      const held = group?.options.find(({ id }) => id === change.option.id);
      // One that was not there before does no harm where it is not chosen.
      return held ? [{ ...change, option: held }] : [];
    }
    case 'chooseOption':
      return group ? [{ ...change, optionId: group.chosen }] : null;
    case 'addExtra':
      return [{ type: 'removeExtra', extraId: change.extra.id }];
    case 'removeExtra': {
      const extra = project.extras.find(({ id }) => id === change.extraId);
      return extra ? [{ type: 'addExtra', extra }] : [];
    }
    case 'excludeStore':
      return [{ ...change, excluded: project.excludedStores.includes(change.storeId) }];
  }
};

/** What the fields that are changed are now; null where one of them is absent and nothing stands for that. */
const fieldsBefore = <F extends object>(held: object | undefined, fields: F): F | null => {
  if (!held) return null;
  const before: Record<string, unknown> = {};
  for (const key of Object.keys(fields)) {
    const value = (held as Record<string, unknown>)[key] ?? ABSENT[key];
    const isNull = (held as Record<string, unknown>)[key] === null;
    if (value === undefined && !isNull) return null;
    before[key] = isNull ? null : value;
  }
  return before as F;
};
