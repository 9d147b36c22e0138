import { emptyHistory, measure, type History, type Project } from '@/core/project';
import {
  bookFromJson,
  measureFromJson,
  measureToJson,
  projectFromJson,
  projectToJson,
  purchasesToJson,
  type JsonBook,
  type JsonMeasure,
  type JsonProject,
  type JsonPurchase,
} from '@/core/project/json';
import {
  schemaProblems,
  validateBookRecord,
  validateProjectRecord,
  validateSettingsRecord,
} from '@/core/project/validation';
import { unpackColumns } from '@/core/io/packedBook';
import type { BookRecord, Tags } from '@/core/io/packedBook';
import type { Validator } from '@/core/jsonSchema';
import type { settingsRecord } from '@/core/project/schemas/storage';
import type { Static } from '@/core/schemaKinds';
import { ok, type Problem, type Result } from '@/core/result';

/** A project as it is kept: with its changes, for undo. */
export interface ProjectRecord {
  project: Project;
  history: History;
  /** When it was deleted; it is recoverable for 30 days. */
  deletedAt: number | null;
  /** A newer Billet wrote it: what is known here of it can be looked at, and is not written. */
  isNewer?: true;
}

export type { BookRecord, Tags };

/** What new projects start with, and how the app looks. */
export interface Settings extends Static<typeof settingsRecord> {}

/** Prices move with the seasons: after two months they are worth a look (rule of thumb). */
const STALE_AFTER = 60;

/** Days after which a price is marked as old. */
export const staleAfter = (settings: Settings): number => settings.staleAfter ?? STALE_AFTER;

/** The settings of a browser in which none are kept. */
export const DEFAULT_SETTINGS: Settings = {
  unit: 'in',
  currency: 'USD',
  tax: 0,
  taxIncluded: false,
  kerf: measure('1/8in', 'in'),
  theme: 'system',
};

/** The version in which everything is written now. */
export const STORED_VERSION = 2;

/** Steps that bring data of a version to the next: `MIGRATIONS[1]` makes version 2 of it. */
export type Migrations = Record<number, (data: unknown) => unknown>;
const MIGRATIONS: Migrations = { 1: (data) => withoutRevision(data) };

/** Of before a record was told from another by its tag. */
const withoutRevision = (data: unknown): unknown => {
  if (typeof data !== 'object' || data === null) return data;
  const { revision: _, ...rest } = data as { revision?: unknown };
  return rest;
};

