import { formatLength, fromInches, fromMm, TICKS_PER_INCH, type LengthUnit, type Ticks } from '../units';

/** How two pieces of wood are fastened. */
export type Fastening = 'through' | 'pocket' | 'bolt' | 'nail' | 'bracket';

/** The two pieces where they meet: what the fastener passes first, and what it goes into. */
export interface Meeting {
  /** Ticks of wood passed through in the first piece. */
  first: Ticks;
  /** Ticks of wood there are behind it in the second. */
  second: Ticks;
}

/** Lengths that are on sale, by rule of thumb: screws and nails in inches and in millimetres. From memory; the shelf decides. */
const SCREWS_IN = [3 / 4, 1, 1.25, 1.625, 2, 2.5, 3, 3.5, 4, 5, 6].map(fromInches);
const SCREWS_MM = [16, 20, 25, 30, 35, 40, 50, 60, 70, 80, 90, 100, 120, 140, 160].map(fromMm);
const NAILS_IN = [3 / 4, 1, 1.25, 1.5, 2, 2.5, 3, 3.5, 4].map(fromInches);
const NAILS_MM = [20, 25, 30, 35, 40, 50, 60, 70, 80, 90, 100].map(fromMm);
const BOLT_STEP_IN = fromInches(1 / 2);
const BOLT_STEP_MM = fromMm(10);

/**
 * Pocket screws by the stock they start in: 1 1/4 in for 3/4 in, 2 1/2 in for 1 1/2 in (common practice); the
 * lengths between are from memory.
 */
const POCKET: [stock: number, screw: number][] = [
  [1 / 2, 1],
  [3 / 4, 1.25],
  [1, 1.5],
  [1.25, 2],
  [1.5, 2.5],
];
const POCKET_MM: [stock: number, screw: number][] = [
  [12, 25],
  [19, 32],
  [25, 40],
  [32, 50],
  [38, 63],
];

/** The tip of a screw or nail stays this share of the second piece away from its far side, where it can. */
const CLEAR = 1 / 3;
/** And it need not be longer than this many times what it passes first. */
const LONG_ENOUGH = 3;

const longestUpTo = (lengths: Ticks[], limit: Ticks): Ticks =>
  lengths.filter((length) => length <= limit).at(-1) ?? (lengths[0] as Ticks);

/**
 * The length of fastener for a meeting. Through screws: longer than the first piece, shorter than both: 2 1/2 in
 * through two 1 1/2 in pieces, 1 5/8 in for a 5/8 in picket on a 1 1/2 in frame. Bolts: both pieces and 1/2 in
 * (common practice).
 */
export const fastenerLength = (how: Fastening, { first, second }: Meeting, unit: LengthUnit): Ticks => {
  const isMetric = unit === 'mm';
  const limit = Math.min(first + second - Math.round(second * CLEAR), LONG_ENOUGH * first);
  switch (how) {
    case 'through':
      return longestUpTo(isMetric ? SCREWS_MM : SCREWS_IN, limit);
    case 'nail':
      return longestUpTo(isMetric ? NAILS_MM : NAILS_IN, limit);
    case 'pocket': {
      const rows = isMetric ? POCKET_MM : POCKET;
      const toTicks = isMetric ? fromMm : fromInches;
      const row = rows.filter(([stock]) => toTicks(stock) <= first).at(-1) ?? rows[0];
      return toTicks(row?.[1] ?? 0);
    }
    case 'bolt': {
      const step = isMetric ? BOLT_STEP_MM : BOLT_STEP_IN;
      const needed = first + second + (isMetric ? fromMm(13) : TICKS_PER_INCH / 2);
      return Math.ceil(needed / step) * step;
    }
    case 'bracket':
      return longestUpTo(isMetric ? SCREWS_MM : SCREWS_IN, Math.min(first, second) - 1);
  }
};

