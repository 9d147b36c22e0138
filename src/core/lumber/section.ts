import { byText } from '../byText';
import { fail, ok, type Result } from '../result';
import {
  formatLength,
  fromInches,
  NUMBER,
  numberValue,
  parseLength,
  plainCharacters,
  TICKS_PER_FOOT,
  TICKS_PER_INCH,
  writeLength,
  type LengthUnit,
  type Ticks,
} from '../units';

/** The cross-section of a board: thickness is the smaller side, width the larger. */
export interface Section {
  /** As it is called: `2x4`, `30x90mm`. */
  name: string;
  /** Actual size. */
  thickness: Ticks;
  width: Ticks;
  /** Nominal size, on which board feet are reckoned; the actual size where there is no trade name. */
  nominalThickness: Ticks;
  nominalWidth: Ticks;
}

/** Nominal to actual inches, dry and dressed: American Softwood Lumber Standard, PS 20. */
const ACTUAL_THICKNESS: Record<string, number> = {
  '1': 0.75,
  '5/4': 1,
  '2': 1.5,
  '3': 2.5,
  '4': 3.5,
  '6': 5.5,
};
const ACTUAL_WIDTH: Record<string, number> = {
  '2': 1.5,
  '3': 2.5,
  '4': 3.5,
  '5': 4.5,
  '6': 5.5,
  '8': 7.25,
  '10': 9.25,
  '12': 11.25,
};

const TRADE = /^(\d+(?:\/\d+)?) ?x ?(\d+)$/;
const UNIT = '(mm|cm|m|in|inch|inches|")';
const ACTUAL = new RegExp(`^(${NUMBER}) ?${UNIT}? ?x ?(${NUMBER}) ?${UNIT}?$`);

/**
 * Reads `2x4`, `5/4x6` (trade sizes of PS 20) or an actual size, `30x90mm`, `1-1/2x1-1/2in`. A size without
 * unit that has no trade name is millimetres in a metric project (`bareUnit`); elsewhere it is a fault. Problems: `section`.
 */
export const parseSection = (text: string, bareUnit: LengthUnit | null = null): Result<Section> =>
  (bareUnit === 'mm' ? inMetric : inAnyUnit)(text);

const readSection = (text: string, bareUnit: LengthUnit | null): Result<Section> => {
  const plain = plainCharacters(text).toLowerCase();
  const trade = tradeSection(plain);
  if (trade) return ok(trade);
  const match = ACTUAL.exec(plain);
  const unit = match?.[4] ?? match?.[2] ?? (bareUnit === 'mm' ? 'mm' : null);
  if (!match || unit === null) return notASection(text, match !== null);
  const sides = [`${match[1]}${match[2] ?? unit}`, `${match[3]}${unit}`].map((side) =>
    parseLength(side, 'mm'),
  );
  const [first, second] = sides;
  if (!first?.ok || !second?.ok || first.value <= 0 || second.value <= 0) return notASection(text, false);
  return ok(
    actualSection(
      Math.min(first.value, second.value),
      Math.max(first.value, second.value),
      unit === 'mm' || unit === 'cm' || unit === 'm' ? 'mm' : 'in',
    ),
  );
};

const inMetric = byText((text) => readSection(text, 'mm'));
const inAnyUnit = byText((text) => readSection(text, null));

const notASection = (text: string, lacksUnit: boolean): Result<never> =>
  fail(
    'section',
    lacksUnit
      ? `"${text.trim()}" is no trade size; write its actual size with a unit, such as 30x90mm`
      : `"${text.trim()}" is not a section; write a trade size such as 2x4, or an actual size such as 30x90mm`,
  );

const tradeSection = (plain: string): Section | null => {
  const match = TRADE.exec(plain);
  if (!match) return null;
  const sides = [match[1] ?? '', match[2] ?? ''].sort((a, b) => numberValue(a) - numberValue(b));
  const [thin = '', wide = ''] = sides;
  const thickness = ACTUAL_THICKNESS[thin];
  // Six is a thickness for 6x6 alone.
  const width = ACTUAL_WIDTH[wide];
  if (thickness === undefined || width === undefined || (thin === '6' && wide !== '6')) return null;
  return {
    name: `${thin}x${wide}`,
    thickness: fromInches(thickness),
    width: fromInches(width),
    nominalThickness: fromInches(numberValue(thin)),
    nominalWidth: fromInches(numberValue(wide)),
  };
};

/** A section by its actual size alone, as what is ripped from a board has it: `1-1/2x2-1/4in`, `45x60mm`. */
export const actualSection = (thickness: Ticks, width: Ticks, unit: LengthUnit): Section => {
  const side = (ticks: Ticks) =>
    writeLength(ticks, unit)
      .replace(/(in|mm)$/, '')
      .replace(' ', '-');
  const suffix = writeLength(width, unit).endsWith('in') ? 'in' : 'mm';
  return {
    name: `${side(thickness)}x${side(width)}${suffix}`,
    thickness,
    width,
    nominalThickness: thickness,
    nominalWidth: width,
  };
};

/** `2x4 (1 1/2" x 3 1/2")`, or the name alone where it is the actual size. */
export const describeSection = (section: Section, unit: LengthUnit): string =>
  section.nominalWidth === section.width && section.nominalThickness === section.thickness
    ? section.name
    : `${section.name} (${formatLength(section.thickness, unit)} x ${formatLength(section.width, unit)})`;

/** Board feet of one piece: nominal thickness in x nominal width in x length ft / 12 (PS 20). */
export const boardFeet = (section: Section, length: Ticks): number =>
  ((section.nominalThickness / TICKS_PER_INCH) *
    (section.nominalWidth / TICKS_PER_INCH) *
    (length / TICKS_PER_FOOT)) /
  12;
