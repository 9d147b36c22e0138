import { HELPERS, previewMade, toldBefore } from '../takeoff';
import { counter } from '../testing';
import {
  anotherWay,
  apply,
  chosenOption,
  emptyProject,
  ownVariables,
  renewedIds,
  resolve,
  valuesOf,
  type Command,
  type Project,
} from '.';

const helper = (id: string) => {
  const found = HELPERS.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};

/** A top of three boards made by its helper. */
const withTop = () => {
  const newId = counter();
  const made = previewMade(
    helper('panel'),
    { length: '48', board: '2x12', by: 'count', boards: '3', gap: '0', battens: '', batten: '1x4' },
    { project: emptyProject('p', 'Bench', 'in', 'USD'), groupName: 'Top', materials: ['pine'], newId },
  );
  if (!made.ok) throw new Error('no top');
  return { ...made.value, newId };
};
const run = (project: Project, commands: Command[]): Project =>
  commands.reduce((before, command) => apply(before, command, 0)?.document ?? before, project);
const takeWay = () => {
  const { project, group, option, newId } = withTop();
  const way = anotherWay(project, group, option, 'Four narrow ones', renewedIds(newId));
  const both = run(project, [
    ...way.variables.map((variable): Command => ({ type: 'addVariable', variable })),
    {
      type: 'choose',
      name: 'Four narrow ones',
      changes: [
        { type: 'putOption', groupId: group.id, option: way.option },
        { type: 'chooseOption', groupId: group.id, optionId: way.option.id },
      ],
    },
  ]);
  return { project, group, option, way, both };
};
const countOf = (project: Project) => resolve(project).parts.find(({ name }) => name === 'Board')?.count;

test('another way has measures of its own: to change them changes that way alone', () => {
  const { group, option, way, both } = takeWay();
  expect(countOf(both)).toBe(3);
  const boards = way.variables.find(({ name }) => name.startsWith('boards'));
  expect(boards?.name).not.toBe('boards');
  const four = run(both, [{ type: 'editVariable', variableId: boards?.id ?? '', fields: { formula: '4' } }]);
  expect(countOf(four)).toBe(4);
  const back = run(four, [{ type: 'chooseOption', groupId: group.id, optionId: option.id }]);
  expect(countOf(back)).toBe(3);
  // And the other way round.
  const first = back.variables.find(({ name }) => name === 'boards');
  const five = run(back, [{ type: 'editVariable', variableId: first?.id ?? '', fields: { formula: '5' } }]);
  expect(countOf(five)).toBe(5);
  expect(countOf(run(five, [{ type: 'chooseOption', groupId: group.id, optionId: way.option.id }]))).toBe(4);
});

test('the copy is what it was copied from, and its helper is told the same', () => {
  const { project, option, both } = takeWay();
  const sizes = (of: Project) =>
    resolve(of).parts.map(({ name, count, length, width }) => [name, count, length, width]);
  expect(sizes(both)).toEqual(sizes(project));
  expect(Object.values(valuesOf(both).variables).every(({ ok }) => ok)).toBe(true);
  const copy = both.groups[0] && chosenOption(both.groups[0]);
  const told = (of: Project, which: typeof option | undefined) =>
    which ? toldBefore(helper('panel'), which, of) : null;
  expect(told(both, copy)).toEqual(told(project, option));
});

test('a measure that something else uses stays shared, and goes with no way', () => {
  const { project, group, option } = withTop();
  const shared = run(project, [
    {
      type: 'addVariable',
      variable: { id: 'v', name: 'apron', kind: 'number', formula: 'boards * 2', note: '' },
    },
  ]);
  const names = (of: Project) =>
    ownVariables(of, group, option)
      .map(({ name }) => name)
      .sort();
  // The glue of the group is reckoned from the length: it is no measure of one way.
  expect(names(project)).not.toContain('length');
  expect(names(project)).toContain('boards');
  expect(names(shared)).not.toContain('boards');
});
