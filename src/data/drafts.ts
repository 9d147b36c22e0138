import { useMemo } from 'react';
import { shortTexts } from '@/platform/room';

/** Where half-typed entries are kept, so that a closed tab brings them back. */
const DRAFTS = 'billet/draft/';

/** Keeps what is half typed under a name, before it returns; null drops it. A full browser keeps it on screen alone. */
export const keepDraft = (name: string, draft: unknown): void => {
  const key = DRAFTS + name;
  try {
    if (draft === null) shortTexts.remove(key);
    else shortTexts.write(key, JSON.stringify(draft));
  } catch {
    // It stays where it is typed.
  }
};

/** What was half typed; null: nothing, or nothing that can be read. `isDraft` checks it, for it may be of another Billet. */
const readDraft = <T>(name: string, isDraft: (value: unknown) => value is T): T | null => {
  try {
    const value: unknown = JSON.parse(shortTexts.read(DRAFTS + name) ?? 'null');
    return isDraft(value) ? value : null;
  } catch {
    return null;
  }
};

/** What was half typed when this opened; null: nothing. */
export const useDraft = <T>(name: string, isDraft: (value: unknown) => value is T): T | null =>
  useMemo(() => readDraft(name, isDraft), [name, isDraft]);

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
