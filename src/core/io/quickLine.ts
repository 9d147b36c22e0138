import { capital } from '../capital';
import {
  formatLength,
  parseCount,
  parseLength,
  plainCharacters,
  type LengthUnit,
  type Ticks,
} from '../units';
import { parseSection } from '../lumber';
import { emptyPart, type Measure } from '../project';
import { takeShape, type TakenShape } from '../project/shapeText';
import { fail, ok, type Result } from '../result';
import { takeQuantity } from './quickCount';
import { takeHardware } from './quickHardware';
import type { QuickReading } from './quickTypes';
import {
  doubtOf,
  longestRun,
  positive,
  sectionAtFront,
  sheetAtFront,
  threeSides,
  type Sized,
} from './quickSizes';
import { leftOver, materialsIn, namesHardware, takeEnds, woodWords } from './quickWords';

/** What a formula of the project's measures comes to; null: the text is none. */
export type LengthOf = (text: string) => Ticks | null;

const NO_FORMULAS: LengthOf = () => null;

/**
 * Reads one line such as `4 2x4 31 1/2 post`, `two braces 2x4 29 3/4`, `2 3/4 x 1 1/2 x 30 1/4 strip`, `2 3/4 24 x 36 shelf`
 * (a sheet: thickness, length x width) or `48 deck screws` (hardware). The quantity may be left out, or be written `4x`,
 * `4 pcs`, `two`; ends may stand anywhere, `both ends 45`, `40 45/45`; behind a comma stand ends, a material or a note. Bare
 * numbers take `unit`; `lengthOf` reads lengths that follow from measures. Nothing is taken for hardware that has two measures and
 * no name of hardware in it, and no number is left over in a name: then it asks. Problems: `quick`, `quantity`, `length`; `ask`, where another reading must not be tried.
 */
export const readQuickLine = (
  text: string,
  unit: LengthUnit,
  lengthOf: LengthOf = NO_FORMULAS,
): Result<QuickReading> => {
  const [given = '', ...after] = plainCharacters(text).split(/,(?!\d)/);
  const taken = takeShape(given, unit);
  if (taken) {
    const shaped = readShaped(taken, after, unit, lengthOf);
    if (shaped) return shaped;
  }
  return readPlain(given, after, unit, lengthOf);
};

/** A line that says in its midst how the part is shaped; null: it is hardware, and means something else. */
const readShaped = (
  { shape, triangle, said, before, after: behind }: TakenShape,
  after: string[],
  unit: LengthUnit,
  lengthOf: LengthOf,
): Result<QuickReading> | null => {
  const [along, across] = triangle ?? [];
  const around = (size: string) => readPlain(`${before} ${size} ${behind}`, after, unit, lengthOf);
  const read =
    along && across ? firstOk(around(along.text), around(`${along.text} x ${across.text}`)) : around('');
  if (!read.ok) return read;
  const { part, tokens } = read.value;
  if (part.kind === 'hardware') return null;
  const section = part.kind === 'board' ? parseSection(part.section, unit) : null;
  if (across && section?.ok && section.value.width !== across.ticks)
    return fail(
      'ask',
      `A ${part.section} is ${formatLength(section.value.width, unit)} wide: write the triangle as so long x ${formatLength(section.value.width, unit)}, or cut it from a sheet.`,
    );
  if (triangle && (part.name === 'Board' || part.name === 'Panel')) part.name = 'Triangle';
  part.shape = [...shape, ...(part.shape ?? [])];
  return ok({ part, tokens: [...tokens, { role: 'shape', text: said }] });
};

const firstOk = <T>(one: Result<T>, other: Result<T>): Result<T> => (one.ok || !other.ok ? one : other);

const readPlain = (
  given: string,
  after: string[],
  unit: LengthUnit,
  lengthOf: LengthOf,
): Result<QuickReading> => {
  const ends = takeEnds(given);
  const words = splitWords(ends?.rest ?? given);
  if (words.length === 0) return fail('quick', 'Write how many, what section, how long, and a name.');
  const { id: _, ...part } = emptyPart('');
  const reading: QuickReading = { part, tokens: [] };
  const quantity = takeQuantity(words, unit);
  if (quantity) {
    const count = parseCount(quantity.count);
    if (!count.ok) return count;
    part.quantity = count.value;
    reading.tokens.push({ role: 'quantity', text: quantity.text });
  }
  const named = sizedIn(words, unit, lengthOf);
  const read = named ? takeSized(reading, named, unit) : takeHardware(reading, words, after.join(','), unit);
  if (!read.ok) return read;
  if (ends) {
    part.ends = ends.ends;
    reading.tokens.push({ role: 'ends', text: ends.said });
  }
  takeName(reading, named ? named.name : words.join(' '));
  for (const one of after) takeAfter(reading, one.trim(), unit);
  return ok(reading);
};

const splitWords = (line: string): string[] =>
  line
    .replace(/(\d)\s*x\s+(?=\d+x\d)/gi, '$1x ')
    .split(/\s+/)
    .filter((word) => word !== '');

/** A size, with the name that stands before or behind it. */
interface Named extends Sized {
  name: string;
}

