import fc from 'fast-check';
import { parseLength } from '@/core/units';
import { eraseUnit, typeKey, type Edited } from './padEdits';

const typed = (...keys: string[]): string =>
  keys.reduce<Edited>((edited, key) => (key === '⌫' ? eraseUnit(edited) : typeKey(edited, key)), {
    text: '',
    caret: 0,
  }).text;

test.each([
  [['3', '1', '1/2'], '31 1/2'],
  [['3', '1', '1/2', '3/16'], '31 3/16'],
  [['6', 'ft', '2', '1/2', 'in'], '6ft 2 1/2in'],
  [['7', '4', '0', 'mm'], '740mm'],
  [['7', '4', 'mm', 'cm'], '74cm'],
  [['1', '.', '2', 'm'], '1.2m'],
  [['3/4'], '3/4'],
  [['3', '1', '1/2', '⌫'], '31'],
  [['6', 'ft', '2', 'in', '⌫', '⌫', '⌫'], '6'],
  [['3', '1', '⌫', '2'], '32'],
  [['⌫'], ''],
])('%j types %s', (keys, text) => expect(typed(...keys)).toBe(text));

test('a key in the middle of a text leaves the rest alone', () => {
  expect(typeKey({ text: 'height - 1', caret: 10 }, '1/2')).toEqual({ text: 'height - 1 1/2', caret: 14 });
  expect(typeKey({ text: '3 - depth', caret: 1 }, '1/4')).toEqual({ text: '3 1/4 - depth', caret: 5 });
});

test('every whole number with a fraction and a unit that the keypad can type is a length', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 999 }),
      fc.integer({ min: 1, max: 15 }),
      fc.constantFrom('in', 'ft'),
      (whole, sixteenths, unit) => {
        const text = typed(...String(whole), `${sixteenths}/16`, unit);
        const length = parseLength(text, 'mm');
        expect(length.ok && length.value).toBe((whole * 16 + sixteenths) * 508 * (unit === 'ft' ? 12 : 1));
      },
    ),
  );
});
