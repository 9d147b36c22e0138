import fc from 'fast-check';
import { must } from '../testing';
import { readTable, writeTable } from './table';

const cell = fc.oneof(
  fc.string({ maxLength: 12 }),
  fc
    .tuple(fc.constantFrom('=', '+', '-', '@', "'=", "''-", "'"), fc.string({ maxLength: 8 }))
    .map(([a, b]) => a + b),
  fc.constantFrom('=1+1', '+cmd|x', '-5.00', '-1+1', '+3', '@SUM(A1)', "'quoted", '-4 %'),
);

test('what a sheet would run is written so that it does not, and reads back the same', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 5 }), (rows) => {
      const trimmed = rows.map(([a, b]) => [a.trim(), b.trim()] as const);
      if (trimmed.some(([a, b]) => a === '' && b === '')) return;
      const text = writeTable(
        ['name', 'note'],
        trimmed.map(([name, note]) => ({ name, note })),
      );
      const read = must(readTable(text, 'x.csv', ['name', 'note'], []));
      expect(read.rows.map(({ cells }) => [cells['name'], cells['note']])).toEqual(trimmed);
    }),
  );
});

test.each(['=1+1', '+cmd|x', '-1+1', '@SUM(A1)'])('%s is no formula in the file', (text) =>
  expect(writeTable(['name'], [{ name: text }])).toBe(`name\r\n'${text}\r\n`),
);

test.each(['-5.00', '+3', '12,50'])('%s stays a number', (text) =>
  expect(writeTable(['name'], [{ name: text }])).not.toContain("'"),
);

test('a file of more rows than can be dealt with is refused with how many it has, before it is read', () => {
  const began = performance.now();
  const read = readTable(`part,qty\n${'a,1\n'.repeat(1_000_000)}`, 'parts.csv', ['part', 'qty'], ['part']);
  expect(read.ok).toBe(false);
  expect(!read.ok && read.problems[0]?.sentence).toMatch(/about 1000000 rows, and a file may have 200000/);
  expect(performance.now() - began).toBeLessThan(2000);
});