/** The size in words, at the front or behind a name of words without numbers; null: there is none. */
const sizedIn = (words: string[], unit: LengthUnit, lengthOf: LengthOf): Named | null => {
  const atFront = sizedAt(words, unit, lengthOf);
  if (atFront) {
    const name = atFront.rest.join(' ');
    // 1/2 x 8 in pipe nipple
    return !atFront.length && namesHardware(name) ? null : { ...atFront, name };
  }
  if (namesHardware(words.join(' '))) return null;
  for (let start = 1; start < words.length && !/\d/.test(words[start - 1] ?? ''); start++) {
    const sized = sizedAt(
      words.slice(start).filter((word, at) => at > 0 || !/^[-:@]$/.test(word)),
      unit,
      lengthOf,
    );
    const before = words
      .slice(0, start)
      .join(' ')
      .replace(/\s*[:@-]$/, '');
    if (sized?.length) return { ...sized, name: [before, ...sized.rest].join(' ') };
  }
  return null;
};

const sizedAt = (words: string[], unit: LengthUnit, lengthOf: LengthOf): Sized | null => {
  const three = threeSides(words, unit);
  if (three) return three;
  const section = sectionAtFront(words, unit);
  if (!section) return sheetAtFront(words, unit);
  const length = lengthBehind(section.rest, unit, lengthOf);
  return {
    kind: 'board',
    section: section.name,
    length: length?.measure ?? null,
    width: null,
    said: { section: section.said, length: length?.measure.text ?? '', width: '' },
    rest: length?.rest ?? section.rest,
    material: '',
  };
};

/** The length at the front, or behind words without a number: `legs 28 1/2`. */
const lengthBehind = (
  words: string[],
  unit: LengthUnit,
  lengthOf: LengthOf,
): { measure: Measure; rest: string[] } | null => {
  for (let start = 0; start < words.length; start++) {
    const found = lengthAt(words.slice(start), unit, lengthOf);
    if (found) return { ...found, rest: [...words.slice(0, start), ...found.rest] };
    if (/\d/.test(words[start] ?? '')) return null;
  }
  return null;
};

/** A formula has at most so many words. */
const MAX_WORDS_OF_A_FORMULA = 12;

const lengthAt = (
  words: string[],
  unit: LengthUnit,
  lengthOf: LengthOf,
): { measure: Measure; rest: string[] } | null => {
  const own = /^(x|at|@|-)$/i.test(words[0] ?? '') ? words.slice(1) : words;
  const formula = longestRun(
    own,
    (text) => {
      const ticks = /[a-z_]/i.test(text) ? lengthOf(text) : null;
      return ticks === null ? fail('length', '') : ok(ticks);
    },
    MAX_WORDS_OF_A_FORMULA,
  );
  const found = formula ?? longestRun(own, (text) => positive(parseLength(text, unit)));
  if (!found) return null;
  const rest = own.slice(found.count);
  return {
    measure: { text: found.text, ticks: found.value },
    rest: rest.length === 1 && /^long$/i.test(rest[0] ?? '') ? [] : rest,
  };
};

const takeSized = (
  { part, tokens }: QuickReading,
  { kind, section, length, width, said, rest, material }: Named,
  unit: LengthUnit,
): Result<true> => {
  if (!length)
    return fail(
      'length',
      `How long? Write a length behind ${said.section}, such as ${unit === 'in' ? '31 1/2' : '740'}.`,
    );
  const doubt = doubtOf(length, unit);
  if (doubt !== null) return fail('ask', doubt);
  const over = leftOver(rest);
  if (over !== null)
    return fail(
      'quick',
      `What is ${over}? Ends are written both ends 45 or one end 45; anything else stands behind a comma, as a note.`,
    );
  part.kind = kind;
  part.section = section;
  part.length = length;
  part.width = width;
  tokens.push({ role: 'section', text: said.section }, { role: 'length', text: said.length });
  if (width) tokens.push({ role: 'width', text: said.width });
  if (material !== '') {
    part.materials = [material];
    tokens.push({ role: 'material', text: material });
  }
  return ok(true);
};

const takeName = ({ part, tokens }: QuickReading, text: string): void => {
  let name = text;
  if (part.kind !== 'hardware') {
    const words = text
      .split(' ')
      .filter((word, at) => !(at === 0 && /^[-:x@]$/i.test(word)) && word !== '-' && word !== '');
    const woods = part.materials.length === 0 ? woodWords(words) : 0;
    if (woods > 0) {
      const material = words.splice(0, woods).join(' ');
      part.materials = [material];
      tokens.push({ role: 'material', text: material });
    }
    name = words.join(' ');
  }
  if (name !== '') tokens.push({ role: 'name', text: name });
  part.name = name === '' ? (part.kind === 'sheet' ? 'Panel' : 'Board') : capital(name);
};

/** What stands behind a comma: how the ends are cut, a material, or else a note. */
const takeAfter = ({ part, tokens }: QuickReading, text: string, unit: LengthUnit): void => {
  const taken = part.kind === 'hardware' ? null : takeShape(text, unit);
  if (taken && !taken.triangle) {
    part.shape = [...(part.shape ?? []), ...taken.shape];
    tokens.push({ role: 'shape', text: taken.said });
    text = `${taken.before} ${taken.after}`.trim();
  }
  const ends = part.kind === 'hardware' ? null : takeEnds(text);
  if (ends) {
    part.ends = ends.ends;
    tokens.push({ role: 'ends', text: ends.said });
  }
  const rest = ends?.rest ?? text;
  if (rest === '') return;
  const materials = part.kind === 'hardware' ? null : materialsIn(rest);
  if (materials) part.materials = materials;
  else part.note = part.note === '' ? rest : `${part.note}, ${rest}`;
  tokens.push({ role: materials ? 'material' : 'note', text: rest });
};
