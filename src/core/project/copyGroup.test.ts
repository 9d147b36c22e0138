import { readFileSync } from 'node:fs';
import { readProjectFile } from '../io';
import { buildTemplate, TEMPLATES, usualAnswers } from '../takeoff';
import { counter, must } from '../testing';
import type { LengthUnit } from '../units';
import {
  apply,
  copyGroup,
  emptyProject,
  renewedIds,
  resolve,
  resolveExtra,
  type Command,
  type Project,
} from '.';

const newId = counter();
const ids = () => renewedIds(newId);

const samples = ['compost-station', 'record-shelf', 'sandpit'].map(
  (name) =>
    must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), `${name}.billet.json`)).project,
);
const templates = (['in', 'mm'] as const).flatMap((unit) =>
  TEMPLATES.map((template) => {
    const project = emptyProject('t', template.id, unit, 'USD');
    const told = usualAnswers(template, unit);
    return must(buildTemplate(template, told, { project, materials: [], newId })).project;
  }),
);
const projects = [...samples, ...templates];

const run = (project: Project, command: Command): Project => {
  const after = apply(project, command, 0)?.document;
  if (!after) throw new Error(`${command.type} changed nothing`);
  return after;
};
const take = (from: Project, groupId: string, into: Project) => {
  const copied = copyGroup(from, groupId, into, ids());
  if (!copied) throw new Error('a group was meant');
  return { copied, after: run(into, { type: 'addMade', ...copied }) };
};

/** What a group comes to: its pieces, and what covers them, without ids. */
const comesTo = (project: Project, groupId: string) => {
  const { parts } = resolve(project);
  return {
    parts: parts
      .filter((part) => part.groupId === groupId)
      .map(({ name, kind, section, count, length, width }) => [name, kind, section, count, length, width]),
    extras: project.extras
      .filter((extra) => extra.groupId === groupId)
      .map((extra) => [extra.name, resolveExtra(extra, project, parts).ok]),
  };
};

/** Without what was measured on a real thing, which does not come along. */
const planned = (project: Project): Project => ({
  ...project,
  groups: project.groups.map((group) => ({
    ...group,
    options: group.options.map((option) => ({
      ...option,
      parts: option.parts.map(({ measured: _, ...part }) => part),
    })),
  })),
});

const targets = (['in', 'mm'] as const).map((unit) => emptyProject('into', 'Into', unit, 'EUR'));
const cases = projects.flatMap((project) =>
  [...targets, ...samples.slice(0, 1), planned(project)].map(
    (into) => [`${project.name} (${project.unit}) into ${into.name} (${into.unit})`, project, into] as const,
  ),
);

test.each(cases)('%s: each group is the same there, and what is there stays', (_, from, into) => {
  const before = JSON.stringify([from, into]);
  for (const group of from.groups) {
    const { copied, after } = take(from, group.id, into);
    const meant = comesTo(planned(from), group.id);
    const there = comesTo(after, copied.group.id);
    expect(there).toEqual(meant);
    for (const other of into.groups) expect(comesTo(after, other.id)).toEqual(comesTo(into, other.id));
    expect(after.groups.slice(0, -1)).toEqual(into.groups);
    expect(resolve(after).problems.length).toBe(resolve(into).problems.length);
    const own = [...new Set(after.groups.map(({ name }) => name))];
    expect(own.length).toBe(after.groups.length);
    if (into.currency !== from.currency) expect(copied.extras.some(({ price }) => price)).toBe(false);
  }
  expect(JSON.stringify([from, into])).toBe(before);
});

test('a measure of the copy moves the copy alone, and one of the first the first alone', () => {
  const from = projects.find(({ variables, groups }) => variables.length > 2 && groups.length > 0);
  if (!from) throw new Error('a project with measures was meant');
  const [group] = from.groups;
  const { copied, after } = take(from, group?.id ?? '', from);
  const [mine] = copied.variables.filter(({ kind }) => kind === 'length');
  const edit = (variableId: string) =>
    run(after, { type: 'editVariable', variableId, fields: { formula: '77in' } });
  expect(comesTo(edit(mine?.id ?? ''), group?.id ?? '')).toEqual(comesTo(after, group?.id ?? ''));
  const first = from.variables.find(({ name }) => mine?.name.startsWith(name));
  expect(comesTo(edit(first?.id ?? ''), copied.group.id)).toEqual(comesTo(after, copied.group.id));
});

test('what it takes from another group comes as the length it has', () => {
  const part = (id: string, name: string, text: string, ticks: number) => ({
    ...projects[0]?.groups[0]?.options[0]?.parts[0],
    id,
    name,
    kind: 'board' as const,
    section: '2x4',
    length: { text, ticks },
    width: null,
    formulas: undefined,
    measured: undefined,
  });
  const groupOf = (id: string, name: string, parts: ReturnType<typeof part>[]) =>
    ({
      ...projects[0]?.groups[0],
      id,
      name,
      chosen: `${id}-way`,
      options: [{ id: `${id}-way`, name: 'As drawn', parts }],
    }) as Project['groups'][number];
  const from: Project = {
    ...emptyProject('from', 'From', 'in', 'USD'),
    groups: [
      groupOf('a', 'Frame', [part('leg', 'Leg', '30', 30 * 8128)]),
      groupOf('b', 'Top', [part('rail', 'Rail', 'frame.leg.length - 2', 28 * 8128)]),
    ],
  };
  // There is a leg in the other project too: it is not meant.
  const into: Project = {
    ...emptyProject('into', 'Into', 'mm' as LengthUnit, 'EUR'),
    groups: [groupOf('c', 'Frame', [part('own', 'Leg', '10in', 10 * 8128)])],
  };
  const { copied, after } = take(from, 'b', into);
  expect(copied.group.options[0]?.parts[0]?.length).toEqual({ text: '762mm - 2in', ticks: 28 * 8128 });
  expect(comesTo(after, copied.group.id)).toEqual(comesTo(from, 'b'));
});

test('a group that is not there is not copied', () => {
  expect(copyGroup(projects[0] as Project, 'nothing', targets[0] as Project, ids())).toBe(null);
});
