import fc from 'fast-check';
import { fromInches, fromMm, type LengthUnit } from '../../units';
import { apply, emptyProject, resolve, resolveExtra, type Project } from '../../project';
import { counter, must } from '../../testing';
import { checksOf } from '../checks';
import { usualAnswers } from '../answers';
import { buildTemplate, templateOf, TEMPLATES, type Template } from '.';

const newId = counter();
const empty = (unit: LengthUnit) => emptyProject('p', 'Case', unit, 'USD');

const built = (template: Template, unit: LengthUnit, told = {}, project: Project = empty(unit)) =>
  must(
    buildTemplate(template, { ...usualAnswers(template, unit), ...told }, { project, materials: [], newId }),
  );

/** What cannot be worked out, of parts and of what covers. */
const faults = (project: Project): string[] => {
  const { parts, problems } = resolve(project);
  return [
    ...problems.map(({ sentence }) => sentence),
    ...project.extras.flatMap((extra) => {
      const read = resolveExtra(extra, project, parts);
      return read.ok ? [] : read.problems.map(({ sentence }) => sentence);
    }),
  ];
};

const parts = (project: Project) => resolve(project).parts;

describe.each(['in', 'mm'] as const)('in %s', (unit) => {
  test.each(TEMPLATES.map((template) => [template.id, template] as const))(
    '%s: everything of it can be worked out, fits, and is there',
    (_, template) => {
      const { project, groups, sizes, partOf } = built(template, unit);
      expect(faults(project)).toEqual([]);
      expect(groups.map(({ name }) => name)).toEqual(template.groups.map(({ name }) => name));
      expect(checksOf(project, () => null).filter(({ weight }) => weight === 'bad')).toEqual([]);
      const all = parts(project);
      expect(all.some(({ kind }) => kind === 'hardware')).toBe(true);
      for (const part of all) expect([part.name, part.count > 0]).toEqual([part.name, true]);
      for (const part of all.filter(({ kind }) => kind !== 'hardware'))
        expect([part.name, part.length > fromMm(80)]).toEqual([part.name, true]);
      const shapes = template.draw(sizes).flatMap((side) => side.shapes);
      expect(shapes.length).toBeGreaterThan(1);
      for (const { role, corners } of shapes) {
        expect([role, partOf(role) !== undefined]).toEqual([role, true]);
        expect([role, corners.flat().every(Number.isFinite)]).toEqual([role, true]);
      }
      // No placeholder is left over.
      expect(JSON.stringify(project)).not.toMatch(/\{\w+\}/);
    },
  );

  test.each(TEMPLATES.map((template) => [template.id, template] as const))(
    '%s: twice in one project, the first stays as it was',
    (_, template) => {
      const once = built(template, unit).project;
      const twice = built(template, unit, {}, once).project;
      expect(faults(twice)).toEqual([]);
      const sizes = (project: Project) =>
        parts(project)
          .filter(({ kind }) => kind !== 'hardware')
          .map(({ name, count, length, width }) => [name, count, length, width]);
      expect(sizes(twice)).toEqual([...sizes(once), ...sizes(once)]);
      expect(new Set(twice.groups.map(({ name }) => name)).size).toBe(twice.groups.length);
    },
  );
});

test('the commands of a template lead to the project that it shows', () => {
  for (const template of TEMPLATES) {
    const { commands, project } = built(template, 'in');
    let made = empty('in');
    for (const command of commands) made = apply(made, command, 0)?.document ?? made;
    expect(made).toEqual(project);
  }
});

test('whatever is answered within reason, everything of it can be worked out', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TEMPLATES), fc.infiniteStream(fc.nat(5)), (template, stream) => {
      const told = Object.fromEntries(
        template.asks.map(({ key, kind, usual }) => {
          const more = stream.next().value;
          return [key, kind === 'count' ? `${Number(usual.in) + more}` : `${usual.in} + ${more}`];
        }),
      );
      expect(faults(built(template, 'in', told).project)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('what cannot be read is told by the question', () => {
  const trellis = templateOf('trellis');
  if (!trellis) throw new Error('no trellis');
  const read = buildTemplate(
    trellis,
    { width: 'wide', height: '', uprights: '5' },
    { project: empty('in'), materials: [], newId },
  );
  expect(read.ok ? [] : read.problems.map(({ place }) => place)).toEqual(['width', 'height']);
});

// Checked by hand.
test('a lean-to: rafters by the run and its slope, studs between the plates', () => {
  const lean = templateOf('lean-to');
  if (!lean) throw new Error('no lean-to');
  const all = parts(built(lean, 'in').project);
  const of = (name: string) => all.find((part) => part.name === name);
  // 48 + 12 across, a fall of 12 over 48: 60 x sqrt(1 + 1/16) = 61.85.
  expect((of('Rafter')?.length ?? 0) / fromInches(1)).toBeCloseTo(61.847, 2);
  expect(of('Rafter')?.count).toBe(5);
  // A wall of 72: two plates of 1 1/2 taken off.
  expect(of('Short side')?.length).toBe(fromInches(69));
});

test('a saw-horse leg that leans 15 degrees is longer than the horse is high', () => {
  const horses = templateOf('saw-horses');
  if (!horses) throw new Error('no saw-horses');
  const leg = parts(built(horses, 'mm').project).find(({ name }) => name === 'Leg');
  // 750 / cos 15 = 776.46, from trigonometry.
  expect((leg?.length ?? 0) / fromMm(1)).toBeCloseTo(776.46, 1);
});
