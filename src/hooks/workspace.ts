import { useEffect } from 'react';
import { useQuery } from '@tanstack/react-query';
import {
  bookFor,
  bookSide,
  emptyBook,
  sideOf,
  type Book,
  type BookSide,
  type Project,
  type Store,
} from '@/core/project';
import {
  DEFAULT_SETTINGS,
  notify,
  type BookRecord,
  type Damaged,
  type ProjectRecord,
  type Settings,
} from '@/data';
import { pagePath } from '@/platform/page';
import { placeOf, projectIdOf } from '@/data/repository';
import { onOtherTab } from '@/data/storage';
import type { WorkspaceCommand } from '@/state/transaction';
import { KEYS } from './queryBridge';
import { services } from './services';

/** How stored data lies in the query cache: the workspace feeds it, nothing is fetched again. */
const STORED = {
  structuralSharing: false,
  staleTime: Infinity,
  gcTime: Infinity,
  networkMode: 'always',
  retry: false,
} as const;

interface Projects {
  records: Record<string, ProjectRecord>;
  damaged: Damaged[];
}

const useProjectsQuery = () =>
  useQuery({
    queryKey: KEYS.projects,
    queryFn: async (): Promise<Projects> => {
      const { records, damaged } = await services().workspace.load();
      return { records, damaged };
    },
    ...STORED,
  });

const useBookQuery = () =>
  useQuery({
    queryKey: KEYS.book,
    queryFn: async (): Promise<BookRecord> => (await services().workspace.load()).book,
    ...STORED,
  });

/** Why what is kept cannot be opened; null: it can, or is being opened. */
export const useOpeningFault = (): Error | null => useProjectsQuery().error;

/** Projects by name; null while they are read. */
export const useProjects = (): {
  records: ProjectRecord[];
  deleted: ProjectRecord[];
  damaged: Damaged[];
} | null => {
  const { data } = useProjectsQuery();
  if (!data) return null;
  const all = Object.values(data.records).sort((a, b) => a.project.name.localeCompare(b.project.name));
  return {
    records: all.filter(({ deletedAt }) => deletedAt === null),
    deleted: all.filter(({ deletedAt }) => deletedAt !== null),
    damaged: data.damaged,
  };
};

/** Changes a project and the price book: all commands of one call are one step to undo. `name`: what that step is called. */
export type Dispatch = (commands: WorkspaceCommand | WorkspaceCommand[], name?: string) => void;

/** What a screen of one project needs: the project, the prices, and how to change both. */
export interface OpenProject {
  project: Project;
  book: Book;
  /** A newer Billet wrote it: it can be looked at alone. */
  isNewer: boolean;
  dispatch: Dispatch;
  /** What undo and redo would do, in words; null: nothing. */
  undoLabel: string | null;
  redoLabel: string | null;
  undo: () => void;
  redo: () => void;
}

/** One project; null while it is read, undefined when there is none of that id. */
export const useProject = (id: string): OpenProject | null | undefined => {
  const projects = useProjectsQuery().data;
  const book = useBookQuery().data;
  if (!projects || !book) return null;
  const record = projects.records[id];
  if (!record || record.deletedAt !== null) return undefined;
  const { workspace } = services();
  return {
    project: record.project,
    book: bookFor(record.project, book.book),
    isNewer: record.isNewer ?? false,
    dispatch: (commands, name) => workspace.dispatch(onSide(commands, sideOf(record.project)), id, name),
    undoLabel: workspace.next(id, 'undo')?.label ?? null,
    redoLabel: workspace.next(id, 'redo')?.label ?? null,
    undo: () => workspace.step(id, 'undo'),
    redo: () => workspace.step(id, 'redo'),
  };
};

/** Commands as they are given on a side of the price book: stores that come with them are on it. */
const onSide = (commands: WorkspaceCommand | WorkspaceCommand[], side: BookSide): WorkspaceCommand[] => {
  const all = Array.isArray(commands) ? commands : [commands];
  if (side === 'own') return all;
  const sample = (store: Store): Store => ({ ...store, isSample: true });
  return all.map((command) => {
    if (command.type === 'putStore') return { ...command, store: sample(command.store) };
    if (command.type === 'putPrices')
      return { ...command, ...(command.stores ? { stores: command.stores.map(sample) } : {}) };
    return command;
  });
};

/** How the projects are called, by id. */
export const useProjectNames = (): Map<string, string> =>
  new Map((useProjects()?.records ?? []).map(({ project: { id, name } }) => [id, name]));

