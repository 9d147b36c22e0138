import { capital } from '../capital';
import { NUMBER, numberValue, parseCount, parseLength, plainCharacters, type LengthUnit } from '../units';
import { emptyPart } from '../project';
import { fail, ok, type Result } from '../result';
import { parseSection } from '../lumber';
import { readQuickLine, type LengthOf } from './quickLine';
import type { QuickReading } from './quickTypes';
import { doubtOf, LONGEST_IN_FEET } from './quickSizes';
import { numbersIn } from './quickWords';

/** One line of a pasted list as it was understood: a part, or a heading that names the group of those below. */
export interface PastedLine {
  /** Counted from 1. */
  line: number;
  text: string;
  /** The heading that it stands under; null: none. */
  under: string | null;
  reading: Result<QuickReading> | { heading: string };
}

/**
 * Reads a list that was written for people, a part a line, in any common form: `3 pcs 2x6 @ 48"`,
 * `(2) 1x4 - 14 1/2`, `Post: 4 x 31.5 in 4x4`, `2x6: 3@48, 2@25`, `4 2x4 31 1/2 post`, cells of a table. Blank lines
 * are left out; every other line is told of, understood or not.
 */
export const readPastedList = (text: string, unit: LengthUnit): PastedLine[] => {
  let section = '';
  let under: string | null = null;
  return text.split(/\r\n|\r|\n/).flatMap((raw, index): PastedLine[] => {
    const line = index + 1;
    const clean = tidy(raw);
    if (clean === '') return [];
    const heading = /^([^:]+):$/.exec(clean)?.[1]?.trim() ?? /^#+ *(.+)$/.exec(clean)?.[1] ?? null;
    if (heading !== null) {
      const read = parseSection(heading, unit);
      section = read.ok ? read.value.name : '';
      if (read.ok) return [];
      under = heading;
      return [{ line, text: raw.trim(), under, reading: { heading } }];
    }
    const several = listed(clean, unit);
    const entries = several ?? [clean];
    return entries.map((entry) => ({
      line,
      text: several ? entry : raw.trim(),
      under,
      reading: readEntry(entry, section, unit),
    }));
  });
};

/**
 * Reads what is typed into one line: as a quick line, or in any form that a pasted list has; `2x6: 3 at 48, 3 at 45` is a part each.
 * Problems: those of the first that is not understood.
 */
export const readQuickLines = (
  text: string,
  unit: LengthUnit,
  lengthOf?: LengthOf,
): Result<QuickReading[]> => {
  const clean = tidy(text);
  const several = listed(clean, unit);
  const readings: QuickReading[] = [];
  for (const entry of several ?? [text]) {
    const reading = readAny(entry, unit, lengthOf);
    if (!reading.ok) return reading;
    readings.push(reading.value);
  }
  return ok(readings);
};

/** By the strict form of a quick line first, then by any other. What the strict one asks says more than that nothing was understood. */
const readAny = (entry: string, unit: LengthUnit, lengthOf?: LengthOf): Result<QuickReading> => {
  const quick = readQuickLine(entry, unit, lengthOf);
  if (quick.ok || quick.problems[0]?.code === 'ask') return quick;
  const clean = tidy(entry);
  const tidied = readQuickLine(clean, unit, lengthOf);
  if (tidied.ok) return tidied;
  const loose = readLoosely(clean, '', unit);
  if (!loose.ok) return quick;
  // 4 2x4: the only number beside the section says how many, not how long.
  return numbersIn(entry) <= 3 ? quick : loose;
};

/** Without bullets, numbering and the borders of tables; tabs and bars part cells. */
const tidy = (raw: string): string =>
  plainCharacters(raw.replace(/^[\s|]+|[\s|]+$/g, '').replace(/\s*[\t|]\s*/g, ' ; '))
    .replace(/^(?:[-*•·–]|\d+[.)])\s+/, '')
    .trim();

/** `2x6: 3@48, 3@45` and `3@48, 3@45` as an entry each, every one with the section. */
const listed = (line: string, unit: LengthUnit): string[] | null => {
  const written = line.replace(/(\d) at (?=\d)/g, '$1@');
  const [, head = '', tail = ''] = /^(?:([^:@]+):)?\s*(.+@.+)$/.exec(written) ?? [];
  const entries = tail.split(/\s*[,;]\s+/).filter((entry) => entry !== '');
  if (entries.length < 2 || !entries.every((entry) => entry.includes('@'))) return null;
  const section = parseSection(head, unit);
  return entries.map((entry) =>
    section.ok ? `${section.value.name} ${entry}` : head === '' ? entry : `${head}: ${entry}`,
  );
};

const readEntry = (entry: string, section: string, unit: LengthUnit): Result<QuickReading> => {
  if (section === '') return readAny(entry, unit);
  const quick = readQuickLine(entry, unit);
  return quick.ok && isClean(quick.value) ? quick : readLoosely(entry, section, unit);
};

