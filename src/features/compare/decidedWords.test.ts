import type { Decision } from '@/core/project';
import { decidedWords, todayWords } from './decidedWords';

const decision: Decision = {
  id: 'd',
  name: 'Cedar',
  day: '2026-12-02',
  before: 27_116,
  after: 25_702,
  back: [],
};

test('what was decided says when, and what both came to where that was known', () => {
  expect(decidedWords(decision, 'USD')).toBe('Chosen on 2 Dec 2026: $257.02 then, and $271.16 without it.');
  expect(decidedWords({ ...decision, after: null }, 'USD')).toBe('Chosen on 2 Dec 2026.');
});

test('today’s prices say whether it saves still, costs more, or is the same', () => {
  expect(todayWords(1_230, 'USD')).toBe('At today’s prices it still saves $12.30.');
  expect(todayWords(-310, 'EUR')).toBe('At today’s prices it costs €3.10 more than without it.');
  expect(todayWords(0, 'USD')).toBe('At today’s prices both cost the same.');
});
