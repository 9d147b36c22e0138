import { writeProjectFile } from '@/core/io';
import type { Book, Project } from '@/core/project';
import { fail, ok, type Result } from '@/core/result';
import { FORMAT } from './everything';
import { unpackBook, unpackProject, unpackSettings, type Settings } from './records';
import { placeOf } from './repository';

/** What of a file of everything can be taken in. */
export interface Everything {
  /** Those that were deleted aside. */
  projects: Project[];
  book: Book | null;
  /** Null: none, or none that can be read. */
  settings: Settings | null;
  /** How many records in it cannot be read; they stay in the file. */
  lost: number;
}

/** Whether a text is a file of everything. */
export const isEverything = (text: string): boolean => text.slice(0, 200).includes(`"${FORMAT}"`);

/** Reads a file of everything, each record by itself: one that is broken loses no other. Problems: of the file as a whole. */
export const readEverything = (text: string): Result<Everything> => {
  const kept = keptIn(text);
  if (!kept) return fail('file', 'this is not a whole file of everything that Billet keeps');
  const texts = Object.entries(kept).filter(
    (entry): entry is [string, string] => typeof entry[1] === 'string',
  );
  const records = texts
    .filter(([key]) => placeOf(key) === 'projects')
    .map(([, own]) => tried(() => unpackProject(own)));
  const bookText = texts.find(([key]) => placeOf(key) === 'book')?.[1];
  const book = bookText === undefined ? null : tried(() => unpackBook(bookText));
  const settingsText = texts.find(([key]) => placeOf(key) === 'settings')?.[1];
  const settings = settingsText === undefined ? null : tried(() => unpackSettings(settingsText));
  const unread = [
    [bookText, book],
    [settingsText, settings],
  ].filter(([text, record]) => text !== undefined && !record);
  const read = records.flatMap((record) => (record ? [record] : []));
  return ok({
    projects: read.filter(({ deletedAt }) => deletedAt === null).map(({ project }) => project),
    book: book?.book ?? null,
    settings,
    lost: records.length - read.length + unread.length,
  });
};

const keptIn = (text: string): object | null => {
  try {
    const file = JSON.parse(text) as { format?: unknown; kept?: unknown } | null;
    return file?.format === FORMAT && typeof file.kept === 'object' ? file.kept : null;
  } catch {
    return null;
  }
};

const tried = <T>(read: () => Result<T>): T | null => {
  try {
    const result = read();
    return result.ok ? result.value : null;
  } catch {
    return null;
  }
};

/** Whether two projects are the same, whatever became of them on the way. */
export const isSameProject = (one: Project, other: Project, book: Book): boolean =>
  writeProjectFile(one, book) === writeProjectFile(other, book);

/** Whether two settings are the same. */
export const isSameSettings = (one: Settings, other: Settings): boolean =>
  [...new Set([...Object.keys(one), ...Object.keys(other)] as (keyof Settings)[])].every(
    (key) => JSON.stringify(one[key]) === JSON.stringify(other[key]),
  );
