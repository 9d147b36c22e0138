/** Runs `work` while no other tab does: read, compare and write as one step. */
export const exclusively = async <T>(work: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && 'locks' in navigator
    ? ((await navigator.locks.request('billet', work)) as T)
    : work();

const TAB = 'billet/tab/';

/** Says that a tab is there, as long as it is. */
export const stayAlive = (tabId: string): void => {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return;
  void navigator.locks.request(TAB + tabId, () => new Promise(() => undefined));
};

/** The ids of all tabs that are there; none where the browser cannot tell. */
export const livingTabs = async (): Promise<Set<string>> => {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return new Set();
  const { held = [] } = await navigator.locks.query();
  return new Set(held.flatMap(({ name = '' }) => (name.startsWith(TAB) ? [name.slice(TAB.length)] : [])));
};

let channel: BroadcastChannel | null = null;
const tabs = (): BroadcastChannel | null => {
  if (typeof window === 'undefined' || typeof BroadcastChannel === 'undefined') return null;
  channel ??= new BroadcastChannel('billet');
  return channel;
};

/** Tells the other tabs that what is kept under a key is another now. */
export const tellTabs = (key: string): void => tabs()?.postMessage(key);

/** Calls `listener` with a key that another tab has written. Returns how to stop. */
export const onOtherTab = (listener: (key: string) => void): (() => void) => {
  const heard = ({ data }: MessageEvent) => {
    if (typeof data === 'string') listener(data);
  };
  tabs()?.addEventListener('message', heard);
  return () => tabs()?.removeEventListener('message', heard);
};
