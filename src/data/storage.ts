import before, { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { hasDatabase } from '@/platform/room';
import { exclusively, tellTabs } from '@/platform/tabs';

export { exclusively, onOtherTab } from '@/platform/tabs';

/** What is thrown when the browser has no room left, or does not write for another reason. */
export class StorageFull extends Error {}
/** What is thrown when the browser does not open what is kept in it. */
export class StorageGone extends Error {}

/** All keys begin with it. */
export const OURS = 'billet/';
/** Under which the journal is, beside the database. */
export const JOURNAL = 'billet/journal/';
/** Stands in the database, and beside it, once all of before is in it. */
const CARRIED = 'billet/carried';
/** A database that does not open within so long, in ms, is not there. */
const PATIENCE = 10_000;

type Texts = typeof before;
let opened: Promise<Texts> | null = null;

const texts = (): Promise<Texts> => {
  opened ??= open();
  return opened;
};

const open = async (): Promise<Texts> => {
  if (!hasDatabase()) return before;
  const database = createAsyncStorage('billet');
  try {
    await inTime(exclusively(() => carryOver(database)));
    return database;
  } catch (error) {
    // What was carried over has gone on in the database: what was left behind is of before.
    if ((await before.getItem(CARRIED)) === null) return before;
    opened = null;
    throw new StorageGone(String(error));
  }
};

/** What earlier versions kept is carried into the database, once, and read back; it stays where it was, as a copy. */
const carryOver = async (database: Texts): Promise<void> => {
  if ((await database.getItem(CARRIED)) !== null) return;
  const keys = (await before.getAllKeys()).filter((key) => key.startsWith(OURS) && !key.startsWith(JOURNAL));
  const kept: Record<string, string> = {};
  for (const [key, text] of Object.entries(await before.getMany(keys))) if (text !== null) kept[key] = text;
  await database.setMany({ ...kept, [CARRIED]: '1' });
  const read = await database.getMany(Object.keys(kept));
  if (Object.entries(kept).some(([key, text]) => read[key] !== text)) {
    await database.removeMany([...Object.keys(kept), CARRIED]);
    throw new StorageFull('what was kept before did not come over whole');
  }
  await before.setItem(CARRIED, '1');
};

const inTime = <T>(work: Promise<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('the browser does not open its storage')), PATIENCE);
    work.then(resolve, reject).finally(() => clearTimeout(timer));
  });

/** The text under a key; null: there is none. */
export const readText = async (key: string): Promise<string | null> => (await texts()).getItem(key);

/** Writes, or throws StorageFull and leaves what was there. Other tabs are told. */
export const writeText = async (key: string, text: string): Promise<void> => {
  try {
    await (await texts()).setItem(key, text);
  } catch (error) {
    throw new StorageFull(String(error));
  }
  tellTabs(key);
};

/** Removes what is under a key. */
export const removeKey = async (key: string): Promise<void> => {
  await (await texts()).removeItem(key);
  tellTabs(key);
};

/** All keys that begin with `prefix`. */
export const keysUnder = async (prefix: string): Promise<string[]> =>
  (await (await texts()).getAllKeys()).filter((key) => key.startsWith(prefix)).sort();

/** All texts under keys that begin with `prefix`, by key, in one reading. */
export const textsUnder = async (prefix: string): Promise<Record<string, string>> => {
  const read = await (await texts()).getMany(await keysUnder(prefix));
  return Object.fromEntries(
    Object.entries(read).flatMap(([key, text]) => (text === null ? [] : [[key, text] as const])),
  );
};
