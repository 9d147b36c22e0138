import { setAside } from './aside';
import { notify } from './notices';
import type { Book } from '@/core/project';
import { fail, type Result } from '@/core/result';
import { emptyBook, emptyHistory } from '@/core/project';
import {
  DEFAULT_SETTINGS,
  isOfNewer,
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
import { exclusively, readText, removeKey, textsUnder, writeText } from './storage';

const PROJECTS = 'billet/project/';
const BOOK = 'billet/book';
const SETTINGS = 'billet/settings';
const DAY = 24 * 3600 * 1000;
/** For so many days what was deleted can be had back. */
export const DAYS_KEPT = 30;

/** A part of what is kept. */
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

/** A stored text as the record of one project. */
const unpackAs = (id: string, text: string): Result<ProjectRecord> => {
  const record = unpackProject(text);
  return record.ok && record.value.project.id !== id
    ? fail('damaged', 'Another project is kept in its place.')
    : record;
};

/** All projects kept, the deleted too; those deleted over 30 days ago are dropped for good. */
export const loadProjects = async (now: number): Promise<StoredProjects> => {
  const projects: StoredProjects = { records: {}, damaged: [] };
  for (const [key, text] of Object.entries(await textsUnder(PROJECTS))) {
    const id = key.slice(PROJECTS.length);
    const record = unpackAs(id, text);
    if (!record.ok) projects.damaged.push({ key, text, id, tag: tagOf(text), problems: record.problems });
    else if (
      !record.value.isNewer &&
      record.value.deletedAt !== null &&
      now - record.value.deletedAt > DAYS_KEPT * DAY
    )
      await removeKey(key);
    else projects.records[record.value.project.id] = { record: record.value, tag: tagOf(text) };
  }
  return projects;
};

/** One project as it is kept now; null where there is none. */
export const readProject = async (id: string): Promise<Stored<ProjectRecord> | Damaged | null> => {
  const text = await readText(PROJECTS + id);
  if (text === null) return null;
  const record = unpackAs(id, text);
  const tag = tagOf(text);
  return record.ok
    ? { record: record.value, tag }
    : { key: PROJECTS + id, id, text, tag, problems: record.problems };
};

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
  const none = { book: emptyBook(), history: emptyHistory() };
  if (text !== null && isOfNewer(text)) return { record: { ...none, isNewer: true }, tag: tagOf(text) };
  if (text !== null) {
    await setAside('book', text, now);
    await removeKey(BOOK);
  }
  return {
    record: none,
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
  // They hold for the newer Billet: here the usual ones do.
  if (isOfNewer(text)) return DEFAULT_SETTINGS;
  await setAside('settings', text, now);
  await removeKey(SETTINGS);
  notify({
    text: 'The settings could not be read, so the usual ones hold. What was kept lies aside, see Settings.',
  });
  return DEFAULT_SETTINGS;
};

/** Writes settings, but over none of a newer Billet. @throws StorageFull */
export const saveSettings = async (settings: Settings): Promise<void> => {
  const held = await readText(SETTINGS);
  if (held === null || !isOfNewer(held)) await writeText(SETTINGS, packSettings(settings));
};

/** `refused`: another tab wrote after what this one follows. */
export type Saved = 'saved' | 'refused';

/** Writes a text where what is stored is one of the writings that it may follow. Looks at the tag alone. @throws StorageFull */
const saveAfter = (key: string, parents: (string | null)[], text: string): Promise<Saved> =>
  exclusively(async () => {
    const held = await readText(key);
    if (held !== null && (isOfNewer(held) || !parents.includes(tagOf(held)))) return 'refused';
    await writeText(key, text);
    return 'saved';
  });

/** Writes a project, over what it follows or over `own`: writings of this tab that failed. @throws StorageFull */
export const saveProject = (record: ProjectRecord, tags: Tags, own: string[] = []): Promise<Saved> =>
  saveAfter(PROJECTS + record.project.id, [tags.parent, ...own], packProject(record, tags));

/** Writes the price book, packed already. @throws StorageFull */
export const saveBook = (packed: string, tags: Tags, own: string[] = []): Promise<Saved> =>
  saveAfter(BOOK, [tags.parent, ...own], packed);

/** The price book with the samples in it, and the sample projects that are missing or deleted; what is there stays. */
export const withSamples = async (
  book: Book,
  held: Record<string, Pick<ProjectRecord, 'deletedAt' | 'project'>>,
): Promise<{ book: Book; added: ProjectRecord[] }> => {
  const { samples } = await import('./samples');
  const added: ProjectRecord[] = [];
  let merged = book;
  for (const { project, book: own } of samples()) {
    const before = held[project.id];
    // A project of one's own that was opened from the same file stays, and the sample stays away.
    if (before?.deletedAt === null && !before.project.isSample) continue;
    merged = {
      ...merged,
      stores: { ...own.stores, ...merged.stores },
      prices: { ...own.prices, ...merged.prices },
    };
    if (!before || before.deletedAt !== null) added.push(newProjectRecord(project));
  }
  return { book: merged, added };
};
