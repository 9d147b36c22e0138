import { useEffect, useState } from 'react';
import { readText, removeKey, writeText } from './storage';

/** Where half-typed entries are kept, so that a closed tab brings them back. */
const DRAFTS = 'billet/draft/';

/** Keeps what is half typed under a name; null drops it. A full browser keeps it on screen alone. */
export const keepDraft = (name: string, draft: unknown): void => {
  const key = DRAFTS + name;
  const kept = draft === null ? removeKey(key) : writeText(key, JSON.stringify(draft));
  kept.catch(() => undefined);
};

/** What was half typed; null: nothing, or nothing that can be read. `isDraft` checks it, for it may be of another Billet. */
export const readDraft = async <T>(
  name: string,
  isDraft: (value: unknown) => value is T,
): Promise<T | null> => {
  try {
    const value: unknown = JSON.parse((await readText(DRAFTS + name)) ?? 'null');
    return isDraft(value) ? value : null;
  } catch {
    return null;
  }
};

/** What was half typed when this opened; undefined while that is looked up. */
export const useDraft = <T>(name: string, isDraft: (value: unknown) => value is T): T | null | undefined => {
  const [draft, setDraft] = useState<T | null | undefined>(undefined);
  useEffect(() => {
    let isHere = true;
    void readDraft(name, isDraft).then((found) => isHere && setDraft(() => found));
    return () => {
      isHere = false;
    };
  }, [name, isDraft]);
  return draft;
};

/** Whether a value has all these keys, each with the type of the sample's. */
export const isLike =
  <T extends object>(sample: T) =>
  (value: unknown): value is T =>
    typeof value === 'object' &&
    value !== null &&
    Object.entries(sample).every(([key, part]) => {
      const found = (value as Record<string, unknown>)[key];
      return part === null || found === null ? found !== undefined : typeof found === typeof part;
    });
