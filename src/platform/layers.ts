/** What lies open over a place, the last on top: sheet, dialog, panel, menu. */
interface Layer {
  close: () => void;
}

const open: Layer[] = [];
let timer: ReturnType<typeof setTimeout> | null = null;
let isHeard = false;

/** How many entries of the history stand for what is open, at the entry where the browser is. */
const held = (): number => (window.history.state as { layers?: number } | null)?.layers ?? 0;
const entryId = (): unknown => (window.history.state as { id?: unknown } | null)?.id;
let lastId: unknown = null;
/** We go back ourselves, over entries that nothing stands for any more. */
let isGoing = false;

/**
 * As many entries as there is open: Back then goes from one to the one before it, and the place stays. Waits until all that opens
 * and closes in one breath has done so: what takes another's place needs none of its own.
 */
const settle = (): void => {
  timer ??= setTimeout(() => {
    timer = null;
    lastId = entryId();
    for (let count = held(); count < open.length; count++)
      window.history.pushState({ ...window.history.state, layers: count + 1 }, '');
    isGoing = held() > open.length;
    if (isGoing) window.history.go(open.length - held());
  }, 0);
};

/** Back from an entry of ours to the one before it: the router, whose place is the same, need not hear of it. */
const onBack = (event: PopStateEvent): void => {
  if (entryId() !== lastId || (open.length === 0 && !isGoing)) return settle();
  event.stopImmediatePropagation();
  isGoing = false;
  const more = open.length - held();
  for (const { close } of more > 0 ? open.slice(-more).reverse() : []) close();
};

/** Escape closes what is on top, unless something within it has its own use for the key. */
const onEscape = (event: KeyboardEvent): void => {
  const top = open.at(-1);
  if (event.key !== 'Escape' || event.defaultPrevented || !top) return;
  event.preventDefault();
  top.close();
};

/** The router writes its own state over that of the entry where one is: what stands for what is open stays in it. */
const keepLayers = (): void => {
  const replace = window.history.replaceState.bind(window.history);
  window.history.replaceState = (data: unknown, unused: string, url?: string | URL | null) => {
    const isSame = (data as { id?: unknown } | null)?.id === entryId();
    replace(isSame && held() > 0 ? { layers: held(), ...(data as object) } : data, unused, url);
  };
};

/** Something opens over all else: Back and Escape close it, the last that opened first. Returns what is to be called when it is gone. */
export const openLayer = (close: () => void): (() => void) => {
  if (!isHeard) {
    isHeard = true;
    keepLayers();
    window.addEventListener('popstate', onBack, { capture: true });
    window.addEventListener('keydown', onEscape);
  }
  const layer = { close };
  open.push(layer);
  settle();
  return () => {
    open.splice(open.indexOf(layer), 1);
    settle();
  };
};
