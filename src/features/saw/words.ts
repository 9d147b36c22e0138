import { formatAngle, formatLength, formatStockLength, type LengthUnit } from '@/core/units';
import { leftBy, type SawBoard, type SetupUse } from '@/core/sawing';

/** What is sawn, as `2x4 pine 8'`. */
export const stockWords = ({ section, material, length }: SawBoard['layout'], unit: LengthUnit): string =>
  `${section} ${material} ${formatStockLength(length, unit)}`;

/** What is said of one cut. */
export interface CutWords {
  /** What the saw is set to: `Stop at 29 1/2"`. */
  title: string;
  /** Where the line is on the whole board, so that errors do not add up. */
  measure: string;
  /** What comes of it. */
  leaves: string;
}

/** One cut of a board in words. `nameOf`: how a piece of the layout is called, by its index. */
export const cutWords = (
  { sequence, layout }: Pick<SawBoard, 'sequence' | 'layout'>,
  index: number,
  unit: LengthUnit,
  nameOf: (piece: number) => string,
): CutWords | null => {
  const cut = sequence.cuts[index];
  if (!cut) return null;
  const length = lengthIn(unit);
  const { setup, line, kind, store } = cut;
  const [from, to] = line;
  const isSlanted = kind === 'crosscut' && Math.abs(from[0] - to[0]) > SLIGHT;
  const measure = isSlanted
    ? `${length(from[0])} on the lower edge, ${length(to[0])} on the upper, from the left end of the ${layout.kind}`
    : kind === 'rip'
      ? `${length(from[1])} from the lower edge of the ${layout.kind}`
      : `${length(from[0])} from the left end of the ${layout.kind}`;
  const said = ([0, 1] as const).flatMap((which) => {
    const left = leftBy(sequence, cut, which);
    if (left === null) return [];
    const what =
      typeof left === 'number'
        ? nameOf(left)
        : left === 'more'
          ? 'what is cut further'
          : left === 'offcut'
            ? 'an offcut to keep'
            : 'waste';
    return [`${SIDES[kind][which]}: ${what}`];
  });
  return {
    title: store ? 'The store saws it here' : setupWords(setup, layout.kind, length),
    measure,
    leaves: said.join(' · '),
  };
};

/** A setting of the saw in words, and what is cut with it. */
export const setupWordsOf = (
  { setup, of, cuts, numbers }: SetupUse,
  unit: LengthUnit,
): { title: string; note: string } => ({
  title: setupWords(setup, of, lengthIn(unit)),
  note: `${cuts} ${cuts === 1 ? 'cut' : 'cuts'} · ${numbers.length === 1 ? 'drawing' : 'drawings'} ${numbers.join(', ')}`,
});

const lengthIn =
  (unit: LengthUnit) =>
  (ticks: number): string =>
    formatLength(Math.max(0, Math.round(ticks)), unit);

/** A line that leans by less is square, in ticks. */
const SLIGHT = 8;

const SIDES = { crosscut: ['left', 'right'], rip: ['below', 'above'] } as const;

const setupWords = (
  setup: SawBoard['sequence']['cuts'][number]['setup'],
  kind: SawBoard['layout']['kind'],
  length: (ticks: number) => string,
): string => {
  if (setup.tool === 'fence') return `${kind === 'sheet' ? 'Along' : 'Rip'}, fence at ${length(setup.fence)}`;
  const slants = [
    ...(setup.angle > 0 ? [`saw at ${formatAngle(setup.angle)}`] : []),
    ...(setup.bevel > 0 ? [`blade tilted ${formatAngle(setup.bevel)}`] : []),
  ];
  const first =
    setup.tool === 'stop'
      ? `${kind === 'sheet' ? 'Across, fence' : 'Stop'} at ${length(setup.stop)}`
      : slants.length > 0
        ? 'Cut the end'
        : 'Square the end';
  return [first, ...slants].join(', ');
};
