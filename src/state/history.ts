import type { BookRecord, ProjectRecord } from '@/data/records';
import type { Change, History } from '@/core/project';

export type Way = 'undo' | 'redo';

/** One step that undo or redo would take, and which records it touches. */
export interface Step {
  label: string;
  ofProject: boolean;
  ofBook: boolean;
}

const last = (history: History | undefined, way: Way): Change | undefined =>
  (way === 'undo' ? history?.past : history?.future)?.at(-1);

/** The next step within a project: of the project, of the book where that was changed from there, or of both. Null: none. */
export const nextStep = (
  record: ProjectRecord | undefined,
  book: BookRecord | undefined,
  way: Way,
): Step | null => {
  const own = last(record?.history, way);
  const lastOfBook = last(book?.history, way);
  const ofBook = lastOfBook && lastOfBook.projectId === record?.project.id ? lastOfBook : undefined;
  if (own && ofBook && own.step !== undefined && own.step === ofBook.step)
    return { label: own.label, ofProject: true, ofBook: true };
  const isBookFirst = ofBook && (!own || (way === 'undo' ? ofBook.at > own.at : ofBook.at < own.at));
  if (isBookFirst) return { label: ofBook.label, ofProject: false, ofBook: true };
  return own ? { label: own.label, ofProject: true, ofBook: false } : null;
};

/** A history whose taken-back changes cannot be made again; itself where there are none. */
export const clearRedo = (history: History): History =>
  history.future.length === 0 ? history : { ...history, future: [] };