/** What is wrong with a fastener of a length at a meeting: it pokes through, or does not hold. Null: nothing. */
export const fastenerFault = (
  how: Fastening,
  length: Ticks,
  { first, second }: Meeting,
  unit: LengthUnit,
): string | null => {
  const size = (ticks: Ticks) => formatLength(ticks, unit);
  if (how === 'bolt')
    return length < first + second
      ? `A ${size(length)} bolt is too short for ${size(first + second)} of wood, a washer and a nut.`
      : null;
  if (how === 'pocket')
    return second > 0 && length >= first / 2 + second
      ? `A ${size(length)} pocket screw pokes through ${size(second)}.`
      : null;
  const behind = how === 'bracket' ? Math.min(first, second) : first + second;
  if (length >= behind)
    return `A ${size(length)} ${how === 'nail' ? 'nail' : 'screw'} pokes through ${size(behind)} of wood.`;
  if (how !== 'bracket' && length <= first)
    return `A ${size(length)} ${how === 'nail' ? 'nail' : 'screw'} does not hold: the first piece is ${size(first)} thick.`;
  return null;
};

/** One fastener for a narrow piece, two for most, three from 7 in wide: rule of thumb, from memory. */
export const fastenersEach = (width: Ticks): number =>
  width < fromInches(2) ? 1 : width < fromInches(7) ? 2 : 3;

const STEEL = /\b(screws?|nails?|bolts?|brackets?|hinges?|staples?|washers?)\b/i;
const COATED = /coated|galvani|stainless|bronze|copper|brass|zinc/i;

/** Whether a name is that of something that is made of steel, coated or not. */
export const isSteel = (name: string): boolean => STEEL.test(name);

/** Whether a name says that wood outdoors, or treated wood, does not eat it. */
export const isCoated = (name: string): boolean => COATED.test(name);

/**
 * Steel that wood outdoors, or treated wood, eats: coated (hot-dip galvanised) or stainless there. With treated
 * wood: International Residential Code R317.3 (from memory).
 */
export const fastenerFinish = (isTreated: boolean, isOutdoors: boolean): '' | 'coated ' =>
  isTreated || isOutdoors ? 'coated ' : '';

const NOUNS: Record<Fastening, { plain: string; outdoors: string }> = {
  through: { plain: 'wood screw', outdoors: 'deck screw' },
  pocket: { plain: 'pocket screw', outdoors: 'pocket screw' },
  bolt: { plain: '3/8 bolt', outdoors: '3/8 bolt' },
  nail: { plain: 'nail', outdoors: 'nail' },
  bracket: { plain: 'bracket', outdoors: 'bracket' },
};

/** What the shelf tag may say: `coated deck screw 2 1/2 in`, `wood screw 4 x 40 mm` is the user's to write. */
export const fastenerItem = (
  how: Fastening,
  length: Ticks,
  unit: LengthUnit,
  finish: '' | 'coated ',
): string => {
  const noun = finish === '' ? NOUNS[how].plain : NOUNS[how].outdoors;
  if (how === 'bracket') return `${finish}${noun}`;
  const metricNoun = noun.replace('3/8 bolt', 'M10 bolt');
  return unit === 'in'
    ? `${finish}${noun} ${formatLength(length, 'in').replace('"', ' in')}`
    : `${finish}${metricNoun} ${formatLength(length, 'mm')}`;
};

/** A tag that says that nut and washers are with the bolt. */
const BOLT_SET = /\bsets?\b|\bnuts?\b|\bkit\b/i;
/** The size of a bolt on its tag: `3/8`, `M10`. */
const BOLT_SIZE = /\bM\d+\b|\b\d+\/\d+\b/i;

/** What each bolt wants besides, by its tag: a nut and a washer at each side, of its size and coating; nothing where it is a set. */
export const besideBolt = (item: string): { item: string; each: number }[] => {
  if (BOLT_SET.test(item)) return [];
  const finish = /coated|galvani\w*|stainless/i.exec(item)?.[0] ?? '';
  const words = [finish, BOLT_SIZE.exec(item)?.[0] ?? ''].filter(Boolean);
  return [
    { item: [...words, 'nut'].join(' '), each: 1 },
    { item: [...words, 'washer'].join(' '), each: 2 },
  ];
};

/** Screws that hold one bracket: rule of thumb, from memory. */
export const SCREWS_A_BRACKET = 4;

/** More than is needed, for those that break, strip and roll away: rule of thumb. */
export const FASTENER_SPARE = 0.05;
