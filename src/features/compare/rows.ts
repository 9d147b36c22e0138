import { MAY_BE_PLAIN, type Outcome } from '@/core/compare';
import { formatLength, formatMoney, formatWeight } from '@/core/units';
import { perWords, type Project } from '@/core/project';
import { rankOf, VERDICT_WORDS } from '@/core/lumber';

/** One row of a comparison: what it is, what an outcome has of it, and a number to hold against the choice's. */
export interface CompareRow {
  key: string;
  label: string;
  text: (outcome: Outcome, project: Project) => string;
  /** More is worse; null: no better and no worse. */
  cost: ((outcome: Outcome) => number) | null;
}

const money = (sum: (outcome: Outcome) => number): Pick<CompareRow, 'text' | 'cost'> => ({
  text: (outcome, { currency }) => formatMoney(sum(outcome), currency),
  cost: sum,
});

/** The rows that matter, in the order in which they are asked. */
const ROWS: CompareRow[] = [
  { key: 'till', label: 'At the till', ...money(({ atTill }) => atTill) },
  { key: 'piece', label: 'In the piece', ...money(({ inPiece }) => inPiece) },
  {
    key: 'year',
    label: 'A year of its life',
    text: ({ perYear, isRenewed, wants }, { currency }) =>
      perYear
        ? [
            `${formatMoney(perYear.low, currency)} to ${formatMoney(perYear.high, currency)}`,
            ...(isRenewed
              ? ['its finish put on again']
              : wants.includes('finish')
                ? ['without the finish it wants']
                : []),
          ].join(', ')
        : 'no wood',
    cost: ({ perYear }) => (perYear ? perYear.low + perYear.high : 0),
  },
  { key: 'wood', label: 'Wood only', ...money(({ wood }) => wood) },
  {
    key: 'finish',
    label: 'Finish it wants',
    text: ({ finish, wants }, { currency }) =>
      [
        finish > 0 ? formatMoney(finish, currency) : wants.includes('finish') ? '' : 'none',
        wants.includes('finish') ? 'wants one, not in the price' : '',
      ]
        .filter(Boolean)
        .join(', '),
    cost: ({ finish }) => finish,
  },
  {
    key: 'hardware',
    label: 'Hardware it wants',
    text: ({ hardware, steel, wants }, { currency }) =>
      [
        `${formatMoney(hardware, currency)}${steel === '' ? '' : ', coated'}`,
        ...(wants.includes('liner') ? ['wants a liner, not in the price'] : []),
        ...(wants.includes('coated steel') ? [MAY_BE_PLAIN] : []),
      ].join(', '),
    cost: ({ hardware }) => hardware,
  },
  {
    key: 'later',
    label: 'Not built yet',
    text: ({ notYet }) => notYet.join(', ') || 'nothing',
    cost: ({ notYet }) => notYet.length,
  },
  { key: 'trips', label: 'Trips and shipping', ...money(({ trips }) => trips) },
  {
    key: 'weight',
    label: 'Weighs',
    text: ({ weight }, { unit }) => formatWeight(weight, unit),
    cost: ({ weight }) => weight,
  },
  {
    key: 'boards',
    label: 'To carry home',
    text: ({ boards }) => `${boards} ${boards === 1 ? 'board' : 'boards'}`,
    cost: ({ boards }) => boards,
  },
  {
    key: 'life',
    label: 'Stands, by rule of thumb',
    text: ({ life }) => (life ? `${life.low} to ${life.high} years` : 'no wood'),
    cost: ({ life }) => (life ? -(life.low + life.high) : 0),
  },
  {
    key: 'fit',
    label: 'Fit for its place',
    text: ({ fit }) => VERDICT_WORDS[fit.verdict],
    cost: ({ fit }) => rankOf(fit.verdict),
  },
  {
    key: 'work',
    label: 'To prepare',
    text: ({ preparation }) => preparation.join(', ') || 'nothing',
    cost: ({ preparation }) => preparation.length,
  },
  {
    key: 'stores',
    label: 'Stores',
    text: ({ stores }) => stores.join(', ') || 'none',
    cost: ({ stores }) => stores.length,
  },
  {
    key: 'offcuts',
    label: 'Left over',
    text: ({ offcuts }, { unit }) =>
      offcuts.count === 0
        ? 'nothing'
        : `${offcuts.count} ${offcuts.count === 1 ? 'piece' : 'pieces'}, ${formatLength(Math.round(offcuts.length), unit)}`,
    cost: null,
  },
];

/** The rows of a project, with what one of what its cost is divided by comes to. */
export const rowsOf = ({ per, unit }: Pick<Project, 'per' | 'unit'>): CompareRow[] => {
  const [till, ...rest] = ROWS;
  if (!per || !till) return ROWS;
  const each: CompareRow = {
    key: 'per',
    label: `Per ${perWords(per, unit)}`,
    text: ({ perUnit }, { currency }) => (perUnit === null ? 'not known' : formatMoney(perUnit, currency)),
    cost: ({ perUnit }) => perUnit ?? 0,
  };
  return [till, each, ...rest];
};

/** How a row stands against the choice's: better, worse, or the same for what matters. */
export const standing = (
  row: CompareRow,
  outcome: Outcome,
  chosen: Outcome | null,
): 'better' | 'worse' | 'same' => {
  if (!row.cost || !chosen) return 'same';
  const difference = row.cost(outcome) - row.cost(chosen);
  return Math.abs(difference) < 1e-6 ? 'same' : difference < 0 ? 'better' : 'worse';
};
