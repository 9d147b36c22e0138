import { readFileSync } from 'node:fs';
import { readProjectFile, writeProjectFile } from '../io';
import { must } from '../testing';
import { duplicateProject } from './duplicate';
import { resolve } from './resolve';

const files = ['compost-station', 'record-shelf', 'sandpit'].map((name) =>
  must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), `${name}.billet.json`)),
);

test.each(files.map((file) => [file.project.name, file] as const))(
  '%s once more: the same parts, nothing bought or measured, and a file that reads back',
  (_, { project, book }) => {
    const before = JSON.stringify(project);
    const copy = duplicateProject({ ...project, isSample: true }, 'copy', 'Another');
    expect(copy).toMatchObject({ id: 'copy', name: 'Another', purchases: [], target: project.target });
    expect('isSample' in copy).toBe(false);
    expect(JSON.stringify(copy)).not.toMatch(/"measured"/);
    const planned = (of: typeof project) => resolve(of).parts.map(({ name, count }) => [name, count]);
    expect(planned(copy)).toEqual(planned(project));
    const read = must(readProjectFile(writeProjectFile(copy, book), 'copy.billet.json'));
    expect(read.project).toEqual(copy);
    expect(JSON.stringify(project)).toBe(before);
  },
);

test('of a part that was measured on the real thing the planned length holds', () => {
  const [file] = files;
  const group = file?.project.groups[0];
  const part = group?.options[0]?.parts[0];
  if (!file || !group || !part) throw new Error('a part was meant');
  const measured = { ...part, measured: { length: { text: '1in', ticks: 8128 }, where: 'there', cut: 0 } };
  const options = group.options.map((option) => ({ ...option, parts: [measured, ...option.parts.slice(1)] }));
  const project = { ...file.project, groups: [{ ...group, options }, ...file.project.groups.slice(1)] };
  const lengthIn = (of: typeof project) => resolve(of).parts.find(({ id }) => id === part.id)?.length;
  expect(lengthIn(project)).toBe(8128);
  expect(lengthIn(duplicateProject(project, 'copy', 'Another'))).toBe(part.length?.ticks);
});
