import { assertNever } from '../../assertNever';
import type { Project } from '../types';
import { assign, takeOut, type ProjectDraft } from './draft';
import type { CompareCommand } from './types';

/** Changes what is compared, and what building is held against. */
export const reduceComparison = (
  draft: ProjectDraft,
  command: Exclude<CompareCommand, { type: 'choose' }>,
): void => {
  switch (command.type) {
    case 'addAlternative': {
      const held = draft.alternatives ?? command.proposed;
      if (held.length >= command.most || held.some(({ id }) => id === command.alternative.id)) return;
      draft.alternatives = [...held, command.alternative];
      return;
    }
    case 'removeAlternative': {
      const held = draft.alternatives ?? command.proposed;
      const left = held.filter(({ id }) => id !== command.alternativeId);
      if (left.length < held.length) draft.alternatives = left;
      return;
    }
    case 'resetAlternatives':
      if (draft.alternatives) delete draft.alternatives;
      return;
    case 'addReadyMade':
      if (!draft.readyMade?.some(({ id }) => id === command.seen.id))
        draft.readyMade = [...(draft.readyMade ?? []), command.seen];
      return;
    case 'removeReadyMade':
      takeOut(draft.readyMade, ({ id }) => id === command.seenId);
      return;
    case 'editWork':
      if (draft.work) assign(draft.work, command.fields);
      else draft.work = { ...NO_WORK, ...command.fields };
      return;
    default:
      assertNever(command);
  }
};

const NO_WORK: NonNullable<Project['work']> = { hours: null, rate: null, beside: null };
