import type { Book, Price } from '../project';

/** A book of which prices are others, each per its unit, in micros; what stays the same is the same object. */
export const repriced = (book: Book, priceOf: (price: Price) => number): Book => ({
  ...book,
  prices: Object.fromEntries(
    Object.entries(book.prices).map(([id, price]) => {
      const next = priceOf(price);
      return [id, next === price.price ? price : { ...price, price: next }];
    }),
  ),
});
