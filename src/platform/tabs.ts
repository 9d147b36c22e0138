/** Runs `work` while no other tab does: read, compare and write as one step. */
export const exclusively = async <T>(work: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && 'locks' in navigator
    ? ((await navigator.locks.request('billet', work)) as T)
    : work();

/** Calls `listener` with a key that another tab has written. Returns how to stop. */
export const onOtherTab = (listener: (key: string) => void): (() => void) => {
  const heard = (event: StorageEvent) => event.key !== null && listener(event.key);
  window.addEventListener('storage', heard);
  return () => window.removeEventListener('storage', heard);
};

/** What is under a key, before it returns: AsyncStorage keeps its texts there in a browser. */
export const readTextNow = (key: string): string | null => window.localStorage.getItem(key);

/** Writes before it returns, for a page that goes. @throws where the browser has no room left. */
export const writeTextNow = (key: string, text: string): void => window.localStorage.setItem(key, text);

/** All that Billet keeps in this browser, as it is kept, as JSON. */
export const everythingKept = (): string =>
  JSON.stringify(
    Object.fromEntries(
      Object.keys(window.localStorage)
        .filter((key) => key.startsWith('billet'))
        .sort()
        .map((key) => [key, window.localStorage.getItem(key)]),
    ),
    null,
    1,
  );
