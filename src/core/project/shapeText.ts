import { formatLength, parseLength, plainCharacters, writeLength, type LengthUnit } from '../units';
import { fail, ok, type Result } from '../result';
import { CORNERS, isCorner, isEdge, measuresWanted, type OperationKind } from '../shape';
import type { Measure, Part, Shaping } from './types';

/** What of a text says how a part is shaped, and what is left of it. */
export interface TakenShape {
  shape: Shaping[];
  /** A right triangle by its two sides, along and across: it says the length as well. */
  triangle: [along: Measure, across: Measure] | null;
  said: string;
  before: string;
  after: string;
}

const LENGTH = String.raw`(\d+(?:[ -]\d+\/\d+|\/\d+|[.,]\d+)?(?: ?(?:mm|cm|in|inch(?:es)?|ft|m)\b| ?["'])?)`;
const PLACE = String.raw`(?:,? ?(?:at |on )?(?:the )?((?:top|bottom) (?:left|right)|top|bottom|left|right|all corners|all four corners))?`;

/** The words for each thing that can be done, with its measures in their order. */
const PATTERNS: { kind: OperationKind | 'triangle'; pattern: RegExp }[] = [
  { kind: 'triangle', pattern: pattern(String.raw`(?:right )?triangles? ${LENGTH} ?(?:x|by) ?${LENGTH}`) },
  {
    kind: 'taper',
    pattern: pattern(
      String.raw`(?:taper(?:s|ed|ing)?|narrow(?:s|ed|ing)?)(?: from| after| full for)? (?:${LENGTH} )?to ${LENGTH}${PLACE}`,
    ),
  },
  {
    kind: 'clip',
    pattern: pattern(
      String.raw`(?:(?:all |four )*corners? clip(?:ped)?|clip(?:ped|s)?)(?: corners?)? ${LENGTH}(?: ?(?:x|by) ?${LENGTH})?${PLACE}`,
    ),
  },
  {
    kind: 'notch',
    pattern: pattern(String.raw`notch(?:ed|es)? ${LENGTH} ?(?:x|by) ?${LENGTH}${PLACE}(?:,? at ${LENGTH})?`),
  },
  {
    kind: 'round',
    pattern: pattern(
      String.raw`(?:(?:all |four )*corners? rounded|round(?:ed|s)?)(?: corners?)? ${LENGTH}${PLACE}`,
    ),
  },
  { kind: 'curve', pattern: pattern(String.raw`(?:curved?|arch(?:ed)?) ${LENGTH}${PLACE}`) },
  { kind: 'hole', pattern: pattern(String.raw`holes? ${LENGTH} at ${LENGTH} ?(?:x|by) ?${LENGTH}`) },
];

function pattern(source: string): RegExp {
  return new RegExp(String.raw`(?<![\p{L}\d/.])${source}(?![\d/]|\.\d)`, 'iu');
}

/**
 * What a text says of a shape: `taper 5 to 1 1/2`, `clip 1 1/2 x 2 top left`, `corners clipped 1 1/2`, `notch 3/4 x 7 bottom left`,
 * `notch 3 1/2 x 2 bottom at 12`, `round 2 3/4 top right`, `curve 2 bottom`, `hole 1 at 4 x 2 3/4`, `triangle 14 x 7 1/4`. Bare
 * numbers take `unit`. Null: it says nothing of one.
 */
export const takeShape = (text: string, unit: LengthUnit): TakenShape | null => {
  const plain = plainCharacters(text);
  for (const { kind, pattern: words } of PATTERNS) {
    const found = words.exec(plain);
    if (!found) continue;
    const [said, ...groups] = found as unknown as [string, ...(string | undefined)[]];
    const place = groups.find((group) => group !== undefined && /^[a-z]/i.test(group))?.toLowerCase() ?? '';
    const measures = groups.map((group) => (group && /^\d/.test(group) ? measureOf(group, unit) : null));
    if (groups.some((group, index) => group && /^\d/.test(group) && !measures[index])) continue;
    const made = shapedBy(kind, measures, place, said);
    if (!made) continue;
    return {
      ...made,
      said: said.trim(),
      before: plain.slice(0, found.index).trim(),
      after: plain.slice(found.index + said.length).trim(),
    };
  }
  return null;
};

const measureOf = (text: string, unit: LengthUnit): Measure | null => {
  const read = parseLength(text, unit);
  return read.ok ? { text: text.trim(), ticks: read.value } : null;
};

type Made = Pick<TakenShape, 'shape' | 'triangle'>;

