import { parseCount } from '@/core/units';
import type { Charge } from '@/core/project';
import { Choice, Stepper } from '@/ui';

const WAYS: { value: Charge['way']; label: string }[] = [
  { value: 'whole', label: 'Whole' },
  { value: 'spread', label: 'Spread' },
  { value: 'out', label: 'Left out' },
];

/** Projects that a tool serves, until it is said (rule of thumb). */
export const USUAL = 10;

interface Props {
  /** Of the tool. */
  name: string;
  charge: Charge;
  onChange: (charge: Charge) => void;
}

/** How a tool counts all in: whole, by its share of the projects it will serve, or not at all. */
export const ChargeFields = ({ name, charge, onChange }: Props) => (
  <>
    <Choice
      label={`How ${name} counts all in`}
      value={charge.way}
      options={WAYS}
      onChange={(way) => onChange({ way, over: way === 'spread' && charge.over < 2 ? USUAL : charge.over })}
    />
    {charge.way === 'spread' ? (
      <Stepper
        label={`Projects that ${name} will serve`}
        value={String(charge.over)}
        onChange={(text) => {
          const over = parseCount(text);
          if (over.ok) onChange({ way: 'spread', over: over.value });
        }}
      />
    ) : null}
  </>
);
