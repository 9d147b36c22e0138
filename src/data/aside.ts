import { keysUnder, readText, removeKey, writeText } from './storage';

const ASIDE = 'billet/aside/';

/** Something that could not be read, and lies aside untouched. */
export interface SetAside {
  key: string;
  /** `book`, `settings`. */
  what: string;
  /** When it was set aside, in ms since 1970. */
  at: number;
}

/** Lays a text aside that cannot be read, before anything takes its place. @throws StorageFull */
export const setAside = (what: string, text: string, now: number): Promise<void> =>
  writeText(`${ASIDE}${what}-${now}`, text);

/** All that lies aside, the oldest first. */
export const asideNow = async (): Promise<SetAside[]> =>
  (await keysUnder(ASIDE)).flatMap((key): SetAside[] => {
    const [, what, at] = /^billet\/aside\/(.+)-(\d+)$/.exec(key) ?? [];
    return what && at ? [{ key, what, at: Number(at) }] : [];
  });

/** The text of something that lies aside, as it was found. */
export const textAside = async ({ key }: SetAside): Promise<string> => (await readText(key)) ?? '';

/** Removes one copy that was put aside. */
export const removeAside = ({ key }: SetAside): Promise<void> => removeKey(key);