const TAGGED = /^\{"version":\d+,"tag":"([^"]+)"/;
const NUMBERED = /^\{"version":1,"data":\{"revision":(\d+)/;
const BOOK_TAGGED = /^billet-book 3 (\S+) \S+ /;
const BOOK_NUMBERED = /^billet-book 2 (\d+) /;

/** The tag of a stored record, from its first characters. Null: it has none, and any writing may follow it. */
export const tagOf = (text: string): string | null =>
  TAGGED.exec(text)?.[1] ??
  BOOK_TAGGED.exec(text)?.[1] ??
  (NUMBERED.exec(text) ?? BOOK_NUMBERED.exec(text))?.[1] ??
  null;

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

const damaged = (sentence: string): Result<never> => ({
  ok: false,
  problems: [{ code: 'damaged', place: '', sentence }],
});

const VERSION = /^\{"version":(\d+)|^billet-book (\d+) /;
const BOOK_VERSION = 3;

/** Whether a newer Billet wrote a kept text. */
export const isOfNewer = (text: string): boolean => {
  const [, record, book] = VERSION.exec(text) ?? [];
  return Number(record ?? 0) > STORED_VERSION || Number(book ?? 0) > BOOK_VERSION;
};

/** So many times what is not known is taken out of something newer. */
const MOST_PRUNED = 1000;

/** What is known here of something that a newer Billet wrote: all that is unknown left out. Null: it is not understood at all. */
const knownOf = <T>(text: string, validate: Validator): T | null => {
  let data: unknown;
  try {
    data = (JSON.parse(text) as { data?: unknown } | null)?.data;
  } catch {
    return null;
  }
  for (let round = 0; round < MOST_PRUNED && !validate(data); round++) {
    const unknown = (validate.errors ?? []).filter(({ keyword }) => keyword === 'additionalProperties');
    if (unknown.length === 0) return null;
    for (const { instancePath, params } of unknown)
      dropAt(data, instancePath, String(params['additionalProperty']));
  }
  return validate(data) ? (data as T) : null;
};

const dropAt = (data: unknown, path: string, key: string): void => {
  const steps = path
    .split('/')
    .slice(1)
    .map((one) => one.replaceAll('~1', '/').replaceAll('~0', '~'));
  const at = steps.reduce<unknown>((held, one) => (held as Record<string, unknown> | undefined)?.[one], data);
  if (typeof at === 'object' && at !== null) delete (at as Record<string, unknown>)[key];
};

/** Reads a kept text: JSON, of a version known here, valid by its schema. */
const unpack = <T>(text: string, validate: Validator): Result<T> => {
  let envelope: { version?: unknown; data?: unknown };
  try {
    // A text such as `null` has nothing in it either.
    envelope = (JSON.parse(text) as typeof envelope | null) ?? {};
  } catch {
    return damaged('It is not complete.');
  }
  if (typeof envelope.version !== 'number') return damaged('It has no version.');
  const carried = migrate(envelope.data, envelope.version, STORED_VERSION, MIGRATIONS);
  if (!carried.ok) return carried;
  if (!validate(carried.value)) return { ok: false, problems: schemaProblems(validate.errors) };
  return ok(carried.value as T);
};

/** A project record as the text that is stored. */
export const packProject = ({ project, history, deletedAt }: ProjectRecord, tags: Tags): string =>
  JSON.stringify({
    version: STORED_VERSION,
    ...tags,
    data: { history, deletedAt, project: projectToJson(project), purchases: purchasesToJson(project) },
  });

type KeptProject = Omit<ProjectRecord, 'project'> & { project: JsonProject; purchases: JsonPurchase[] };

/** A stored text as a project record. One of a newer Billet is read as far as it is understood here. */
export const unpackProject = (text: string): Result<ProjectRecord> => {
  const newer = isOfNewer(text) ? knownOf<KeptProject>(text, validateProjectRecord) : null;
  const kept = newer ? ok(newer) : unpack<KeptProject>(text, validateProjectRecord);
  if (!kept.ok) return kept;
  const { project, purchases, ...record } = kept.value;
  return ok({ ...record, project: projectFromJson(project, purchases), ...(newer ? { isNewer: true } : {}) });
};

/** A stored text as the price book. */
export const unpackBook = (text: string): Result<BookRecord> => {
  const packed = PACKED_BOOK.exec(text);
  type Kept = Omit<BookRecord, 'book'> & JsonBook & { revision?: number };
  const kept = packed ? unpackPacked<Kept>(packed) : unpack<Kept>(text, validateBookRecord);
  if (!kept.ok) return kept;
  const { stores, prices, materials, rack, tools, history } = kept.value;
  return ok({
    history,
    book: bookFromJson({
      stores,
      prices,
      ...(materials ? { materials } : {}),
      ...(rack ? { rack } : {}),
      ...(tools ? { tools } : {}),
    }),
  });
};

const PACKED_BOOK = /^billet-book (?:2 \d+|3 \S+ \S+) /;

const unpackPacked = <T>(head: RegExpExecArray): Result<T> => {
  let data: object;
  try {
    const { stores, prices, beside } = unpackColumns(head.input.slice(head[0].length));
    data = { stores, prices, ...beside };
  } catch {
    return damaged('It is not complete.');
  }
  return validateBookRecord(data)
    ? ok(data as T)
    : { ok: false, problems: schemaProblems(validateBookRecord.errors) };
};

/** Settings as the text that is stored. */
export const packSettings = (settings: Settings): string =>
  JSON.stringify({ version: STORED_VERSION, data: { ...settings, kerf: measureToJson(settings.kerf) } });

/** A stored text as settings. */
export const unpackSettings = (text: string): Result<Settings> => {
  const kept = unpack<Omit<Settings, 'kerf'> & { kerf: JsonMeasure }>(text, validateSettingsRecord);
  return kept.ok ? ok({ ...kept.value, kerf: measureFromJson(kept.value.kerf) }) : kept;
};

/** The record of a project that is new here: nothing to undo. */
export const newProjectRecord = (project: Project): ProjectRecord => ({
  project,
  history: emptyHistory(),
  deletedAt: null,
});

/** Something kept that cannot be read; its text is left as it is. */
export interface Damaged {
  /** Of the project, by its key. */
  id: string;
  tag: string | null;
  key: string;
  text: string;
  problems: Problem[];
}
