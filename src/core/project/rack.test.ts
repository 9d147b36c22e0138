import fc from 'fast-check';
import { applyToBook, emptyBook, freeFor, keptElsewhere, type Book } from '.';
import { rackBoards } from '../testing';

const on = (quantity: number): Book => ({ ...emptyBook(), rack: { a: rackBoards(quantity) } });
const keep = (book: Book, projectId: string, count: number): Book =>
  applyToBook(book, { type: 'keepOnRack', projectId, pieces: { a: count } }, 0)?.document ?? book;
const kept = (book: Book): Record<string, number> => book.rack?.['a']?.keptFor ?? {};

test('no more is ever kept than there is, whoever asks in whatever order, and none counts on what others have', () => {
  const asking = fc.record({ project: fc.constantFrom('p', 'q', 'r'), count: fc.nat(5) });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), fc.array(asking, { maxLength: 12 }), (quantity, askings) => {
      let book = on(quantity);
      for (const { project, count } of askings) {
        book = keep(book, project, count);
        const own = kept(book)[project] ?? 0;
        expect(own).toBeLessThanOrEqual(count);
        // All that was asked for, where others leave it.
        if (own < count) expect(freeFor(book.rack?.['a'] ?? rackBoards(0), project)).toBe(own);
      }
      const sum = Object.values(kept(book)).reduce((all, count) => all + count, 0);
      expect(sum).toBeLessThanOrEqual(quantity);
    }),
  );
});

test('what is kept for one is told to the other, and free again when that one needs it no more', () => {
  const book = keep(on(1), 'p', 1);
  const rack = Object.values(book.rack ?? {});
  expect(keptElsewhere(rack, 'q')).toEqual(rack);
  expect(keptElsewhere(rack, 'p')).toEqual([]);
  expect(applyToBook(book, { type: 'releaseRack', projectId: 'q' }, 0)).toBeNull();
  expect(applyToBook(book, { type: 'releaseRack', projectId: 'p' }, 0)?.document).toEqual(on(1));
});
