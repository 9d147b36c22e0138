import { capital } from '../capital';
import { parseCount, parseLength, plainCharacters, type LengthUnit } from '../units';
import { parseEnds, parseMaterials, parseSection, parseThickness, thicknessName, writeEnds } from '../lumber';
import { emptyPart, type Measure, type Part } from '../project';
import { fail, ok, type Result } from '../result';

/** What a stretch of a quick line was taken for. */
export type QuickRole = 'quantity' | 'section' | 'length' | 'width' | 'ends' | 'name' | 'material';

export interface QuickToken {
  role: QuickRole;
  text: string;
}

/** A quick line as it was understood: the fields of a part, and which words gave them, in their order. */
export interface QuickReading {
  part: Omit<Part, 'id'>;
  tokens: QuickToken[];
}

/**
 * Reads one line such as `4 2x4 31 1/2 post`, `2 3/4 24 x 36 shelf` (a sheet: thickness, length x width) or
 * `48 deck screws` (hardware: no size). The quantity may be left out, or be written `4x`, `4 pcs`; ends and
 * materials may follow: `2 2x4 33 mitre 45 brace, cedar|larch`. Bare numbers take `unit`.
 * Problems: `quick`, `quantity`, `length`, each with what is missing.
 */
export const readQuickLine = (text: string, unit: LengthUnit): Result<QuickReading> => {
  const [line = '', ...after] = text.split(/,(?!\d)/);
  const words = splitWords(line);
  if (words.length === 0) return fail('quick', 'Write how many, what section, how long, and a name.');
  const reading: QuickReading = { part: withoutId(), tokens: [] };
  const { part, tokens } = reading;
  const quantity = takeQuantity(words, unit);
  if (quantity) {
    const count = parseCount(quantity.count);
    if (!count.ok) return count;
    part.quantity = count.value;
    tokens.push({ role: 'quantity', text: quantity.text });
  }
  const materials = after.join(',').trim();
  const sized = takeBoard(words, unit, reading) || takeSheet(words, unit, reading);
  if (!sized) {
    part.kind = 'hardware';
    if (words.length === 0)
      return fail(
        'quick',
        `${tokens[0]?.text ?? ''} of what? Write a section such as 2x4, or the name of a piece of hardware.`,
      );
  } else if (!part.length)
    return fail(
      'length',
      `How long? Write a length behind ${tokens.at(-1)?.text ?? ''}, such as ${unit === 'in' ? '31 1/2' : '740'}.`,
    );
  const name = words.join(' ');
  if (name !== '') tokens.push({ role: 'name', text: name });
  part.name = name === '' ? nameless(part) : capital(name);
  if (materials !== '') {
    part.materials = parseMaterials(materials);
    tokens.push({ role: 'material', text: materials });
  }
  return ok(reading);
};

const withoutId = (): Omit<Part, 'id'> => {
  const { id: _, ...part } = emptyPart('');
  return part;
};

const nameless = (part: Omit<Part, 'id'>): string => (part.kind === 'sheet' ? 'Panel' : 'Board');

const splitWords = (line: string): string[] =>
  line
    .replace(/(\d)\s*[×x]\s+(?=\d+\s*[x×]\s*\d)/gi, '$1x ')
    .split(/\s+/)
    .filter((word) => word !== '');

/** Takes `4`, `4x`, `4×`, `4 pcs` off the front: a whole number with more behind it that is not the rest of a section. */
const takeQuantity = (words: string[], unit: LengthUnit): { count: string; text: string } | null => {
  const match = /^(\d+)[x×]?$/i.exec(words[0] ?? '');
  const next = words[1] ?? '';
  if (
    !match ||
    words.length < 2 ||
    (/^[x×]$/i.test(next) && !parseSection(words.slice(2, 3).join(''), unit).ok)
  )
    return null;
  const filler = /^(pcs?|pieces?|[x×]|of)\.?$/i.test(next) ? 2 : 1;
  return { count: match[1] ?? '', text: words.splice(0, filler).join(' ') };
};

const MAX_WORDS_OF_A_SIZE = 5;

/** The longest run of words at the front that `read` accepts; takes it off. */
const takeLongest = <T>(
  words: string[],
  read: (text: string) => Result<T>,
): { value: T; text: string } | null => {
  for (let count = Math.min(MAX_WORDS_OF_A_SIZE, words.length); count > 0; count--) {
    const text = words.slice(0, count).join(' ');
    const result = read(text);
    if (!result.ok) continue;
    words.splice(0, count);
    return { value: result.value, text };
  }
  return null;
};

const takeBoard = (words: string[], unit: LengthUnit, { part, tokens }: QuickReading): boolean => {
  const section = takeLongest(words, (text) => parseSection(text, unit));
  if (!section) return false;
  part.kind = 'board';
  part.section = section.value.name;
  tokens.push({ role: 'section', text: section.text });
  const length = takeLength(words, unit);
  if (length) {
    part.length = length;
    tokens.push({ role: 'length', text: length.text });
  }
  for (let start = 0; start + 1 < words.length; start++) {
    const count = words[start + 2] === 'edge' ? 3 : 2;
    const ends = parseEnds(words.slice(start, start + count).join(' '));
    if (!ends.ok || ends.value.shape === 'square') continue;
    part.ends = writeEnds(ends.value);
    tokens.push({ role: 'ends', text: words.splice(start, count).join(' ') });
    break;
  }
  return true;
};

const takeLength = (words: string[], unit: LengthUnit): Measure | null => {
  if (/^(x|at|@)$/i.test(words[0] ?? '')) words.shift();
  const length = takeLongest(words, (text) => {
    const ticks = parseLength(text, unit);
    return ticks.ok && ticks.value === 0 ? fail('length', '') : ticks;
  });
  return length && { text: length.text, ticks: length.value };
};

/** `3/4 24 x 36`, `18mm 600x400`: a thickness, then two sides with an x between. */
const takeSheet = (words: string[], unit: LengthUnit, { part, tokens }: QuickReading): boolean => {
  const rest = words.join(' ');
  for (let count = 1; count < Math.min(MAX_WORDS_OF_A_SIZE, words.length); count++) {
    const thickness = parseThickness(words.slice(0, count).join(' '), unit);
    if (!thickness.ok) continue;
    const sides = /^(.+?) ?x ?(.+)$/i.exec(plainCharacters(words.slice(count).join(' ')));
    const along = sides && parseLength(sides[1] ?? '', unit);
    const behind = (sides?.[2] ?? '').split(' ');
    const across = sides && takeLength(behind, unit);
    if (!along?.ok || along.value === 0 || !across) continue;
    part.kind = 'sheet';
    part.section = thicknessName(thickness.value);
    part.length = { text: sides[1] ?? '', ticks: along.value };
    part.width = across;
    tokens.push(
      { role: 'section', text: rest.split(' ').slice(0, count).join(' ') },
      { role: 'length', text: part.length.text },
      { role: 'width', text: across.text },
    );
    words.splice(0, words.length, ...behind);
    return true;
  }
  return false;
};
