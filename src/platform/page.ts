/** Calls `listener` at each key that goes down. Returns how to stop. */
export const onKeyDown = (listener: (event: KeyboardEvent) => void): (() => void) => {
  window.addEventListener('keydown', listener);
  return () => window.removeEventListener('keydown', listener);
};

/** Calls `listener` when the page is seen again, or no more. Returns how to stop. */
export const onVisibility = (listener: (isVisible: boolean) => void): (() => void) => {
  const heard = () => listener(document.visibilityState === 'visible');
  document.addEventListener('visibilitychange', heard);
  return () => document.removeEventListener('visibilitychange', heard);
};

/** Has the browser ask before the page is left, where `isAtRisk` says that something would be lost. */
export const askBeforeLeaving = (isAtRisk: () => boolean): void => {
  window.addEventListener('beforeunload', (event) => {
    if (isAtRisk()) event.preventDefault();
  });
};

/** What the browser shows where a mouse rests on an element. */
export const setTooltip = (element: unknown, text: string): void => {
  if (element instanceof HTMLElement) element.title = text;
};

/** The element that has the focus; null: none. */
export const focusedElement = (): HTMLElement | null => document.activeElement as HTMLElement | null;

/** Where on the page a button lies that has the focus, null where none has it, and how large the page's window is, in pixels. */
export const focusedBox = (): { box: DOMRect | null; width: number; height: number } => {
  const box = focusedElement()?.closest('button, [role=button]')?.getBoundingClientRect() ?? null;
  return { box, width: window.innerWidth, height: window.innerHeight };
};

/** Gives the focus back to what has it now, where that is still on the page. */
export const focusKeeper = (): (() => void) => {
  const before = focusedElement();
  return () => {
    if (before?.isConnected) before.focus({ preventScroll: true });
  };
};

/** Whether the focus is in a field that holds text. */
export const isInFilledField = (): boolean => {
  const field = focusedElement();
  return (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) && field.value !== '';
};

/** Whether a key was pressed on something that has its own use for it: a button, a link, a field. */
export const isOnControl = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLElement &&
  target.closest('button, a, input, textarea, [role=button], [role=tab], [role=radio], [role=menuitem]') !==
    null;

/** Whether a key was pressed in a field that takes text. */
export const isInText = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Something half typed that a reload would take away. */
export const isHalfTyped = (): boolean => document.querySelector('[role=dialog], [data-half-typed]') !== null;

/** The path of the address, as /project/ID/buy. */
export const pagePath = (): string => window.location.pathname;

/** What the address of a path says of a thing, as of the tab that is shown; undefined: the page is on another path. Empty: nothing. */
export const saidInAddress = (path: string, name: string): string | undefined =>
  pagePath() === path ? (new URLSearchParams(window.location.search).get(name) ?? '') : undefined;

/** Writes something into the address, without a step of the history; null: nothing. */
export const keepInAddress = (name: string, value: string | null): void => {
  const address = new URL(window.location.href);
  if (value === null) address.searchParams.delete(name);
  else address.searchParams.set(name, value);
  window.history.replaceState(window.history.state, '', address);
};

/** Loads the page anew. */
export const reloadPage = (): void => window.location.reload();

/** Asks the browser to print the page, as it does by its own keys. */
export const printPage = (): void => window.print();

/** The colour behind everything, and which set of its own controls the browser draws. */
export const paintPage = (scheme: 'dark' | 'light', background: string): void => {
  document.documentElement.style.colorScheme = scheme;
  document.body.style.backgroundColor = background;
};

/** What is drawn over everything else hangs here. */
export const pageRoot = (): HTMLElement => document.body;

/** What the browser's tab and its history call the page. */
export const titlePage = (title: string): void => {
  document.title = title;
};
