type Load = (path: string) => Promise<void>;
const LOAD = '__loadBundleAsync';

/**
 * Code that several places share is fetched with the first of them, and not with the first screen: the page names it, and the
 * bundler's own loader is asked for it before anything else.
 */
export const fetchSharedLater = (): void => {
  const shared = document.querySelector<HTMLMetaElement>('meta[name="billet-shared"]')?.content;
  const held = globalThis as unknown as Record<string, Load | undefined>;
  const load = held[LOAD];
  if (!shared || !load) return;
  held[LOAD] = async (path) => {
    await load(shared);
    return load(path);
  };
};
