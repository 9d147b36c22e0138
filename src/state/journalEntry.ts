import type { ProjectRecord, Settings } from '@/data/records';
import type { Way } from './history';
import type { WorkspaceCommand } from './transaction';

/** One thing that was done to the workspace: all that its records need to have it done, or done again. */
export type JournalEntry = {
  id: string;
  /** The tab that did it. */
  tab: string;
  at: number;
  projectId: string | null;
} & (
  | { kind: 'commands'; commands: WorkspaceCommand[]; name?: string }
  /** Undo or redo: the ids of the changes that are turned, in the project and in the book; null: none there. */
  | { kind: 'turn'; way: Way; project: string | null; book: string | null }
  /** A project that is new here. */
  | { kind: 'newProject'; record: ProjectRecord }
  /** One from a file in place of one of its id. */
  | { kind: 'replaceProject'; record: ProjectRecord }
  | { kind: 'deleteProject'; deletedAt: number | null }
  | { kind: 'settings'; fields: Partial<Settings> }
);

/** The name under which the price book is known among the records; projects are known by their ids. */
export const BOOK = 'book';
/** The key of the settings in the journal. */
export const SETTINGS = 'settings';
