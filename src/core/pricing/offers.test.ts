import fc from 'fast-check';
import { applyToBook, emptyBook, type Book, type BookCommand } from '../project';
import { readPrices, rowsForBook } from '../io';
import { counter, must } from '../testing';
import { currentOffers } from '.';

const given = (): Book => {
  const text =
    "store,section,length,material,price,min_qty,date\nYard,2x4,8',stud,4,1,2026-01-02\nYard,2x4,8',stud,3.5,10,\nYard,2x4,10',stud,5,1,\nMill,2x4,8',stud,4.2,1,";
  const { stores, prices } = rowsForBook(must(readPrices(text, 'p', 'in')), emptyBook(), 'USD', counter());
  return {
    stores: Object.fromEntries(stores.map((store) => [store.id, store])),
    prices: Object.fromEntries(prices.map((price) => [price.id, price])),
  };
};

test('whatever is put in, mended, taken out: the offers are those of a book that is read anew', () => {
  const change = fc.record({
    what: fc.constantFrom('add', 'mend', 'remove', 'store'),
    which: fc.nat(20),
    price: fc.integer({ min: 1, max: 900 }),
    date: fc.constantFrom(null, '2025-12-01', '2026-02-01'),
    minQty: fc.constantFrom(1, 10),
  });
  fc.assert(
    fc.property(fc.array(change, { maxLength: 12 }), (changes) => {
      let book = given();
      currentOffers(book);
      changes.forEach(({ what, which, price, date, minQty }, index) => {
        const prices = Object.values(book.prices);
        const one = prices[which % Math.max(1, prices.length)];
        const [store] = Object.values(book.stores);
        if (!one || !store) return;
        const command: BookCommand =
          what === 'remove'
            ? { type: 'removePrices', ids: [one.id] }
            : what === 'store'
              ? { type: 'editStore', storeId: store.id, fields: { trip: price } }
              : {
                  type: 'putPrices',
                  prices: [
                    {
                      ...one,
                      price: price * 10_000,
                      date,
                      minQty,
                      id: what === 'add' ? `new${index}` : one.id,
                    },
                  ],
                };
        book = applyToBook(book, command, 0)?.document ?? book;
        const anew = currentOffers({ stores: { ...book.stores, none: store }, prices: { ...book.prices } });
        expect(currentOffers(book)).toEqual(anew);
      });
    }),
  );
});
