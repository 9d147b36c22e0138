import { partOf } from '../groups';
import type { Command } from './types';
import type { Project, PurchaseLine } from '../types';

/** What a part is called in the list of what was done. */
export const partName = (project: Project, partId: string): string =>
  partOf(project, partId)?.name ?? 'a part';

/** What a group is called in the list of what was done. */
export const groupName = (project: Project, groupId: string): string =>
  project.groups.find(({ id }) => id === groupId)?.name ?? 'a group';

const variableName = (project: Project, variableId: string): string =>
  project.variables.find(({ id }) => id === variableId)?.name ?? 'a measure';

type LabelOf<T extends Command['type']> = (
  command: Extract<Command, { type: T }>,
  project: Project,
) => string;

/** What each command does, in words. */
const LABELS: { [T in Command['type']]: LabelOf<T> } = {
  editProject: () => 'change project details',
  addGroup: ({ group }) => `add group ${group.name}`,
  editGroup: ({ groupId }, project) => `change group ${groupName(project, groupId)}`,
  removeGroup: ({ groupId }, project) => `delete group ${groupName(project, groupId)}`,
  addPart: ({ part }) => `add ${part.name}`,
  editPart: ({ partId }, project) => `change ${partName(project, partId)}`,
  removePart: ({ partId }, project) => `delete ${partName(project, partId)}`,
  movePart: ({ partId }, project) => `move ${partName(project, partId)}`,
  addParts: ({ parts }) => `add ${parts.length} parts`,
  addVariable: ({ variable }) => `add measure ${variable.name}`,
  editVariable: ({ variableId }, project) => `change ${variableName(project, variableId)}`,
  removeVariable: ({ variableId }, project) => `delete measure ${variableName(project, variableId)}`,
  addJoint: ({ joint }) => `fasten ${joint.name}`,
  editJoint: () => 'change fasteners',
  removeJoint: () => 'delete fasteners',
  addExtra: ({ extra }) => `add ${extra.name}`,
  editExtra: ({ extraId }, project) => `change ${extraName(project, extraId)}`,
  removeExtra: ({ extraId }, project) => `delete ${extraName(project, extraId)}`,
  addMade: ({ group }) => `add ${group.name}`,
  remake: ({ groupId }, project) => `make ${groupName(project, groupId)} anew`,
  importParts: () => 'import parts',
  editSettings: () => 'change how it is cut and bought',
  putOption: ({ groupId }, project) => `another way to make ${groupName(project, groupId)}`,
  chooseOption: ({ groupId }, project) => `make ${groupName(project, groupId)} another way`,
  renameOption: ({ groupId }, project) => `rename a way to make ${groupName(project, groupId)}`,
  removeOption: ({ groupId }, project) => `delete a way to make ${groupName(project, groupId)}`,
  addAlternative: () => 'change what is compared',
  removeAlternative: () => 'change what is compared',
  resetAlternatives: () => 'change what is compared',
  choose: ({ name }) => `choose ${name}`,
  excludeStore: ({ excluded }) => (excluded ? 'leave out a store' : 'use a store again'),
  addReadyMade: ({ seen }) => `ready made at ${seen.source}`,
  removeReadyMade: () => 'delete a ready-made price',
  editWork: () => 'change project details',
  addToCart: ({ lines }) => `${named(lines)} in the cart`,
  payCart: () => 'paid at the till',
  recordPurchase: ({ purchase }) => `bought ${named(purchase.lines)}`,
  recordPurchases: ({ entries }) => `${entries.length} purchases`,
  removePurchase: () => 'not bought after all',
  removeLine: ({ line }) => `${named([line])} not bought after all`,
  replaceLine: () => 'change what was paid',
  editPurchase: () => 'change what was paid',
  editTarget: () => 'change the target',
  keepBaseline: () => 'keep the plan as it stands',
  dismissReminder: () => 'not wanted here',
  measureBoard: () => 'measure a board',
  forgetBoard: () => 'forget how a board measures',
  sawBoard: ({ board }) => (board.done === 1 ? 'begin to saw a board' : 'saw a board'),
  unsawBoard: () => 'not sawn yet',
  spoilPiece: () => 'a piece cut wrong',
  unsawAll: () => 'begin again with all boards',
  orderAssembly: () => 'put groups together in another order',
  assembleGroup: ({ groupId, isDone }, project) =>
    isDone
      ? `put ${groupName(project, groupId)} together`
      : `${groupName(project, groupId)} is not together yet`,
};

/** What a command does, for the undo button. */
export const label = <T extends Command['type']>(
  project: Project,
  command: Extract<Command, { type: T }>,
): string => (LABELS[command.type as T] as LabelOf<T>)(command, project);

const extraName = (project: Project, extraId: string): string =>
  project.extras.find(({ id }) => id === extraId)?.name ?? '';

const named = (lines: PurchaseLine[]): string => lines.map(({ item }) => item.name).join(', ');