/** Whether a quick line left nothing over that should have been a number. */
const isClean = ({ part }: QuickReading): boolean =>
  !part.materials.some((name) => /\d/.test(name)) &&
  (part.kind === 'hardware'
    ? !/[@(:;]|\dx\d|^\d/.test(part.name) && /^[^\d]*(?:\d+ ?(?:\d+\/\d+)? ?(?:in|mm))?$/.test(part.name)
    : !/[\d@():;]/.test(part.name));

const SECTION =
  /(?<![\d./])\d+(?:[ -]\d+\/\d+|\/\d+|\.\d+)?(?: ?(?:mm|cm|in|"))? ?x ?\d+(?:[ -]\d+\/\d+|\/\d+|\.\d+)?(?: ?(?:mm|cm|in|"))?(?![\d/.])/gi;

/** Takes the first thing in a text that reads as a section; those written without spaces first. */
const takeSection = (text: string, unit: LengthUnit): { name: string; rest: string } | null => {
  const found = [...text.matchAll(SECTION)].sort(
    (a, b) => Number(/ x | x|x /.test(a[0])) - Number(/ x | x|x /.test(b[0])),
  );
  for (const match of found) {
    const read = parseSection(match[0], /mm|cm|in|"/.test(match[0]) ? null : unit);
    if (!read.ok) continue;
    // 2x4x8: the third number is feet.
    const behind = text
      .slice(match.index + match[0].length)
      .replace(/^ ?x ?(\d+)(?![\d/.'"]| ?\d+\/| ?(?:in|mm|cm|m|ft)\b)/i, (_, third: string) =>
        unit === 'in' && Number(third) <= LONGEST_IN_FEET ? ` ${third}'` : ` ${third}`,
      );
    return { name: read.value.name, rest: `${text.slice(0, match.index)} ; ${behind}` };
  }
  return null;
};

const COUNTS = [
  /\((\d+)\)/, // (2)
  /\b(\d+) ?(?:pcs?|pieces?|ea|each|off|no|stk)\b\.?/i, // 3 pcs
  /\bqty\.?:? ?(\d+)/i, // qty 4
  /(?<![\d/.])(\d+) ?@ ?/, // 3@48
  /(?<![\d/.'"x] ?)(\d+) ?x(?= ?\d)/i, // 4 x 31.5
  /(?<=[\d"'] ?(?:in|mm|cm|m|ft)?) ?x ?(\d+)(?=\s*(?:$|;))/i, // 31.5 x 4
];

const LENGTH = new RegExp(
  `(?:\\d+ ?(?:ft|')\\.? ?-? ?)?${NUMBER} ?(?:mm|cm|m|inches|inch|in|ft|feet|"|')?(?![\\p{L}\\d])`,
  'giu',
);

/** How many, where a text says so, and the rest of it. */
const takeCount = (text: string): { count: string | null; rest: string } => {
  for (const pattern of COUNTS) {
    const match = pattern.exec(text);
    if (match)
      return {
        count: match[1] ?? '',
        rest: `${text.slice(0, match.index)} ; ${text.slice(match.index + match[0].length)}`,
      };
  }
  return { count: null, rest: text };
};

/** Section, count and length wherever they stand; what is left is the name. */
const readLoosely = (entry: string, headSection: string, unit: LengthUnit): Result<QuickReading> => {
  const { id: _, ...part } = emptyPart('');
  const taken = takeSection(entry, unit);
  const section = taken?.name ?? headSection;
  const example = unit === 'in' ? '31 1/2' : '740';
  if (section === '')
    return fail(
      'quick',
      `no section in "${entry}"; write one such as 2x4, or an actual size such as 45x95mm`,
    );
  let { count, rest } = takeCount(taken?.rest ?? entry);
  const lengths = [...rest.matchAll(LENGTH)].filter(([text]) => /\d/.test(text));
  // The length is what has a unit or a fraction; of plain numbers the last, and a whole one before it is the count.
  const measured = lengths.find(([text]) => /[a-z"'/.]/i.test(text)) ?? lengths.at(-1);
  if (!measured) return fail('length', `no length in "${entry}"; write one such as ${example}`);
  const ticks = parseLength(measured[0], unit);
  if (!ticks.ok) return ticks;
  if (ticks.value === 0) return fail('length', `"${measured[0].trim()}" is no length`);
  const doubt = doubtOf({ text: measured[0].trim(), ticks: ticks.value }, unit);
  if (doubt !== null) return fail('ask', doubt);
  const at = measured.index;
  rest = `${rest.slice(0, at)} ; ${rest.slice(at + measured[0].length)}`;
  const whole = lengths.find((match) => match !== measured && /^\d+ ?$/.test(match[0]));
  if (count === null && whole) {
    count = whole[0].trim();
    rest = rest.replace(new RegExp(`(?<![\\d/.])${count}(?![\\d/.])`), ' ; ');
  }
  const quantity = parseCount(count ?? '1');
  if (!quantity.ok) return quantity;
  const over = /\d/.exec(rest.replace(/[\p{L}_]+\d+/gu, ''));
  if (over) return fail('quick', `"${entry}" has a number too many; write it as 4 2x4 ${example} post`);
  const name = rest
    .replace(/[;:,@()[\]=#*]+|(?<=\s|^)[x-](?=\s|$)|\b(?:long|at|of|lengths?)\b/gi, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return ok({
    part: {
      ...part,
      kind: 'board',
      name: name === '' ? 'Board' : capital(name),
      quantity: quantity.value,
      section,
      length: { text: measured[0].trim(), ticks: ticks.value },
    },
    tokens: [
      { role: 'quantity', text: String(numberValue(count ?? '1')) },
      { role: 'section', text: section },
      { role: 'length', text: measured[0].trim() },
      ...(name === '' ? [] : [{ role: 'name' as const, text: name }]),
    ],
  });
};
