import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { readText, removeKey, writeText } from './storage';

const PLANS = 'billet/plan/';
const HEAD = 'billet-plan 1 ';

const toText = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
const toBytes = (text: string): Uint8Array => Uint8Array.from(atob(text), (char) => char.charCodeAt(0));

/** What was planned last of a project; null: nothing, or nothing that can be read. A plan is checked before it is shown. */
export const readKeptPlan = async (projectId: string): Promise<unknown> => {
  const text = await readText(PLANS + projectId);
  if (!text?.startsWith(HEAD)) return null;
  try {
    return JSON.parse(strFromU8(inflateSync(toBytes(text.slice(HEAD.length)))));
  } catch {
    return null;
  }
};

/** Keeps what was planned last of a project; null drops it. Losing it loses nothing but time. @throws StorageFull */
export const writeKeptPlan = (projectId: string, kept: unknown): Promise<void> =>
  kept === null
    ? removeKey(PLANS + projectId)
    : writeText(PLANS + projectId, HEAD + toText(deflateSync(strToU8(JSON.stringify(kept)))));
