import type { Draft } from 'immer';
import { parseLength, writeLength, type LengthUnit } from '../units';
import { groupName, label, partName } from './commandLabel';
import type { Command } from './commandTypes';
import { chosenOption } from './groups';
import { change, type Change } from './history';
import { namesUsed, pinUnits, renameGroup, renamePart, renameVariable, replaceVariable } from './rewrite';
import { patchesOf, recalculate } from './recalculate';
import type { Extra, Measure, Option, Part, Project, ProjectChange, Purchase, Variable } from './types';
import { isFormula, keepValues } from './values';

/** Applies one command. Null when it changes nothing: unknown ids and equal values included. */
export const apply = (
  project: Project,
  command: Command,
  at: number,
): { document: Project; change: Change } | null => {
  const result = change(project, label(project, command), at, (draft) => mutate(draft, command, project));
  if (!result) return null;
  const { project: document, changes, values } = recalculate(result.document);
  keepValues(document, values);
  const { patches, inverse } = patchesOf(changes);
  const whole: Change = {
    ...result.change,
    patches: [...result.change.patches, ...patches],
    inverse: [...inverse, ...result.change.inverse],
  };
  return { document, change: mergeable(whole, command) };
};

/** Editing one field goes on being one step while it is typed. */
const mergeable = (change: Change, command: Command): Change => {
  if (!('fields' in command)) return change;
  const of = Object.entries(command).find(([key]) => key.endsWith('Id'))?.[1] ?? 'project';
  return { ...change, merge: `${of}:${Object.keys(command.fields).join()}` };
};

type ProjectDraft = Draft<Project>;

