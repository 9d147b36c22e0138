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
  stores: Record<string, Pick<Store, 'trip' | 'taxFree' | 'discount' | 'cuts' | 'cutFee' | 'shipping'>>;
}

const DEFAULT_TIME = 10;

/** Reads settings.json. Keys that are not there take their defaults; all faults at once, each with its key. */
export const readSettings = (text: string, file: string): Result<FileSettings> => {
  const refused = (sentence: string): Result<never> => ({
    ok: false,
    problems: [{ code: 'settings', place: file, sentence }],
  });
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refused(`this is not JSON: ${(error as Error).message}`);
  }
  if (!isObject(json)) return refused('the settings are not an object, such as {"tax": 0.07}');
  const reader = new SettingsReader(json, file);
  const value = reader.settings();
  return reader.problems.length > 0 ? { ok: false, problems: reader.problems } : { ok: true, value };
};

/** Reads one object of settings, and keeps every fault of it. */
class SettingsReader {
  readonly problems: Problem[] = [];
  private readonly unit: LengthUnit;
  private readonly currency: string;

  constructor(
    private readonly json: Record<string, unknown>,
    private readonly file: string,
  ) {
    this.unit = this.read('unit', 'in', (value) => value === 'in' || value === 'mm', 'write "in" or "mm"');
    this.currency = this.read(
      'currency',
      'USD',
      (value) => typeof value === 'string' && isCurrency(value),
      'write three capital letters, such as "USD"',
    );
  }

  settings(): FileSettings {
    const { unit, currency } = this;
    return {
      unit,
      currency,
      plan: this.plan(),
      timeLimit: this.read(
        'timeLimit',
        DEFAULT_TIME,
        (value) => typeof value === 'number' && value > 0 && value <= 3600,
        'write seconds, from 1 to 3600',
      ),
      stores: this.stores(),
    };
  }

  private plan(): PlanSettings {
    return {
      tax: this.share(this.json, 'tax', 'tax'),
      taxIncluded: this.read('taxIncluded', false, isBoolean, 'write true or false'),
      kerf: this.length('kerf', '1/8in'),
      endTrim: this.length('endTrim', '0in'),
      sheetTrim: this.length('sheetTrim', '0in'),
      shortOk: this.length('shortOk', '0in'),
      tools: this.read(
        'tools',
        ['mitre-saw'],
        isTexts,
        'write a list of tools, such as ["mitre-saw", "table-saw"]',
      ),
      maxCarryLength: this.lengthOrNone('maxCarryLength'),
      maxCarryWidth: this.lengthOrNone('maxCarryWidth'),
      maxCarrySheet: this.carriedSheet(),
      spare: this.spares(),
    };
  }

  private fault(key: string, sentence: string): void {
    this.problems.push({ code: 'settings', place: `${this.file}: ${key}`, sentence });
  }

  private read<T>(key: string, otherwise: T, isRight: (value: unknown) => boolean, advice: string): T {
    const value = this.json[key];
    if (value === undefined) return otherwise;
    if (isRight(value)) return value as T;
    this.fault(key, `${JSON.stringify(value)} is not known here; ${advice}`);
    return otherwise;
  }

  private lengthOrNone(key: string): Measure | null {
    return (this.json[key] ?? null) === null ? null : this.length(key, '0in');
  }

  private carriedSheet(): PlanSettings['maxCarrySheet'] {
    const value = this.json['maxCarrySheet'] ?? null;
    if (value === null) return null;
    if (!isObject(value) || value['length'] === undefined || value['width'] === undefined) {
      this.fault('maxCarrySheet', 'write null, or both sides such as {"length": "8ft", "width": "4ft"}');
      return null;
    }
    const side = (key: 'length' | 'width') => this.lengthOf(value[key], `maxCarrySheet.${key}`);
    return { length: side('length'), width: side('width') };
  }

  private length(key: string, otherwise: string): Measure {
    return this.lengthOf(this.json[key] ?? otherwise, key);
  }

