import { useState } from 'react';
import { draftsIn, isLike } from '@/hooks';
import { textsOfTab } from '@/platform/room';

/** Fields of forms that were closed before they were saved, by form and field. */
const fields = draftsIn(textsOfTab, 'billet/field/');

/**
 * As `useState`, for a field of a form: closed by Back, Escape, a touch beside it or a reload of the page, the form opens again as it
 * was left, for as long as the tab is open. `form` names what is being written; what it is about belongs in the name, so that a draft
 * never meets something else. T is what JSON can hold.
 */
export const useKept = <T>(form: string, field: string, initial: T | (() => T)): [T, (value: T) => void] => {
  const key = `${form}\n${field}`;
  const [value, setValue] = useState<T>(() => {
    const blank = initial instanceof Function ? initial() : initial;
    return fields.read(key, (kept) => isOfKind(blank, kept)) ?? blank;
  });
  const set = (next: T): void => {
    fields.keep(key, next);
    setValue(next);
  };
  return [value, set];
};

/** What was typed is saved, or not wanted: the form opens blank the next time. */
export const forgetKept = (form: string): void => fields.drop(`${form}\n`);

/** Another Billet may have written it. */
const isOfKind = <T>(blank: T, kept: unknown): kept is T => {
  if (blank === null) return kept === null || typeof kept === 'string';
  return typeof blank === 'object' ? isLike(blank)(kept) : typeof blank === typeof kept;
};
