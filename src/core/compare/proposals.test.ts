import { readFileSync } from 'node:fs';
import { readProjectFile, writeProjectFile } from '../io';
import { currentOffers } from '../pricing';
import { chosenOption, resolve, withChanges, type Project } from '../project';
import { fromCsv, must } from '../testing';
import { candidatesFor } from './candidates';
import { proposalsFor, together } from '.';

const compost = must(readProjectFile(readFileSync('demo/compost-station.billet.json', 'utf8'), 'compost'));

test('a group in another section is an option of its own: slats are counted and spaced anew, the first way stays', () => {
  const { project, book } = compost;
  const one = proposalsFor(project, book, null).find(({ name }) => name.startsWith('Side slats in 1x6'));
  const made = withChanges(project, one?.changes ?? []);
  const group = (of: Project) =>
    of.groups.find(({ name }) => name === 'Side slats') as Project['groups'][number];
  expect(group(made).options).toHaveLength(2);
  expect(chosenOption(group(made))?.parts[0]?.section).toBe('1x6');
  expect(chosenOption(group(project))?.parts[0]?.section).toBe('5/8x5-1/2in');
  // It keeps its material's kind, and is sold.
  const part = resolve(made).parts.find(
    ({ groupId, kind }) => groupId === group(made).id && kind === 'board',
  );
  expect(part?.materials).toEqual(['cedar']);
  const ids = made.groups.flatMap(({ options }) => options.flatMap(({ parts }) => parts.map(({ id }) => id)));
  expect(new Set(ids).size).toBe(ids.length);
});

test('changing the section again and again keeps ids short and each way by itself', () => {
  let { project } = compost;
  for (let turn = 0; turn < 4; turn++) {
    const next = proposalsFor(project, compost.book, null).find(({ changes }) =>
      changes.some(({ type }) => type === 'putOption'),
    );
    if (!next) break;
    project = withChanges(project, next.changes);
  }
  const ids = project.groups.flatMap(({ options }) =>
    options.flatMap(({ id, parts }) => [id, ...parts.map((part) => part.id)]),
  );
  expect(Math.max(...ids.map(({ length }) => length))).toBeLessThan(60);
  expect(new Set(ids).size).toBe(ids.length);
});

test('several put together change all that each changes, spare boards of both', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length,material,group\nRail,10,2x4,8ft,premium,a\nSlat,10,1x4,8ft,select pine,b',
    prices:
      'store,section,length,material,price\nYard,2x4,8ft,premium,5\nYard,2x4,8ft,stud,3\nYard,1x4,8ft,select pine,4\nYard,1x4,8ft,common pine,2',
  });
  const proposals = proposalsFor(project, book, null);
  const pair = ['a in stud', 'b in common pine'].flatMap((wanted) =>
    proposals.filter(({ name }) => name === wanted),
  );
  expect(pair).toHaveLength(2);
  const both = together(pair);
  expect(both.name).toBe('a in stud, b in common pine');
  const made = withChanges(project, both.changes);
  expect(made.settings.spare).toEqual({ stud: 0.1, 'common pine': 0.05 });
  expect(resolve(made).parts.map(({ materials }) => materials)).toEqual([['stud'], ['common pine']]);
});

test('a project file carries the prices that its comparison needs, and its columns', () => {
  const { project, book } = compost;
  const changes =
    proposalsFor(project, book, null).find(({ name }) => name.startsWith('Back in 1x6'))?.changes ?? [];
  const kept: Project = { ...project, alternatives: [{ id: 'x', name: 'Back in boards', changes }] };
  const read = must(readProjectFile(writeProjectFile(kept, book), 'x.billet.json'));
  expect(read.project.alternatives).toEqual(kept.alternatives);
  const names = (of: typeof book) => proposalsFor(project, of, null).map(({ name }) => name);
  expect(names(read.book)).toEqual(names(book));
  expect(currentOffers(read.book).some(({ item }) => item.section === '1x6')).toBe(true);
});

test.each(['compost-station', 'record-shelf', 'sandpit'])(
  'every proposal for %s, kept as a column or chosen, comes back from a file as it was',
  (name) => {
    const { project, book } = must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), name));
    const back = (of: Project) => must(readProjectFile(writeProjectFile(of, book), name)).project;
    const proposals = proposalsFor(project, book, null);
    for (const proposal of [...proposals, together(proposals)]) {
      const { id, name: title, changes } = proposal;
      const kept = {
        ...project,
        alternatives: [{ id: id.slice(0, 100), name: title.slice(0, 200), changes }],
      };
      expect(back(kept)).toEqual(kept);
      const chosen = withChanges(project, changes);
      expect(back(chosen)).toEqual(chosen);
    }
    for (const { changes } of candidatesFor(project, book)) {
      const chosen = withChanges({ ...project, alternatives: [{ id: 'x', name: 'x', changes }] }, changes);
      expect(back(chosen)).toEqual(chosen);
    }
  },
);
