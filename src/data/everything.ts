import { saveFile } from '@/platform/files';
import { shortTexts } from '@/platform/room';
import { OURS, textsUnder } from './storage';

/** What a file of everything calls itself. */
export const FORMAT = 'billet-everything';
const VERSION = 1;

/** All that Billet keeps in this browser, letter by letter as it is kept, with what is half typed and not in its record yet. */
export const everythingKept = async (): Promise<string> => {
  const beside = Object.fromEntries(
    shortTexts
      .keys()
      .filter((key) => key.startsWith(OURS))
      .map((key) => [key, shortTexts.read(key) ?? '']),
  );
  return JSON.stringify({ format: FORMAT, version: VERSION, beside, kept: await textsUnder('') }, null, 1);
};

/** Saves all of it as a file of a name. */
export const saveEverything = async (name: string): Promise<void> =>
  saveFile(name, await everythingKept(), 'application/json');
