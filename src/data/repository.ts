import { setAside } from './aside';
import { notify } from './notices';
import type { Book } from '@/core/project';
import type { Result } from '@/core/result';
import { packBook } from '@/core/io/packedBook';
import { emptyBook, emptyHistory } from '@/core/project';
import {
  DEFAULT_SETTINGS,
  newProjectRecord,
  packProject,
  packSettings,
  tagOf,
  unpackBook,
  unpackProject,
  unpackSettings,
  type BookRecord,
  type Damaged,
  type ProjectRecord,
  type Settings,
  type Tags,
} from './records';
import { exclusively, keysUnder, readText, readTextNow, removeKey, writeText, writeTextNow } from './storage';

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

/** A record as it was read: null tag, where the text has none. */
export interface Stored<T> {
  record: T;
  tag: string | null;
  /** What was there could not be read, and lies under another key now. */
  isSetAside?: true;
}

/** All projects of the browser. */
export interface StoredProjects {
  records: Record<string, Stored<ProjectRecord>>;
  damaged: Damaged[];
}

/** All projects kept, the deleted too; those deleted over 30 days ago are dropped for good. */
export const loadProjects = async (now: number): Promise<StoredProjects> => {
  const projects: StoredProjects = { records: {}, damaged: [] };
  for (const key of await keysUnder(PROJECTS)) {
    const text = await readText(key);
    if (text === null) continue;
    const record = unpackProject(text);
    if (!record.ok)
      projects.damaged.push({
        key,
        text,
        id: key.slice(PROJECTS.length),
        tag: tagOf(text),
        problems: record.problems,
      });
    else if (record.value.deletedAt !== null && now - record.value.deletedAt > DAYS_KEPT * DAY)
      await removeKey(key);
    else projects.records[record.value.project.id] = { record: record.value, tag: tagOf(text) };
  }
  return projects;
};

/** One project as it is kept now; null where there is none, or none that can be read. */
export const readProject = async (id: string): Promise<Stored<ProjectRecord> | null> =>
  stored(await readText(PROJECTS + id), unpackProject);

/** A text as the record that it holds; null where there is none, or none that can be read. */
const stored = <T>(text: string | null, unpack: (text: string) => Result<T>): Stored<T> | null => {
  const record = text === null ? null : unpack(text);
  return record?.ok && text !== null ? { record: record.value, tag: tagOf(text) } : null;
};

/** The price book; an unreadable one is set aside under another key, never overwritten. */
export const loadBook = async (now: number): Promise<Stored<BookRecord>> => {
  const text = await readText(BOOK);
  const book = stored(text, unpackBook);
  if (book) return book;
  if (text !== null) {
    await setAside('book', text, now);
    await removeKey(BOOK);
  }
  return {
    record: { book: emptyBook(), history: emptyHistory() },
    tag: null,
    ...(text === null ? {} : { isSetAside: true as const }),
  };
};

/** The price book as it is stored; null where there is none. */
export const readBookText = (): Promise<string | null> => readText(BOOK);

/** Settings; null in a new browser. */
export const loadSettings = async (now: number): Promise<Settings | null> => {
  const text = await readText(SETTINGS);
  if (text === null) return null;
  const settings = unpackSettings(text);
  if (settings.ok) return settings.value;
  await setAside('settings', text, now);
  await removeKey(SETTINGS);
  notify({
    text: 'The settings could not be read, so the usual ones hold. What was kept lies aside, see Settings.',
  });
  return DEFAULT_SETTINGS;
};

/** Writes settings. @throws StorageFull */
export const saveSettings = (settings: Settings): Promise<void> =>
  writeText(SETTINGS, packSettings(settings));

/** `refused`: another tab wrote after what this one follows. */
export type Saved = 'saved' | 'refused';

/** Writes a text where what is stored is the writing that it follows. Looks at the tag alone. @throws StorageFull */
const saveAfter = (key: string, parent: string | null, text: string): Promise<Saved> =>
  exclusively(async () => {
    const held = await readText(key);
    if (held !== null && tagOf(held) !== parent) return 'refused';
    await writeText(key, text);
    return 'saved';
  });

/** Writes a project. @throws StorageFull */
export const saveProject = (record: ProjectRecord, tags: Tags): Promise<Saved> =>
  saveAfter(PROJECTS + record.project.id, tags.parent, packProject(record, tags));

/** Writes the price book, packed already. @throws StorageFull */
export const saveBook = (packed: string, tags: Tags): Promise<Saved> => saveAfter(BOOK, tags.parent, packed);

const saveNow = (key: string, parents: (string | null)[], text: string): Saved => {
  const held = readTextNow(key);
  if (held !== null && !parents.includes(tagOf(held))) return 'refused';
  writeTextNow(key, text);
  return 'saved';
};

/** The same without waiting for a lock, for a page that goes. */
export const storageNow = {
  readProject: (id: string): Stored<ProjectRecord> | null =>
    stored(readTextNow(PROJECTS + id), unpackProject),
  readBook: (): Stored<BookRecord> | null => stored(readTextNow(BOOK), unpackBook),
  saveProject: (record: ProjectRecord, tags: Tags, parents: (string | null)[]): Saved =>
    saveNow(PROJECTS + record.project.id, parents, packProject(record, tags)),
  saveBook: (record: BookRecord, tags: Tags, parents: (string | null)[]): Saved =>
    saveNow(BOOK, parents, packBook(record, tags)),
  saveSettings: (settings: Settings): Saved => {
    writeTextNow(SETTINGS, packSettings(settings));
    return 'saved';
  },
};

/** The price book with the samples in it, and the sample projects that are missing or deleted; what is there stays. */
export const withSamples = async (
  book: Book,
  held: Record<string, Pick<ProjectRecord, 'deletedAt'>>,
): Promise<{ book: Book; added: ProjectRecord[] }> => {
  const { samples } = await import('./samples');
  const added: ProjectRecord[] = [];
  let merged = book;
  for (const { project, book: own } of samples()) {
    merged = {
      ...merged,
      stores: { ...own.stores, ...merged.stores },
      prices: { ...own.prices, ...merged.prices },
    };
    const before = held[project.id];
    if (!before || before.deletedAt !== null) added.push(newProjectRecord(project));
  }
  return { book: merged, added };
};
