import { fromInches } from '@/core/units';
import type { BoardThere } from '@/core/sawing';
import { markFault, markWords, stretchWords } from './marks';

const at = fromInches;

test('a mark says what it is and from where to where', () => {
  expect(markWords({ from: at(30), to: at(32.5), kind: 'knot' }, 'in')).toBe('Knot, 30" to 32 1/2"');
});

test.each([
  [null, 3, 'Say where the stretch begins and where it ends.'],
  [3, null, 'Say where the stretch begins and where it ends.'],
  [3, 3, 'A stretch ends after it begins: measure both from the left end.'],
  [90, 97, 'The board ends at 96": end the stretch there.'],
  [0, 96, null],
])('a stretch from %p to %p of a board of 96 in: %p', (from, to, fault) => {
  const ticks = (inches: number | null) => (inches === null ? null : at(inches));
  expect(markFault(ticks(from), ticks(to), at(96), 'in')).toBe(fault);
});

const there = (from: number, to: number): BoardThere => {
  const item = {
    kind: 'board' as const,
    name: '',
    section: '2x4',
    length: { text: '96', ticks: at(96) },
    width: null,
    material: 'pine',
  };
  const marks = [{ from: at(30), to: at(32), kind: 'split' as const }];
  return {
    item,
    measured: { id: 'm', item, length: at(96.5), marks },
    stretch: { from: at(from), to: at(to) },
    isBegun: false,
  };
};

test('a measured board is parted where it is marked, and only there', () => {
  expect(stretchWords(there(0, 96.5), 'in')).toBe('Measured: 96 1/2".');
  expect(stretchWords(there(0, 30), 'in')).toContain('Part it first at 30", with');
  expect(stretchWords(there(32, 40), 'in')).toContain('Part it first at 32" and 40", with');
  expect(stretchWords({ ...there(0, 30), measured: null }, 'in')).toBeNull();
});
