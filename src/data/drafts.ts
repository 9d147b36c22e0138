import { useMemo } from 'react';
import { shortTexts, type ShortTexts } from '@/platform/room';

/** Half-typed entries in texts that are there at once, each under a name behind `prefix`. */
export const draftsIn = (texts: ShortTexts, prefix: string) => ({
  /** Keeps one before it returns; null drops it. Where there is no room it stays where it is typed. */
  keep: (name: string, draft: unknown): void => {
    try {
      if (draft === null) texts.remove(prefix + name);
      else texts.write(prefix + name, JSON.stringify(draft));
    } catch {
      // It stays where it is typed.
    }
  },
  /** Null: nothing, or nothing that can be read. `isDraft` checks it, for it may be of another Billet. */
  read: <T>(name: string, isDraft: (value: unknown) => value is T): T | null => {
    try {
      const value: unknown = JSON.parse(texts.read(prefix + name) ?? 'null');
      return isDraft(value) ? value : null;
    } catch {
      return null;
    }
  },
  /** Drops all whose name begins so. */
  drop: (start: string): void => {
    for (const key of texts.keys()) if (key.startsWith(prefix + start)) texts.remove(key);
  },
});

/** Those of the browser, so that a closed tab brings them back. */
const drafts = draftsIn(shortTexts, 'billet/draft/');

/** Keeps what is half typed under a name, before it returns; null drops it. */
export const keepDraft = drafts.keep;

/** What was half typed when this opened; null: nothing. */
export const useDraft = <T>(name: string, isDraft: (value: unknown) => value is T): T | null =>
  useMemo(() => drafts.read(name, isDraft), [name, isDraft]);

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
