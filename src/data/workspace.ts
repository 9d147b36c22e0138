import type { QueryClient } from '@tanstack/react-query';
import {
  apply,
  applyToBook,
  redo,
  remember,
  undo,
  type BookCommand,
  type Change,
  type Command,
  type Project,
} from '@/core/project';
import { notify, outdateNotice } from './notices';
import { newProjectRecord, type BookRecord, type ProjectRecord, type Settings } from './records';
import { saveBook, saveProject, saveSettings, type Projects, type Saved } from './repository';
import { StorageFull } from './storage';

export const KEYS = { projects: ['projects'], book: ['book'], settings: ['settings'] } as const;

/**
 * Every change goes through here: the new state is on screen at once, and is written behind it, one write
 * after the other. A write that is refused or fails is told, and the state of the browser is taken again.
 */
let writing: Promise<void> = Promise.resolve();

/** Tells that the browser is full; any other error is a bug, and goes on. */
const tellFull = (error: unknown): void => {
  if (!(error instanceof StorageFull)) throw error;
  notify({
    text: 'The browser has no room left for Billet, so the last change is not kept. Save the project to a file, or delete one.',
  });
};

const write = (client: QueryClient, key: readonly string[], save: () => Promise<Saved | void>): void => {
  writing = writing.then(async () => {
    // What was typed is on screen first.
    await new Promise((resolve) => setTimeout(resolve, 0));
    try {
      if ((await save()) !== 'refused') return;
      notify({
        text: 'This was changed in another tab. The newer state is shown; your last change was not taken.',
      });
    } catch (error) {
      tellFull(error);
    }
    await client.invalidateQueries({ queryKey: key });
  });
};

/** Resolves when everything changed so far is written. */
export const written = (): Promise<void> => writing;

/** Lets later writes wait for one that was begun elsewhere. */
export const afterWriting = (work: Promise<void>): void => {
  writing = writing.then(() => work).catch(tellFull);
};

const recordOf = (client: QueryClient, projectId: string): ProjectRecord | undefined =>
  client.getQueryData<Projects>(KEYS.projects)?.records[projectId];

const putRecord = (client: QueryClient, record: ProjectRecord): void => {
  outdateNotice();
  client.setQueryData<Projects>(KEYS.projects, (projects) => ({
    damaged: projects?.damaged ?? [],
    records: { ...projects?.records, [record.project.id]: record },
  }));
  write(client, KEYS.projects, () => saveProject(record));
};

const putBook = (client: QueryClient, record: BookRecord): void => {
  outdateNotice();
  client.setQueryData<BookRecord>(KEYS.book, record);
  write(client, KEYS.book, () => saveBook(record));
};

/** Changes a project. */
export const run = (client: QueryClient, projectId: string, command: Command): void => {
  const record = recordOf(client, projectId);
  const result = record && apply(record.project, command, Date.now());
  if (!record || !result) return;
  putRecord(client, {
    ...record,
    revision: record.revision + 1,
    project: result.document,
    history: remember(record.history, result.change),
  });
  forgetFuture(client, projectId, 'book');
};

/** Changes the price book; `projectId` when that is done within a project, whose undo then takes it back. */
export const runOnBook = (client: QueryClient, command: BookCommand, projectId?: string): void => {
  const record = client.getQueryData<BookRecord>(KEYS.book);
  const result = record && applyToBook(record.book, command, Date.now());
  if (!record || !result) return;
  const change: Change = projectId ? { ...result.change, projectId } : result.change;
  putBook(client, {
    revision: record.revision + 1,
    book: result.document,
    history: remember(record.history, change),
  });
  if (projectId) forgetFuture(client, projectId, 'project');
};

/** A change made anew ends what could be made again, in the project and in the book alike. */
const forgetFuture = (client: QueryClient, projectId: string, where: 'project' | 'book'): void => {
  const record = recordOf(client, projectId);
  const book = client.getQueryData<BookRecord>(KEYS.book);
  if (where === 'project' && record && record.history.future.length > 0)
    putRecord(client, {
      ...record,
      revision: record.revision + 1,
      history: { ...record.history, future: [] },
    });
  if (where === 'book' && book && book.history.future.at(-1)?.projectId === projectId)
    putBook(client, { ...book, revision: book.revision + 1, history: { ...book.history, future: [] } });
};

/** The next change that undo or redo would touch within a project, whether of the project or of the book. */
export const nextStep = (
  record: ProjectRecord | undefined,
  book: BookRecord | undefined,
  way: 'undo' | 'redo',
): { of: 'project' | 'book'; change: Change } | null => {
  const last = (history: ProjectRecord['history'] | undefined) =>
    (way === 'undo' ? history?.past : history?.future)?.at(-1);
  const own = last(record?.history);
  const priced = last(book?.history);
  const ofBook = priced && priced.projectId === record?.project.id ? priced : undefined;
  if (!own && !ofBook) return null;
  const bookFirst = !own || (ofBook && (way === 'undo' ? ofBook.at > own.at : ofBook.at < own.at));
  return bookFirst && ofBook ? { of: 'book', change: ofBook } : own ? { of: 'project', change: own } : null;
};

/** Takes the newest change back, or makes the one again that was taken back last. */
export const step = (client: QueryClient, projectId: string, way: 'undo' | 'redo'): void => {
  const record = recordOf(client, projectId);
  const book = client.getQueryData<BookRecord>(KEYS.book);
  const next = nextStep(record, book, way);
  if (next?.of === 'project' && record) {
    const done = (way === 'undo' ? undo : redo)(record.project, record.history);
    if (done)
      putRecord(client, {
        ...record,
        revision: record.revision + 1,
        project: done.document,
        history: done.history,
      });
  } else if (next) stepBook(client, way);
};

/** Undo or redo in the price book alone. */
export const stepBook = (client: QueryClient, way: 'undo' | 'redo'): void => {
  const record = client.getQueryData<BookRecord>(KEYS.book);
  const done = record && (way === 'undo' ? undo : redo)(record.book, record.history);
  if (done) putBook(client, { revision: record.revision + 1, book: done.document, history: done.history });
};

/** A new project, or one opened from a file. */
export const addProject = (client: QueryClient, project: Project): void => {
  const held = recordOf(client, project.id);
  putRecord(client, { ...newProjectRecord(project), revision: (held?.revision ?? 0) + 1 });
};

/** Deletes a project so that it can be had back for 30 days; null takes it back. */
export const setDeleted = (client: QueryClient, projectId: string, deletedAt: number | null): void => {
  const record = recordOf(client, projectId);
  if (record) putRecord(client, { ...record, revision: record.revision + 1, deletedAt });
};

export const putSettings = (client: QueryClient, settings: Settings): void => {
  client.setQueryData<Settings>(KEYS.settings, settings);
  write(client, KEYS.settings, () => saveSettings(settings));
};
