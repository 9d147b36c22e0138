import { View } from 'react-native';
import { categoryOf } from '@/core/budget';
import { capital } from '@/core/capital';
import {
  formatArea,
  formatVolume,
  parseArea,
  parseCount,
  parseMoney,
  parseVolume,
  symbol,
  writeMoney,
} from '@/core/units';
import {
  CATEGORIES,
  resolve,
  resolveExtra,
  scopeOf,
  homeOf,
  type Extra,
  type ExtraRule,
  type Project,
} from '@/core/project';
import { fail, ok, type Result } from '@/core/result';
import { notify, type OpenProject } from '@/hooks';
import { Choice, Detail, ReadField, Text } from '@/ui';
import { EditFoot } from './EditFoot';

const OWNED = [
  { value: 'buy', label: 'To buy' },
  { value: 'owned', label: 'Owned already' },
] as const;

const RULES: { value: ExtraRule; label: string }[] = [
  { value: 'finish', label: 'The surface of parts' },
  { value: 'glue', label: 'Glued joints' },
  { value: 'area', label: 'An area' },
  { value: 'volume', label: 'A volume' },
  { value: 'count', label: 'So many' },
];

/** Something that is not cut: what it is for, and how much of it one can or bag does. */
export const ExtraForm = ({
  open: { project, dispatch, undo },
  extraId,
  onClose,
}: {
  open: OpenProject;
  extraId: string;
  onClose: () => void;
}) => {
  const extra = project.extras.find(({ id }) => id === extraId);
  if (!extra) return null;
  const edit = (fields: Partial<Omit<Extra, 'id'>>) => dispatch({ type: 'editExtra', extraId, fields });
  const remove = () => {
    dispatch({ type: 'removeExtra', extraId });
    onClose();
    notify({ text: `${extra.name} is deleted.`, action: { label: 'Undo', run: undo } });
  };
  const { rule } = extra;
  const result = resolveExtra(extra, project, resolve(project).parts);
  return (
    <Detail title={extra.name} onClose={onClose} foot={<EditFoot onRemove={remove} onDone={onClose} />}>
      <ReadField
        label="Name"
        text={extra.name}
        read={(text) => (text.trim() === '' ? fail('blank', 'Give it a name.') : ok(text.trim()))}
        onRead={(name) => edit({ name })}
      />
      <ReadField
        label="Item, as on the shelf tag"
        text={extra.item}
        read={(text) => ok(text.trim())}
        onRead={(item) => edit({ item })}
        help={extra.item === '' ? `Blank: ${extra.name}` : null}
      />
      <Choice
        label="Is it there already?"
        value={extra.isOwned ? 'owned' : 'buy'}
        options={OWNED}
        onChange={(next) => edit({ isOwned: next === 'owned' })}
      />
      {extra.isOwned ? null : (
        <ReadField
          label={`One costs, with tax, ${symbol(project.currency).trim()}`}
          inputMode="decimal"
          text={extra.price === undefined ? '' : writeMoney(extra.price, project.currency)}
          read={(text): Result<number | null> =>
            text.trim() === '' ? ok(null) : parseMoney(text, project.currency)
          }
          onRead={(price) => edit({ price: price ?? undefined })}
          help="Blank: as the price book says."
        />
      )}
      <Choice
        label="Its money goes into"
        value={extra.category ?? categoryOf({ kind: 'hardware', name: extra.item || extra.name })}
        options={CATEGORIES.map((value) => ({ value, label: capital(value) }))}
        onChange={(category) => edit({ category })}
      />
      <Choice
        label="How much follows from"
        value={rule}
        options={RULES}
        onChange={(next) => edit({ rule: next, amount: '', covers: '' })}
      />
      <Choice
        label="For"
        value={extra.groupId ?? 'all'}
        options={[
          { value: 'all', label: 'The whole project' },
          ...project.groups.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => edit({ groupId: id === 'all' ? null : id })}
      />
      {rule === 'finish' ? (
        <Choice
          label="Which faces"
          value={extra.faces}
          options={[
            { value: 'all', label: 'All of them' },
            { value: 'showing', label: 'Those that show' },
          ]}
          onChange={(faces) => edit({ faces })}
        />
      ) : null}
      <AmountFields extra={extra} project={project} onEdit={edit} />
      <View role={result.ok ? undefined : 'alert'}>
        <Text size="small" tone={result.ok ? 'soft' : 'bad'}>
          {result.ok
            ? extraWords(extra, result.value.amount, result.value.count, project.unit)
            : result.problems[0]?.sentence}
        </Text>
      </View>
    </Detail>
  );
};

const AMOUNTS = {
  count: { label: 'How many, or a formula', help: null },
  area: { label: 'Area, as a formula', help: 'Such as length * width.' },
  volume: { label: 'Volume, as a formula', help: 'Such as length * width * height.' },
} as const;

/** How much of it, and what one can or bag does. */
const AmountFields = ({
  extra,
  project,
  onEdit,
}: {
  extra: Extra;
  project: Project;
  onEdit: (fields: Partial<Omit<Extra, 'id'>>) => void;
}) => {
  const { rule } = extra;
  const readAmount = (text: string): Result<string> => {
    const value = scopeOf(project)(homeOf(project, extra.groupId)).amount(text, rule);
    return value.ok ? ok(text.trim()) : value;
  };
  const readCovers = (text: string): Result<string> => {
    const value = rule === 'volume' ? parseVolume(text) : parseArea(text);
    return value.ok ? ok(text.trim()) : value;
  };
  const amount = rule === 'finish' || rule === 'glue' ? null : AMOUNTS[rule];
  return (
    <>
      {amount ? (
        <ReadField
          label={amount.label}
          text={extra.amount}
          read={readAmount}
          onRead={(text) => onEdit({ amount: text })}
          help={amount.help}
        />
      ) : null}
      {rule === 'count' || rule === 'volume' ? null : (
        <ReadField
          label="Coats or layers"
          inputMode="numeric"
          text={String(extra.coats)}
          read={parseCount}
          onRead={(coats) => onEdit({ coats: Math.min(20, coats) })}
        />
      )}
      {rule === 'count' ? null : (
        <ReadField
          label={rule === 'volume' ? 'One fills' : 'One covers'}
          text={extra.covers}
          read={readCovers}
          onRead={(covers) => onEdit({ covers })}
          help={
            rule === 'finish'
              ? 'The label says. Rule of thumb: 150 to 350 ft2 a gallon, by how rough the wood is.'
              : null
          }
        />
      )}
    </>
  );
};

/** `28.7 sq ft in 2 coats: 3 × oil, 10 ft2 each`. */
export const extraWords = (extra: Extra, amount: number, count: number, unit: 'in' | 'mm'): string => {
  if (extra.rule === 'count') return `${count} × ${extra.item || extra.name}`;
  const size = extra.rule === 'volume' ? formatVolume(amount, unit) : formatArea(amount, unit);
  return `${size}${extra.coats > 1 ? ` in ${extra.coats} coats` : ''}: ${count} × ${extra.item || extra.name}, ${extra.covers} each`;
};
