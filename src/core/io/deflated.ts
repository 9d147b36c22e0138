import { deflateSync, Inflate, strFromU8, strToU8 } from 'fflate';

/** So much one stored text may hold, in bytes: twenty times a book of 100,000 prices. What says that it holds more is no such text. */
const MOST = 256 * 1024 * 1024;
const CHUNK = 0x8000;
/** So much is inflated at a time, in bytes: a thousand times as much, at the worst, is there before it is counted. */
const PIECE = 4096;

const toBase64 = (bytes: Uint8Array): string => {
  let binary = '';
  for (let at = 0; at < bytes.length; at += CHUNK)
    binary += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return btoa(binary);
};

const fromBase64 = (text: string): Uint8Array => Uint8Array.from(atob(text), (char) => char.charCodeAt(0));

/** Something as compact text: JSON, deflated, in base 64. */
export const deflated = (value: unknown, level: 1 | 4 | 6 = 6): string =>
  toBase64(deflateSync(strToU8(JSON.stringify(value)), { level }));

/**
 * Reads text of `deflated` back. Throws when the text is cut, is no such text, or would come to more than `most` bytes: then at once,
 * whatever it would come to.
 */
export const inflated = (text: string, most = MOST): unknown => {
  const bytes = fromBase64(text);
  const chunks: Uint8Array[] = [];
  let size = 0;
  const end = { isSeen: false };
  const stream = new Inflate((chunk, isLast) => {
    size += chunk.length;
    if (size > most) throw new Error(`more than ${most} bytes`);
    chunks.push(chunk);
    end.isSeen = isLast;
  });
  for (let at = 0; at < bytes.length; at += PIECE)
    stream.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
  if (!end.isSeen) throw new Error('cut');
  return JSON.parse(strFromU8(joined(chunks, size)));
};

const joined = (chunks: Uint8Array[], size: number): Uint8Array => {
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
};
