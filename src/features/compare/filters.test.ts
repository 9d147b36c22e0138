import fc from 'fast-check';
import type { Outcome } from '@/core/compare';
import { FILTERS, filtered } from './filters';

const OUTCOME = fc.record({
  fit: fc.record({ verdict: fc.constantFrom('fit', 'finish', 'unfit') }),
  stores: fc.subarray(['Hill Yard', 'Quay Store', 'Postbox']),
  preparation: fc.subarray(['rip 4 boards', 'finish 32 sq ft', 'ripple the sheet']),
}) as unknown as fc.Arbitrary<Outcome>;

const COLUMNS = fc.array(
  fc.record({
    isChosen: fc.boolean(),
    isPlanning: fc.boolean(),
    outcome: fc.option(OUTCOME, { nil: null }),
  }),
  { maxLength: 12 },
);

test('what is chosen stays, the order stays, all ways are all, and what is kept is as it is asked', () => {
  fc.assert(
    fc.property(COLUMNS, fc.constantFrom(...FILTERS.map(({ value }) => value)), (columns, filter) => {
      const kept = filtered(columns, filter);
      expect(kept).toEqual(columns.filter((column) => kept.includes(column)));
      for (const column of columns) if (column.isChosen) expect(kept).toContain(column);
      if (filter === 'all') expect(kept).toEqual(columns);
      for (const { isChosen, outcome } of kept) {
        if (isChosen || !outcome) continue;
        if (filter === 'fit') expect(outcome.fit.verdict).not.toBe('unfit');
        if (filter === 'store') expect(outcome.stores.length).toBeLessThanOrEqual(1);
        if (filter === 'whole') expect(outcome.preparation).not.toContain('rip 4 boards');
      }
      // And nothing that is so is left out.
      for (const column of columns)
        if (filter === 'whole' && column.outcome && !column.outcome.preparation.includes('rip 4 boards'))
          expect(kept).toContain(column);
    }),
  );
});
