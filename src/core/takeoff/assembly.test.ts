import {
  apply,
  chosenOption,
  emptyGroup,
  emptyPart,
  emptyProject,
  type Command,
  type Project,
} from '../project';
import { counter, must } from '../testing';
import { fromInches } from '../units';
import { assemblyOf, buildMade, helperOf, HELPERS, usualAnswers, type AssemblyStep } from '.';

const run = (project: Project, ...commands: Command[]): Project =>
  commands.reduce((held, command) => apply(held, command, 0)?.document ?? held, project);

const newId = counter();

/** A project with what helpers make, each in a group of its name. */
const withHelpers = (...made: [id: string, told: Record<string, string>][]): Project =>
  made.reduce(
    (project, [id, told]) => {
      const helper = helperOf(id);
      if (!helper) throw new Error(`no helper ${id}`);
      const answers = { ...usualAnswers(helper, 'in'), ...told };
      const context = { project, groupName: helper.title, materials: ['pine'], newId };
      return run(project, must(buildMade(helper, answers, context)));
    },
    emptyProject('p', 'Case', 'in', 'USD'),
  );

const kinds = (steps: AssemblyStep[] | undefined): string[] => (steps ?? []).map(({ kind }) => kind);
const diagonalIn = (steps: AssemblyStep[] | undefined): number | undefined =>
  steps?.flatMap((step) => (step.kind === 'square' ? [step.diagonal] : []))[0];

test('a frame: its pieces, its joints with what holds them, and diagonals by Pythagoras', () => {
  const project = withHelpers(['frame', { length: '48', width: '36', stiffener_spacing: '' }]);
  const [frame] = assemblyOf(project);
  expect(kinds(frame?.steps)).toEqual(['lay', 'join', 'square']);
  // 48 x 36: 60 in from corner to corner.
  expect(diagonalIn(frame?.steps)).toBe(fromInches(60));
  const join = frame?.steps.find((step) => step.kind === 'join');
  expect(join).toMatchObject({ how: 'through', places: 4, isNearEnd: true });
  expect(join?.kind === 'join' && join.item).toMatch(/screw/);
});

test('what was changed by hand has no diagonal, for it may stand otherwise', () => {
  const project = withHelpers(['frame', { length: '48', width: '36', stiffener_spacing: '' }]);
  const part = chosenOption(project.groups[0] ?? emptyGroup('', '', ''))?.parts[0];
  const changed = run(project, {
    type: 'editPart',
    partId: part?.id ?? '',
    fields: { length: { text: '50', ticks: 0 } },
  });
  expect(diagonalIn(assemblyOf(changed)[0]?.steps)).toBeUndefined();
});

test('a slab that is glued waits until its glue holds; hardware that no joint uses is fitted last', () => {
  const project = withHelpers(['slab', { by: 'count', boards: '6', length: '40' }]);
  const groupId = project.groups[0]?.id ?? '';
  const steps = assemblyOf(
    run(project, {
      type: 'addPart',
      groupId,
      part: { ...emptyPart('hinge'), name: 'Hinge', kind: 'hardware', quantity: 2 },
    }),
  )[0]?.steps;
  expect(kinds(steps).slice(-2)).toEqual(['wait', 'fit']);
  expect(steps?.at(-1)).toEqual({ kind: 'fit', pieces: ['2 × Hinge'] });
});

test('groups come in the order that is set, new ones after them, and what is together stays so', () => {
  const project = withHelpers(['frame', {}], ['legs', {}], ['slats', {}]);
  const ids = project.groups.map(({ id }) => id);
  const [frame = '', legs = '', slats = ''] = ids;
  const ordered = run(
    project,
    { type: 'orderAssembly', order: [slats, frame] },
    { type: 'assembleGroup', groupId: slats, isDone: true },
  );
  expect(assemblyOf(ordered).map(({ groupId, isDone }) => [groupId, isDone])).toEqual([
    [slats, true],
    [frame, false],
    [legs, false],
  ]);
  expect(assemblyOf(run(ordered, { type: 'assembleGroup', groupId: slats, isDone: false }))[0]?.isDone).toBe(
    false,
  );
  // A group for another time is not put together.
  const later = run(project, { type: 'editGroup', groupId: legs, fields: { isLater: true } });
  expect(assemblyOf(later).map(({ groupId }) => groupId)).toEqual([frame, slats]);
});

test('law: of every helper all its pieces are laid out, as many as one of it has, and every joint once', () => {
  for (const { id } of HELPERS) {
    const project = run(withHelpers([id, {}]), { type: 'editProject', fields: { builds: 3 } });
    const option = chosenOption(project.groups[0] ?? emptyGroup('', '', ''));
    const steps = assemblyOf(project)[0]?.steps ?? [];
    const laid = steps.flatMap((step) => (step.kind === 'lay' ? step.pieces : []));
    const wooden = (option?.parts ?? []).filter(({ kind, quantity }) => kind !== 'hardware' && quantity > 0);
    expect([id, laid.map(({ partId, count }) => [partId, count])]).toEqual([
      id,
      wooden.map((part) => [part.id, part.quantity]),
    ]);
    const joined = steps.flatMap((step) => (step.kind === 'join' ? [step.jointId] : []));
    const wanted = (option?.joints ?? []).filter(({ quantity }) => quantity > 0).map((joint) => joint.id);
    expect([id, joined]).toEqual([id, wanted]);
  }
});
