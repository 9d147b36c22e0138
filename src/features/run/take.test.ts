import fc from 'fast-check';
import { runLines } from '@/core/budget';
import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import { fromCsv } from '@/core/testing';
import { MICROS } from '@/core/units';
import { readTake, type TakeDraft } from './take';

const given = fromCsv({
  parts: 'part,qty,section,length,material\nPost,4,2x4,90,stud',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4.25",
});
const plan = firstPlan(planInput(given.project, given.book));
const store = Object.values(given.book.stores)[0];
const line = runLines(given.project, given.book, plan, store?.id ?? '').find(({ name }) => /2x4/.test(name));
if (!line) throw new Error('no line');
const read = (fields: Partial<TakeDraft> = {}, of = line) =>
  readTake(of, { quantity: String(of.quantity), tag: '', rest: 'stays', ...fields }, given);
/** The same line of a thing that has no price in the book. */
const unseen = { ...line, offerKey: '', paid: 0 };

test('taken as planned: its number, its money, and nothing to tell', () => {
  expect(read()).toMatchObject({
    many: 4,
    paid: line.paid,
    cause: null,
    other: null,
    isReady: true,
    isGone: false,
  });
  expect(read({ tag: '4.25' })).toMatchObject({ paid: line.paid, cause: null, other: null });
});

test('what is paid goes with the number, at the tag’s price where it is another', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 9999 }), (many, cents) => {
      const { paid, other, seen } = read({ quantity: String(many), tag: (cents / 100).toFixed(2) });
      const before = Math.round(many * cents * (1 + given.project.settings.tax));
      expect(Math.abs(paid - before)).toBeLessThanOrEqual(1);
      expect(other).toBe(cents * (MICROS / 100) === seen?.price ? null : cents * (MICROS / 100));
    }),
  );
});

test('of what the book has no price of, the sum paid is asked for, whatever the number', () => {
  expect(read({ tag: '17.30', quantity: '9' }, unseen)).toMatchObject({
    paid: 1730,
    seen: null,
    per: '',
    other: null,
  });
  expect(read({ tag: 'much' }, unseen)).toMatchObject({ paid: 0, isReady: false });
});

test('what is not as planned is said in words: too few, too many, none left, another price', () => {
  expect(read({ quantity: '3' }).cause).toMatch(/^3 × .* taken, not 4$/);
  expect(read({ quantity: '3', rest: 'gone' })).toMatchObject({ isGone: true });
  expect(read({ quantity: '3', rest: 'gone' }).cause).toMatch(/^only 3 × .* there$/);
  expect(read({ quantity: '4', rest: 'gone' })).toMatchObject({ isGone: false, cause: null });
  expect(read({ quantity: '5' }).cause).toMatch(/taken instead of 4$/);
  expect(read({ tag: '4.75' }).cause).toMatch(/costs \$4\.75 each here$/);
});

test('what cannot be read is taken as nothing of the kind', () => {
  expect(read({ quantity: 'some' })).toMatchObject({ many: 4, isReady: false });
  expect(read({ tag: 'x' })).toMatchObject({ isReady: false, other: null, paid: line.paid });
});
