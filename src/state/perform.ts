import { assertNever } from '@/core/assertNever';
import { isBookCommand, redo, undo, withRecordedCharges, type History } from '@/core/project';
import type { BookRecord, ProjectRecord, Settings } from '@/data/records';
import { clearRedo, nextChange, replaceProject } from './history';
import { BOOK, type JournalEntry } from './journalEntry';
import { transact, type WorkspaceCommand } from './transaction';
import type { Workspace } from './workspace';

/** Records that something made anew; absent: it left them as they were. */
export interface Performed {
  record?: ProjectRecord;
  book?: BookRecord;
  settings?: Settings;
}

const NOTHING: Performed = {};

/** What was done to a record; undefined where there is none. */
export const historyIn = ({ records, book }: Workspace, key: string): History | undefined =>
  key === BOOK ? book.history : records[key]?.history;

/**
 * Does an entry to a workspace, as far as its records have not got it: `isIn` says which have, by their keys. Nothing, where
 * that cannot be done on what is there now.
 */
export const perform = (
  workspace: Workspace,
  entry: JournalEntry,
  isIn: (key: string) => boolean,
): Performed => {
  const { id, at, projectId } = entry;
  const record = projectId === null ? undefined : workspace.records[projectId];
  switch (entry.kind) {
    case 'commands': {
      const keyOf = (command: WorkspaceCommand) => (isBookCommand(command) ? BOOK : (projectId ?? ''));
      const commands = entry.commands.filter((command) => !isIn(keyOf(command)));
      return commands.length > 0 ? commanded(workspace, { ...entry, commands }) : NOTHING;
    }
    case 'turn':
      return turned(workspace, entry, isIn);
    case 'newProject':
      return record ? NOTHING : { record: entry.record };
    case 'replaceProject': {
      if (!record) return { record: entry.record };
      if (isIn(record.project.id)) return NOTHING;
      return { record: { ...replaceProject(record, entry.record.project, { id, at }), deletedAt: null } };
    }
    case 'deleteProject':
      return !record || isIn(record.project.id) || record.deletedAt === entry.deletedAt
        ? NOTHING
        : { record: { ...record, deletedAt: entry.deletedAt } };
    case 'settings':
      return { settings: { ...workspace.settings, ...entry.fields } };
    default:
      return assertNever(entry);
  }
};

const commanded = (
  workspace: Workspace,
  { id, at, projectId, commands, name }: Extract<JournalEntry, { kind: 'commands' }>,
): Performed => {
  const record = projectId === null ? undefined : workspace.records[projectId];
  const made = transact(
    { record, book: workspace.book },
    commands,
    { id, at, ...(projectId === null ? {} : { projectId }) },
    name,
  );
  const isProject = made.record !== record;
  const isBook = made.book !== workspace.book;
  // A change made anew ends what could be made again, in the project and in the book alike.
  const book = isBook ? made.book : isProject ? withoutRedoOf(workspace.book, projectId) : workspace.book;
  const history = made.record && !isProject && isBook ? clearRedo(made.record.history) : undefined;
  const own =
    made.record && history && history !== made.record.history ? { ...made.record, history } : made.record;
  return {
    ...(own && own !== record ? { record: own } : {}),
    ...(book === workspace.book ? {} : { book }),
  };
};

const withoutRedoOf = (book: BookRecord, projectId: string | null): BookRecord =>
  projectId !== null && book.history.future.at(-1)?.projectId === projectId
    ? { ...book, history: clearRedo(book.history) }
    : book;

/** Undo or redo, where the changes that it turned are still the next to be turned. */
const turned = (
  workspace: Workspace,
  { projectId, way, project, book }: Extract<JournalEntry, { kind: 'turn' }>,
  isIn: (key: string) => boolean,
): Performed => {
  const turn = way === 'undo' ? undo : redo;
  const record = projectId === null ? undefined : workspace.records[projectId];
  const isNext = (key: string, change: string | null) =>
    change !== null && !isIn(key) && nextChange(historyIn(workspace, key), way) === change;
  const ofProject =
    record && isNext(record.project.id, project) ? turn(record.project, record.history) : null;
  const ofBook = isNext(BOOK, book) ? turn(workspace.book.book, workspace.book.history) : null;
  return {
    ...(record && ofProject
      ? {
          record: {
            ...record,
            // A step of before trips were recorded may bring back a purchase without its own.
            project: withRecordedCharges(ofProject.document, workspace.book.book.stores),
            history: ofProject.history,
          },
        }
      : {}),
    ...(ofBook ? { book: { book: ofBook.document, history: ofBook.history } } : {}),
  };
};

/** The ids of the changes that undo or redo turns next, as `nextStep` found them. */
export const turnedIds = (
  workspace: Workspace,
  projectId: string | null,
  way: 'undo' | 'redo',
  { ofProject, ofBook }: { ofProject: boolean; ofBook: boolean },
): { project: string | null; book: string | null } => ({
  project: ofProject && projectId !== null ? nextChange(historyIn(workspace, projectId), way) : null,
  book: ofBook ? nextChange(workspace.book.history, way) : null,
});
