import { withUnit } from '@/core/io';
import {
  formatLength,
  isCurrency,
  parseCount,
  parseDecimal,
  parseLength,
  parseMoney,
  percentText,
  writeMoney,
  type LengthUnit,
} from '@/core/units';
import { defaultSettings, type Measure, type PlanSettings, type Project } from '@/core/project';
import { fail, ok, type Problem, type Result } from '@/core/result';
import { TABLE_SAW, USUAL_TOOLS, type TreatedNearFood } from '@/core/lumber';

/** The details of a project as they are typed. */
export interface DetailsDraft {
  name: string;
  note: string;
  unit: LengthUnit;
  currency: string;
  target: string;
  builds: string;
  tax: string;
  taxIncluded: boolean;
  kerf: string;
  endTrim: string;
  sheetTrim: string;
  shortOk: string;
  /** Whether boards can be ripped: as the tools owned say, or as is said here. */
  ripping: 'tools' | 'yes' | 'no';
  /** Blank: anything goes in the car. */
  carryLength: string;
  carryWidth: string;
  /** Of sheets alone; blank: as boards. */
  sheetLength: string;
  sheetWidth: string;
  treatedNearFood: TreatedNearFood;
  /** `stud 10, pine 5`: extra boards by material, in percent. */
  spare: string;
}

/** What the details form changes of a project. */
export type Details = Pick<
  Project,
  'name' | 'note' | 'unit' | 'currency' | 'target' | 'builds' | 'settings' | 'treatedNearFood'
>;

/** A project's details as their form shows them. */
export const draftOf = ({
  name,
  note,
  unit,
  currency,
  target,
  builds,
  settings,
  treatedNearFood = 'avoid',
}: Details): DetailsDraft => ({
  treatedNearFood,
  name,
  note,
  unit,
  currency,
  target: target === null ? '' : writeMoney(target, currency),
  builds: String(builds),
  tax: percentText(settings.tax),
  taxIncluded: settings.taxIncluded,
  kerf: settings.kerf.text,
  endTrim: settings.endTrim.text,
  sheetTrim: settings.sheetTrim.text,
  shortOk: settings.shortOk.text,
  ripping: settings.tools === undefined ? 'tools' : settings.tools.includes(TABLE_SAW) ? 'yes' : 'no',
  carryLength: settings.maxCarryLength?.text ?? '',
  carryWidth: settings.maxCarryWidth?.text ?? '',
  sheetLength: settings.maxCarrySheet?.length.text ?? '',
  sheetWidth: settings.maxCarrySheet?.width.text ?? '',
  spare: Object.entries(settings.spare ?? {})
    .map(([material, share]) => `${material} ${percentText(share)}`)
    .join(', '),
});

/** Reads `stud 10 %, select pine 5`. */
const readSpare = (text: string): Result<Record<string, number>> => {
  const shares: Record<string, number> = {};
  for (const entry of text.split(/[;,]\s*(?=[^\d\s])/).filter((part) => part.trim() !== '')) {
    const [, material = '', number = ''] = /^(.*?)\s+([\d.,]+)\s*%?\s*$/.exec(entry.trim()) ?? [];
    const percent = parseDecimal(number);
    if (material === '' || !percent.ok || percent.value > 100)
      return fail('spare', `"${entry.trim()}" is no share of a material; write stud 10, pine 5.`);
    if (percent.value > 0) shares[material] = percent.value / 100;
  }
  return ok(shares);
};

/** The lengths among the details. */
export const LENGTHS = ['kerf', 'endTrim', 'sheetTrim', 'shortOk'] as const;

/** What goes in the car; each may be blank. */
export const CARRIED = ['carryLength', 'carryWidth', 'sheetLength', 'sheetWidth'] as const;

