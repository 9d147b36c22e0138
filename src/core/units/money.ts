import type { Flavour } from './flavour';
import { fail, ok, type Result } from '../result';
import { parseDecimal } from './number';

/** Whole minor units of a currency: cents. What is paid, summed and compared with a target. */
export type Minor = Flavour<'minor'>;

/**
 * Whole millionths of a currency's main unit: what a shelf tag says, which may be finer than a cent
 * (0.685 a foot). Sums of these are whole, and become Minor by `toMinor`, once a store.
 */
export type Micros = Flavour<'micros'>;

/** So many of them make one main unit of a currency. */
export const MICROS = 1_000_000;

const SYMBOLS: Record<string, string> = {
  USD: '$',
  EUR: '€',
  GBP: '£',
  JPY: '¥',
  CAD: 'CA$',
  AUD: 'A$',
  NZD: 'NZ$',
};

/** How many decimals a currency has, by ISO 4217; 2 for a code that is unknown. */
export const decimals = (currency: string): number => {
  const held = known.get(currency) ?? decimalsOf(currency);
  known.set(currency, held);
  return held;
};

const known = new Map<string, number>();

const decimalsOf = (currency: string): number => {
  try {
    return (
      new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ??
      2
    );
  } catch {
    return 2;
  }
};

/** Half up to whole minor units. */
export const toMinor = (micros: Micros, currency: string): Minor =>
  Math.floor(micros / 10 ** (6 - decimals(currency)) + 0.5);

/** The same sum in millionths. */
export const toMicros = (minor: Minor, currency: string): Micros => minor * 10 ** (6 - decimals(currency));

/** Minor units as a decimal number of the main unit: the form of money in JSON files. */
export const toMain = (minor: Minor, currency: string): number => Number(writeMoney(minor, currency));

/** A decimal number of the main unit as minor units. */
export const fromMain = (main: number, currency: string): Minor =>
  Math.round(main * 10 ** decimals(currency));

/** A sum as a plain decimal number with its cents, for fields and files: `186.40`, `-3.00`. */
export const writeMoney = (minor: Minor, currency: string): string =>
  (minor / 10 ** decimals(currency)).toFixed(decimals(currency));

/** `$186.40`, `−€3.00`: always with its cents, for lists. */
export const formatMoney = (minor: Minor, currency: string): string => {
  const places = decimals(currency);
  const [whole = '', cents] = Math.abs(minor / 10 ** places)
    .toFixed(places)
    .split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, ',');
  return `${minor < 0 ? '−' : ''}${symbol(currency)}${grouped}${cents === undefined ? '' : `.${cents}`}`;
};

/** `$186`: whole main units, for headlines. */
export const formatWhole = (minor: Minor, currency: string): string => {
  const whole = Math.round(Math.abs(minor) / 10 ** decimals(currency));
  return `${minor < 0 && whole > 0 ? '−' : ''}${symbol(currency)}${String(whole).replace(/\B(?=(\d{3})+$)/g, ',')}`;
};

/** A shelf tag's price: at least the currency's decimals, more where the tag has more: `$3.98`, `$0.685`. */
export const formatTag = (micros: Micros, currency: string): string => {
  const exact = (micros / MICROS).toFixed(6).replace(/0+$/, '');
  const places = Math.max(decimals(currency), exact.length - exact.indexOf('.') - 1);
  return `${symbol(currency)}${(micros / MICROS).toFixed(places)}`;
};

/** `3.98`, `3,98`, `$3.98` as millionths. Problems: `price`. */
export const parseTag = (text: string): Result<Micros> => {
  const plain = text.replace(/^[^\d.,-]+|[^\d]+$/g, '');
  const value = parseDecimal(plain);
  if (!value.ok || plain === '') return fail('price', `"${text.trim()}" is not a price; write it as 3.98`);
  return ok(Math.round(value.value * MICROS));
};

/** A sum of money as minor units, rounded half up. Problems: `money`. */
export const parseMoney = (text: string, currency: string): Result<Minor> => {
  const micros = parseTag(text);
  if (!micros.ok) return fail('money', `"${text.trim()}" is not a sum of money; write it as 240 or 240.00`);
  return ok(toMinor(micros.value, currency));
};

/** A three-letter code as ISO 4217 has them. */
export const isCurrency = (code: string): boolean => /^[A-Z]{3}$/.test(code);

/** `$`, `€`; a currency without a sign by its three letters and a space. */
export const symbol = (currency: string): string => SYMBOLS[currency] ?? `${currency} `;
