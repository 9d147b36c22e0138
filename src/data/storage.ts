import AsyncStorage from '@react-native-async-storage/async-storage';

export { exclusively, onOtherTab, readTextNow, writeTextNow } from '@/platform/tabs';

/** What is thrown when the browser has no room left. */
export class StorageFull extends Error {}

export const readText = (key: string): Promise<string | null> => AsyncStorage.getItem(key);

/** Writes, or throws StorageFull and leaves what was there. */
export const writeText = async (key: string, text: string): Promise<void> => {
  try {
    await AsyncStorage.setItem(key, text);
  } catch (error) {
    throw new StorageFull(String(error));
  }
};

export const removeKey = (key: string): Promise<void> => AsyncStorage.removeItem(key);

/** All keys that begin with `prefix`. */
export const keysUnder = async (prefix: string): Promise<string[]> =>
  (await AsyncStorage.getAllKeys()).filter((key) => key.startsWith(prefix)).sort();
