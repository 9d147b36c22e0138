import { fail, ok, type Result } from '../result';
import { NUMBER, numberValue, plainCharacters } from './number';
import {
  TICKS_PER_FOOT,
  TICKS_PER_INCH,
  TICKS_PER_METRE,
  TICKS_PER_MM,
  type LengthUnit,
  type Ticks,
} from './ticks';

const UNITS: [pattern: RegExp, ticks: number][] = [
  [/^(?:in|ins|inch|inches|")$/, TICKS_PER_INCH],
  [/^(?:ft|foot|feet|')$/, TICKS_PER_FOOT],
  [/^(?:mm)$/, TICKS_PER_MM],
  [/^(?:cm)$/, 10 * TICKS_PER_MM],
  [/^(?:m|metres?|meters?)$/, TICKS_PER_METRE],
];

const SINGLE = new RegExp(`^(${NUMBER}) ?([a-z]+|["'])?\\.?$`);
const FEET_AND_INCHES = new RegExp(
  `^(\\d+) ?(?:ft|foot|feet|')\\.?[ -]*(${NUMBER}) ?(?:in|ins|inch|inches|")?\\.?$`,
);
const LONGEST = 1000 * TICKS_PER_METRE;

/**
 * Reads a length in any of the forms people write: `29 1/2`, `29-1/2"`, `29½`, `6' 2 1/2"`, `5ft 3 1/4in`,
 * `740mm`, `74cm`, `1.2m`, `1,2 m`. A bare number takes `unit`. The answer is in ticks, to the nearest one.
 * Problems: `length`, with the text and one good form.
 */
export const parseLength = (text: string, unit: LengthUnit): Result<Ticks> => {
  const plain = plainCharacters(text).toLowerCase();
  if (plain === '') return fail('length', `a length is missing; write one such as ${example(unit)}`);
  const ticks = feetAndInches(plain) ?? single(plain, unit);
  if (ticks === null || !Number.isFinite(ticks))
    return fail('length', `"${text.trim()}" is not a length; write one such as ${example(unit)}`);
  if (ticks === 'ambiguous')
    return fail(
      'length',
      `"${text.trim()}" can be read in two ways; write it without the comma, or with a point`,
    );
  if (ticks > LONGEST)
    return fail('length', `"${text.trim()}" is longer than a kilometre; write one such as ${example(unit)}`);
  return ok(Math.round(ticks));
};

const example = (unit: LengthUnit): string => (unit === 'in' ? '29 1/2 or 6\' 2 1/2"' : '740 or 74cm');

const feetAndInches = (plain: string): number | null => {
  const match = FEET_AND_INCHES.exec(plain);
  if (!match) return null;
  return Number(match[1]) * TICKS_PER_FOOT + numberValue(match[2] ?? '') * TICKS_PER_INCH;
};

const single = (plain: string, unit: LengthUnit): number | 'ambiguous' | null => {
  const match = SINGLE.exec(plain);
  if (!match) return null;
  const number = match[1] ?? '';
  const scale = UNITS.find(([pattern]) => pattern.test(match[2] ?? unit))?.[1];
  if (scale === undefined) return null;
  // "1,200": thousands to some, one and a fifth to others. Only metres are written with three decimals.
  if (/^[1-9]\d{0,2},\d{3}$/.test(number) && scale !== TICKS_PER_METRE) return 'ambiguous';
  return numberValue(number) * scale;
};
