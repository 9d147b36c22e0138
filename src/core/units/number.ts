import { fail, ok, type Result } from '../result';

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅙': '1/6',
};

/** Typographic fractions, primes and spaces as the plain characters a keyboard has: `29½″` is `29 1/2"`. */
export const plainCharacters = (text: string): string =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔⅕⅙]/g, (glyph) => ` ${VULGAR[glyph]} `)
    .replace(/⁄/g, '/')
    .replace(/''|[″“”„]/g, '"')
    .replace(/[′’‘`]/g, "'")
    .replace(/[×✕]/g, 'x')
    .replace(/[‐‑–—−]/g, '-')
    .replace(/\s+/g, ' ')
    .trim();

/** `31`, `31 1/2`, `31-1/2`, `1/2`, `29.5`, `1,2`: one plain number, never negative. */
export const NUMBER = String.raw`(?:\d+(?: ?- ?| )\d+ ?/ ?\d+|\d+ ?/ ?\d+|\d+(?:[.,]\d+)?|[.,]\d+)`;

/** The value of a text that matches NUMBER. NaN when a fraction is over nothing. */
export const numberValue = (text: string): number => {
  const fraction = /^(?:(\d+)(?: ?- ?| ))?(\d+) ?\/ ?(\d+)$/.exec(text);
  if (!fraction) return Number(text.replace(',', '.'));
  const bottom = Number(fraction[3]);
  return bottom === 0 ? NaN : Number(fraction[1] ?? 0) + Number(fraction[2]) / bottom;
};

/** A whole number of 1 or more, as counts are. Problems: `count`. */
export const parseCount = (text: string): Result<number> => {
  const plain = text.trim();
  const value = Number(plain);
  if (!/^\d+$/.test(plain) || value < 1)
    return fail('count', `"${plain}" is not a count; write a whole number, 1 or more, such as 4`);
  if (value > 100_000) return fail('count', `"${plain}" is more than Billet counts; the most is 100000`);
  return ok(value);
};

/** A share as percent to read and to type: 0.0825 is `8.25`. */
export const percentText = (share: number): string => String(Number((share * 100).toFixed(4)));

/** A decimal number of 0 or more, with point or comma: `3.98`, `3,98`. Problems: `number`. */
export const parseDecimal = (text: string): Result<number> => {
  const plain = text.trim();
  if (!/^(\d+([.,]\d+)?|[.,]\d+)$/.test(plain))
    return fail('number', `"${plain}" is not a number; write it as 3.98`);
  const value = Number(plain.replace(',', '.'));
  return value < 1e9 ? ok(value) : fail('number', `"${plain}" is too large a number`);
};
