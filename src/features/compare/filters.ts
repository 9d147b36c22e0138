import { kindOfWork, type Outcome } from '@/core/compare';

/** What ways must be to be shown beside what is chosen. */
export const FILTERS = [
  { value: 'all', label: 'all ways' },
  { value: 'fit', label: 'fit for its place' },
  { value: 'store', label: 'from one store' },
  { value: 'whole', label: 'without ripping' },
] as const;
/** Which ways are shown. */
export type Filter = (typeof FILTERS)[number]['value'];

const KEEPS: Record<Filter, (outcome: Outcome) => boolean> = {
  all: () => true,
  fit: ({ fit }) => fit.verdict !== 'unfit',
  store: ({ stores }) => stores.length <= 1,
  whole: ({ preparation }) => !preparation.some((task) => kindOfWork(task) === 'rip'),
};

/** The columns that are so, in their order; what is chosen stays, and so does what is not known yet. */
export const filtered = <T extends { isChosen: boolean; outcome: Outcome | null; isPlanning: boolean }>(
  columns: T[],
  filter: Filter,
): T[] =>
  columns.filter(
    ({ isChosen, outcome, isPlanning }) =>
      isChosen || (outcome ? KEEPS[filter](outcome) : filter === 'all' || isPlanning),
  );
