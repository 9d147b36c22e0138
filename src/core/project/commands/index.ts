import { assertNever } from '../../assertNever';
import { change, type Change } from '../history';
import { patchesOf, recalculate } from '../recalculate';
import type { Project, ProjectChange } from '../types';
import { keepValues } from '../values';
import { reduceComparison } from './comparison';
import { reduceDetails } from './details';
import type { ProjectDraft } from './draft';
import { reduceGroups } from './groups';
import { label } from './label';
import { reduceMoney } from './money';
import { reduceOptions } from './options';
import { reduceSawing } from './sawing';
import type { Command } from './types';

export type { Command } from './types';

/** Applies one command. Null when it changes nothing: unknown ids and equal values included. */
export const apply = (
  project: Project,
  command: Command,
  at: number,
): { document: Project; change: Change } | null => {
  const result = change(project, label(project, command), at, (draft) => reduce(draft, command, project));
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

/** So many of what was decided are kept, the latest. */
const MAX_DECISIONS = 50;

/** Every command, handled by its aggregate; one that none handles does not compile. */
const reduce = (draft: ProjectDraft, command: Command, before: Project): void => {
  switch (command.type) {
    case 'addGroup':
    case 'editGroup':
    case 'removeGroup':
    case 'addPart':
    case 'addParts':
    case 'editPart':
    case 'removePart':
    case 'movePart':
    case 'importParts':
    case 'addJoint':
    case 'editJoint':
    case 'removeJoint':
      return reduceGroups(draft, command, before);
    case 'putOption':
    case 'chooseOption':
    case 'renameOption':
    case 'removeOption':
    case 'addMade':
    case 'remake':
      return reduceOptions(draft, command);
    case 'editProject':
    case 'editVariable':
    case 'editSettings':
    case 'addExtra':
    case 'editExtra':
    case 'removeExtra':
    case 'excludeStore':
    case 'addVariable':
    case 'removeVariable':
      return reduceDetails(draft, command, before);
    case 'addAlternative':
    case 'removeAlternative':
    case 'resetAlternatives':
    case 'addReadyMade':
    case 'removeReadyMade':
    case 'editWork':
      return reduceComparison(draft, command);
    case 'choose':
      for (const one of command.changes) reduce(draft, one, before);
      if (command.decision)
        draft.decisions = [...(draft.decisions ?? []), command.decision].slice(-MAX_DECISIONS);
      return;
    case 'editTarget':
    case 'keepBaseline':
    case 'dismissReminder':
    case 'addToCart':
    case 'payCart':
    case 'recordPurchase':
    case 'recordPurchases':
    case 'removePurchase':
    case 'removeLine':
    case 'replaceLine':
    case 'editPurchase':
      return reduceMoney(draft, command);
    case 'measureBoard':
    case 'forgetBoard':
    case 'sawBoard':
    case 'unsawBoard':
    case 'spoilPiece':
    case 'unsawAll':
    case 'orderAssembly':
    case 'assembleGroup':
      return reduceSawing(draft, command);
    default:
      assertNever(command);
  }
};

/** `project` as it would be with some changes; itself where they change nothing. */
export const withChanges = (project: Project, changes: ProjectChange[]): Project =>
  apply(project, { type: 'choose', name: '', changes }, 0)?.document ?? project;
