import type { ReactNode } from 'react';
import type { LengthUnit } from '@/core/units';
import type { Book, Project } from '@/core/project';
import type { Result } from '@/core/result';
import type { OpenProject, Settings } from '@/hooks';

/** A file as it was picked, as text. */
export interface ImportFile {
  name: string;
  text: string;
}

/** Where prices go: the book as it is looked at, of a project or by itself. */
export interface PriceTarget extends Pick<OpenProject, 'book' | 'dispatch' | 'undo'> {
  unit: LengthUnit;
  currency: string;
  today: string;
}

/** What is here that a file can be taken into, as it is at this moment. */
export interface ImportContext {
  /** The project that is open; null: none. */
  open: OpenProject | null;
  prices: PriceTarget;
  /** All of the price book, of both sides. */
  whole: Book;
  projects: Project[];
  settings: Settings;
  changeSettings: (fields: Partial<Settings>) => void;
  goTo: (path: string) => void;
}

/** What an action of a preview can do with the dialog. */
export interface ImportTools {
  show: (next: ImportPreview) => void;
  /** Reads on; what it comes to is shown. */
  read: (reading: Promise<Result<ImportPreview>>) => void;
  close: () => void;
}

/** What can be done with a file that was read. */
export interface ImportAction {
  label: string;
  isMain?: boolean;
  isDisabled?: boolean;
  run: () => void;
}

/** What was found in a file: shown before any of it is taken. */
export interface ImportPreview {
  title: string;
  body: (context: ImportContext, tools: ImportTools) => ReactNode;
  actions: (context: ImportContext, tools: ImportTools) => ImportAction[];
  /** There is nothing to ask: the main action is run at once. */
  isTakenAtOnce?: boolean;
}

/** One kind of file that comes in: a row of the registry. */
export interface ImportFormat {
  id: 'parts' | 'prices' | 'ledger' | 'rack' | 'project' | 'everything';
  /** Title and words before a file is picked. */
  title: string;
  hint: (context: ImportContext) => string;
  /** For the picker of files. */
  accept: string;
  /** Whether a file is one, by its first lines. */
  detect: (file: ImportFile) => boolean;
  /** What is said where no project is open, and it is taken into one; absent: it needs none. */
  elsewhere?: string;
  /** Reads it, changing nothing. Problems: every fault with its place. */
  read: (file: ImportFile, context: ImportContext) => Promise<Result<ImportPreview>>;
  /** Another way to read what has faults, offered beside them. */
  otherwise?: { label: string; preview: (file: ImportFile) => ImportPreview };
}
