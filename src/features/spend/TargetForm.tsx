import { faultOf } from '@/core/result';
import { Text, Button, Choice, Detail, TextField } from '@/ui';
import { capital } from '@/core/capital';
import {
  formatMoney,
  parseDecimal,
  parseMoney,
  percentText,
  symbol,
  writeMoney,
  type Minor,
  isDay,
} from '@/core/units';
import type { ProjectMoney } from '@/core/budget';
import { CATEGORIES, type Budget, type Category } from '@/core/project';
import type { OpenProject } from '@/hooks';
import { forgetKept, useKept } from '@/forms';

const SUMS = [
  { value: 'one', label: 'One sum' },
  { value: 'parts', label: 'By category' },
] as const;

const PER = [
  { value: 'all', label: 'All of them together' },
  { value: 'each', label: 'Each of them' },
] as const;

const NONE: Budget = { reserve: 0, isEach: false, date: null };

/** The number that it must not cost more than: one, or one for each category; what is held back; a day. */
export const TargetForm = ({
  open: { project, dispatch },
  money,
  onClose,
}: {
  open: OpenProject;
  money: ProjectMoney;
  onClose: () => void;
}) => {
  const { currency, builds, budget = NONE } = project;
  const form = `target ${project.id} ${JSON.stringify([project.target, budget])}`;
  const [kind, setKind] = useKept<'one' | 'parts'>(form, 'kind', budget.byCategory ? 'parts' : 'one');
  const [sum, setSum] = useKept(
    form,
    'sum',
    project.target === null ? '' : writeMoney(project.target, currency),
  );
  const [parts, setParts] = useKept(form, 'parts', () => texts(budget, currency));
  const [reserve, setReserve] = useKept(
    form,
    'reserve',
    budget.reserve > 0 ? percentText(budget.reserve) : '',
  );
  const [per, setPer] = useKept<'all' | 'each'>(form, 'per', budget.isEach ? 'each' : 'all');
  const [date, setDate] = useKept(form, 'date', budget.date ?? '');
  const moneyOf = (text: string) => (text.trim() === '' ? null : parseMoney(text, currency));
  const fault = (read: ReturnType<typeof moneyOf>) => faultOf(read);
  const one = moneyOf(sum);
  const read = CATEGORIES.map((category) => [category, moneyOf(parts[category] ?? '')] as const);
  const byCategory: Partial<Record<Category, Minor>> = Object.fromEntries(
    read.flatMap(([category, value]) => (value?.ok ? [[category, value.value]] : [])),
  );
  const total = Object.values(byCategory).reduce((all, part) => all + part, 0);
  const share =
    reserve.trim() === '' ? { ok: true as const, value: 0 } : parseDecimal(reserve.replace('%', ''));
  const shareFault =
    faultOf(share) ?? (share.ok && share.value > 100 ? 'At most 100 percent is held back.' : null);
  const dateFault =
    date.trim() !== '' && !isDay(date) ? `"${date}" is not a date; write it as 2026-05-31.` : null;
  const isReady =
    !shareFault && !dateFault && (kind === 'one' ? !fault(one) : read.every(([, value]) => !fault(value)));
  const save = () => {
    if (!isReady || !share.ok) return;
    const isParts = kind === 'parts' && total > 0;
    const target = kind === 'one' ? (one?.ok ? one.value : null) : isParts ? total : null;
    const next: Budget = {
      ...(isParts ? { byCategory } : {}),
      reserve: share.value / 100,
      isEach: per === 'each',
      date: date.trim() === '' ? null : date,
    };
    dispatch({ type: 'editTarget', target, budget: next });
    forgetKept(form);
    onClose();
  };
  return (
    <Detail
      title="Target"
      onClose={onClose}
      foot={
        <Button mode="contained" onPress={save} disabled={!isReady}>
          Save the target
        </Button>
      }
    >
      <Choice label="What it must not cost more than" value={kind} options={SUMS} onChange={setKind} />
      {kind === 'one' ? (
        <TextField
          label={`Target, ${symbol(currency).trim()}`}
          value={sum}
          onChange={setSum}
          inputMode="decimal"
          onSubmitEditing={save}
          error={fault(one)}
          help="Blank: no target."
        />
      ) : (
        <>
          {read.map(([category, value]) => (
            <TextField
              key={category}
              label={`${capital(category)}, ${symbol(currency).trim()}`}
              value={parts[category] ?? ''}
              onChange={(text) => setParts({ ...parts, [category]: text })}
              inputMode="decimal"
              onSubmitEditing={save}
              error={fault(value)}
            />
          ))}
          <Text size="strong">{`${formatMoney(total, currency)} in all`}</Text>
        </>
      )}
      <Choice
        label={builds > 1 ? `It is for ${builds} of it:` : 'If several are built, it is for'}
        value={per}
        options={PER}
        onChange={setPer}
      />
      <TextField
        label="Held back for what goes wrong, percent"
        value={reserve}
        onChange={setReserve}
        inputMode="decimal"
        onSubmitEditing={save}
        error={shareFault}
        help={`Of what is still to buy, ${formatMoney(money.toBuy, currency)}: it shrinks as things are bought. 10 is common (rule of thumb).`}
      />
      <TextField
        label="To be done by"
        value={date}
        onChange={setDate}
        onSubmitEditing={save}
        error={dateFault}
        help="Blank: no day."
        placeholder="2026-12-31"
      />
    </Detail>
  );
};

const texts = ({ byCategory = {} }: Budget, currency: string): Partial<Record<Category, string>> =>
  Object.fromEntries(
    Object.entries(byCategory).map(([category, sum]) => [category, writeMoney(sum, currency)]),
  );
