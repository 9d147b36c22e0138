import { emptyBook, emptyHistory, type Book } from '@/core/project';
import {
  DEFAULT_SETTINGS,
  type BookRecord,
  type Damaged,
  type ProjectRecord,
  type Settings,
  type Tags,
} from '@/data/records';
import type { Stored, StoredProjects } from '@/data/repository';

/** All that a browser keeps. Values never change: every change makes a new one. */
export interface Workspace {
  records: Record<string, ProjectRecord>;
  damaged: Damaged[];
  book: BookRecord;
  settings: Settings;
}

/** A workspace with nothing in it. */
export const emptyWorkspace = (): Workspace => ({
  records: {},
  damaged: [],
  book: { book: emptyBook(), history: emptyHistory() },
  settings: DEFAULT_SETTINGS,
});

/** Where a workspace is kept. */
export interface WorkspaceStorage {
  loadProjects: (now: number) => Promise<StoredProjects>;
  readProject: (id: string) => Promise<Stored<ProjectRecord> | Damaged | null>;
  loadBook: (now: number) => Promise<Stored<BookRecord>>;
  loadSettings: (now: number) => Promise<Settings | null>;
  /** Over what the writing follows, or over one of `own`: writings of the same tab. */
  saveProject: (record: ProjectRecord, tags: Tags, own: string[]) => Promise<'saved' | 'refused'>;
  saveBook: (record: BookRecord, tags: Tags, own: string[]) => Promise<'saved' | 'refused'>;
  saveSettings: (settings: Settings) => Promise<void>;
  /** Lays a text aside that something else takes the place of. */
  setAside: (what: string, text: string, now: number) => Promise<void>;
  /** The sample projects that are missing, and the book with what they need. */
  withSamples: (
    book: Book,
    held: Record<string, Pick<ProjectRecord, 'deletedAt' | 'project'>>,
  ) => Promise<{ book: Book; added: ProjectRecord[] }>;
}

/** What the user should hear of. */
export type WorkspaceEvent =
  | { kind: 'changed'; projectIds: string[]; book: boolean; settings: boolean }
  /** `isWhole`: what was done here is kept too; otherwise a change that was taken back or made again is lost. */
  | { kind: 'otherTab'; name: string; isWhole: boolean }
  | { kind: 'notKept'; error: unknown }
  /** The last change is not kept yet, after a while. */
  | { kind: 'slow' }
  | { kind: 'keptAgain' }
  /** A file was not taken in place of a project that cannot be read, which could not be put aside. */
  | { kind: 'notOpened'; name: string }
  /** The price book could not be read: it lies aside, untouched. */
  | { kind: 'bookSetAside' }
  /** What another tab wrote of a project cannot be read: it is left as it is. */
  | { kind: 'unreadable'; name: string }
  /** What a newer Billet wrote was to be changed: it can only be looked at here. */
  | { kind: 'lookingOnly'; name: string };
