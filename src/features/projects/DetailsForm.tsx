import { useState } from 'react';
import type { LengthUnit } from '@/core/units';
import { toolsOf } from '@/core/project';
import { canRipWith } from '@/core/lumber';
import { useBook } from '@/hooks';
import { Button, Choice, LENGTH_UNITS, TAX_ON_TAGS, TextField } from '@/ui';
import { inUnit, newInUnit, CARRIED, LENGTHS, readDraft, type DetailsDraft } from './detailsDraft';

const CURRENCIES = ['USD', 'EUR', 'GBP', 'CAD', 'AUD'];
const OTHER = 'Other';

interface Props {
  draft: DetailsDraft;
  onChange: (draft: DetailsDraft) => void;
  onSubmit: () => void;
}

type TextPlace = Exclude<keyof DetailsDraft, 'unit' | 'taxIncluded' | 'ripping' | 'treatedNearFood'>;
type Field = (place: TextPlace, label: string, help?: string) => React.ReactElement;

/** What some of the fields need: the draft, and how to draw a field of it with what is wrong in it. */
interface Some extends Pick<Props, 'draft' | 'onChange'> {
  field: Field;
}

const fieldsOf = ({ draft, onChange, onSubmit }: Props): Field => {
  const read = readDraft(draft, { tax: 0, taxIncluded: false, ...zero });
  const error = (place: keyof DetailsDraft) =>
    read.ok ? null : (read.problems.find((problem) => problem.place === place)?.sentence ?? null);
  const field: Field = (place, label, help) => (
    <TextField
      key={place}
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
  return field;
};

/** The fields of a project's details, each with what is wrong in it. */
export const DetailsForm = (props: Props) => {
  const { draft, onChange } = props;
  const field = fieldsOf(props);
  return (
    <>
      {field('name', 'Name')}
      <UnitChoice draft={draft} onUnit={(unit) => onChange(inUnit(draft, unit))} />
      <CurrencyChoice draft={draft} onChange={onChange} field={field} />
      {field('target', 'Target: what it must not cost more than', 'Blank: no target.')}
      {field('builds', 'How many of it are built')}
      <TaxFields draft={draft} onChange={onChange} field={field} />
      <SawFields draft={draft} field={field} />
      <Choice
        label="Ripping boards lengthwise"
        value={draft.ripping}
        options={RIPPING}
        onChange={(ripping) => onChange({ ...draft, ripping })}
      />
      {field('carryLength', CAR, 'Blank: anything. Longer boards are sawn once at stores that saw.')}
      <RestFields draft={draft} onChange={onChange} field={field} />
    </>
  );
};

/** What is asked of a new project: a name and five answers; all else is as usual until it is opened. */
export const NewProjectForm = (props: Props) => {
  const { draft, onChange } = props;
  const field = fieldsOf(props);
  const book = useBook();
  const [isOpen, setOpen] = useState(false);
  const ownsSaw = canRipWith(toolsOf({}, book));
  return (
    <>
      {field('name', 'Name')}
      {field('target', 'Target: what it must not cost more than', 'Blank: no target.')}
      <UnitChoice draft={draft} onUnit={(unit) => onChange(newInUnit(draft, unit))} />
      <CurrencyChoice draft={draft} onChange={onChange} field={field} />
      <TaxFields draft={draft} onChange={onChange} field={field} />
      {field(
        'carryLength',
        CAR,
        `Blank: anything. ${draft.unit === 'in' ? '8 ft' : '2.4 m'} is what many cars take.`,
      )}
      <Choice
        label="A table saw, to rip boards lengthwise"
        value={draft.ripping === 'tools' ? (ownsSaw ? 'yes' : 'no') : draft.ripping}
        options={SAW}
        onChange={(ripping) => onChange({ ...draft, ripping })}
      />
      {isOpen ? (
        <>
          {field('builds', 'How many of it are built')}
          <SawFields draft={draft} field={field} />
          <RestFields draft={draft} onChange={onChange} field={field} />
        </>
      ) : (
        <Button onPress={() => setOpen(true)}>Saw kerf and all else</Button>
      )}
    </>
  );
};

const CAR = 'Longest that goes in the car';

const UnitChoice = ({ draft, onUnit }: { draft: DetailsDraft; onUnit: (unit: LengthUnit) => void }) => (
  <Choice label="Unit of lengths" value={draft.unit} options={LENGTH_UNITS} onChange={onUnit} />
);

const CurrencyChoice = ({ draft, onChange, field }: Some) => {
  const isUsual = CURRENCIES.includes(draft.currency);
  return (
    <>
      <Choice
        label="Currency"
        value={isUsual ? draft.currency : OTHER}
        options={[...CURRENCIES, OTHER].map((value) => ({ value, label: value }))}
        onChange={(currency) => onChange({ ...draft, currency: currency === OTHER ? '' : currency })}
      />
      {isUsual ? null : field('currency', 'Currency, by its three letters')}
    </>
  );
};

const TaxFields = ({ draft, onChange, field }: Some) => {
  return (
    <>
      {field('tax', 'Sales tax in percent')}
      <Choice
        label="Prices on the tags"
        value={draft.taxIncluded ? 'with' : 'without'}
        options={TAX_ON_TAGS}
        onChange={(value) => onChange({ ...draft, taxIncluded: value === 'with' })}
      />
    </>
  );
};

/** What the saw takes, with examples in the unit of the project: common practice. */
const SawFields = ({ draft, field }: Pick<Some, 'draft' | 'field'>) => {
  const isInch = draft.unit === 'in';
  return (
    <>
      {field(
        'kerf',
        'Saw kerf',
        `What one cut takes: ${isInch ? '1/8 in' : '3 mm'} for a full-kerf blade, ${isInch ? '3/32 in' : '2.4 mm'} for a thin one (rules of thumb).`,
      )}
      {field(
        'shortOk',
        'A piece may come out short by',
        `Boards cut exactly in half lose half a kerf each: ${isInch ? '1/16 in' : '1.5 mm'} allows it.`,
      )}
      {field('endTrim', 'Trimmed off each end of a board')}
      {field('sheetTrim', 'Trimmed off each edge of a sheet')}
    </>
  );
};

const RestFields = ({ draft, onChange, field }: Some) => {
  return (
    <>
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

const SAW = [
  { value: 'no', label: 'No table saw' },
  { value: 'yes', label: 'Table saw' },
] as const;

const RIPPING = [{ value: 'tools', label: 'As the tools on the rack' }, ...SAW] as const;

/** The two schools on treated wood near food. */
const SCHOOLS = [
  { value: 'avoid', label: 'Keep it away' },
  { value: 'liner', label: 'With a liner' },
] as const;

const nothing = { text: '0', ticks: 0 };
const zero = { kerf: nothing, endTrim: nothing, sheetTrim: nothing, shortOk: nothing };
