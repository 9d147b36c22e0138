import { mirroredShape } from '../shaping';
import { sidesOf } from '../sides';
import { assertNever } from '../../assertNever';
import { namesUsed, renameGroup, renamePart } from '../rewrite';
import type { Project } from '../types';
import { assign, homeOfPart, insert, optionOf, optionsOf, takeOut, type ProjectDraft } from './draft';
import { groupName, partName } from './label';
import type { GroupCommand } from './types';

/** Changes groups, their parts and what joins those. */
export const reduceGroups = (draft: ProjectDraft, command: GroupCommand, before: Project): void => {
  switch (command.type) {
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
      takeOut(draft.groups, ({ id }) => id === command.groupId);
      dropUnused(draft, ownMeasures(before, command.groupId));
      takeOut(draft.extras, ({ groupId }) => groupId === command.groupId);
      return;
    case 'importParts':
      draft.groups = command.groups;
      takeOut(
        draft.extras,
        ({ groupId }) => groupId !== null && !command.groups.some(({ id }) => id === groupId),
      );
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
      for (const option of optionsOf(draft)) takeOut(option.joints, ({ id }) => id === command.jointId);
      return;
    default:
      reduceParts(draft, command, before);
  }
};

type PartCommand = Extract<
  GroupCommand,
  { type: 'addPart' | 'addParts' | 'editPart' | 'removePart' | 'movePart' }
>;

const reduceParts = (draft: ProjectDraft, command: PartCommand, before: Project): void => {
  switch (command.type) {
    case 'addPart':
      insert(optionOf(draft, command.groupId)?.parts, command.part, command.index);
      return;
    case 'addParts':
      optionOf(draft, command.groupId)?.parts.push(...command.parts);
      return;
    case 'editPart': {
      const home = homeOfPart(draft, command.partId);
      if (command.fields.name !== undefined && command.fields.name !== partName(before, command.partId))
        renamePart(draft, before, command.partId, command.fields.name);
      assign(home?.parts[home.index], command.fields);
      if ('shape' in command.fields) shapeImages(draft, command.partId);
      return;
    }
    case 'removePart': {
      const home = homeOfPart(draft, command.partId);
      home?.parts.splice(home.index, 1);
      return;
    }
    case 'movePart': {
      const home = homeOfPart(draft, command.partId);
      const target = optionOf(draft, command.groupId)?.parts;
      const part = home?.parts[home.index];
      if (!home || !target || !part || (home.parts === target && home.index === command.index)) return;
      home.parts.splice(home.index, 1);
      insert(target, part, command.index);
      return;
    }
    default:
      assertNever(command);
  }
};

/** The mirror images of a part are shaped as it is, the other way round. */
const shapeImages = (draft: ProjectDraft, partId: string): void => {
  for (const group of draft.groups)
    for (const { parts } of group.options) {
      const original = parts.find(({ id }) => id === partId);
      if (!original) continue;
      for (const image of parts.filter(({ mirrorOf }) => mirrorOf === partId)) {
        const sides = sidesOf(image, group, draft.unit);
        const shape = mirroredShape(original.shape ?? [], sides.ok ? sides.value.width : 0, draft.unit);
        if (shape.length > 0) image.shape = shape;
        else delete image.shape;
      }
    }
};

/** Ids of the measures that a helper made for a group. */
const ownMeasures = (project: Project, groupId: string): Set<string> =>
  new Set(
    (project.groups.find(({ id }) => id === groupId)?.options ?? [])
      .flatMap(({ made }) => Object.values(made?.answers ?? {}))
      .flatMap((answer) => (answer.startsWith('=') ? [answer.slice(1)] : [])),
  );

/** Takes away those measures of `ids` that no formula uses any more. */
const dropUnused = (draft: ProjectDraft, ids: Set<string>): void => {
  for (let before = Infinity; draft.variables.length < before;) {
    before = draft.variables.length;
    const used = namesUsed(draft);
    takeOut(draft.variables, ({ id, name }) => ids.has(id) && !used.has(name.toLowerCase()));
  }
};
