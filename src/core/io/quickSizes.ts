import {
  fromInches,
  fromMm,
  NUMBER,
  numberValue,
  parseLength,
  plainCharacters,
  type LengthUnit,
  type Ticks,
} from '../units';
import { actualSection, parseSection, parseThickness, thicknessName } from '../lumber';
import type { Measure } from '../project';
import { fail, type Result } from '../result';
import { panelWords } from './quickWords';

/** What a stretch of words says of a size, and the words behind it. */
export interface Sized {
  kind: 'board' | 'sheet';
  section: string;
  length: Measure | null;
  width: Measure | null;
  /** What it is of, where that stands with the size; blank: not said. */
  material: string;
  /** The words that gave the section, the length and the width. */
  said: { section: string; length: string; width: string };
  rest: string[];
}

const MAX_WORDS_OF_A_SIZE = 5;

/** The longest run of words at the front that `read` accepts. */
export const longestRun = <T>(
  words: string[],
  read: (text: string) => Result<T>,
  most = MAX_WORDS_OF_A_SIZE,
): { value: T; text: string; count: number } | null => {
  for (let count = Math.min(most, words.length); count > 0; count--) {
    const text = words.slice(0, count).join(' ');
    const result = read(text);
    if (result.ok) return { value: result.value, text, count };
  }
  return null;
};

const SIDE = String.raw`(${NUMBER}) ?(mm|cm|m|inches|inch|in|"|ft|')?`;
const THREE = new RegExp(String.raw`^${SIDE} ?x ?${SIDE} ?x ?${SIDE}(?![\d/.x])\s*(.*)$`, 'i');
const TWO = new RegExp(String.raw`^(${NUMBER}) ?x ?(${NUMBER})(?![\d/.x])\s*(.*)$`, 'i');

/** Wider than this is a sheet, where three sides say no more; of a wider board the section is written by itself. */
const WIDEST_BOARD: Record<LengthUnit, Ticks> = { in: fromInches(12), mm: fromMm(305) };
/** No sheet is thicker. */
const THICKEST_SHEET = fromMm(51);
/** A third number of a trade size up to this is feet: `2x4x8`. */
export const LONGEST_IN_FEET = 24;

/** `4x 2x4`, `4 x 2x4`: so many of a section. */
const isSoMany = ([first = '', next = '', third = '']: string[]): boolean =>
  /^\d+x?$/i.test(first) && /^\S*\dx\d/i.test(/^x$/i.test(next) ? third : next);

/** Three sides joined by x: `3/4 x 1 1/2 x 30 1/4`, `18 x 850 x 150`, `2x4x8`. */
export const threeSides = (words: string[], unit: LengthUnit): Sized | null => {
  const found = isSoMany(words) ? null : THREE.exec(plainCharacters(words.join(' ')));
  if (!found) return null;
  const given = found.map((group: string | undefined) => group ?? '');
  const [, a = '', aUnit = '', b = '', bUnit = '', c = '', cUnit = '', behind = ''] = given;
  const rest = behind.split(' ').filter((word) => word !== '');
  const trade = aUnit + bUnit === '' ? parseSection(`${a}x${b}`) : null;
  if (trade?.ok) return ofTrade(trade.value.name, `${a}x${b}`, lastSide(c, cUnit, unit), unit, rest);
  const common = [cUnit, bUnit, aUnit].find((one) => one !== '') ?? '';
  const sides = [
    [a, aUnit],
    [b, bUnit],
    [c, cUnit],
  ].map(([number = '', own = '']) => {
    const text = `${number}${own === '' ? common : own}`;
    const ticks = parseLength(text, unit);
    return { text, ticks: ticks.ok ? ticks.value : 0 };
  });
  return sides.some(({ ticks }) => ticks <= 0) ? null : ofThree(sides, unit, rest);
};

/** The third number of a trade size: feet, where it is a small whole one. */
const lastSide = (number: string, own: string, unit: LengthUnit): string => {
  const isFeet = own === '' && unit === 'in' && /^\d+$/.test(number) && Number(number) <= LONGEST_IN_FEET;
  return `${number}${isFeet ? "'" : own}`;
};

const ofTrade = (
  section: string,
  said: string,
  length: string,
  unit: LengthUnit,
  rest: string[],
): Sized | null => {
  const ticks = positive(parseLength(length, unit));
  return ticks.ok
    ? {
        kind: 'board',
        section,
        length: { text: length, ticks: ticks.value },
        width: null,
        material: '',
        said: { section: said, length, width: '' },
        rest,
      }
    : null;
};

