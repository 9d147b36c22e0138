/** Short texts that are there before the call returns, of which the browser keeps about five million units. */
export interface ShortTexts {
  keys: () => string[];
  read: (key: string) => string | null;
  /** @throws where there is no room. */
  write: (key: string, text: string) => void;
  remove: (key: string) => void;
}

/** Those of this browser. */
export const shortTexts: ShortTexts = {
  keys: () => Object.keys(window.localStorage),
  read: (key) => window.localStorage.getItem(key),
  write: (key, text) => window.localStorage.setItem(key, text),
  remove: (key) => window.localStorage.removeItem(key),
};

/** Those of this tab alone: they outlive a reload of its page, and end with it. */
export const textsOfTab: ShortTexts = {
  keys: () => Object.keys(window.sessionStorage),
  read: (key) => window.sessionStorage.getItem(key),
  write: (key, text) => window.sessionStorage.setItem(key, text),
  remove: (key) => window.sessionStorage.removeItem(key),
};

/** Whether the browser has a database. */
export const hasDatabase = (): boolean => typeof indexedDB !== 'undefined';

/** How much the browser keeps for Billet and how much it would, in bytes; null: it does not say. */
export const roomInBytes = async (): Promise<{ used: number; of: number } | null> => {
  if (typeof navigator === 'undefined' || !('storage' in navigator)) return null;
  const { usage, quota } = await navigator.storage.estimate();
  return usage === undefined || quota === undefined ? null : { used: usage, of: quota };
};

/** Asks the browser not to clear what Billet keeps when it is short of room; whether it promised. */
export const askToStay = async (): Promise<boolean> => {
  if (typeof navigator === 'undefined' || !('storage' in navigator)) return false;
  return (await navigator.storage.persisted()) || (await navigator.storage.persist());
};
