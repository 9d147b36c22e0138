import type { Command } from './types';
import { assertNever } from '../../assertNever';
import type { Project, PurchaseLine } from '../types';

export const partName = (project: Project, partId: string): string =>
  project.groups
    .flatMap(({ options }) => options)
    .flatMap(({ parts }) => parts)
    .find(({ id }) => id === partId)?.name ?? 'a part';

export const groupName = (project: Project, groupId: string): string =>
  project.groups.find(({ id }) => id === groupId)?.name ?? 'a group';

const variableName = (project: Project, variableId: string): string =>
  project.variables.find(({ id }) => id === variableId)?.name ?? 'a measure';

/** What a command does, for the undo button. */
export const label = (project: Project, command: Command): string => {
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
    case 'addParts':
      return `add ${command.parts.length} parts`;
    case 'addVariable':
      return `add measure ${command.variable.name}`;
    case 'editVariable':
      return `change ${variableName(project, command.variableId)}`;
    case 'removeVariable':
      return `delete measure ${variableName(project, command.variableId)}`;
    case 'addJoint':
      return `fasten ${command.joint.name}`;
    case 'editJoint':
      return 'change fasteners';
    case 'removeJoint':
      return 'delete fasteners';
    case 'addExtra':
      return `add ${command.extra.name}`;
    case 'editExtra':
    case 'removeExtra': {
      const name = project.extras.find(({ id }) => id === command.extraId)?.name ?? '';
      return `${command.type === 'editExtra' ? 'change' : 'delete'} ${name}`;
    }
    case 'addMade':
      return `add ${command.group.name}`;
    case 'remake':
      return `make ${groupName(project, command.groupId)} anew`;
    case 'importParts':
      return 'import parts';
    case 'editSettings':
      return 'change how it is cut and bought';
    case 'putOption':
      return `another way to make ${groupName(project, command.groupId)}`;
    case 'chooseOption':
      return `make ${groupName(project, command.groupId)} another way`;
    case 'renameOption':
    case 'removeOption':
      return `${command.type === 'renameOption' ? 'rename' : 'delete'} a way to make ${groupName(project, command.groupId)}`;
    case 'addAlternative':
    case 'removeAlternative':
    case 'resetAlternatives':
      return 'change what is compared';
    case 'choose':
      return `choose ${command.name}`;
    case 'excludeStore':
      return command.excluded ? 'leave out a store' : 'use a store again';
    case 'addReadyMade':
      return `ready made at ${command.seen.source}`;
    case 'removeReadyMade':
      return 'delete a ready-made price';
    case 'editWork':
      return 'change project details';
    case 'addToCart':
      return `${named(command.lines)} in the cart`;
    case 'payCart':
      return 'paid at the till';
    case 'recordPurchase':
      return `bought ${named(command.purchase.lines)}`;
    case 'recordPurchases':
      return `${command.entries.length} purchases`;
    case 'removePurchase':
      return 'not bought after all';
    case 'removeLine':
      return `${named([command.line])} not bought after all`;
    case 'replaceLine':
    case 'editPurchase':
      return 'change what was paid';
    case 'editTarget':
      return 'change the target';
    case 'keepBaseline':
      return 'keep the plan as it stands';
    case 'dismissReminder':
      return 'not wanted here';
    default:
      return assertNever(command);
  }
};

const named = (lines: PurchaseLine[]): string => lines.map(({ item }) => item.name).join(', ');