/** The projects beside one, by name, and how to change them from there. */
export const useOtherProjects = (
  id: string,
): {
  projects: Project[];
  dispatchIn: (id: string, commands: WorkspaceCommand | WorkspaceCommand[]) => void;
  undoIn: (id: string) => void;
} => {
  const all = useProjects()?.records ?? [];
  const { workspace } = services();
  return {
    projects: all.map(({ project }) => project).filter((project) => project.id !== id),
    dispatchIn: (other, commands) => workspace.dispatch(commands, other),
    undoIn: (other) => workspace.step(other, 'undo'),
  };
};

/** One side of the price book by itself, and how to change it; null while it is read. */
export const useOpenBook = (
  side: BookSide = 'own',
): Pick<OpenProject, 'book' | 'dispatch' | 'undo' | 'undoLabel'> | null => {
  const record = useBookQuery().data;
  if (!record) return null;
  const { workspace } = services();
  return {
    book: bookSide(record.book, side),
    dispatch: (commands, name) => workspace.dispatch(onSide(commands, side), null, name),
    undo: () => workspace.step(null, 'undo'),
    undoLabel: record.history.past.at(-1)?.label ?? null,
  };
};

const NO_BOOK = emptyBook();

/** The price book; an empty one while it is read. */
export const useBook = (): Book => useBookQuery().data?.book ?? NO_BOOK;

/** Settings; those of a new browser while they are read. */
export const useSettings = (): { settings: Settings; change: (fields: Partial<Settings>) => void } => {
  const { data } = useQuery({
    queryKey: KEYS.settings,
    queryFn: async () => (await services().workspace.load()).settings,
    ...STORED,
  });
  return {
    settings: data ?? DEFAULT_SETTINGS,
    change: (fields) => services().workspace.changeSettings(fields),
  };
};

/** A new project, or one opened from a file. */
export const addProject = (project: Project): void => services().workspace.addProject(project);

/** Deletes a project so that it can be had back for 30 days; null takes it back. */
export const setDeleted = (projectId: string, deletedAt: number | null): void =>
  services().workspace.setDeleted(projectId, deletedAt);

/** Changes the price book by itself. */
export const changeBook = (commands: WorkspaceCommand | WorkspaceCommand[]): void =>
  services().workspace.dispatch(commands);

/** Puts the sample projects, as far as they are not there, beside what is. */
export const bringSamples = (): Promise<void> => services().workspace.bringSamples();

/** Deletes projects, to be had back for 30 days, and does commands to the price book; the notice offers to undo both. */
const clearAway = (
  isGone: (project: Project) => boolean,
  commandsFor: (book: Book) => WorkspaceCommand[],
  text: string,
): void => {
  const { workspace } = services();
  const { state } = workspace;
  if (!state) return;
  const gone = Object.values(state.records)
    .filter(({ project, deletedAt }) => deletedAt === null && isGone(project))
    .map(({ project }) => project.id);
  for (const id of gone) workspace.setDeleted(id, Date.now());
  const commands = commandsFor(state.book.book);
  workspace.dispatch(commands);
  const undo = () => {
    for (const id of gone) workspace.setDeleted(id, null);
    // Where nothing was done to the book, its last step is another one.
    if (commands.length > 0) workspace.step(null, 'undo');
  };
  notify({ text, action: { label: 'Undo', run: undo } });
};

/** Deletes the samples, with their stores and prices. */
export const removeSamples = (): void =>
  clearAway(
    (project) => sideOf(project) === 'samples',
    ({ stores }) =>
      Object.values(stores)
        .filter((store) => sideOf(store) === 'samples')
        .map(({ id }) => ({ type: 'removeStore', storeId: id })),
    'The samples are removed.',
  );

/** Deletes all projects, stores and prices. */
export const startEmpty = (): void =>
  clearAway(
    () => true,
    ({ stores, prices }) => (isEmpty(stores) && isEmpty(prices) ? [] : [{ type: 'clear' }]),
    'Billet is empty now.',
  );

const isEmpty = (section: object): boolean => Object.keys(section).length === 0;

/** Says so when the project that is open here was changed in another tab: what is on screen changes under the hand. */
const tellOfOtherTab = (id: string): void => {
  if (!pagePath().startsWith(`/project/${id}/`)) return;
  const name = services().workspace.state?.records[id]?.project.name;
  if (name) notify({ text: `${name} was changed in another tab. The newer state is shown.` });
};

/** Takes over what another tab writes, as soon as it does. */
export const useOtherTabs = (): void => {
  useEffect(
    () =>
      onOtherTab((key) => {
        const place = placeOf(key);
        const projectId = projectIdOf(key);
        if (projectId !== null) tellOfOtherTab(projectId);
        if (place === 'projects' && projectId !== null) void services().workspace.takeOver({ projectId });
        else if (place === 'book' || place === 'settings') void services().workspace.takeOver(place);
      }),
    [],
  );
};