/** The typed details as a project holds them; every fault with the field as its place. */
export const readDraft = (draft: DetailsDraft, held: PlanSettings): Result<Details> => {
  const problems: Problem[] = [];
  const need = <T>(place: keyof DetailsDraft, result: Result<T>, otherwise: T): T => {
    if (result.ok) return result.value;
    problems.push(...result.problems.map((problem) => ({ ...problem, place })));
    return otherwise;
  };
  const fault = (place: keyof DetailsDraft, sentence: string) =>
    problems.push({ code: 'details', place, sentence });
  const currency = draft.currency.trim().toUpperCase();
  if (draft.name.trim() === '') fault('name', 'Give the project a name.');
  if (!isCurrency(currency))
    fault('currency', 'Write the three letters of the currency, such as USD or EUR.');
  const target = draft.target.trim() === '' ? null : need('target', parseMoney(draft.target, currency), null);
  const builds = need('builds', parseCount(draft.builds), 1);
  const percent = need('tax', parseDecimal(draft.tax.replace('%', '')), 0);
  if (percent > 100) fault('tax', 'Tax is a share in percent, at most 100.');
  const settings: PlanSettings = { ...held, tax: percent / 100, taxIncluded: draft.taxIncluded };
  for (const place of LENGTHS) {
    const ticks = need(place, parseLength(draft[place], draft.unit), 0);
    settings[place] = { text: draft[place].trim(), ticks };
  }
  const optional = (place: (typeof CARRIED)[number]): Measure | null =>
    draft[place].trim() === ''
      ? null
      : { text: draft[place].trim(), ticks: need(place, parseLength(draft[place], draft.unit), 0) };
  carry(settings, held, optional, fault);
  const spare = need('spare', readSpare(draft.spare), {});
  if (Object.keys(spare).length > 0 || held.spare) settings.spare = spare;
  const others = (held.tools ?? USUAL_TOOLS).filter((tool) => tool !== TABLE_SAW);
  if (draft.ripping === 'tools') delete settings.tools;
  else settings.tools = draft.ripping === 'yes' ? [...others, TABLE_SAW] : others;
  if (settings.kerf.ticks > 320 * 20)
    fault('kerf', `A saw cut of ${formatLength(settings.kerf.ticks, draft.unit)} is wider than any blade.`);
  if (problems.length > 0) return { ok: false, problems };
  return ok({
    name: draft.name.trim(),
    note: draft.note,
    unit: draft.unit,
    currency,
    target,
    builds,
    settings,
    // The usual school stays unsaid.
    treatedNearFood: draft.treatedNearFood === 'avoid' ? undefined : draft.treatedNearFood,
  });
};

/** What goes in the car, put into settings; what a project does not say stays unsaid. */
const carry = (
  settings: PlanSettings,
  held: PlanSettings,
  optional: (place: (typeof CARRIED)[number]) => Measure | null,
  fault: (place: (typeof CARRIED)[number], sentence: string) => void,
): void => {
  const [carryLength, carryWidth] = [optional('carryLength'), optional('carryWidth')];
  const [sheetLength, sheetWidth] = [optional('sheetLength'), optional('sheetWidth')];
  if ((sheetLength === null) !== (sheetWidth === null))
    fault(sheetLength ? 'sheetWidth' : 'sheetLength', 'Write both sides of the largest sheet, or neither.');
  if (carryLength || held.maxCarryLength) settings.maxCarryLength = carryLength;
  if (carryWidth || held.maxCarryWidth) settings.maxCarryWidth = carryWidth;
  const sheet = sheetLength && sheetWidth ? { length: sheetLength, width: sheetWidth } : null;
  if (sheet || held.maxCarrySheet) settings.maxCarrySheet = sheet;
};

/** The draft with another unit for bare numbers: lengths that had none keep theirs. */
export const inUnit = (draft: DetailsDraft, unit: LengthUnit): DetailsDraft => {
  const changed = { ...draft, unit };
  for (const place of [...LENGTHS, ...CARRIED] as const) {
    const ticks = parseLength(draft[place], draft.unit);
    if (ticks.ok && draft[place] !== '')
      changed[place] = withUnit({ text: draft[place].trim(), ticks: ticks.value }, draft.unit);
  }
  return changed;
};

/** The same of a project that is not there yet: a usual kerf becomes that of blades as they are sold in that unit. */
export const newInUnit = (draft: DetailsDraft, unit: LengthUnit): DetailsDraft => ({
  ...inUnit(draft, unit),
  ...(draft.kerf === defaultSettings(draft.unit).kerf.text ? { kerf: defaultSettings(unit).kerf.text } : {}),
});
