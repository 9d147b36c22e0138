import type { Book, Project } from '@/core/project';
import { map } from '@/core/result';
import { addProject, changeBook, newId, notify } from '@/hooks';
import { remoteReader } from '@/state/reading';
import { Text } from '@/ui';
import { mergeBook, withStoreIds } from './mergeBook';
import type { ImportContext, ImportFormat, ImportPreview } from './types';

/** A project file: opened at once, or, where that project is here already, in its place or beside it when asked. */
export const projectFormat: ImportFormat = {
  id: 'project',
  title: 'Open a file',
  hint: () => 'A project that was saved to a file, or everything that was saved in one.',
  accept: '.json,application/json',
  detect: ({ text }) => /^[\uFEFF\s]*[{[]/.test(text.slice(0, 200)),
  read: async ({ name, text }, { projects }) =>
    map(await remoteReader().project(text, name), ({ project: given, book }) => {
      const project = isUsableId(given.id) ? given : { ...given, id: newId() };
      const isHere = projects.some(({ id }) => id === project.id);
      return isHere ? askFirst(name, project, book) : openAtOnce(project, book);
    }),
};

/** Whether an id can stand in an address and as a key; a file may have any. */
const isUsableId = (id: string): boolean => /^[\w-]{1,64}$/.test(id) && !(id in {});

const take = (project: Project, own: Book, { whole, goTo }: ImportContext, close: () => void): void => {
  const merged = mergeBook(whole, own);
  const { prices, stores, materials } = merged;
  if (prices.length + stores.length + materials.length > 0)
    changeBook({ type: 'putPrices', prices, stores, materials });
  addProject(withStoreIds(project, merged.storeIds));
  notify({ text: `${project.name} is open.` });
  close();
  goTo(`/project/${project.id}/parts`);
};

const openAtOnce = (project: Project, book: Book): ImportPreview => ({
  title: project.name,
  isTakenAtOnce: true,
  body: () => null,
  actions: (context, { close }) => [
    { label: 'Open it', isMain: true, run: () => take(project, book, context, close) },
  ],
});

const askFirst = (name: string, project: Project, book: Book): ImportPreview => ({
  title: `${project.name} is here already`,
  body: () => (
    <Text>Replace the project in this browser by the one in {name}, or keep both side by side?</Text>
  ),
  actions: (context, { close }) => {
    const copy = () => ({ ...project, id: newId(), name: `${project.name} (from file)` });
    return [
      { label: 'Cancel', run: close },
      { label: 'Keep both', run: () => take(copy(), book, context, close) },
      { label: 'Replace it', isMain: true, run: () => take(project, book, context, close) },
    ];
  },
});
