import { fromCsv, must } from '@/core/testing';
import { writeProjectFile } from '@/core/io';
import type { Project } from '@/core/project';
import type { OpenProject } from '@/hooks';
import { formatOf, IMPORT_FORMATS } from './formats';
import type { ImportContext, ImportTools } from './types';

jest.mock('@/state/reading', () => ({ remoteReader: () => ({}), stopReading: () => undefined }));
jest.mock('@/hooks', () => ({
  ...jest.requireActual<object>('@/data/drafts'),
  newId: () => `made${Math.random()}`,
  notify: () => undefined,
  isEverything: (text: string) => text.includes('"everything"'),
}));

const parts = 'part,qty,section,length\nRail,2,2x4,30\nPost,4,2x4,40';
const prices = "store,section,length,material,price\nYard,2x4,8',stud,4";
const ledger = 'date,store,item,paid,qty\n2026-11-02,Fair,wood glue,8.56,1\n';

const owned = 'section,length,material,qty\n2x4,8ft,stud,3\n1x4,30,pine,2\n';

const file = (text: string) => ({ name: 'picked', text });

/** A project that is open, and the commands it was given. */
const context = () => {
  const { project, book } = fromCsv({ parts, prices });
  const given: unknown[] = [];
  const open = {
    project,
    book,
    dispatch: (command: unknown) => void given.push(command),
    undo: () => undefined,
  } as unknown as OpenProject;
  const held = { unit: 'in' as const, currency: 'USD', today: '2026-11-25' };
  const made: ImportContext = {
    open,
    prices: { book, dispatch: open.dispatch, undo: open.undo, ...held },
    whole: book,
    projects: [project],
    settings: { ...held } as unknown as ImportContext['settings'],
    changeSettings: () => undefined,
    goTo: () => undefined,
  };
  return { made, given, project, book };
};

const tools = (): ImportTools & { isClosed: boolean } => {
  const made = { isClosed: false, show: () => undefined, read: () => undefined, close: () => undefined };
  made.close = () => void (made.isClosed = true);
  return made;
};

test('a file is taken for what is in it, wherever it was asked for', () => {
  const { project, book } = context();
  const all: [string, string][] = [
    ['parts', parts],
    ['prices', prices],
    ['ledger', ledger],
    ['rack', owned],
    ['project', writeProjectFile(project, book)],
    ['everything', '{"format": "everything"}'],
  ];
  for (const [id, text] of all)
    for (const wanted of IMPORT_FORMATS) expect(formatOf(file(text), wanted.id).id).toBe(id);
});

test('what is nobody’s is read as what was asked for', () => {
  for (const { id } of IMPORT_FORMATS) expect(formatOf(file('Rate,Yard\n3,Mill'), id).id).toBe(id);
});

test('what is taken into a project says so for where none is open', () => {
  for (const { id, elsewhere } of IMPORT_FORMATS)
    expect([id, elsewhere !== undefined]).toEqual([id, id === 'parts' || id === 'ledger']);
});

test('every fault of a file is told with its place', async () => {
  const { made } = context();
  const wrong = file('part,qty,section,length\nRail,0,2x4,30\nPost,4,9x9,x');
  const result = await formatOf(wrong, 'parts').read(wrong, made);
  expect(!result.ok && result.problems.map(({ place }) => place)).toEqual([
    'picked:2: qty',
    'picked:3: section',
    'picked:3: length',
  ]);
});

test('nothing changes before the main action is run; beside is more, in place is the same number', async () => {
  const { made, given } = context();
  const preview = must(await formatOf(file(parts), 'parts').read(file(parts), made));
  expect(given).toEqual([]);
  const closing = tools();
  const [beside, instead] = preview.actions(made, closing);
  beside?.run();
  instead?.run();
  const counts = (given as { groups: Project['groups'] }[]).map(({ groups }) =>
    groups.reduce((sum, { options }) => sum + (options[0]?.parts.length ?? 0), 0),
  );
  expect(counts).toEqual([4, 2]);
  expect(closing.isClosed).toBe(true);
});

test('what is owned goes on the rack as it stands in the file, each with an id of its own', async () => {
  const { made, given } = context();
  const preview = must(await formatOf(file(owned), 'rack').read(file(owned), { ...made, open: null }));
  const [put] = preview.actions(made, tools());
  expect(put?.label).toBe('Put 5 on the rack');
  put?.run();
  const { entries } = given[0] as { entries: { id: string; quantity: number; item: { section: string } }[] };
  expect(entries.map(({ quantity, item }) => [quantity, item.section])).toEqual([
    [3, '2x4'],
    [2, '1x4'],
  ]);
  expect(new Set(entries.map(({ id }) => id)).size).toBe(2);
});

test('a ledger taken twice brings nothing the second time', async () => {
  const { made, given, project } = context();
  const preview = must(await formatOf(file(ledger), 'ledger').read(file(ledger), made));
  const [first] = preview.actions(made, tools());
  expect(first).toMatchObject({ label: 'Take in one line, $8.56', isDisabled: false });
  first?.run();
  const { entries } = given[0] as { entries: { purchase: (typeof project)['purchases'][number] }[] };
  const spent = { ...project, purchases: entries.map(({ purchase }) => purchase) };
  const [second] = preview.actions({ ...made, open: { ...made.open!, project: spent } }, tools());
  expect(second).toMatchObject({ isDisabled: true });
});
