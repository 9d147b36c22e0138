import { NUMBER, numberValue, type LengthUnit } from '../units';
import { sectionAtFront, sheetAtFront, threeSides } from './quickSizes';
import { countOfWord, isFiller, panelWords } from './quickWords';

/** Takes `4`, `4x`, `4 pcs`, `two`, `a pair of` off the front: a count with more behind it that is not the rest of a section. */
export const takeQuantity = (words: string[], unit: LengthUnit): { count: string; text: string } | null => {
  if (words.length < 2) return null;
  const [first = '', next = '', third = ''] = words;
  const word = countOfWord(first);
  if (word !== null) {
    const pair = word === 1 ? countOfWord(next) : null;
    const taken = (pair === null ? 1 : 2) + Number((pair === null ? next : third).toLowerCase() === 'of');
    return { count: String(pair ?? word), text: words.splice(0, taken).join(' ') };
  }
  const match = /^(\d+)x?$/i.exec(first);
  const isSide = /^x?\d+\/\d+/.test(next) ? startsMixed(words) : threeSides(words, unit) !== null;
  if (!match || isSide || isThickness(words, unit)) return null;
  if (/^x$/i.test(next) && !sectionAtFront(words.slice(2), unit)) return null;
  const filler = isFiller(next) ? (/^of$/i.test(third) ? 3 : 2) : 1;
  return { count: match[1] ?? '', text: words.splice(0, filler).join(' ') };
};

/** Thicknesses of dressed boards that are no whole inches. */
const MIXED_THICKNESSES = [1.25, 1.5, 2.5, 3.5, 5.5];
const MIXED = new RegExp(`^(\\d+ \\d+/\\d+) ?x ?(${NUMBER})`, 'i');

/** `1 1/2 x 1 1/2 x 36`: a side of an inch and a half, where `2 3/4 x 1 1/2 x 30` is two of 3/4. Boards are told thin side first. */
const startsMixed = (words: string[]): boolean => {
  const [, first = '', second = ''] = MIXED.exec(words.join(' ')) ?? [];
  return MIXED_THICKNESSES.includes(numberValue(first)) && numberValue(first) <= numberValue(second);
};

/** `18 ply 600x400`: the first number is how thick it is. */
const isThickness = (words: string[], unit: LengthUnit): boolean =>
  panelWords(words.slice(1)) > 0 && sheetAtFront(words, unit) !== null;
