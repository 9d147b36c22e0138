import fc from 'fast-check';
import { TICKS_PER_INCH, TICKS_PER_MM } from '../units';
import { must } from '../testing';
import {
  apply,
  emptyProject,
  perAmount,
  perAmountWords,
  perWords,
  type Command,
  type Per,
  type Project,
} from '.';

const after = (project: Project, ...commands: Command[]): Project =>
  commands.reduce((held, command) => apply(held, command, 0)?.document ?? held, project);

const withMeasures = (unit: 'in' | 'mm', per: Per): Project => ({
  ...emptyProject('p', 'Bed', unit, 'USD'),
  variables: [
    { id: 'a', name: 'long', kind: 'length', formula: '96', note: '' },
    { id: 'b', name: 'wide', kind: 'length', formula: 'long / 2', note: '' },
    { id: 'c', name: 'seats', kind: 'number', formula: '4', note: '' },
  ],
  per,
});
const BED: Per = { name: 'bed', of: 'area', formula: 'long * wide' };

test.each([
  ['in', { ...BED, of: 'number', formula: 'seats + 2' }, 6, 'bed', '6'],
  ['in', BED, 32, 'sq ft of bed', '32 sq ft'],
  ['in', { ...BED, of: 'length', formula: '3 * long' }, 24, 'foot of bed', '24 feet'],
  ['in', { ...BED, of: 'volume', formula: 'long * wide * 12in' }, 32, 'cu ft of bed', '32 cu ft'],
  ['mm', { ...BED, formula: '2500mm * 500mm' }, 1.25, 'm² of bed', '1.25 m²'],
  ['mm', { ...BED, of: 'length', formula: '1000' }, 1, 'metre of bed', '1 metre'],
] as const)('in %s, %o is %d', (unit, per, amount, words, amountWords) => {
  const found = must(perAmount(withMeasures(unit, per), per));
  expect(found).toBeCloseTo(amount, 9);
  expect([perWords(per, unit), perAmountWords(found, per.of, unit)]).toEqual([words, amountWords]);
});

test.each([
  [{ ...BED, formula: '' }, /formula|write|nothing/i],
  [{ ...BED, formula: 'long * 40' }, /an area is needed; write numbers with their unit, as in 96in/],
  [{ ...BED, of: 'number', formula: 'long * wide' }, /number/],
  [{ ...BED, of: 'number', formula: 'seats - 4' }, /comes to nothing/],
  [{ ...BED, formula: 'depth * wide' }, /depth/],
] as const)('%o is refused in a sentence', (per, sentence) => {
  const found = perAmount(withMeasures('in', per), per);
  expect(found.ok ? '' : found.problems[0]?.sentence).toMatch(sentence);
});

test('it follows its measures: renamed, deleted, in another unit it is as much of the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 400 }), (long, wide) => {
      const project = after(
        withMeasures('in', BED),
        { type: 'editVariable', variableId: 'a', fields: { formula: String(long) } },
        { type: 'editVariable', variableId: 'b', fields: { formula: String(wide) } },
      );
      const amountOf = (of: Project): number => must(perAmount(of, of.per as Per));
      const before = amountOf(project);
      expect(before).toBeCloseTo((long * wide) / 144, 6);
      const renamed = after(project, { type: 'editVariable', variableId: 'a', fields: { name: 'reach' } });
      expect(renamed.per?.formula).toBe('reach * wide');
      expect(amountOf(renamed)).toBe(before);
      expect(amountOf(after(project, { type: 'removeVariable', variableId: 'a' }))).toBeCloseTo(before, 9);
      const metric = after(project, { type: 'editProject', fields: { unit: 'mm' } });
      const squareFoot = ((12 * TICKS_PER_INCH) / (1000 * TICKS_PER_MM)) ** 2;
      expect(amountOf(metric)).toBeCloseTo(before * squareFoot, 9);
    }),
    { numRuns: 60 },
  );
  // One that is taken away is gone, and one step brings it back.
  const none = after(withMeasures('in', BED), { type: 'editProject', fields: { per: null } });
  expect(none.per).toBeNull();
});
