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
  { value: 'glue', label: 'Glue alone' },
];

const FASTENED = {
  first: 'Through this part',
  second: 'Into this one',
  into: 'And goes into the other one’s',
  after: ' Spares are counted over all joints of one item.',
};
const GLUED = { first: 'This part', second: 'On this one', into: 'Glued to the other one’s', after: '' };

/** What holds a joint that is not glued alone: how many, what, and spares. */
const FastenerFields = ({
  open: { project, dispatch },
  groupId,
  joint,
  byRule,
}: {
  open: Pick<OpenProject, 'project' | 'dispatch'>;
  groupId: string;
  joint: Joint;
  /** What it is by rule of thumb; null: the joint joins nothing any more. */
  byRule: string | null;
}) => {
  const edit = (fields: Partial<Omit<Joint, 'id'>>) =>
    dispatch({ type: 'editJoint', jointId: joint.id, fields });
  return (
    <>
      <ReadField
        label="How many in each"
        inputMode="numeric"
        text={String(joint.each)}
        read={countReader(project, groupId)}
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
    </>
  );
};

const Fault = ({ text }: { text: string | null }) =>
  text === null ? null : (
    <View role="alert">
      <Text tone="bad">{text}</Text>
    </View>
  );

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
  const how = joint.how === 'glue' ? null : joint.how;
  const words = how ? FASTENED : GLUED;
  const byRule = resolved && how && fastenerItem(how, resolved.length, project.unit, resolved.finish);
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
      <Choice label={words.first} value={joint.first} options={parts} onChange={(first) => edit({ first })} />
      <Choice
        label={words.second}
        value={joint.second}
        options={parts}
        onChange={(second) => edit({ second })}
      />
      {how ? (
        <Choice
          label="It passes the first through its"
          value={joint.through}
          options={[
            { value: 'thickness', label: 'Thickness' },
            { value: 'width', label: 'Width' },
          ]}
          onChange={(through) => edit({ through })}
        />
      ) : null}
      <Choice
        label={words.into}
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
      {how ? (
        <FastenerFields open={{ project, dispatch }} groupId={group.id} joint={joint} byRule={byRule} />
      ) : null}
      {resolved ? (
        <Text size="small" tone="soft">
          {`${describeJoint(joint, resolved, project)}.${words.after}`}
        </Text>
      ) : null}
      <Fault text={resolved?.fault ?? null} />
    </Detail>
  );
};
