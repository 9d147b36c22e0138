import { useSyncExternalStore } from 'react';

/** Something to tell at the foot of the screen, with one thing to do about it. */
export interface Notice {
  text: string;
  action?: { label: string; run: () => void };
  /** It is not about the last change, and stays when there is another. */
  stays?: boolean;
}

let current: Notice | null = null;
/** What stands as long as it is so, beside the notices: it takes none of them away. */
let standing: string | null = null;
const listeners = new Set<() => void>();

/** Shows a notice in place of the one before; null takes it away. */
export const notify = (notice: Notice | null): void => {
  current = notice;
  listeners.forEach((listener) => listener());
};

/** Says at the foot what is so until it is not any more; null takes it away. */
export const tellStanding = (text: string | null): void => {
  standing = text;
  listeners.forEach((listener) => listener());
};

/** Adds to what is told of the last change; where that is gone, it is told by itself with a way back. */
export const addToNotice = (text: string, action: NonNullable<Notice['action']>): void =>
  notify(
    current?.action && !current.stays ? { ...current, text: `${current.text} ${text}` } : { text, action },
  );

/** Takes a notice away, unless another has come in its place. */
export const dismiss = (notice: Notice | null): void => {
  if (notice === current) notify(null);
};

/** After a change: what was offered for the one before would take back the wrong one. */
export const outdateNotice = (): void => {
  if (current?.action && !current.stays) notify(null);
};

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The notice that is shown for a while; null: none. */
export const useNotice = (): Notice | null =>
  useSyncExternalStore(
    subscribe,
    () => current,
    () => current,
  );

/** What is told until it holds no longer. */
export const useStanding = (): string | null =>
  useSyncExternalStore(
    subscribe,
    () => standing,
    () => standing,
  );
