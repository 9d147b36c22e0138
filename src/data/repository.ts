import type { Book } from '@/core/project';
import { emptyBook, emptyHistory } from '@/core/project';
import {
  DEFAULT_SETTINGS,
  newProjectRecord,
  packBook,
  packProject,
  packSettings,
  revisionOfBook,
  unpackBook,
  unpackProject,
  unpackSettings,
  type BookRecord,
  type Damaged,
  type ProjectRecord,
  type Settings,
} from './records';
import { exclusively, keysUnder, readText, removeKey, writeText } from './storage';

const PROJECTS = 'billet/project/';
const BOOK = 'billet/book';
const SETTINGS = 'billet/settings';
const DAY = 24 * 3600 * 1000;
export const DAYS_KEPT = 30;

export type Place = 'projects' | 'book' | 'settings';

/** Which part of the workspace a stored key belongs to. */
export const placeOf = (key: string): Place | null =>
  key.startsWith(PROJECTS) ? 'projects' : key === BOOK ? 'book' : key === SETTINGS ? 'settings' : null;

/** The id of the project that a stored key is of; null: it is of none. */
export const projectIdOf = (key: string): string | null =>
  key.startsWith(PROJECTS) ? key.slice(PROJECTS.length) : null;

export interface Projects {
  records: Record<string, ProjectRecord>;
  damaged: Damaged[];
}

/** All projects kept, the deleted too; those deleted over 30 days ago are dropped for good. */
export const loadProjects = async (now: number): Promise<Projects> => {
  const projects: Projects = { records: {}, damaged: [] };
  for (const key of await keysUnder(PROJECTS)) {
    const text = await readText(key);
    if (text === null) continue;
    const record = unpackProject(text);
    if (!record.ok) projects.damaged.push({ key, text, problems: record.problems });
    else if (record.value.deletedAt !== null && now - record.value.deletedAt > DAYS_KEPT * DAY)
      await removeKey(key);
    else projects.records[record.value.project.id] = record.value;
  }
  return projects;
};

/** The price book; an unreadable one is set aside under another key, never overwritten. */
export const loadBook = async (now: number): Promise<BookRecord> => {
  const text = await readText(BOOK);
  const record = text === null ? null : unpackBook(text);
  if (record?.ok) return record.value;
  if (text !== null) await writeText(`billet/aside/book-${now}`, text);
  return { revision: 0, book: emptyBook(), history: emptyHistory() };
};

export const loadSettings = async (): Promise<Settings | null> => {
  const text = await readText(SETTINGS);
  const settings = text === null ? null : unpackSettings(text);
  return settings?.ok ? settings.value : settings === null ? null : DEFAULT_SETTINGS;
};

export const saveSettings = (settings: Settings): Promise<void> =>
  writeText(SETTINGS, packSettings(settings));

export type Saved = 'saved' | 'refused';

/** Writes a project whose stored revision is the one before; refuses when another tab was first. */
export const saveProject = (record: ProjectRecord): Promise<Saved> =>
  exclusively(async () => {
    const key = PROJECTS + record.project.id;
    const text = await readText(key);
    const stored = text === null ? null : unpackProject(text);
    if (stored?.ok && stored.value.revision !== record.revision - 1) return 'refused';
    await writeText(key, packProject(record));
    return 'saved';
  });

const revisionOf = (text: string | null): number | null => {
  if (text === null) return null;
  const old = revisionOfBook(text) === null ? unpackBook(text) : null;
  return old?.ok ? old.value.revision : revisionOfBook(text);
};

/** As saveProject, for the price book. */
export const saveBook = (record: BookRecord): Promise<Saved> =>
  exclusively(async () => {
    const stored = revisionOf(await readText(BOOK));
    if (stored !== null && stored !== record.revision - 1) return 'refused';
    await writeText(BOOK, packBook(record));
    return 'saved';
  });

/** What the samples make of a workspace; `written` resolves when that is kept. */
export interface Sampled {
  projects: Projects;
  book: BookRecord;
  written: Promise<void>;
}

/** Adds the samples to a workspace. Projects of the same id that are not deleted, and prices, are left as they are. */
export const addSamples = async (book: BookRecord, existing: Projects): Promise<Sampled> => {
  const { samples } = await import('./samples');
  const added: ProjectRecord[] = [];
  let merged: Book = book.book;
  for (const { project, book: own } of samples()) {
    merged = {
      ...merged,
      stores: { ...own.stores, ...merged.stores },
      prices: { ...own.prices, ...merged.prices },
    };
    const held = existing.records[project.id];
    if (!held || held.deletedAt !== null)
      added.push({ ...newProjectRecord(project), revision: (held?.revision ?? 0) + 1 });
  }
  const sampledBook: BookRecord = { revision: book.revision + 1, book: merged, history: emptyHistory() };
  const records = {
    ...existing.records,
    ...Object.fromEntries(added.map((record) => [record.project.id, record])),
  };
  const write = async () => {
    for (const record of added) await saveProject(record);
    await saveBook(sampledBook);
    if ((await loadSettings()) === null) await saveSettings(DEFAULT_SETTINGS);
  };
  return { projects: { ...existing, records }, book: sampledBook, written: write() };
};
