import type { Ask } from '@/core/takeoff';
import { Choice, TextField } from '@/ui';

/** One thing that a helper or a template asks. */
export const AskField = ({
  ask,
  value,
  error,
  unit,
  onChange,
}: {
  ask: Ask;
  value: string;
  error: string | null;
  unit: 'in' | 'mm';
  onChange: (text: string) => void;
}) =>
  ask.kind === 'choice' ? (
    <Choice label={ask.label} value={value} options={ask.choices ?? []} onChange={onChange} />
  ) : (
    <TextField
      label={ask.label}
      value={value}
      onChange={onChange}
      error={error}
      help={ask.help ?? null}
      pad={ask.kind === 'length' ? unit : undefined}
      inputMode={ask.kind === 'count' ? 'numeric' : undefined}
    />
  );
