import { StyleSheet, View } from 'react-native';
import { capital } from '@/core/capital';
import { perAmount, perAmountWords, perWords, type Per, type Project } from '@/core/project';
import { blankFault, faultOf } from '@/core/result';
import { formatMoney } from '@/core/units';
import { forgetKept, useKept, useTries } from '@/forms';
import type { OpenProject } from '@/hooks';
import { Button, Choice, Detail, Text, TextField } from '@/ui';

const KINDS = [
  { value: 'number', label: 'A number' },
  { value: 'length', label: 'A length' },
  { value: 'area', label: 'An area' },
  { value: 'volume', label: 'A volume' },
] as const;

/** What a project's cost is divided by: its name, what it is, and how much of it one has. */
export const PerForm = ({
  open: { project, dispatch },
  total,
  isWhole,
  onClose,
}: {
  open: Pick<OpenProject, 'project' | 'dispatch'>;
  /** For all that is built. */
  total: number;
  /** Nothing of it lacks its price. */
  isWhole: boolean;
  onClose: () => void;
}) => {
  const { per = null, currency, builds, unit, variables } = project;
  const form = `per ${project.id} ${JSON.stringify(per)}`;
  const [name, setName] = useKept(form, 'name', per?.name ?? '');
  const [of, setOf] = useKept<Per['of']>(form, 'of', per?.of ?? 'number');
  const [formula, setFormula] = useKept(form, 'formula', per?.formula ?? '');
  const tries = useTries();
  // A decimal comma, where nothing else is written.
  const wanted: Per = {
    name: name.trim(),
    of,
    formula: formula.trim().replace(/^(\d+),(\d+)$/, '$1.$2'),
  };
  const amount = perAmount(project, wanted);
  const save = (next: Per | null) => {
    forgetKept(form);
    dispatch({ type: 'editProject', fields: { per: next } });
    onClose();
  };
  const take = () => {
    tries.attempt();
    if (amount.ok && wanted.name !== '') save(wanted);
  };
  const measures = variables.map((variable) => variable.name).slice(0, 3);
  return (
    <Detail
      title="Divide the cost"
      onClose={onClose}
      foot={
        <>
          {per ? <Button onPress={() => save(null)}>Divide no more</Button> : null}
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={take}>
            Divide by it
          </Button>
        </>
      }
    >
      <TextField
        label="By what"
        value={name}
        onChange={setName}
        onSubmitEditing={take}
        error={tries.told(blankFault(name, 'Give it a name, such as seat, shelf or bed.'))}
        help="Such as seat, shelf, bed, firewood held."
      />
      <Choice label="It is" value={of} options={KINDS} onChange={setOf} />
      <TextField
        label={builds > 1 ? 'How much of it each has' : 'How much of it there is'}
        value={formula}
        onChange={setFormula}
        onSubmitEditing={take}
        error={tries.told(amount.ok ? null : `${capital(faultOf(amount) ?? '')}.`)}
        help={`${EXAMPLES[unit][of]}${measures.length > 0 ? ` Measures go by name: ${measures.join(', ')}.` : ''}`}
      />
      <View role="status" aria-live="polite" style={styles.read}>
        {amount.ok ? (
          <Text>
            {`${readWords(wanted, amount.value, total / builds, { currency, unit })}${isWhole ? '.' : ', so far.'}`}
          </Text>
        ) : null}
      </View>
    </Detail>
  );
};

const EXAMPLES: Record<Project['unit'], Record<Per['of'], string>> = {
  in: {
    number: 'Such as 6.',
    length: 'Such as 3 * 24.',
    area: 'Such as 96in * 48in.',
    volume: 'Such as 96in * 48in * 16in.',
  },
  mm: {
    number: 'Such as 6.',
    length: 'Such as 3 * 600.',
    area: 'Such as 2400mm * 1200mm.',
    volume: 'Such as 2400mm * 1200mm * 400mm.',
  },
};

/** `8.6 sq ft: $29.80 per sq ft of bed`. */
const readWords = (
  per: Per,
  amount: number,
  sum: number,
  { currency, unit }: Pick<Project, 'currency' | 'unit'>,
): string =>
  `${perAmountWords(amount, per.of, unit)}: ${formatMoney(Math.round(sum / amount), currency)}${per.name === '' ? '' : ` per ${perWords(per, unit)}`}`;

const styles = StyleSheet.create({ read: { minHeight: 24 } });
