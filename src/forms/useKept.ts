import { useState } from 'react';

/** What was typed into forms that were closed before it was saved, by form and field, for as long as the page is open. */
const kept = new Map<string, unknown>();

/**
 * As `useState`, for a field of a form: closed by Back, Escape or a touch beside it, the form opens again as it was left.
 * `form` names what is being written; what it is about belongs in the name, so that a draft never meets something else.
 */
export const useKept = <T>(form: string, field: string, initial: T | (() => T)): [T, (value: T) => void] => {
  const key = `${form}\n${field}`;
  const [value, setValue] = useState<T>(kept.has(key) ? (kept.get(key) as T) : initial);
  const set = (next: T): void => {
    kept.set(key, next);
    setValue(next);
  };
  return [value, set];
};

/** What was typed is saved, or not wanted: the form opens blank the next time. */
export const forgetKept = (form: string): void => {
  for (const key of [...kept.keys()]) if (key.startsWith(`${form}\n`)) kept.delete(key);
};
