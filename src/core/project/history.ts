import { enablePatches, produceWithPatches, type Draft, type Objectish, type Patch } from 'immer';
import { applyPatches } from './patches';

enablePatches();

/** One change that was made, and how to take it back. */
export interface Change {
  /** What it did, in words: `add Post`. */
  label: string;
  /** Milliseconds since 1970, passed in. */
  at: number;
  patches: Patch[];
  inverse: Patch[];
  /** The step that it is a part of: changes of one step, in the project and in the book, are taken back together. */
  step?: string;
  /** Of a change to the book: the project in which it was made. */
  projectId?: string;
  /** Changes with the same one, made within moments of each other, are one step: typing in a field. */
  merge?: string;
}

/** Changes made, newest last; and changes taken back, the next to be made again last. */
export interface History {
  past: Change[];
  future: Change[];
}

/** So many steps can be taken back. */
export const KEPT_CHANGES = 200;

/** Nothing to take back, and nothing to do again. */
export const emptyHistory = (): History => ({ past: [], future: [] });

/** Runs `recipe` on `document`: the new document and the change, or null when nothing changed. */
export const change = <T extends Objectish>(
  document: T,
  label: string,
  at: number,
  recipe: (draft: Draft<T>) => void,
): { document: T; change: Change } | null => {
  const [next, patches, inverse] = produceWithPatches(document, (draft) => {
    recipe(draft);
  });
  return patches.length === 0 ? null : { document: next as T, change: { label, at, patches, inverse } };
};

/** How long a pause may be between two changes that are one step. */
const MERGED_WITHIN = 2000;

/** Remembers a change. What had been taken back before it can no longer be made again. */
export const remember = (history: History, change: Change): History => {
  const last = history.past.at(-1);
  const goesOn =
    last?.merge !== undefined && last.merge === change.merge && change.at - last.at < MERGED_WITHIN;
  const merged: Change = goesOn
    ? {
        ...change,
        patches: [...last.patches, ...change.patches],
        inverse: [...change.inverse, ...last.inverse],
      }
    : change;
  const kept = goesOn ? history.past.slice(0, -1) : history.past;
  return { past: [...kept, merged].slice(-KEPT_CHANGES), future: [] };
};

/** Takes the newest change back. Null when there is none. */
export const undo = <T extends Objectish>(
  document: T,
  history: History,
): { document: T; history: History; change: Change } | null => {
  const last = history.past.at(-1);
  if (!last) return null;
  return {
    document: applyPatches(document, last.inverse),
    history: { past: history.past.slice(0, -1), future: [...history.future, last] },
    change: last,
  };
};

/** Makes the change again that was taken back last. Null when there is none. */
export const redo = <T extends Objectish>(
  document: T,
  history: History,
): { document: T; history: History; change: Change } | null => {
  const next = history.future.at(-1);
  if (!next) return null;
  return {
    document: applyPatches(document, next.patches),
    history: { past: [...history.past, next], future: history.future.slice(0, -1) },
    change: next,
  };
};
