import type { BookRecord, ProjectRecord } from '@/data/records';
import { remember, type Change, type History, type Project } from '@/core/project';

/** Back or forth. */
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

/** What tells a change from others: its step, or when it was made. */
const idOf = (change: Change): string => change.step ?? `@${change.at}`;

/** Whether a change was made in a record, and may have been taken back since. */
const holdsChange = (history: History | null | undefined, id: string): boolean =>
  !!history && [...history.past, ...history.future].some((change) => idOf(change) === id);

/** The id of the change that undo or redo would turn next; null: none. */
export const nextChange = (history: History | undefined, way: Way): string | null => {
  const change = last(history, way);
  return change ? idOf(change) : null;
};

/**
 * Tells of things that were done whether a record has them: it has those that its history holds, and with the last of a tab all
 * that this tab did before, since it is written whole.
 */
export const heldBy = (
  done: { id: string; tab: string }[],
  historyOf: (key: string) => History | null | undefined,
): ((key: string, index: number) => boolean) => {
  const lastIn = new Map<string, number>();
  return (key, index) => {
    const tab = done[index]?.tab;
    const name = `${tab}/${key}`;
    let held = lastIn.get(name);
    if (held === undefined) {
      const history = historyOf(key);
      held = done.findLastIndex((one) => one.tab === tab && holdsChange(history, one.id));
      lastIn.set(name, held);
    }
    return index <= held;
  };
};

/** A record whose project is another from now on, as one change that can be taken back. */
export const replaceProject = (
  record: ProjectRecord,
  project: Project,
  { id, at }: { id: string; at: number },
): ProjectRecord => ({
  ...record,
  project,
  history: remember(record.history, {
    label: `open ${project.name} from a file`,
    at,
    step: id,
    patches: [{ op: 'replace', path: [], value: project }],
    inverse: [{ op: 'replace', path: [], value: record.project }],
  }),
});
