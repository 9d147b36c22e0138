import { readShare } from './scenario';

test.each([
  ['10', 0.1],
  ['-15 %', -0.15],
  [' 12,5%', 0.125],
  ['+1000', 10],
])('%s is a share', (text, share) => expect(readShare(text)).toEqual({ ok: true, value: share }));

test.each(['', 'ten', '-100', '1001', '1e3', '10 % 5'])('%s is none', (text) =>
  expect(readShare(text).ok).toBe(false),
);
