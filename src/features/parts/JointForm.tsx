import { View } from 'react-native';
import { parseDecimal } from '@/core/units';
import { FASTENER_SPARE, fastenerItem } from '@/core/lumber';
import {
  chosenOption,
  resolveJoint,
  describeJoint,
  type Joint,
  type JointKind,
  type Part,
} from '@/core/project';
import { fail, ok } from '@/core/result';
import { notify, type OpenProject } from '@/hooks';
import { Choice, Detail, ReadField, Text } from '@/ui';
import { EditFoot } from './EditFoot';
import { countReader } from './reading';

const KINDS: { value: JointKind; label: string }[] = [
  { value: 'through', label: 'Screws through' },
  { value: 'pocket', label: 'Pocket screws' },
  { value: 'bolt', label: 'Bolts' },
  { value: 'nail', label: 'Nails and glue' },
  { value: 'bracket', label: 'Brackets' },
];

/** How two parts of a group are fastened: count and length follow by rule. */
export const JointForm = ({
  open: { project, dispatch, undo },
  jointId,
  onClose,
}: {
  open: OpenProject;
  jointId: string;
  onClose: () => void;
}) => {
  const group = project.groups.find((held) => chosenOption(held)?.joints?.some(({ id }) => id === jointId));
  const option = group && chosenOption(group);
  const joint = option?.joints?.find(({ id }) => id === jointId);
  if (!group || !option || !joint) return null;
  const edit = (fields: Partial<Omit<Joint, 'id'>>) => dispatch({ type: 'editJoint', jointId, fields });
  const cut = option.parts.filter(({ kind }) => kind !== 'hardware');
  const parts = cut.map(({ id, name }: Part) => ({ value: id, label: name }));
  const resolved = resolveJoint(joint, option, group, project);
  const byRule = resolved && fastenerItem(joint.how, resolved.length, project.unit, resolved.finish);
  const remove = () => {
    dispatch({ type: 'removeJoint', jointId });
    onClose();
    notify({ text: 'Those fasteners are deleted.', action: { label: 'Undo', run: undo } });
  };
  return (
    <Detail
      title={resolved?.name ?? joint.name}
      onClose={onClose}
      foot={<EditFoot onRemove={remove} onDone={onClose} />}
    >
      <Choice
        label="Fastened by"
        value={joint.how}
        options={KINDS}
        onChange={(how) => edit({ how, item: '' })}
      />
      <Choice
        label="Through this part"
        value={joint.first}
        options={parts}
        onChange={(first) => edit({ first })}
      />
      <Choice
        label="Into this one"
        value={joint.second}
        options={parts}
        onChange={(second) => edit({ second })}
      />
      <Choice
        label="It passes the first through its"
        value={joint.through}
        options={[
          { value: 'thickness', label: 'Thickness' },
          { value: 'width', label: 'Width' },
        ]}
        onChange={(through) => edit({ through })}
      />
      <Choice
        label="And goes into the other one's"
        value={joint.into}
        options={[
          { value: 'thickness', label: 'Face' },
          { value: 'width', label: 'Edge' },
          { value: 'end', label: 'End' },
        ]}
        onChange={(into) => edit({ into })}
      />
      <ReadField
        label="In how many places"
        text={joint.formula ?? String(joint.quantity)}
        read={countReader(project, group.id, 0)}
        onRead={({ value, formula }) => edit({ quantity: value, formula })}
        help={joint.formula === undefined ? null : `= ${joint.quantity}`}
      />
      <ReadField
        label="How many in each"
        inputMode="numeric"
        text={String(joint.each)}
        read={countReader(project, group.id)}
        onRead={({ value }) => edit({ each: value })}
      />
      <ReadField
        label="Item, as on the shelf tag"
        text={joint.item}
        read={(text) => ok(text.trim())}
        onRead={(item) => edit({ item })}
        help={joint.item === '' && byRule ? `Blank: by rule of thumb, ${byRule}` : null}
      />
      <ReadField
        label="Spares over all fasteners, percent"
        inputMode="decimal"
        text={String(Math.round((project.fastenerSpare ?? FASTENER_SPARE) * 1000) / 10)}
        read={(text) => {
          const percent = parseDecimal(text);
          if (!percent.ok || percent.value <= 100) return percent;
          return fail('percent', 'No more than 100 percent.');
        }}
        onRead={(percent) => dispatch({ type: 'editProject', fields: { fastenerSpare: percent / 100 } })}
        help="For those that break, strip and roll away: rule of thumb."
      />
      {resolved ? (
        <Text size="small" tone="soft">
          {describeJoint(joint, resolved, project)}. Spares are counted over all joints of one item.
        </Text>
      ) : null}
      {resolved?.fault ? (
        <View role="alert">
          <Text tone="bad">{resolved.fault}</Text>
        </View>
      ) : null}
    </Detail>
  );
};
