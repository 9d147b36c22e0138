import { assertNever } from '../../assertNever';
import type { ProjectDraft } from './draft';
import type { Project } from '../types';
import type { SawCommand } from './types';

/** Changes what is known of the boards that are there, and of what is sawn. */
export const reduceSawing = (draft: ProjectDraft, command: SawCommand): void => {
  switch (command.type) {
    case 'measureBoard':
      draft.measuredBoards = withEntry(draft.measuredBoards, command.board);
      return;
    case 'forgetBoard':
      dropFrom(draft, 'measuredBoards', command.boardId);
      return;
    case 'sawBoard':
      draft.sawnBoards = withEntry(draft.sawnBoards, command.board);
      return;
    case 'unsawBoard':
      dropFrom(draft, 'sawnBoards', command.boardId);
      return;
    case 'spoilPiece': {
      const board = draft.sawnBoards?.find(({ id }) => id === command.boardId);
      const piece = board?.pieces[command.piece];
      if (piece && piece.spoiled !== command.left) piece.spoiled = command.left;
      return;
    }
    case 'unsawAll':
      if (draft.sawnBoards) delete draft.sawnBoards;
      return;
    case 'orderAssembly':
      setAssembly(draft, { ...assemblyIn(draft), order: command.order });
      return;
    case 'assembleGroup': {
      if (!draft.groups.some(({ id }) => id === command.groupId)) return;
      const held = assemblyIn(draft);
      const others = held.done.filter((id) => id !== command.groupId);
      setAssembly(draft, { ...held, done: command.isDone ? [...others, command.groupId] : others });
      return;
    }
    default:
      assertNever(command);
  }
};

type Assembly = NonNullable<Project['assembly']>;

const assemblyIn = ({ assembly }: ProjectDraft): Assembly => ({
  order: [...(assembly?.order ?? [])],
  done: [...(assembly?.done ?? [])],
});

const setAssembly = (draft: ProjectDraft, next: Assembly): void => {
  if (JSON.stringify(assemblyIn(draft)) !== JSON.stringify(next)) draft.assembly = next;
};

/** A list with an entry, in the place of one of its id; the list itself where it stands there already. */
const withEntry = <T extends { id: string }>(held: T[] | undefined, entry: T): T[] => {
  const entries = held ?? [];
  const index = entries.findIndex(({ id }) => id === entry.id);
  if (index < 0) return [...entries, entry];
  if (JSON.stringify(entries[index]) === JSON.stringify(entry)) return entries;
  return entries.map((one, at) => (at === index ? entry : one));
};

const dropFrom = (draft: ProjectDraft, field: 'measuredBoards' | 'sawnBoards', id: string): void => {
  const held: { id: string }[] = draft[field] ?? [];
  if (!held.some((one) => one.id === id)) return;
  if (held.length === 1) delete draft[field];
  else
    held.splice(
      held.findIndex((one) => one.id === id),
      1,
    );
};
