import { parseLength, writeLength, type LengthUnit, type Ticks } from '../units';
import type { Book, Extra, Group, Measure, Part, PlanSettings, Project, Store } from './types';

/** A measure from a text that is known to be right. Throws on one that is not: a bug, never a user's fault. */
export const measure = (text: string, unit: LengthUnit): Measure => {
  const length = parseLength(text, unit);
  if (!length.ok) throw new Error(`not a length: ${text}`);
  return { text, ticks: length.value };
};

/** A length in ticks as a measure, written in a unit. */
export const measureOf = (ticks: Ticks, unit: LengthUnit): Measure => ({
  text: writeLength(ticks, unit),
  ticks,
});

/** Saw kerf of a full-kerf blade: common practice. */
export const defaultSettings = (unit: LengthUnit): PlanSettings => ({
  tax: 0,
  taxIncluded: false,
  kerf: unit === 'in' ? measure('1/8in', unit) : measure('3mm', unit),
  endTrim: measure('0', unit),
  sheetTrim: measure('0', unit),
  shortOk: measure('0', unit),
});

/** A project with nothing in it yet. */
export const emptyProject = (id: string, name: string, unit: LengthUnit, currency: string): Project => ({
  id,
  name,
  note: '',
  unit,
  currency,
  builds: 1,
  target: null,
  settings: defaultSettings(unit),
  variables: [],
  groups: [],
  extras: [],
  excludedStores: [],
  purchases: [],
});

/** What the group is called in which a project begins. */
export const FIRST_GROUP = 'main';

/** A group of one way to make it, with nothing in it yet. */
export const emptyGroup = (id: string, optionId: string, name: string): Group => ({
  id,
  name,
  exposure: 'indoors',
  materials: [],
  chosen: optionId,
  options: [{ id: optionId, name: 'first', parts: [] }],
});

/** A part with everything blank that may be. */
export const emptyPart = (id: string): Part => ({
  id,
  name: '',
  kind: 'board',
  quantity: 1,
  section: '',
  length: null,
  width: null,
  materials: [],
  ends: 'square',
  grain: 'any',
  shortOk: null,
  item: '',
  note: '',
});

/** What covers, fills or is counted, with everything blank that may be. */
export const emptyExtra = (id: string): Extra => ({
  id,
  name: '',
  item: '',
  rule: 'count',
  groupId: null,
  amount: '',
  faces: 'all',
  coats: 1,
  covers: '',
  note: '',
});

/** A store of which only the name is known. */
export const emptyStore = (id: string, name: string, currency: string): Store => ({
  id,
  name,
  kind: 'other',
  currency,
  trip: 0,
  taxFree: false,
  discount: 0,
  cuts: true,
  shipping: null,
  note: '',
});

/** A price book with nothing in it. */
export const emptyBook = (): Book => ({ stores: {}, prices: {} });
