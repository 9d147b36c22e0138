import fc from 'fast-check';
import { addDays, daysBetween, formatDay, isDay, isoDay } from '.';

const days = fc.integer({ min: 0, max: 80_000 }).map((offset) => addDays('1900-01-01', offset));

test('days later and back again are the same day, over leap years and changed clocks', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -4000, max: 4000 }), (day, by) => {
      expect(addDays(addDays(day, by), -by)).toBe(day);
      expect(daysBetween(day, addDays(day, by))).toBe(by);
      expect(isDay(day)).toBe(true);
    }),
  );
});

test('a day is that of the clock on the wall, whatever the hour', () => {
  expect(isoDay(new Date(2026, 10, 9, 0, 1))).toBe('2026-11-09');
  expect(isoDay(new Date(2026, 10, 9, 23, 59))).toBe('2026-11-09');
});

test.each(['2026-02-30', '2025-02-29', '2026-13-01', '26-01-01', '2026-1-1', 'today', ''])(
  '%j is no day, and is shown as it is',
  (text) => {
    expect(isDay(text)).toBe(false);
    expect(formatDay(text)).toBe(text);
  },
);

test('a day reads as people write it', () => expect(formatDay('2024-02-29')).toBe('29 Feb 2024'));
