import { Type } from '@sinclair/typebox';
import { material } from '../../lumber/materialSchema';
import {
  CURRENCY,
  FLAG,
  ID,
  SHARE,
  TEXT,
  list,
  object,
  oneOf,
  optional,
  orNull,
  refer,
  text,
  whole,
} from '../../schemaKinds';
import { price, rackEntry, store, tool } from './book';
import { project } from './project';
import { purchase } from './purchases';
import { FORMS } from './scalars';

const PROJECT = 'billet-project';

/** One change that was made, and how to take it back; `patches` are Immer's. */
const change = object({
  label: TEXT,
  at: Type.Number(),
  patches: Type.Unsafe<unknown[]>({ type: 'array' }),
  inverse: Type.Unsafe<unknown[]>({ type: 'array' }),
  projectId: optional(ID),
  merge: optional(TEXT),
  step: optional(text(100)),
});

const history = object({ past: list(refer('change', change)), future: list(refer('change', change)) });

const REVISION = optional(whole(0), 'Of before records had tags.');

const projectRecord = object({
  revision: REVISION,
  project: refer('project', project, PROJECT),
  purchases: list(refer('purchase', purchase, PROJECT)),
  history: refer('history', history),
  deletedAt: orNull(Type.Number()),
});

const bookRecord = object({
  revision: REVISION,
  stores: list(refer('store', store, PROJECT)),
  prices: list(refer('price', price, PROJECT)),
  history: refer('history', history),
  materials: optional(list(refer('material', material, PROJECT))),
  rack: optional(list(refer('rackEntry', rackEntry, PROJECT))),
  tools: optional(list(refer('tool', tool, PROJECT), { maxItems: 1000 })),
});

/** What new projects start with, and how the app looks. */
export const settingsRecord = object({
  unit: oneOf('in', 'mm'),
  currency: CURRENCY,
  tax: SHARE,
  taxIncluded: FLAG,
  kerf: refer('measure', FORMS.measure, PROJECT),
  theme: oneOf('system', 'light', 'dark'),
  /** Days after which a price is marked as old; absent: the usual number. */
  staleAfter: optional(whole(1, 3650)),
});

/** The schema of what the browser keeps. */
export const storageSchema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'billet-storage',
  title: 'What Billet keeps in the browser',
  $defs: { change, history, projectRecord, bookRecord, settingsRecord },
};
