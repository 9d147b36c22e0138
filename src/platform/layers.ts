/** What lies open over a place, the last on top: sheet, dialog, panel, menu. */
interface Layer {
  close: () => void;
}

/** An entry of the history: the router's name for it, and how many things may be open there, one over the other. */
interface Entry {
  id: unknown;
  layers: number;
}

const open: Layer[] = [];
let timer: ReturnType<typeof setTimeout> | null = null;
let at: Entry = { id: null, layers: 0 };

const entry = (): Entry => {
  const state = window.history.state as Partial<Entry> | null;
  return { id: state?.id, layers: state?.layers ?? 0 };
};

/**
 * As many entries as there is open: Back then goes from one to the one before it, and the place stays. Waits until all that opens
 * and closes in one breath has done so. What is closed otherwise leaves its entry to what opens next: to go back over it would
 * hold up a navigation that begins in that moment.
 */
const settle = (): void => {
  timer ??= setTimeout(() => {
    timer = null;
    for (let { layers } = entry(); layers < open.length; layers++)
      window.history.pushState({ ...window.history.state, layers: layers + 1 }, '');
  }, 0);
};

/** A step between entries of one place: the router need not hear of it. One that closes nothing goes on to the next. */
const onStep = (event: PopStateEvent): void => {
  const was = at;
  at = entry();
  if (at.id !== was.id) return;
  event.stopImmediatePropagation();
  if (at.layers > was.layers) return window.history.forward();
  const more = open.length - at.layers;
  if (more <= 0) return window.history.back();
  for (const { close } of open.slice(-more).reverse()) close();
};

/** Escape closes what is on top, unless something within it has its own use for the key. */
const onEscape = (event: KeyboardEvent): void => {
  const top = open.at(-1);
  if (event.key !== 'Escape' || event.defaultPrevented || !top) return;
  event.preventDefault();
  top.close();
};

/** The router writes its own state over that of the entry where one is: what may be open there stays in it. */
const followRouter = (): void => {
  const push = window.history.pushState.bind(window.history);
  const replace = window.history.replaceState.bind(window.history);
  window.history.pushState = (...entered: Parameters<History['pushState']>) => {
    push(...entered);
    at = entry();
  };
  window.history.replaceState = (data: unknown, unused: string, url?: string | URL | null) => {
    const { id, layers } = entry();
    const isSame = layers > 0 && (data as { id?: unknown } | null)?.id === id;
    replace(isSame ? { layers, ...(data as object) } : data, unused, url);
    at = entry();
  };
};

/** Begins to hear of Back and Escape. Before the router does: who listens first is told first. */
export const hearBack = (): void => {
  followRouter();
  at = entry();
  window.addEventListener('popstate', onStep);
  window.addEventListener('keydown', onEscape);
};

/** Something opens over all else: Back and Escape close it, the last that opened first. Returns what is to be called when it is gone. */
export const openLayer = (close: () => void): (() => void) => {
  const layer = { close };
  open.push(layer);
  settle();
  return () => {
    open.splice(open.indexOf(layer), 1);
  };
};
