import { fromMain, isCurrency, parseLength, type LengthUnit } from '../units';
import type { Measure, PlanSettings, Store } from '../project';
import type { Problem, Result } from '../result';
import { nameKey } from '../lumber';

/** What settings.json says (formats.md), with its defaults. */
export interface FileSettings {
  unit: LengthUnit;
  currency: string;
  plan: PlanSettings;
  /** Seconds that the planner may take. */
  timeLimit: number;
  /** By name key: what a store adds and takes off. */
  stores: Record<string, Pick<Store, 'trip' | 'taxFree' | 'discount' | 'cuts' | 'shipping'>>;
}

const DEFAULT_TIME = 10;

/** Reads settings.json. Keys that are not there take their defaults; all faults at once, each with its key. */
export const readSettings = (text: string, file: string): Result<FileSettings> => {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { ok: false, problems: [problem('', `this is not JSON: ${(error as Error).message}`)] };
  }
  if (!isObject(json))
    return { ok: false, problems: [problem('', 'the settings are not an object, such as {"tax": 0.07}')] };
  const problems: Problem[] = [];
  const fault = (key: string, sentence: string) => problems.push(problem(key, sentence));
  const unit = read(
    'unit',
    'in' as LengthUnit,
    (value) => value === 'in' || value === 'mm',
    'write "in" or "mm"',
  );
  const currency = read(
    'currency',
    'USD',
    (value) => typeof value === 'string' && isCurrency(value),
    'write three capital letters, such as "USD"',
  );
  const plan: PlanSettings = {
    tax: share(json, 'tax', 'tax', 0),
    taxIncluded: read('taxIncluded', false, isBoolean, 'write true or false'),
    kerf: length('kerf', '1/8in') as Measure,
    endTrim: length('endTrim', '0in') as Measure,
    sheetTrim: length('sheetTrim', '0in') as Measure,
    shortOk: length('shortOk', '0in') as Measure,
    tools: read('tools', ['mitre-saw'], isTexts, 'write a list of tools, such as ["mitre-saw", "table-saw"]'),
    maxCarryLength: length('maxCarryLength', null),
    maxCarryWidth: length('maxCarryWidth', null),
    spare: sparesOf(),
  };
  const timeLimit = read(
    'timeLimit',
    DEFAULT_TIME,
    (value) => typeof value === 'number' && value > 0 && value <= 3600,
    'write seconds, from 1 to 3600',
  );
  const stores = storesOf();
  if (problems.length > 0) return { ok: false, problems };
  return { ok: true, value: { unit, currency, plan, timeLimit, stores } };

  function problem(key: string, sentence: string): Problem {
    return { code: 'settings', place: key === '' ? file : `${file}: ${key}`, sentence };
  }

  function read<T>(key: string, otherwise: T, isRight: (value: unknown) => boolean, advice: string): T {
    const value = (json as Record<string, unknown>)[key];
    if (value === undefined) return otherwise;
    if (isRight(value)) return value as T;
    fault(key, `${JSON.stringify(value)} is not known here; ${advice}`);
    return otherwise;
  }

  function length(key: string, otherwise: string | null): Measure | null {
    const value = (json as Record<string, unknown>)[key] ?? otherwise;
    if (value === null) return null;
    const written = typeof value === 'number' ? String(value) : value;
    const parsed = typeof written === 'string' ? parseLength(written, unit) : null;
    if (parsed?.ok && parsed.value >= 0) return { text: written as string, ticks: parsed.value };
    fault(key, `${JSON.stringify(value)} is not a length; write one such as "1/8in" or "3mm"`);
    return { text: '0in', ticks: 0 };
  }

  function share(from: Record<string, unknown>, key: string, place: string, otherwise: number): number {
    const value = from[key];
    if (value === undefined) return otherwise;
    if (typeof value === 'number' && value >= 0 && value <= 1) return value;
    fault(place, `${JSON.stringify(value)} is not a share; write a number from 0 to 1, such as 0.07`);
    return otherwise;
  }

  function money(value: unknown, place: string): number {
    if (typeof value === 'number' && value >= 0 && value < 1e9) return fromMain(value, currency);
    fault(place, `${JSON.stringify(value)} is not a sum of money; write a number such as 6.50`);
    return 0;
  }

  function sparesOf(): Record<string, number> {
    const value = (json as Record<string, unknown>)['spare'] ?? {};
    if (!isObject(value)) {
      fault('spare', 'write the share by material, such as {"stud": 0.1}');
      return {};
    }
    return Object.fromEntries(
      Object.keys(value).map((name) => [name, share(value, name, `spare.${name}`, 0)]),
    );
  }

  function storesOf(): FileSettings['stores'] {
    const value = (json as Record<string, unknown>)['stores'] ?? {};
    if (!isObject(value)) {
      fault('stores', 'write the stores by name, such as {"Harrow Lumber": {"trip": 6.5}}');
      return {};
    }
    return Object.fromEntries(
      Object.entries(value).map(([name, terms]) => [nameKey(name), storeOf(name, terms)]),
    );
  }

  function storeOf(name: string, terms: unknown): FileSettings['stores'][string] {
    const place = `stores.${name}`;
    const told = isObject(terms) ? terms : {};
    if (!isObject(terms)) fault(place, 'write what it adds, such as {"trip": 6.5}');
    const flag = (key: string, otherwise: boolean): boolean => {
      const value = told[key];
      if (value === undefined || isBoolean(value)) return (value as boolean | undefined) ?? otherwise;
      fault(`${place}.${key}`, `${JSON.stringify(value)} is not known here; write true or false`);
      return otherwise;
    };
    const shipping = told['shipping'] ?? null;
    if (shipping !== null && !isObject(shipping))
      fault(`${place}.shipping`, 'write null, or a fee such as {"fee": 8.95, "freeFrom": 49}');
    return {
      trip: told['trip'] === undefined ? 0 : money(told['trip'], `${place}.trip`),
      taxFree: flag('taxFree', false),
      discount: share(told, 'discount', `${place}.discount`, 0),
      cuts: flag('cuts', true),
      shipping: isObject(shipping)
        ? {
            fee: money(shipping['fee'] ?? 0, `${place}.shipping.fee`),
            freeFrom:
              (shipping['freeFrom'] ?? null) === null
                ? null
                : money(shipping['freeFrom'], `${place}.shipping.freeFrom`),
          }
        : null,
    };
  }
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isBoolean = (value: unknown): boolean => typeof value === 'boolean';
const isTexts = (value: unknown): boolean =>
  Array.isArray(value) && value.every((entry) => typeof entry === 'string');
