/** Records as earlier versions wrote them open with nothing lost. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { projectMoney } from '@/core/budget';
import { packBook } from '@/core/io/packedBook';
import { tagOf, packProject, unpackBook, unpackProject, unpackSettings } from '@/data/records';
import { withRecordedCharges } from '@/core/project';
import { Journal } from './journal';
import { textsIn } from './testing';
import { WorkspaceStore, type WorkspaceStorage } from './workspaceStore';
import { wallClock } from './writeQueue';

const fixture = (name: string): string =>
  readFileSync(path.join(__dirname, 'fixtures', name), 'utf8').trimEnd();
const valueOf = <T>(read: { ok: true; value: T } | { ok: false; problems: unknown[] }): T => {
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
};
const project = valueOf(unpackProject(fixture('project-version-1.txt')));
const book = valueOf(unpackBook(fixture('book-version-2.txt')));
const settings = valueOf(unpackSettings(fixture('settings-version-1.txt')));

test('a project, the price book and the settings of before are read whole', () => {
  expect(project.project).toMatchObject({ name: 'Puppet stage', note: 'kept from before', target: 25000 });
  expect(
    project.project.purchases.map(({ id, isOpen, receipt }) => [id, isOpen ?? false, receipt?.total]),
  ).toEqual([
    ['a', false, undefined],
    ['b', false, 1900],
    ['c', true, undefined],
  ]);
  expect(project.history.past).toHaveLength(4);
  expect(
    Object.values(book.book.stores)
      .map(({ name }) => name)
      .sort(),
  ).toEqual(['Post', 'Yard']);
  expect(Object.values(book.book.prices)).toHaveLength(2);
  expect(Object.keys(book.book.rack ?? {})).toEqual(['r']);
  expect(settings).toMatchObject({ theme: 'dark', tax: 0.05 });
});

test('revisions of before tell writings apart, and what is written now has a tag', () => {
  expect(tagOf(fixture('project-version-1.txt'))).toBe('7');
  expect(tagOf(fixture('book-version-2.txt'))).toBe('4');
  const tags = { tag: 'new_tag-1', parent: '7' };
  expect(tagOf(packProject(project, tags))).toBe('new_tag-1');
  expect(tagOf(packBook(book, tags))).toBe('new_tag-1');
  expect(valueOf(unpackProject(packProject(project, tags)))).toEqual(project);
  expect(valueOf(unpackBook(packBook(book, tags)))).toEqual(book);
});

test('trips and shipping of before are recorded once, by the stores of today', () => {
  const charged = withRecordedCharges(project.project, book.book.stores);
  expect(charged.purchases.map(({ trip, shipping }) => [trip, shipping])).toEqual([
    [420, 0],
    [0, 595],
    [0, undefined],
  ]);
  // 2500 + 1900 + 500 for goods, 420 for the trip, 595 for shipping.
  expect(projectMoney(charged, book.book, null).spent).toBe(5915);
  expect(withRecordedCharges(charged, {})).toBe(charged);
});

test('opened by the workspace they are carried forward, and undo still takes their steps back', async () => {
  const storage: WorkspaceStorage = {
    loadProjects: async () => ({ records: { kept: { record: project, tag: '7' } }, damaged: [] }),
    readProject: async () => null,
    loadBook: async () => ({ record: book, tag: '4' }),
    loadSettings: async () => settings,
    saveProject: async () => 'saved',
    saveBook: async () => 'saved',
    saveSettings: async () => undefined,
    setAside: async () => undefined,
    withSamples: async (held) => ({ book: held, added: [] }),
  };
  const store = new WorkspaceStore({
    storage,
    journal: new Journal(textsIn(new Map()), 'tab', 0),
    livingTabs: async () => new Set<string>(),
    clock: wallClock,
    newId: () => 'id',
  });
  await store.load();
  const spent = () => {
    const record = store.state?.records['kept'];
    return record ? projectMoney(record.project, book.book, null).spent : null;
  };
  expect(spent()).toBe(5915);
  store.step('kept', 'undo');
  expect(store.state?.records['kept']?.project.note).toBe('');
  store.step('kept', 'undo');
  expect(spent()).toBe(5415);
  store.step('kept', 'redo');
  expect(spent()).toBe(5915);
  await store.written();
});
