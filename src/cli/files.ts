import { readFileSync } from 'node:fs';
import {
  readOwned,
  readParts,
  readPrices,
  readProjectFile,
  readSettings,
  rowsForBook,
  type FileSettings,
  type OwnedRow,
} from '@/core/io';
import { ownedOf, planInput, type PlanInput } from '@/core/plan';
import { emptyBook, emptyProject, type Book, type Project } from '@/core/project';
import type { Problem, Result } from '@/core/result';
import { nameKey } from '@/core/lumber';
import type { Arguments } from './arguments';

/** What a plan is made for: a project, its prices, and what is owned beside its purchases. */
export interface Given {
  project: Project;
  book: Book;
  owned: OwnedRow[];
  timeLimit: number;
}

/** Names of files as faults tell them: without the folders. */
export const nameOf = (file: string): string => file.split(/[\\/]/).pop() ?? file;

/** What a file holds; a fault where it cannot be read. */
export const readText = (file: string): Result<string> => {
  try {
    return { ok: true, value: readFileSync(file, 'utf8') };
  } catch {
    return {
      ok: false,
      problems: [
        { code: 'file', place: nameOf(file), sentence: 'this file cannot be read; is its name right?' },
      ],
    };
  }
};

const counter = (prefix: string) => {
  let last = 0;
  return () => `${prefix}${++last}`;
};

const then = <T, U>(result: Result<T>, next: (value: T) => Result<U>): Result<U> =>
  result.ok ? next(result.value) : result;

const DEFAULTS = '{}';

/** Reads all files that were named; every fault of all of them. */
export const readGiven = (given: Arguments): Result<Given> => {
  if (given.project !== null) {
    const file = given.project;
    const read = then(readText(file), (content) => readProjectFile(content, nameOf(file)));
    return read.ok ? { ok: true, value: { ...read.value, owned: [], timeLimit: 10 } } : read;
  }
  const settings = then(
    given.settings === null ? { ok: true, value: DEFAULTS } : readText(given.settings),
    (content) => readSettings(content, nameOf(given.settings ?? 'settings.json')),
  );
  const unit = settings.ok ? settings.value.unit : 'in';
  const parts = then(readText(given.parts ?? ''), (content) =>
    readParts(content, nameOf(given.parts ?? ''), unit, counter('part')),
  );
  const prices = then(readText(given.prices ?? ''), (content) =>
    readPrices(content, nameOf(given.prices ?? ''), unit),
  );
  const owned =
    given.owned === null
      ? { ok: true as const, value: [] }
      : then(readText(given.owned), (content) => readOwned(content, nameOf(given.owned ?? ''), unit));
  const problems: Problem[] = [parts, prices, owned, settings].flatMap((result) =>
    result.ok ? [] : result.problems,
  );
  if (!settings.ok || !parts.ok || !prices.ok || !owned.ok) return { ok: false, problems };
  const { currency, plan, timeLimit, stores } = settings.value;
  const project: Project = {
    ...emptyProject('project', 'Project', unit, currency),
    settings: plan,
    groups: parts.value,
  };
  return {
    ok: true,
    value: { project, book: bookOf(prices.value, currency, stores), owned: owned.value, timeLimit },
  };
};

const bookOf = (
  rows: Parameters<typeof rowsForBook>[0],
  currency: string,
  terms: FileSettings['stores'],
): Book => {
  const taken = rowsForBook(rows, emptyBook(), currency, counter('price'));
  return {
    stores: Object.fromEntries(
      taken.stores.map((store) => [store.id, { ...store, ...terms[nameKey(store.name)] }]),
    ),
    prices: Object.fromEntries(taken.prices.map((price) => [price.id, price])),
  };
};

/** The planner's input: what is owned costs nothing. */
export const inputOf = ({ project, book, owned }: Given): PlanInput => {
  const input = planInput(project, book);
  return {
    ...input,
    owned: [...input.owned, ...owned.map(({ item, quantity }) => ownedOf(item, quantity, 0))],
  };
};
