import { deflated, inflated } from '@/core/io/deflated';
import { readText, removeKey, writeText } from './storage';

const PLANS = 'billet/plan/';
const HEAD = 'billet-plan 1 ';

/** What was planned last of a project; null: nothing, or nothing that can be read. A plan is checked before it is shown. */
export const readKeptPlan = async (projectId: string): Promise<unknown> => {
  const text = await readText(PLANS + projectId);
  if (!text?.startsWith(HEAD)) return null;
  try {
    return inflated(text.slice(HEAD.length));
  } catch {
    return null;
  }
};

/** Keeps what was planned last of a project; null drops it. Losing it loses nothing but time. @throws StorageFull */
export const writeKeptPlan = (projectId: string, kept: unknown): Promise<void> =>
  kept === null ? removeKey(PLANS + projectId) : writeText(PLANS + projectId, HEAD + deflated(kept));
