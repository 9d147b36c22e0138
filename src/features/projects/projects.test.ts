import { emptyProject } from '@/core/project';
import { draftOf, readDraft } from './detailsDraft';

const project = { ...emptyProject('p', 'Puppet stage', 'in', 'USD'), target: 12050 };

test('details that are opened and saved unchanged are the same', () => {
  const { name, note, unit, currency, target, builds, settings } = project;
  expect(readDraft(draftOf(project), settings)).toEqual({
    ok: true,
    value: { name, note, unit, currency, target, builds, settings },
  });
});

test('every wrong detail is named, with a sentence', () => {
  const wrong = {
    ...draftOf(project),
    name: ' ',
    currency: 'dollars',
    target: 'much',
    builds: '0',
    tax: '200',
    kerf: '5in',
    endTrim: 'x',
  };
  const read = readDraft(wrong, project.settings);
  expect(!read.ok && read.problems.map(({ place }) => place).sort()).toEqual([
    'builds',
    'currency',
    'endTrim',
    'kerf',
    'name',
    'target',
    'tax',
  ]);
});

test('a table saw, what goes in the car, and extra boards by material', () => {
  const draft = {
    ...draftOf(project),
    ripping: 'yes' as const,
    carryLength: '8ft',
    spare: 'stud 10 %, select pine 2.5',
  };
  const read = readDraft(draft, project.settings);
  expect(read.ok && read.value.settings).toMatchObject({
    tools: ['mitre-saw', 'table-saw'],
    maxCarryLength: { text: '8ft' },
    spare: { stud: 0.1, 'select pine': 0.025 },
  });
  const settings = read.ok ? read.value.settings : project.settings;
  const again = draftOf({ ...project, settings });
  expect(again).toMatchObject({ ripping: 'yes', carryLength: '8ft', spare: 'stud 10, select pine 2.5' });
  const back = readDraft({ ...again, ripping: 'no' as const, carryLength: '', spare: '' }, settings);
  expect(back.ok && back.value.settings).toMatchObject({
    tools: ['mitre-saw'],
    maxCarryLength: null,
    spare: {},
  });
  const wrong = readDraft({ ...draft, spare: 'stud many', carryWidth: 'x' }, project.settings);
  expect(!wrong.ok && wrong.problems.map(({ place }) => place)).toEqual(['carryWidth', 'spare']);
});

test('a blank target is none, tax is a share', () => {
  const read = readDraft({ ...draftOf(project), target: '', tax: '8.25 %' }, project.settings);
  expect(read.ok && [read.value.target, read.value.settings.tax]).toEqual([null, 0.0825]);
});
