import {
  apply,
  applyToBook,
  isBookCommand,
  remember,
  type BookCommand,
  type Change,
  type Command,
} from '@/core/project';
import type { BookRecord, ProjectRecord } from '@/data/records';

/** What can be dispatched: changes of a project and of the price book. */
export type WorkspaceCommand = Command | BookCommand;

/** The records that a transaction works on. */
export interface Documents {
  /** Undefined: no project is open, and commands for one change nothing. */
  record: ProjectRecord | undefined;
  book: BookRecord;
}

const merged = (changes: Change[], step: { id: string; projectId?: string }): Change | null => {
  const [first] = changes;
  if (!first) return null;
  const only = changes.length === 1;
  return {
    label: first.label,
    at: first.at,
    patches: changes.flatMap(({ patches }) => patches),
    inverse: [...changes].reverse().flatMap(({ inverse }) => inverse),
    step: step.id,
    ...(step.projectId === undefined ? {} : { projectId: step.projectId }),
    ...(only && first.merge !== undefined ? { merge: first.merge } : {}),
  };
};

/**
 * Applies commands, each to the newest state, as one step of one history: undo takes all of it back at once. What changes
 * nothing leaves its record as it is. `name` is what the step is called; absent: as its first change.
 */
export const transact = (
  { record, book }: Documents,
  commands: WorkspaceCommand[],
  step: { id: string; at: number; projectId?: string },
  name?: string,
): Documents => {
  let project = record?.project;
  let prices = book.book;
  const ofProject: Change[] = [];
  const ofBook: Change[] = [];
  for (const command of commands) {
    if (isBookCommand(command)) {
      const done = applyToBook(prices, command, step.at);
      if (!done) continue;
      prices = done.document;
      ofBook.push(done.change);
    } else if (project) {
      const done = apply(project, command, step.at);
      if (!done) continue;
      project = done.document;
      ofProject.push(done.change);
    }
  }
  const named = (change: Change | null): Change | null =>
    change && name !== undefined ? { ...change, label: name } : change;
  const projectChange = named(merged(ofProject, { id: step.id }));
  const bookChange = named(merged(ofBook, step));
  return {
    record:
      record && project && projectChange
        ? { ...record, project, history: remember(record.history, projectChange) }
        : record,
    book: bookChange ? { book: prices, history: remember(book.history, bookChange) } : book,
  };
};
