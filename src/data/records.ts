import type { ErrorObject } from 'ajv';
import {
  bookFromJson,
  emptyHistory,
  measure,
  measureFromJson,
  measureToJson,
  projectFromJson,
  projectToJson,
  purchasesToJson,
  rackToJson,
  schemaProblems,
  validateBookRecord,
  validateProjectRecord,
  validateSettingsRecord,
  type Book,
  type Change,
  type History,
  type JsonBook,
  type JsonMeasure,
  type JsonProject,
  type JsonPurchase,
  type Measure,
  type Project,
} from '@/core/project';
import { packColumns, unpackColumns } from '@/core/io';
import type { LengthUnit } from '@/core/units';
import { ok, type Problem, type Result } from '@/core/result';

/** A project as it is kept: with its revision, for the second tab, and its changes, for undo. */
export interface ProjectRecord {
  revision: number;
  project: Project;
  history: History;
  /** When it was deleted; it is recoverable for 30 days. */
  deletedAt: number | null;
}

export interface BookRecord {
  revision: number;
  book: Book;
  history: History;
}

/** What new projects start with, and how the app looks. */
export interface Settings {
  unit: LengthUnit;
  currency: string;
  tax: number;
  taxIncluded: boolean;
  kerf: Measure;
  /** Days after which a price is marked as old; absent: STALE_AFTER. */
  staleAfter?: number;
  theme: 'system' | 'light' | 'dark';
}

/** Prices move with the seasons: after two months they are worth a look (rule of thumb). */
export const STALE_AFTER = 60;

export const DEFAULT_SETTINGS: Settings = {
  unit: 'in',
  currency: 'USD',
  tax: 0,
  taxIncluded: false,
  kerf: measure('1/8in', 'in'),
  theme: 'system',
};

/** The version in which everything is written now. */
export const STORED_VERSION = 1;

/** Steps that bring data of a version to the next: `MIGRATIONS[1]` makes version 2 of it. */
export type Migrations = Record<number, (data: unknown) => unknown>;
const MIGRATIONS: Migrations = {};

/** Carries data forward, version by version. Problems: `newer`, when it was written by a later Billet. */
export const migrate = (
  data: unknown,
  version: number,
  current: number,
  steps: Migrations,
): Result<unknown> => {
  if (version > current) {
    const sentence = `This was kept by a newer Billet (version ${version}, and this one reads up to ${current}). Reload the page to get it.`;
    return { ok: false, problems: [{ code: 'newer', place: '', sentence }] };
  }
  let carried = data;
  for (let step = version; step < current; step++) carried = steps[step]?.(carried) ?? carried;
  return ok(carried);
};

interface Validator {
  (data: unknown): boolean;
  errors?: ErrorObject[] | null;
}

const damaged = (sentence: string): Result<never> => ({
  ok: false,
  problems: [{ code: 'damaged', place: '', sentence }],
});

/** Reads a kept text: JSON, of a version known here, valid by its schema. */
const unpack = <T>(text: string, validate: Validator): Result<T> => {
  let envelope: { version?: unknown; data?: unknown };
  try {
    envelope = JSON.parse(text) as typeof envelope;
  } catch {
    return damaged('It is not complete.');
  }
  if (typeof envelope.version !== 'number') return damaged('It has no version.');
  const carried = migrate(envelope.data, envelope.version, STORED_VERSION, MIGRATIONS);
  if (!carried.ok) return carried;
  if (!validate(carried.value)) return { ok: false, problems: schemaProblems(validate.errors) };
  return ok(carried.value as T);
};

const pack = (data: unknown): string => JSON.stringify({ version: STORED_VERSION, data });

export const packProject = ({ project, ...record }: ProjectRecord): string =>
  pack({ ...record, project: projectToJson(project), purchases: purchasesToJson(project) });

export const unpackProject = (text: string): Result<ProjectRecord> => {
  type Kept = Omit<ProjectRecord, 'project'> & { project: JsonProject; purchases: JsonPurchase[] };
  const kept = unpack<Kept>(text, validateProjectRecord);
  if (!kept.ok) return kept;
  const { project, purchases, ...record } = kept.value;
  return ok({ ...record, project: projectFromJson(project, purchases) });
};

/** Patches that the history of the book may hold when it is written: an import of thousands is undone while the page is open. */
const KEPT_PATCHES = 1000;

const newestWithin = (changes: Change[]): Change[] => {
  let patches = 0;
  const tooMany = changes.findLastIndex((change) => {
    patches += change.patches.length + change.inverse.length;
    return patches > KEPT_PATCHES;
  });
  return changes.slice(tooMany + 1);
};

/** The price book, compact: `book 2`, its revision, and the packed columns. */
export const packBook = ({ book, revision, history }: BookRecord): string =>
  `${BOOK_HEAD} ${revision} ${packColumns(book, {
    ...(book.materials ? { materials: Object.values(book.materials) } : {}),
    ...(book.rack ? { rack: rackToJson(book.rack) } : {}),
    ...(book.tools ? { tools: Object.values(book.tools) } : {}),
    history: { past: newestWithin(history.past), future: newestWithin(history.future) },
  })}`;

/** The revision of a kept book, without reading the whole; null: it is no such text. */
export const revisionOfBook = (text: string): number | null => {
  const packed = PACKED_BOOK.exec(text);
  return packed ? Number(packed[1]) : null;
};

export const unpackBook = (text: string): Result<BookRecord> => {
  const packed = PACKED_BOOK.exec(text);
  type Kept = Omit<BookRecord, 'book'> & JsonBook;
  const kept = packed ? unpackPacked<Kept>(packed) : unpack<Kept>(text, validateBookRecord);
  if (!kept.ok) return kept;
  const { stores, prices, materials, rack, tools, ...record } = kept.value;
  return ok({
    ...record,
    book: bookFromJson({
      stores,
      prices,
      ...(materials ? { materials } : {}),
      ...(rack ? { rack } : {}),
      ...(tools ? { tools } : {}),
    }),
  });
};

const BOOK_HEAD = 'billet-book 2';
const PACKED_BOOK = /^billet-book 2 (\d+) /;

const unpackPacked = <T>(head: RegExpExecArray): Result<T> => {
  let data: object;
  try {
    const { stores, prices, beside } = unpackColumns(head.input.slice(head[0].length));
    data = { revision: Number(head[1]), stores, prices, ...beside };
  } catch {
    return damaged('It is not complete.');
  }
  return validateBookRecord(data)
    ? ok(data as T)
    : { ok: false, problems: schemaProblems(validateBookRecord.errors) };
};

export const packSettings = (settings: Settings): string =>
  pack({ ...settings, kerf: measureToJson(settings.kerf) });

export const unpackSettings = (text: string): Result<Settings> => {
  const kept = unpack<Omit<Settings, 'kerf'> & { kerf: JsonMeasure }>(text, validateSettingsRecord);
  return kept.ok ? ok({ ...kept.value, kerf: measureFromJson(kept.value.kerf) }) : kept;
};

export const newProjectRecord = (project: Project): ProjectRecord => ({
  revision: 0,
  project,
  history: emptyHistory(),
  deletedAt: null,
});

/** Something kept that cannot be read; its text is left as it is. */
export interface Damaged {
  key: string;
  text: string;
  problems: Problem[];
}
