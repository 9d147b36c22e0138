import { useEffect } from 'react';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { emptyBook, type Book, type BookCommand, type Command, type Project } from '@/core/project';
import { DEFAULT_SETTINGS, type Damaged, type ProjectRecord, type Settings } from './records';
import { notify } from './notices';
import {
  addSamples,
  loadBook,
  loadProjects,
  loadSettings,
  placeOf,
  projectIdOf,
  saveSettings,
  type Projects,
  type Sampled,
} from './repository';
import { onOtherTab } from './storage';
import {
  afterWriting,
  KEYS,
  nextStep,
  putSettings,
  run,
  runOnBook,
  setDeleted,
  step,
  stepBook,
  written,
} from './workspace';

const STORED = {
  structuralSharing: false,
  staleTime: Infinity,
  gcTime: Infinity,
  networkMode: 'always',
  retry: false,
} as const;

/** The first time, an empty browser is given the sample projects: they are on screen while they are written. */
const sampled = (): Promise<Sampled | null> => {
  preparing ??= (async () => {
    if ((await loadSettings()) !== null) return null;
    const projects = await loadProjects(Date.now());
    if (Object.keys(projects.records).length > 0) {
      await saveSettings(DEFAULT_SETTINGS);
      return null;
    }
    const first = await addSamples(await loadBook(Date.now()), projects);
    afterWriting(first.written);
    return first;
  })();
  return preparing;
};
let preparing: Promise<Sampled | null> | null = null;

/** What the first look at an empty browser made, once; afterwards what is kept. */
const firstOr = <T>(first: (made: Sampled) => T, kept: () => Promise<T>) => {
  let isFirst = true;
  return async (): Promise<T> => {
    const made = isFirst ? await sampled() : null;
    isFirst = false;
    if (made) return first(made);
    await written();
    return kept();
  };
};

const readProjects = firstOr(
  (made) => made.projects,
  () => loadProjects(Date.now()),
);
const readBook = firstOr(
  (made) => made.book,
  () => loadBook(Date.now()),
);

const useProjectsQuery = () => useQuery({ queryKey: KEYS.projects, queryFn: readProjects, ...STORED });

const useBookQuery = () => useQuery({ queryKey: KEYS.book, queryFn: readBook, ...STORED });

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

/** What a screen of one project needs: the project, the prices, and how to change both. */
export interface OpenProject {
  project: Project;
  book: Book;
  run: (command: Command) => void;
  runOnBook: (command: BookCommand) => void;
  /** What undo and redo would do, in words; null: nothing. */
  undoLabel: string | null;
  redoLabel: string | null;
  undo: () => void;
  redo: () => void;
}

/** One project; null while it is read, undefined when there is none of that id. */
export const useProject = (id: string): OpenProject | null | undefined => {
  const client = useQueryClient();
  const projects = useProjectsQuery().data;
  const book = useBookQuery().data;
  if (!projects || !book) return null;
  const record = projects.records[id];
  if (!record || record.deletedAt !== null) return undefined;
  return {
    project: record.project,
    book: book.book,
    run: (command) => run(client, id, command),
    runOnBook: (command) => runOnBook(client, command, id),
    undoLabel: nextStep(record, book, 'undo')?.change.label ?? null,
    redoLabel: nextStep(record, book, 'redo')?.change.label ?? null,
    undo: () => step(client, id, 'undo'),
    redo: () => step(client, id, 'redo'),
  };
};

/** The projects beside one, by name, and how to change them from there. */
export const useOtherProjects = (
  id: string,
): { projects: Project[]; runIn: (id: string, command: Command) => void; undoIn: (id: string) => void } => {
  const client = useQueryClient();
  const all = useProjects()?.records ?? [];
  return {
    projects: all.map(({ project }) => project).filter((project) => project.id !== id),
    runIn: (other, command) => run(client, other, command),
    undoIn: (other) => step(client, other, 'undo'),
  };
};

/** The price book by itself, and how to change it; null while it is read. */
export const useOpenBook = (): Pick<OpenProject, 'book' | 'runOnBook' | 'undo' | 'undoLabel'> | null => {
  const client = useQueryClient();
  const record = useBookQuery().data;
  if (!record) return null;
  return {
    book: record.book,
    runOnBook: (command) => runOnBook(client, command),
    undo: () => stepBook(client, 'undo'),
    undoLabel: record.history.past.at(-1)?.label ?? null,
  };
};

const NO_BOOK = emptyBook();

export const useBook = (): Book => useBookQuery().data?.book ?? NO_BOOK;

/** Settings; those of a new browser while they are read. */
export const useSettings = (): { settings: Settings; change: (fields: Partial<Settings>) => void } => {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: KEYS.settings,
    queryFn: async () => (await loadSettings()) ?? DEFAULT_SETTINGS,
    ...STORED,
  });
  const settings = data ?? DEFAULT_SETTINGS;
  return { settings, change: (fields) => putSettings(client, { ...settings, ...fields }) };
};

const reload = async (client: QueryClient) => {
  for (const queryKey of Object.values(KEYS)) await client.invalidateQueries({ queryKey });
};

/** Brings the sample projects back beside what is there. */
export const bringSamplesBack = async (client: QueryClient): Promise<void> => {
  await written();
  const made = await addSamples(await loadBook(Date.now()), await loadProjects(Date.now()));
  await made.written;
  await reload(client);
};

/** Deletes all projects (to be had back for 30 days), stores and prices; the notice offers to undo it. */
export const startEmpty = (client: QueryClient): void => {
  const records = Object.values(client.getQueryData<Projects>(KEYS.projects)?.records ?? {});
  const open = records.filter(({ deletedAt }) => deletedAt === null).map(({ project }) => project.id);
  for (const id of open) setDeleted(client, id, Date.now());
  runOnBook(client, { type: 'clear' });
  const undo = () => {
    for (const id of open) setDeleted(client, id, null);
    stepBook(client, 'undo');
  };
  notify({ text: 'Billet is empty now.', action: { label: 'Undo', run: undo } });
};

/** Says so when the project that is open here was changed in another tab: what is on screen changes under the hand. */
const tellOfOtherTab = (client: QueryClient, key: string): void => {
  const id = projectIdOf(key);
  if (id === null || !window.location.pathname.startsWith(`/project/${id}/`)) return;
  const name = client.getQueryData<Projects>(KEYS.projects)?.records[id]?.project.name;
  if (name) notify({ text: `${name} was changed in another tab. The newer state is shown.` });
};

/** Takes over what another tab writes, as soon as it does. */
export const useOtherTabs = (): void => {
  const client = useQueryClient();
  useEffect(
    () =>
      onOtherTab((key) => {
        const place = placeOf(key);
        if (!place) return;
        tellOfOtherTab(client, key);
        void client.invalidateQueries({ queryKey: KEYS[place] });
      }),
    [client],
  );
};
