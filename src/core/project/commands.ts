import type { Draft } from 'immer';
import { parseLength, writeLength, type LengthUnit } from '../measure';
import { change, type Change } from './history';
import type { Group, Measure, Part, Project, Purchase } from './types';

type ProjectFields = Pick<Project, 'name' | 'note' | 'unit' | 'currency' | 'builds' | 'target' | 'settings'>;

/** Every way in which a project changes. Plain objects; new ids are made by whoever sends one. */
export type Command =
  | { type: 'editProject'; fields: Partial<ProjectFields> }
  | { type: 'addGroup'; group: Group }
  | { type: 'editGroup'; groupId: string; fields: Partial<Pick<Group, 'name' | 'exposure' | 'materials'>> }
  | { type: 'removeGroup'; groupId: string }
  | { type: 'addPart'; groupId: string; part: Part; index?: number }
  | { type: 'editPart'; partId: string; fields: Partial<Omit<Part, 'id'>> }
  | { type: 'removePart'; partId: string }
  | { type: 'movePart'; partId: string; groupId: string; index: number }
  | { type: 'importParts'; groups: Group[] }
  | { type: 'excludeStore'; storeId: string; excluded: boolean }
  /** A purchase of an id that is there already takes its place. */
  | { type: 'recordPurchase'; purchase: Purchase }
  | { type: 'removePurchase'; purchaseId: string };

/** Applies one command. Null when it changes nothing: unknown ids and equal values included. */
export const apply = (
  project: Project,
  command: Command,
  at: number,
): { document: Project; change: Change } | null =>
  mergeable(
    change(project, label(project, command), at, (draft) => mutate(draft, command)),
    command,
  );

/** Editing one field goes on being one step while it is typed. */
const mergeable = (result: ReturnType<typeof apply>, command: Command): ReturnType<typeof apply> => {
  if (!result || !('fields' in command)) return result;
  const of = 'partId' in command ? command.partId : 'groupId' in command ? command.groupId : 'project';
  return { ...result, change: { ...result.change, merge: `${of}:${Object.keys(command.fields).join()}` } };
};

type ProjectDraft = Draft<Project>;

const mutate = (draft: ProjectDraft, command: Command): void => {
  switch (command.type) {
    case 'editProject':
      if (command.fields.unit && command.fields.unit !== draft.unit) keepMeasures(draft, command.fields.unit);
      assign(draft, command.fields);
      return;
    case 'addGroup':
      draft.groups.push(command.group);
      return;
    case 'editGroup':
      assign(
        draft.groups.find((group) => group.id === command.groupId),
        command.fields,
      );
      return;
    case 'removeGroup':
      draft.groups = draft.groups.filter((group) => group.id !== command.groupId);
      return;
    case 'addPart':
      insert(partsOf(draft, command.groupId), command.part, command.index);
      return;
    case 'editPart': {
      const home = homeOf(draft, command.partId);
      assign(home?.parts[home.index], command.fields);
      return;
    }
    case 'removePart': {
      const home = homeOf(draft, command.partId);
      home?.parts.splice(home.index, 1);
      return;
    }
    case 'movePart': {
      const home = homeOf(draft, command.partId);
      const target = partsOf(draft, command.groupId);
      const part = home?.parts[home.index];
      if (!home || !target || !part || (home.parts === target && home.index === command.index)) return;
      home.parts.splice(home.index, 1);
      insert(target, part, command.index);
      return;
    }
    case 'importParts':
      draft.groups = command.groups;
      return;
    case 'excludeStore':
      if (draft.excludedStores.includes(command.storeId) === command.excluded) return;
      draft.excludedStores = command.excluded
        ? [...draft.excludedStores, command.storeId]
        : draft.excludedStores.filter((id) => id !== command.storeId);
      return;
    case 'recordPurchase': {
      const index = draft.purchases.findIndex(({ id }) => id === command.purchase.id);
      if (index < 0) draft.purchases.push(command.purchase);
      else draft.purchases[index] = command.purchase;
      return;
    }
    case 'removePurchase':
      draft.purchases = draft.purchases.filter((purchase) => purchase.id !== command.purchaseId);
  }
};

/** Sets the fields that differ, so that a change without effect leaves no step to undo. */
const assign = <T extends object>(target: T | undefined, fields: Partial<T>): void => {
  if (!target) return;
  for (const key of Object.keys(fields) as (keyof T)[])
    if (JSON.stringify(target[key]) !== JSON.stringify(fields[key])) target[key] = fields[key] as T[keyof T];
};

const insert = <T>(list: T[] | undefined, entry: T, index = list?.length ?? 0): void => {
  list?.splice(index, 0, entry);
};

const partsOf = (draft: ProjectDraft, groupId: string): Part[] | undefined => {
  const group = draft.groups.find(({ id }) => id === groupId);
  return (group?.options.find(({ id }) => id === group.chosen) ?? group?.options[0])?.parts;
};

const homeOf = (draft: ProjectDraft, partId: string): { parts: Part[]; index: number } | null => {
  for (const group of draft.groups)
    for (const { parts } of group.options) {
      const index = parts.findIndex(({ id }) => id === partId);
      if (index >= 0) return { parts, index };
    }
  return null;
};

/** Before the unit of bare numbers changes, texts that would then mean another length are given their unit. */
const keepMeasures = (draft: ProjectDraft, unit: LengthUnit): void => {
  const keep = (measure: Measure | null) => {
    if (!measure) return;
    const read = parseLength(measure.text, unit);
    if (!read.ok || read.value !== measure.ticks) measure.text = writeLength(measure.ticks, draft.unit);
  };
  for (const group of draft.groups)
    for (const { parts } of group.options)
      for (const part of parts) [part.length, part.width, part.shortOk].forEach(keep);
  const { kerf, endTrim, sheetTrim, shortOk } = draft.settings;
  [kerf, endTrim, sheetTrim, shortOk].forEach(keep);
};

const partName = (project: Project, partId: string): string =>
  project.groups
    .flatMap(({ options }) => options)
    .flatMap(({ parts }) => parts)
    .find(({ id }) => id === partId)?.name ?? 'a part';

const groupName = (project: Project, groupId: string): string =>
  project.groups.find(({ id }) => id === groupId)?.name ?? 'a group';

/** What a command does, for the undo button. */
const label = (project: Project, command: Command): string => {
  switch (command.type) {
    case 'editProject':
      return 'change project details';
    case 'addGroup':
      return `add group ${command.group.name}`;
    case 'editGroup':
      return `change group ${groupName(project, command.groupId)}`;
    case 'removeGroup':
      return `delete group ${groupName(project, command.groupId)}`;
    case 'addPart':
      return `add ${command.part.name}`;
    case 'editPart':
      return `change ${partName(project, command.partId)}`;
    case 'removePart':
      return `delete ${partName(project, command.partId)}`;
    case 'movePart':
      return `move ${partName(project, command.partId)}`;
    case 'importParts':
      return 'import parts';
    case 'excludeStore':
      return command.excluded ? 'leave out a store' : 'use a store again';
    case 'recordPurchase':
      return `bought ${command.purchase.lines.map(({ item }) => item.name).join(', ')}`;
    case 'removePurchase':
      return 'not bought after all';
  }
};
