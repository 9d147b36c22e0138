import { emptyHistory, type Book } from '@/core/project';
import { readPrices, rowsForBook } from '@/core/io';
import { emptyBook } from '@/core/project';
import { counter, must } from '@/core/testing';
import { packBook } from '@/core/io/packedBook';
import { newProjectRecord, packProject, tagOf, unpackBook } from './records';
import { samples } from './samples';

const tags = { tag: 'seven', parent: null };

/** A year of weekly prices: 400 things at one store. */
const yearOfPrices = (): Book => {
  const lines = ['store,section,length,material,price,date'];
  for (let row = 0; row < 20_000; row++) {
    const [thing, week] = [row % 400, Math.floor(row / 400)];
    const day = new Date(Date.UTC(2025, 0, 1 + week * 7)).toISOString().slice(0, 10);
    lines.push(
      `Yard ${thing % 4},2x${[4, 6, 8, 10][thing % 4]},${8 + 2 * (thing % 5)}ft,wood ${thing},${(3 + ((row * 7919) % 2500) / 100).toFixed(2)},${day}`,
    );
  }
  const taken = rowsForBook(must(readPrices(lines.join('\n'), 'p', 'in')), emptyBook(), 'USD', counter());
  return {
    stores: Object.fromEntries(taken.stores.map((store) => [store.id, store])),
    prices: Object.fromEntries(taken.prices.map((price) => [price.id, price])),
  };
};

test('20,000 observations fit beside ten projects, and come back as they were', () => {
  const book = yearOfPrices();
  expect(Object.keys(book.prices)).toHaveLength(20_000);
  const text = packBook({ book, history: emptyHistory() }, tags);
  const projects = samples()
    .map(({ project }) => packProject(newProjectRecord(project), tags).length)
    .reduce((sum, size) => sum + size, 0);
  expect(text.length + (projects / samples().length) * 10).toBeLessThan(2_500_000);
  expect(tagOf(text)).toBe('seven');
  const read = must(unpackBook(text));
  expect(read.book).toEqual(book);
});

test('a book that is cut off or holds nonsense is told as damaged, and is not taken for another', () => {
  const text = packBook({ book: emptyBook(), history: emptyHistory() }, tags);
  expect(unpackBook(text.slice(0, -12)).ok).toBe(false);
  expect(unpackBook('billet-book 2 1 bm90aGluZw==').ok).toBe(false);
  expect(tagOf('{"version":1}')).toBeNull();
});

test('a long history of imports is kept only as far as it is short', () => {
  const change = (patches: number) => ({
    label: 'prices',
    at: 0,
    patches: Array.from({ length: patches }, () => ({ op: 'remove' as const, path: [] })),
    inverse: [],
  });
  const history = { past: [change(5), change(2000), change(3), change(4)], future: [] };
  const read = must(unpackBook(packBook({ book: emptyBook(), history }, tags)));
  expect(read.history.past.map(({ patches }) => patches.length)).toEqual([3, 4]);
});
