import fc from 'fast-check';
import {
  apply,
  emptyPart,
  emptyProject,
  resolve,
  type Command,
  type Part,
  type Project,
} from '@/core/project';
import { checksOf } from '@/core/takeoff';
import { mirrorPart } from './mirrorPart';

const part = (name: string, quantity: number, formula?: string): Part => ({
  ...emptyPart('first'),
  name,
  quantity,
  section: '2x4',
  length: { text: '20in', ticks: 20 * 8128 },
  ...(formula === undefined ? {} : { formulas: { quantity: formula } }),
});

const withPart = (first: Part): Project => ({
  ...emptyProject('p', 'Chair', 'in', 'USD'),
  groups: [
    {
      id: 'g',
      name: 'Chair',
      exposure: 'indoors',
      materials: [],
      chosen: 'o',
      options: [{ id: 'o', name: 'As drawn', parts: [first] }],
    },
  ],
});

const run = (project: Project, commands: Command[]): Project =>
  commands.reduce((before, command) => apply(before, command, 0)?.document ?? before, project);

const mirrored = (first: Part) => {
  const project = withPart(first);
  const { commands } = mirrorPart(first, 'g', new Set([first.name]), 1, 'image', { width: 0, unit: 'in' });
  return { project, after: run(project, commands) };
};
const counts = (project: Project) => resolve(project).parts.map(({ name, count }) => [name, count]);

test('of two arm rests one is left and one right; of a left one comes a right one', () => {
  expect(counts(mirrored(part('Arm rest', 2)).after)).toEqual([
    ['Left arm rest', 1],
    ['Right arm rest', 1],
  ]);
  expect(counts(mirrored(part('Left arm rest', 2)).after)).toEqual([
    ['Left arm rest', 2],
    ['Right arm rest', 2],
  ]);
  expect(counts(mirrored(part('Cap', 1)).after)).toEqual([
    ['Cap', 1],
    ['Cap, mirrored', 1],
  ]);
  expect(counts(mirrored(part('Brace', 4, '2 * 2')).after)).toEqual([
    ['Left brace', 2],
    ['Right brace', 2],
  ]);
});

test('law: a pair is always as many left as right, nothing is wrong with it, and it follows the first', () => {
  const names = fc.constantFrom('Arm', 'Left arm', 'Right arm', 'Side 2', 'arm', 'Äußerer Arm');
  fc.assert(
    fc.property(names, fc.integer({ min: 1, max: 40 }), fc.boolean(), (name, quantity, isFormula) => {
      const { project, after } = mirrored(part(name, quantity, isFormula ? `${quantity} + 0` : undefined));
      const [first, image] = counts(after);
      expect(image?.[1]).toBe(first?.[1]);
      const all = Number(first?.[1]) + Number(image?.[1]);
      const isEven = quantity % 2 === 0 && !/^(left|right)/i.test(name);
      expect(all).toBe(isEven ? quantity : 2 * quantity);
      expect(resolve(after).problems).toEqual([]);
      expect(checksOf(after, () => null).filter(({ code }) => code === 'mirror')).toEqual([]);
      const more = run(after, [
        { type: 'editPart', partId: 'first', fields: { quantity: 7, formulas: undefined } },
      ]);
      expect(counts(more).map(([, count]) => count)).toEqual([7, 7]);
      expect(project.groups[0]?.options[0]?.parts.length).toBe(1);
    }),
  );
});
