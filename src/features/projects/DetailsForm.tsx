import { Choice, LENGTH_UNITS, TAX_ON_TAGS, TextField } from '@/ui';
import { inUnit, CARRIED, LENGTHS, readDraft, type DetailsDraft } from './detailsDraft';

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
    place: Exclude<keyof DetailsDraft, 'unit' | 'taxIncluded' | 'ripping' | 'treatedNearFood'>,
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
      pad={([...LENGTHS, ...CARRIED] as string[]).includes(place) ? draft.unit : undefined}
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
      <Choice
        label="Ripping boards lengthwise"
        value={draft.ripping}
        options={RIPPING}
        onChange={(ripping) => onChange({ ...draft, ripping })}
      />
      {field(
        'carryLength',
        'Longest that goes in the car',
        'Blank: anything. Longer boards are sawn once at stores that saw.',
      )}
      {field('carryWidth', 'Widest that goes in the car', 'Blank: anything.')}
      {field('sheetLength', 'Longest sheet that does', 'Blank, both sides: as boards.')}
      {field('sheetWidth', 'Widest sheet that does')}
      {field(
        'spare',
        'Extra boards against defects',
        'By material, in percent: stud 10, pine 5. Cheaper grades want more (rule of thumb).',
      )}
      <Choice
        label="Treated wood where food, or its soil, touches it: builders differ"
        value={draft.treatedNearFood}
        options={SCHOOLS}
        onChange={(treatedNearFood) => onChange({ ...draft, treatedNearFood })}
      />
      {field('note', 'Note')}
    </>
  );
};

const RIPPING = [
  { value: 'tools', label: 'As the tools on the rack' },
  { value: 'no', label: 'No table saw' },
  { value: 'yes', label: 'Table saw' },
] as const;

/** The two schools on treated wood near food. */
const SCHOOLS = [
  { value: 'avoid', label: 'Keep it away' },
  { value: 'liner', label: 'With a liner' },
] as const;

const nothing = { text: '0', ticks: 0 };
const zero = { kerf: nothing, endTrim: nothing, sheetTrim: nothing, shortOk: nothing };