const ofThree = (sides: Measure[], unit: LengthUnit, rest: string[]): Sized | null => {
  const byTicks = [...sides].sort((one, other) => one.ticks - other.ticks);
  const [thin, middle, long] = byTicks;
  if (!thin || !middle || !long) return null;
  const [first, second] = sides.filter((side) => side !== thin);
  const isSheet = middle.ticks > WIDEST_BOARD[unit] || (sides[1] === long && sides[0] === thin);
  if (isSheet && thin.ticks > THICKEST_SHEET) return null;
  if (isSheet && first && second)
    return {
      kind: 'sheet',
      section: thicknessName(thin.ticks),
      length: first,
      width: second,
      material: '',
      said: { section: thin.text, length: first.text, width: second.text },
      rest,
    };
  return {
    kind: 'board',
    section: actualSection(thin.ticks, middle.ticks, unit).name,
    length: long,
    width: null,
    material: '',
    said: { section: `${thin.text} x ${middle.text}`, length: long.text, width: '' },
    rest,
  };
};

/** A section at the front: a trade size, or an actual one; without a unit its inches are told by a fraction. */
export const sectionAtFront = (
  words: string[],
  unit: LengthUnit,
): { name: string; said: string; rest: string[] } | null => {
  const named = longestRun(words, (text) => parseSection(text, unit));
  if (named) return { name: named.value.name, said: named.text, rest: words.slice(named.count) };
  const found = unit === 'in' ? TWO.exec(plainCharacters(words.join(' '))) : null;
  const [, a = '', b = '', behind = ''] = found ?? [];
  if (!found || !/[/.]/.test(a + b)) return null;
  const [one, other] = [numberValue(a), numberValue(b)];
  if (!(one > 0 && other > 0) || Math.max(one, other) > 12) return null;
  const section = actualSection(fromInches(Math.min(one, other)), fromInches(Math.max(one, other)), unit);
  return { name: section.name, said: `${a}x${b}`, rest: behind.split(' ').filter((word) => word !== '') };
};

/** `24 x 36`, `600x400` at the front. */
const twoSides = (words: string[], unit: LengthUnit): Pick<Sized, 'length' | 'width' | 'rest'> | null => {
  const sides = /^(.+?) ?x ?(.+)$/i.exec(plainCharacters(words.join(' ')));
  const along = sides && parseLength(sides[1] ?? '', unit);
  const behind = (sides?.[2] ?? '').split(' ');
  const across = sides && longestRun(behind, (text) => positive(parseLength(text, unit)));
  if (!along?.ok || along.value === 0 || !across) return null;
  return {
    length: { text: sides[1] ?? '', ticks: along.value },
    width: { text: across.text, ticks: across.value },
    rest: behind.slice(across.count),
  };
};

/** A length, unless it is one of nothing. */
export const positive = (length: Result<Ticks>): Result<Ticks> =>
  length.ok && length.value === 0 ? fail('length', 'a length of nothing') : length;

/**
 * A sheet: `3/4 24 x 36`, `18mm 600x400`, `1/2 ply 24x48`: a thickness, what it is of where that is said, then two sides with an x
 * between.
 */
export const sheetAtFront = (words: string[], unit: LengthUnit): Sized | null => {
  for (let count = 1; count < Math.min(MAX_WORDS_OF_A_SIZE, words.length); count++) {
    const said = words.slice(0, count).join(' ');
    const thickness = parseThickness(said, unit);
    if (!thickness.ok || thickness.value > THICKEST_SHEET) continue;
    const named = panelWords(words.slice(count));
    const sides = twoSides(words.slice(count + named), unit);
    if (!sides?.length || !sides.width) continue;
    return {
      kind: 'sheet',
      section: thicknessName(thickness.value),
      ...sides,
      said: { section: said, length: sides.length.text, width: sides.width.text },
      material: words.slice(count, count + named).join(' '),
    };
  }
  return null;
};

/** Longer than any board that is sold. */
const LONGEST = fromMm(16_000);

/** A question about a length that is hardly meant; null: there is none. */
export const doubtOf = ({ text, ticks }: Measure, unit: LengthUnit): string | null => {
  const number = text.replace(/ ?[^\d]+$/, '');
  // 95 foot: a length in feet, or a part of that name?
  if (unit === 'mm' && /\d ?(?:foot|feet)$/i.test(text))
    return `Is ${text} a length, or a foot of ${number} mm? Write ${number}ft, or ${number}mm foot.`;
  return ticks > LONGEST
    ? `${text} is ${Math.round(ticks / fromMm(1000))} m, longer than any board. Write the length with its unit, such as ${number}${unit}.`
    : null;
};
