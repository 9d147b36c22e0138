import { formatLength, parseLength, type LengthUnit } from '@/core/units';
import type { Measure } from '@/core/project';
import type { Result } from '@/core/result';
import { ReadField, type TextFieldProps } from './fields';

interface Props extends Pick<TextFieldProps, 'label' | 'autoFocus' | 'onSubmitEditing'> {
  value: Measure | null;
  unit: LengthUnit;
  onChange: (value: Measure | null) => void;
  /** Whether blank is an answer, and nothing a length. */
  blank?: string;
  zero?: 'allowed';
  /** Reads formulas too, where they may stand; else only plain lengths are read. */
  read?: (text: string) => Result<Measure>;
  help?: string | null;
}

/** A length in any form people write, or a formula, read back in the project's unit. On a phone it has a keypad. */
export const LengthField = ({
  value,
  unit,
  onChange,
  blank,
  zero,
  read: readFormula,
  help,
  ...rest
}: Props) => {
  const read = (text: string): Result<Measure | null> => {
    if (text.trim() === '' && blank !== undefined) return { ok: true, value: null };
    const measure = readFormula?.(text) ?? plain(text, unit);
    if (measure.ok && measure.value.ticks === 0 && zero !== 'allowed')
      return {
        ok: false,
        problems: [{ code: 'length', place: '', sentence: 'It must be more than nothing.' }],
      };
    return measure;
  };
  const isPlain = value !== null && parseLength(value.text, unit).ok;
  return (
    <ReadField
      {...rest}
      pad={unit}
      text={value?.text ?? ''}
      read={read}
      onRead={onChange}
      help={help ?? (value ? `${isPlain ? '' : '= '}${formatLength(value.ticks, unit)}` : (blank ?? null))}
    />
  );
};

const plain = (text: string, unit: LengthUnit): Result<Measure> => {
  const ticks = parseLength(text, unit);
  return ticks.ok ? { ok: true, value: { text: text.trim(), ticks: ticks.value } } : ticks;
};
