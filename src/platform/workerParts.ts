/** What the bundler's dynamic imports call to load a part. */
interface Bundled {
  __loadBundleAsync?: (path: string) => Promise<void>;
}

/** Lets dynamic imports be loaded in a worker: the bundler's own way adds a script to a page, and a worker has none. */
export const loadPartsHere = (): void => {
  (globalThis as Bundled).__loadBundleAsync = async (path) => {
    (globalThis as unknown as { importScripts: (path: string) => void }).importScripts(path);
  };
};