  private lengthOf(value: unknown, key: string): Measure {
    const written = typeof value === 'number' ? String(value) : value;
    const parsed = typeof written === 'string' ? parseLength(written, this.unit) : null;
    if (parsed?.ok && parsed.value >= 0) return { text: written as string, ticks: parsed.value };
    this.fault(key, `${JSON.stringify(value)} is not a length; write one such as "1/8in" or "3mm"`);
    return { text: '0in', ticks: 0 };
  }

  private share(from: Record<string, unknown>, key: string, place: string): number {
    const value = from[key];
    if (value === undefined) return 0;
    if (typeof value === 'number' && value >= 0 && value <= 1) return value;
    this.fault(place, `${JSON.stringify(value)} is not a share; write a number from 0 to 1, such as 0.07`);
    return 0;
  }

  private money(value: unknown, place: string): number {
    if (typeof value === 'number' && value >= 0 && value < 1e9) return fromMain(value, this.currency);
    this.fault(place, `${JSON.stringify(value)} is not a sum of money; write a number such as 6.50`);
    return 0;
  }

  private spares(): Record<string, number> {
    const value = this.json['spare'] ?? {};
    if (!isObject(value)) {
      this.fault('spare', 'write the share by material, such as {"stud": 0.1}');
      return {};
    }
    return Object.fromEntries(
      Object.keys(value).map((name) => [name, this.share(value, name, `spare.${name}`)]),
    );
  }

  private stores(): FileSettings['stores'] {
    const value = this.json['stores'] ?? {};
    if (!isObject(value)) {
      this.fault('stores', 'write the stores by name, such as {"Harrow Lumber": {"trip": 6.5}}');
      return {};
    }
    return Object.fromEntries(
      Object.entries(value).map(([name, terms]) => [nameKey(name), this.store(`stores.${name}`, terms)]),
    );
  }

  private store(place: string, terms: unknown): FileSettings['stores'][string] {
    const told = isObject(terms) ? terms : {};
    if (!isObject(terms)) this.fault(place, 'write what it adds, such as {"trip": 6.5}');
    return {
      trip: told['trip'] === undefined ? 0 : this.money(told['trip'], `${place}.trip`),
      taxFree: this.flag(told['taxFree'], `${place}.taxFree`, false),
      discount: this.share(told, 'discount', `${place}.discount`),
      cuts: this.cuts(told['cuts'], `${place}.cuts`),
      ...(told['cutFee'] === undefined ? {} : { cutFee: this.money(told['cutFee'], `${place}.cutFee`) }),
      shipping: this.shipping(told['shipping'] ?? null, `${place}.shipping`),
    };
  }

  private cuts(value: unknown, place: string): boolean | number {
    if (value === undefined) return true;
    if (typeof value === 'boolean') return value;
    if (Number.isInteger(value) && (value as number) >= 0 && (value as number) <= 100) return value as number;
    this.fault(
      place,
      `${JSON.stringify(value)} is not known here; write true, false, or how many cuts in a board`,
    );
    return true;
  }

  private flag(value: unknown, place: string, otherwise: boolean): boolean {
    if (value === undefined) return otherwise;
    if (typeof value === 'boolean') return value;
    this.fault(place, `${JSON.stringify(value)} is not known here; write true or false`);
    return otherwise;
  }

  private shipping(value: unknown, place: string): Store['shipping'] {
    if (value === null) return null;
    if (!isObject(value)) {
      this.fault(place, 'write null, or a fee such as {"fee": 8.95, "freeFrom": 49}');
      return null;
    }
    const freeFrom = value['freeFrom'] ?? null;
    return {
      fee: this.money(value['fee'] ?? 0, `${place}.fee`),
      freeFrom: freeFrom === null ? null : this.money(freeFrom, `${place}.freeFrom`),
    };
  }
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isBoolean = (value: unknown): boolean => typeof value === 'boolean';
const isTexts = (value: unknown): boolean =>
  Array.isArray(value) && value.every((entry) => typeof entry === 'string');
