import type { Command } from './commandTypes';
import type { Project } from './types';

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
    case 'setAlternatives':
      return 'change what is compared';
    case 'choose':
      return `choose ${command.name}`;
    case 'excludeStore':
      return command.excluded ? 'leave out a store' : 'use a store again';
    case 'recordPurchase':
      return `bought ${command.purchase.lines.map(({ item }) => item.name).join(', ')}`;
    case 'editMoney':
      return 'target' in command.fields || 'budget' in command.fields
        ? 'change the target'
        : 'baseline' in command.fields
          ? 'keep the plan as it stands'
          : 'not wanted here';
    case 'recordPurchases':
      return `${command.purchases.length} purchases`;
    case 'removePurchase':
      return 'not bought after all';
  }
};
