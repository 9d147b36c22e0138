import { capital } from '../capital';
import { FUNCTIONS } from './formula';

/** The note of a measure that a helper works out from others: it is not asked for. */
export const DERIVED_NOTE = 'follows';

/** Whether a measure follows from others, and nobody is asked for it. */
export const isDerived = ({ note }: { note: string }): boolean => note === DERIVED_NOTE;

/** A name as formulas write it: `Side rail` is `side_rail`, `2nd shelf` is `_2nd_shelf`. */
export const identifier = (name: string): string => {
  const word = name
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '_')
    .replace(/^_+|_+$/g, '');
  return /^\p{N}/u.test(word) ? `_${word}` : word;
};

/** What is wrong with the name of a variable, as a sentence; null: nothing. `others` are the names that are taken. */
export const variableNameFault = (name: string, others: string[]): string | null => {
  const word = name.trim();
  if (word === '') return 'Give the measure a name, such as height.';
  if (!/^\p{L}[\p{L}\p{N}_]*$/u.test(word))
    return `"${word}" cannot stand in a formula; use letters, digits and _, a letter first, such as seat_height.`;
  if (word.toLowerCase() in FUNCTIONS || word.toLowerCase() === 'x')
    return `${word} is a word of formulas already; call it something else.`;
  if (others.some((other) => other.toLowerCase() === word.toLowerCase()))
    return `There is a measure ${word} already; give this one another name.`;
  return null;
};

/** `wanted`, or with the first number behind it that makes it new: `Post 2`, `height_2`. */
export const numbered = (wanted: string, isTaken: (name: string) => boolean, between = ' '): string => {
  let name = wanted;
  for (let number = 2; isTaken(name); number++) name = `${wanted}${between}${number}`;
  return name;
};

/** A name for a variable that none has, whatever its capitals: `height_2`. */
export const freeVariableName = (wanted: string, taken: string[]): string => {
  const names = new Set(taken.map((name) => name.toLowerCase()));
  return numbered(wanted, (name) => names.has(name.toLowerCase()), '_');
};

/** `Right arm` for `Left arm`, and the other way round; null for a name that begins with no hand. */
export const otherHand = (name: string): string | null => {
  const [, hand, rest = ''] = /^(left|right)\b(.*)$/i.exec(name) ?? [];
  if (hand === undefined) return null;
  const other = hand.toLowerCase() === 'left' ? 'right' : 'left';
  return `${/^[A-Z]/.test(hand) ? capital(other) : other}${rest}`;
};

/** A, B, C … Z, AA, AB: the letter of the so many-th part. */
export const letterOf = (index: number): string =>
  (index >= 26 ? letterOf(Math.floor(index / 26) - 1) : '') + String.fromCharCode(65 + (index % 26));
