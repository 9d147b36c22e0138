import fc from 'fast-check';
import {
  formatMoney,
  formatTag,
  formatWhole,
  fromMain,
  parseMoney,
  parseTag,
  toMain,
  toMicros,
  toMinor,
} from '.';

test('money reads with its cents in lists and whole in headlines', () => {
  expect(formatMoney(18640, 'USD')).toBe('$186.40');
  expect(formatMoney(-300, 'EUR')).toBe('−€3.00');
  expect(formatMoney(123456789, 'USD')).toBe('$1,234,567.89');
  expect(formatMoney(1500, 'JPY')).toBe('¥1,500');
  expect(formatWhole(18640, 'USD')).toBe('$186');
  expect(formatTag(685_000, 'USD')).toBe('$0.685');
  expect(formatTag(3_980_000, 'USD')).toBe('$3.98');
});

test.each(['3.98', '$3.98', '3,98', ' 3.98 € '])('%s is a price of 3.98', (text) => {
  expect(parseTag(text)).toEqual({ ok: true, value: 3_980_000 });
});

test.each(['', 'free', '-3', '3.98.1', '1,234.50'])('"%s" is no price', (text) => {
  expect(parseTag(text).ok).toBe(false);
});

test('half a cent rounds up, once', () => {
  expect(toMinor(5_000, 'USD')).toBe(1);
  expect(toMinor(4_999, 'USD')).toBe(0);
  expect(parseMoney('240', 'USD')).toEqual({ ok: true, value: 24000 });
});

test('sums done by head run low: 3 x 3.75 + 10.99 + 15.00 is 37.24 (common practice)', () => {
  expect(formatMoney(3 * 375 + 1099 + 1500, 'USD')).toBe('$37.24');
});

test('minor units survive main units and millionths', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -1e9, max: 1e9 }),
      fc.constantFrom('USD', 'EUR', 'JPY', 'KWD'),
      (minor, currency) => {
        expect(fromMain(toMain(minor, currency), currency)).toBe(minor);
        expect(toMinor(toMicros(minor, currency), currency)).toBe(minor);
      },
    ),
  );
});