const mutate = (draft: ProjectDraft, command: Command, before: Project): void => {
  switch (command.type) {
    case 'editProject':
      if (command.fields.unit && command.fields.unit !== draft.unit) {
        pinUnits(draft, draft.unit);
        keepMeasures(draft, command.fields.unit);
      }
      assign(draft, command.fields);
      // One sum, written anew, takes the place of sums by category.
      if (draft.target !== before.target && draft.budget) delete draft.budget.byCategory;
      return;
    case 'addGroup':
      draft.groups.push(command.group);
      return;
    case 'editGroup':
      if (command.fields.name !== undefined)
        renameGroup(draft, groupName(before, command.groupId), command.fields.name);
      assign(
        draft.groups.find((group) => group.id === command.groupId),
        command.fields,
      );
      return;
    case 'removeGroup':
      draft.groups = draft.groups.filter((group) => group.id !== command.groupId);
      draft.variables = withoutUnused(draft, ownMeasures(before, command.groupId));
      draft.extras = draft.extras.filter((extra) => extra.groupId !== command.groupId);
      return;
    case 'addPart':
      insert(partsOf(draft, command.groupId), command.part, command.index);
      return;
    case 'editPart': {
      const home = homeOf(draft, command.partId);
      if (command.fields.name !== undefined && command.fields.name !== partName(before, command.partId))
        renamePart(draft, before, command.partId, command.fields.name);
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
    case 'addParts':
      partsOf(draft, command.groupId)?.push(...command.parts);
      return;
    case 'addVariable':
      draft.variables.push(command.variable);
      return;
    case 'editVariable': {
      const variable = draft.variables.find(({ id }) => id === command.variableId);
      if (variable && command.fields.name !== undefined && command.fields.name !== variable.name)
        renameVariable(draft, variable.name, command.fields.name);
      assign(variable, command.fields);
      return;
    }
    case 'removeVariable':
      replaceVariable(draft, command.variableId);
      draft.variables = draft.variables.filter(({ id }) => id !== command.variableId);
      return;
    case 'addJoint': {
      const option = optionOf(draft, command.groupId);
      if (option) option.joints = [...(option.joints ?? []), command.joint];
      return;
    }
    case 'editJoint':
      assign(
        optionsOf(draft)
          .flatMap(({ joints }) => joints ?? [])
          .find(({ id }) => id === command.jointId),
        command.fields,
      );
      return;
    case 'removeJoint':
      for (const option of optionsOf(draft))
        if (option.joints?.some(({ id }) => id === command.jointId))
          option.joints = option.joints.filter(({ id }) => id !== command.jointId);
      return;
    case 'addExtra':
      if (draft.extras.some(({ id }) => id === command.extra.id)) return;
      draft.extras.push(command.extra);
      return;
    case 'editExtra':
      assign(
        draft.extras.find(({ id }) => id === command.extraId),
        command.fields,
      );
      return;
    case 'removeExtra':
      draft.extras = draft.extras.filter(({ id }) => id !== command.extraId);
      return;
    case 'addMade':
      draft.variables.push(...command.variables);
      draft.groups.push(command.group);
      draft.extras.push(...command.extras);
      return;
    case 'remake': {
      const group = draft.groups.find(({ id }) => id === command.groupId);
      if (!group) return;
      group.options = group.options.map((option) =>
        option.id === command.option.id ? command.option : option,
      );
      for (const variable of command.variables) {
        const held = draft.variables.find(({ id }) => id === variable.id);
        if (held) assign(held, variable);
        else draft.variables.push(variable);
      }
      const isTheHelpers = (extra: Extra) => extra.groupId === command.groupId && extra.role !== undefined;
      draft.extras = [...draft.extras.filter((extra) => !isTheHelpers(extra)), ...command.extras];
      return;
    }
    case 'editSettings':
      assign(draft.settings, command.fields);
      return;
    case 'putOption': {
      const group = draft.groups.find(({ id }) => id === command.groupId);
      const index = group?.options.findIndex(({ id }) => id === command.option.id) ?? -1;
      if (!group) return;
      // A copy: what comes after it in one step may change it, and the command stays as it was.
      const option = JSON.parse(JSON.stringify(command.option)) as Option;
      if (index < 0) group.options.push(option);
      else group.options[index] = option;
      return;
    }
    case 'chooseOption':
    case 'renameOption':
    case 'removeOption':
      changeOption(draft, command);
      return;
    case 'setAlternatives':
      if (command.alternatives) draft.alternatives = command.alternatives;
      else delete draft.alternatives;
      return;
    case 'choose':
      for (const one of command.changes) mutate(draft, one, before);
      return;
    case 'importParts':
      draft.groups = command.groups;
      draft.extras = draft.extras.filter(
        ({ groupId }) => groupId === null || command.groups.some(({ id }) => id === groupId),
      );
      return;
    case 'excludeStore':
      if (draft.excludedStores.includes(command.storeId) === command.excluded) return;
      draft.excludedStores = command.excluded
        ? [...draft.excludedStores, command.storeId]
        : draft.excludedStores.filter((id) => id !== command.storeId);
      return;
    case 'editMoney':
      assign(draft, command.fields);
      return;
    case 'recordPurchase':
      putPurchase(draft, command.purchase);
      if (command.baseline) draft.baseline ??= command.baseline;
      return;
    case 'recordPurchases':
      for (const purchase of command.purchases) putPurchase(draft, purchase);
      return;
    case 'removePurchase':
      draft.purchases = draft.purchases.filter((purchase) => purchase.id !== command.purchaseId);
  }
};

const putPurchase = (draft: ProjectDraft, purchase: Purchase): void => {
  const index = draft.purchases.findIndex(({ id }) => id === purchase.id);
  if (index < 0) draft.purchases.push(purchase);
  else if (JSON.stringify(draft.purchases[index]) !== JSON.stringify(purchase))
    draft.purchases[index] = purchase;
};

type OptionCommand = Extract<Command, { type: 'chooseOption' | 'renameOption' | 'removeOption' }>;

const changeOption = (draft: ProjectDraft, command: OptionCommand): void => {
  const group = draft.groups.find(({ id }) => id === command.groupId);
  const option = group?.options.find(({ id }) => id === command.optionId);
  if (!group || !option) return;
  if (command.type === 'chooseOption') group.chosen = option.id;
  else if (command.type === 'renameOption') option.name = command.name;
  else if (group.chosen !== option.id) group.options = group.options.filter(({ id }) => id !== option.id);
};

/** `project` as it would be with some changes; itself where they change nothing. */
export const withChanges = (project: Project, changes: ProjectChange[]): Project =>
  apply(project, { type: 'choose', name: '', changes }, 0)?.document ?? project;

/** Sets the fields that differ, so that a change without effect leaves no step to undo. */
const assign = <T extends object>(target: T | undefined, fields: Partial<T>): void => {
  if (!target) return;
  for (const key of Object.keys(fields) as (keyof T)[])
    if (JSON.stringify(target[key]) !== JSON.stringify(fields[key])) target[key] = fields[key] as T[keyof T];
};

const insert = <T>(list: T[] | undefined, entry: T, index = list?.length ?? 0): void => {
  list?.splice(index, 0, entry);
};

/** Ids of the measures that a helper made for a group. */
const ownMeasures = (project: Project, groupId: string): Set<string> =>
  new Set(
    (project.groups.find(({ id }) => id === groupId)?.options ?? [])
      .flatMap(({ made }) => Object.values(made?.answers ?? {}))
      .flatMap((answer) => (answer.startsWith('=') ? [answer.slice(1)] : [])),
  );

/** The measures without those of `ids` that no formula uses any more. */
const withoutUnused = (draft: ProjectDraft, ids: Set<string>): Variable[] => {
  let left = draft.variables;
  for (;;) {
    const used = namesUsed({ ...draft, variables: left });
    const kept = left.filter(({ id, name }) => !ids.has(id) || used.has(name.toLowerCase()));
    if (kept.length === left.length) return kept;
    left = kept;
  }
};

const optionOf = (draft: ProjectDraft, groupId: string): Option | undefined => {
  const group = draft.groups.find(({ id }) => id === groupId);
  return group && chosenOption(group);
};

const partsOf = (draft: ProjectDraft, groupId: string): Part[] | undefined => optionOf(draft, groupId)?.parts;

const optionsOf = (draft: ProjectDraft): Option[] => draft.groups.flatMap(({ options }) => options);

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
    if (isFormula(measure.text, draft.unit)) return;
    const read = parseLength(measure.text, unit);
    if (!read.ok || read.value !== measure.ticks) measure.text = writeLength(measure.ticks, draft.unit);
  };
  for (const group of draft.groups)
    for (const { parts } of group.options)
      for (const part of parts)
        [part.length, part.width, part.shortOk, part.measured?.length ?? null].forEach(keep);
  for (const variable of draft.variables) {
    if (variable.kind !== 'length' || isFormula(variable.formula, draft.unit)) continue;
    const ticks = parseLength(variable.formula, draft.unit);
    if (ticks.ok) variable.formula = writeLength(ticks.value, draft.unit);
  }
  const { kerf, endTrim, sheetTrim, shortOk } = draft.settings;
  [kerf, endTrim, sheetTrim, shortOk].forEach(keep);
};
