import { fromInches } from '../units';
import { apply, emptyProject, type Command, type Project } from '../project';
import { fromCsv, counter, must } from '../testing';
import { buildMade, checksOf, helperOf, usualAnswers, type HelperInput } from '.';

const newId = counter();
const noLimit = () => null;
const after = (project: Project, ...commands: Command[]): Project =>
  commands.reduce((held, command) => apply(held, command, 0)?.document ?? held, project);
const withHelper = (id: string, told: HelperInput = {}, project = emptyProject('p', 'Case', 'in', 'USD')) => {
  const helper = helperOf(id);
  if (!helper) throw new Error(id);
  const command = must(
    buildMade(
      helper,
      { ...usualAnswers(helper, 'in'), ...told },
      { project, groupName: helper.title, materials: [], newId },
    ),
  );
  return after(project, command);
};
const partOf = (project: Project, name: string) =>
  project.groups
    .flatMap(({ options }) => options.flatMap(({ parts }) => parts))
    .find((part) => part.name === name);
const codes = (project: Project) =>
  checksOf(project, noLimit).map(({ code, sentence }) => `${code}: ${sentence}`);

test('what helpers make has nothing to be looked at', () => {
  for (const id of ['frame', 'legs', 'slats', 'raised-box', 'shelves', 'platform', 'steps', 'cladding'])
    expect([id, codes(withHelper(id))]).toEqual([id, []]);
});

test('a count by eye: thirteen slats where fifteen are needed, and the gap is over its limit (common practice)', () => {
  const project = withHelper('slats', { span: '80 1/2', slat: '1x4', largest_gap: '2' });
  const slat = partOf(project, 'Slat');
  const byEye = after(project, {
    type: 'editPart',
    partId: slat!.id,
    fields: { quantity: 13, formulas: undefined },
  });
  expect(codes(byEye)).toEqual([
    'gap: Row of slats: the gap is ≈2 15/16", and 2" was to be the largest.',
    'count: The helper would make 15.',
  ]);
});

test('a row that no longer adds up, because a part was changed by hand', () => {
  const project = withHelper('legs');
  const leg = partOf(project, 'Leg');
  const shorter = after(project, {
    type: 'editPart',
    partId: leg!.id,
    fields: { length: { text: '25', ticks: fromInches(25) } },
  });
  expect(codes(shorter)).toEqual(['row: Height: it adds up to 26 1/2", and 30" was asked for.']);
});

test('lengths of nothing and less, and circles, are told at their part', () => {
  const project = withHelper('frame');
  const width = project.variables.find(({ name }) => name === 'width');
  const narrow = after(project, { type: 'editVariable', variableId: width!.id, fields: { formula: '2' } });
  expect(codes(narrow)).toContainEqual(expect.stringMatching(/formula: Short side, length: it comes to −1"/));
  const round = after(project, {
    type: 'editVariable',
    variableId: width!.id,
    fields: { formula: 'width + 1' },
  });
  expect(codes(round)).toContainEqual(expect.stringMatching(/circle: width → width/));
});

test('longer than any length sold here', () => {
  const { project } = fromCsv({
    parts: 'part,qty,section,length\nRidge,1,2x4,20ft\nPost,2,2x4,8ft',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,3',
  });
  const found = checksOf(project, () => fromInches(96)).filter(({ code }) => code === 'tooLong');
  expect(found.map(({ sentence }) => sentence)).toEqual([
    'Longer than any 2x4 sold here: the longest is 96".',
  ]);
});

test('nothing to join a group with, and a pair without its mirror', () => {
  const { project } = fromCsv({
    parts: 'part,qty,section,length\nLeft arm,1,2x4,20\nRail,2,2x4,30',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,3',
  });
  expect(codes(project)).toEqual([
    'mirror: There is no right arm to go with it.',
    'unjoined: Nothing to join it with yet: add fasteners, or glue.',
  ]);
  const arm = partOf(project, 'Left arm');
  const pair = after(project, {
    type: 'addPart',
    groupId: project.groups[0]!.id,
    part: { ...arm!, id: 'other', name: 'Right arm', mirrorOf: arm!.id, quantity: 2 },
  });
  expect(codes(pair)[0]).toBe('mirror: There are 2 of it, and 1 of its mirror image Left arm.');
});

test('screws that poke through or do not hold are told', () => {
  const project = withHelper('frame');
  const joint = project.groups[0]!.options[0]!.joints![0]!;
  const rename = (item: string) =>
    codes(after(project, { type: 'editJoint', jointId: joint.id, fields: { item, into: 'thickness' } }));
  expect(rename('wood screw 3 in')).toEqual(['fastener: A 3" screw pokes through 3" of wood.']);
  expect(rename('wood screw 1 1/2 in')).toEqual([
    'fastener: A 1 1/2" screw does not hold: the first piece is 1 1/2" thick.',
  ]);
  expect(rename('wood screw 2 1/2 in')).toEqual([]);
});