const shapedBy = (
  kind: OperationKind | 'triangle',
  measures: (Measure | null)[],
  place: string,
  said: string,
): Made | null => {
  const [first = null, second = null, third = null, fourth = null] = measures;
  const one = (shaping: Shaping): Made => ({ shape: [shaping], triangle: null });
  const blank = { along: null, across: null, from: null };
  const corner = CORNERS.find((name) => name === place) ?? 'top right';
  const corners = /corners|^all/i.test(`${said} ${place}`) ? CORNERS : [corner];
  switch (kind) {
    case 'triangle':
      return first && second
        ? {
            shape: [{ kind: 'clip', place: 'top right', along: first, across: second, from: null }],
            triangle: [first, second],
          }
        : null;
    case 'taper':
      return one({ ...blank, kind, place: corner, from: first ?? ZERO, across: second });
    case 'clip':
      return {
        shape: corners.map((at) => ({ ...blank, kind, place: at, along: first, across: second ?? first })),
        triangle: null,
      };
    case 'round':
      return { shape: corners.map((at) => ({ ...blank, kind, place: at, along: first })), triangle: null };
    case 'curve':
      return one({ ...blank, kind, place: edgeNamed(place) ?? 'bottom', across: first });
    case 'hole':
      return one({ kind, place: 'inside', along: first, from: second, across: third });
    case 'notch': {
      const edge = edgeNamed(place);
      return edge
        ? one({ kind, place: edge, along: first, across: second, from: fourth ?? third ?? ZERO })
        : one({ ...blank, kind, place: corner, along: first, across: second });
    }
  }
};

const ZERO: Measure = { text: '0', ticks: 0 };

const edgeNamed = (place: string): Shaping['place'] | null => {
  const named = place as Shaping['place'];
  return isEdge(named) ? named : null;
};

/** Reads the form that `writeShape` writes: operations parted by `;`. Blank: none. Problems: `shape`. */
export const parseShape = (text: string, unit: LengthUnit): Result<Shaping[]> => {
  const shape: Shaping[] = [];
  for (const one of text.split(';').filter((part) => part.trim() !== '')) {
    const taken = takeShape(one, unit);
    if (!taken || taken.before !== '' || taken.after !== '')
      return fail(
        'shape',
        `"${one.trim()}" is not a way to shape a part; write one such as taper 5in to 1 1/2in top right, clip 2in x 2in top left or notch 1in x 3in bottom left`,
      );
    shape.push(...taken.shape);
  }
  return ok(shape);
};

/** Operations as files hold them, every length worked out and with its unit; blank for none. */
export const writeShape = (shape: Shaping[] | undefined, unit: LengthUnit): string =>
  (shape ?? []).map((shaping) => shapingText(shaping, (ticks) => writeLength(ticks, unit))).join('; ');

/** What is done to a part, for reading: `taper 5" to 1 1/2" top right`; a right triangle by its name. */
export const shapeWords = (
  { shape, length }: Pick<Part, 'shape' | 'length'>,
  width: number,
  unit: LengthUnit,
): string => {
  const say = (ticks: number) => formatLength(ticks, unit);
  return (shape ?? [])
    .map((shaping) =>
      isTriangle(shaping, length?.ticks ?? 0, width)
        ? `triangle ${say(shaping.along?.ticks ?? 0)} x ${say(shaping.across?.ticks ?? 0)}`
        : shapingText(shaping, say),
    )
    .join(', ');
};

const isTriangle = ({ kind, along, across }: Shaping, length: number, width: number): boolean =>
  kind === 'clip' && along?.ticks === length && across?.ticks === width;

const shapingText = ({ kind, place, ...measures }: Shaping, say: (ticks: number) => string): string => {
  const of = (name: 'along' | 'across' | 'from') => say(measures[name]?.ticks ?? 0);
  switch (kind) {
    case 'taper':
      return `taper ${of('from')} to ${of('across')} ${place}`;
    case 'clip':
      return `clip ${of('along')} x ${of('across')} ${place}`;
    case 'round':
      return `round ${of('along')} ${place}`;
    case 'curve':
      return `curve ${of('across')} ${place}`;
    case 'hole':
      return `hole ${of('along')} at ${of('from')} x ${of('across')}`;
    case 'notch':
      return `notch ${of('along')} x ${of('across')} ${place}${isCorner(place) ? '' : ` at ${of('from')}`}`;
  }
};

/** An operation of a kind at a place, with the measures that it has there; those that it had before stay. */
export const shapingAt = (
  kind: OperationKind,
  place: Shaping['place'],
  held: Partial<Shaping>,
  otherwise: Measure,
): Shaping => {
  const wanted = measuresWanted(kind, place);
  const measure = (name: 'along' | 'across' | 'from') =>
    wanted.includes(name) ? (held[name] ?? (name === 'from' ? ZERO : otherwise)) : null;
  return { kind, place, along: measure('along'), across: measure('across'), from: measure('from') };
};
