import { readFileSync } from 'node:fs';
import { readProjectFile } from '../io';
import { apply, chosenOption, emptyProject, type Command, type Group, type Project } from '../project';
import { counter, must } from '../testing';
import { buildTemplate, HELPERS, helperOf, isAsMade, previewMade, TEMPLATES, usualAnswers } from '.';

const newId = counter();
const made = (['in', 'mm'] as const).flatMap((unit) => {
  const project = emptyProject('p', 'Case', unit, 'USD');
  const context = { project, groupName: 'Group', materials: [], newId };
  return [
    ...HELPERS.map((one) => [
      `${one.id} in ${unit}`,
      must(previewMade(one, usualAnswers(one, unit), context)).project,
    ]),
    ...TEMPLATES.map((one) => [
      `${one.id} in ${unit}`,
      must(buildTemplate(one, usualAnswers(one, unit), { project, materials: [], newId })).project,
    ]),
  ] as [string, Project][];
});
const samples = ['compost-station', 'record-shelf', 'sandpit'].map((name): [string, Project] => [
  name,
  must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), name)).project,
]);

const run = (project: Project, command: Command): Project => apply(project, command, 0)?.document ?? project;
const ofHelper = ({ groups }: Project): Group[] => groups.filter((group) => chosenOption(group)?.made);
const says = (project: Project, groupId: string): boolean => {
  const group = project.groups.find(({ id }) => id === groupId);
  const helper = group && helperOf(chosenOption(group)?.made?.helper ?? '');
  return group !== undefined && helper !== undefined && isAsMade(helper, project, group);
};

test.each([...made, ...samples].filter(([, project]) => ofHelper(project).length > 0))(
  '%s: as made, also by another name and measure; not once a part is changed',
  (_, project) => {
    const groups = ofHelper(project);
    for (const { id, name, options } of groups) {
      expect([name, says(project, id)]).toEqual([name, true]);
      const part = options[0]?.parts.find(({ role, length }) => role !== undefined && length !== null);
      if (!part) throw new Error('a part was meant');
      const edit = (fields: Extract<Command, { type: 'editPart' }>['fields']) =>
        says(run(project, { type: 'editPart', partId: part.id, fields }), id);
      expect(edit({ name: 'Called otherwise' })).toBe(true);
      expect(edit({ note: 'the better face out' })).toBe(true);
      expect(edit({ length: { text: '777mm', ticks: 777 * 320 } })).toBe(false);
      expect(edit({ quantity: part.quantity + 1, formulas: undefined })).toBe(false);
      expect(says(run(project, { type: 'removePart', partId: part.id }), id)).toBe(false);
      const [measure] = project.variables.filter(({ kind, note }) => kind === 'length' && note !== 'follows');
      if (measure)
        expect(
          says(
            run(project, {
              type: 'editVariable',
              variableId: measure.id,
              fields: { formula: `(${measure.formula}) * 1.01` },
            }),
            id,
          ),
        ).toBe(true);
    }
  },
);
