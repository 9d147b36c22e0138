import {
  decimals,
  formatLength,
  isCurrency,
  parseCount,
  parseDecimal,
  parseLength,
  parseMoney,
  toMain,
  type LengthUnit,
} from '@/core/measure';
import { withUnit } from '@/core/formats';
import type { PlanSettings, Project } from '@/core/project';
import { ok, type Problem, type Result } from '@/core/result';
import { Choice, LENGTH_UNITS, TAX_ON_TAGS, TextField } from '@/ui';

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
}

/** What the details form changes of a project. */
export type Details = Pick<Project, 'name' | 'note' | 'unit' | 'currency' | 'target' | 'builds' | 'settings'>;

export const draftOf = ({ name, note, unit, currency, target, builds, settings }: Details): DetailsDraft => ({
  name,
  note,
  unit,
  currency,
  target: target === null ? '' : toMain(target, currency).toFixed(decimals(currency)),
  builds: String(builds),
  tax: String(Number((settings.tax * 100).toFixed(4))),
  taxIncluded: settings.taxIncluded,
  kerf: settings.kerf.text,
  endTrim: settings.endTrim.text,
  sheetTrim: settings.sheetTrim.text,
  shortOk: settings.shortOk.text,
});

const LENGTHS = ['kerf', 'endTrim', 'sheetTrim', 'shortOk'] as const;

/** The typed details as a project holds them; every fault with the field as its place. */
export const readDraft = (draft: DetailsDraft, held: PlanSettings): Result<Details> => {
  const problems: Problem[] = [];
  const need = <T,>(place: keyof DetailsDraft, result: Result<T>, otherwise: T): T => {
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
  });
};

/** The draft with another unit for bare numbers: lengths that had none keep theirs. */
const inUnit = (draft: DetailsDraft, unit: LengthUnit): DetailsDraft => {
  const changed = { ...draft, unit };
  for (const place of LENGTHS) {
    const ticks = parseLength(draft[place], draft.unit);
    if (ticks.ok) changed[place] = withUnit({ text: draft[place].trim(), ticks: ticks.value }, draft.unit);
  }
  return changed;
};

const CURRENCIES = ['USD', 'EUR', 'GBP', 'CAD', 'AUD'];
const OTHER = 'Other';

interface Props {
  draft: DetailsDraft;
  onChange: (draft: DetailsDraft) => void;
  onSubmit: () => void;
}

/** The fields of a project's details, each with what is wrong in it. */
export const DetailsForm = ({ draft, onChange, onSubmit }: Props) => {
  const read = readDraft(draft, { tax: 0, taxIncluded: false, ...zero });
  const error = (place: keyof DetailsDraft) =>
    read.ok ? null : (read.problems.find((problem) => problem.place === place)?.sentence ?? null);
  const isUsual = CURRENCIES.includes(draft.currency);
  const field = (
    place: Exclude<keyof DetailsDraft, 'unit' | 'taxIncluded'>,
    label: string,
    help?: string,
  ) => (
    <TextField
      label={label}
      value={draft[place]}
      onChange={(text) => onChange({ ...draft, [place]: text })}
      error={draft[place] === '' && (place === 'name' || place === 'currency') ? null : error(place)}
      help={help}
      onSubmitEditing={onSubmit}
      pad={LENGTHS.some((length) => length === place) ? draft.unit : undefined}
      inputMode={place === 'target' || place === 'tax' ? 'decimal' : place === 'builds' ? 'numeric' : 'text'}
    />
  );
  return (
    <>
      {field('name', 'Name')}
      <Choice
        label="Unit of lengths"
        value={draft.unit}
        options={LENGTH_UNITS}
        onChange={(unit) => onChange(inUnit(draft, unit))}
      />
      <Choice
        label="Currency"
        value={isUsual ? draft.currency : OTHER}
        options={[...CURRENCIES, OTHER].map((value) => ({ value, label: value }))}
        onChange={(currency) => onChange({ ...draft, currency: currency === OTHER ? '' : currency })}
      />
      {isUsual ? null : field('currency', 'Currency, by its three letters')}
      {field('target', 'Target: what it must not cost more than', 'Blank: no target.')}
      {field('builds', 'How many of it are built')}
      {field('tax', 'Sales tax in percent')}
      <Choice
        label="Prices on the tags"
        value={draft.taxIncluded ? 'with' : 'without'}
        options={TAX_ON_TAGS}
        onChange={(value) => onChange({ ...draft, taxIncluded: value === 'with' })}
      />
      {field(
        'kerf',
        'Saw kerf',
        'What one cut takes: 1/8 in for a full-kerf blade, 3/32 in for a thin one (rules of thumb).',
      )}
      {field(
        'shortOk',
        'A piece may come out short by',
        'Boards cut exactly in half lose half a kerf each: 1/16 in allows it.',
      )}
      {field('endTrim', 'Trimmed off each end of a board')}
      {field('sheetTrim', 'Trimmed off each edge of a sheet')}
      {field('note', 'Note')}
    </>
  );
};

const nothing = { text: '0', ticks: 0 };
const zero = { kerf: nothing, endTrim: nothing, sheetTrim: nothing, shortOk: nothing };
