import { parseCount } from '@/core/units';
import { chosenOption, cutParts, emptyExtra, type Group, type Joint } from '@/core/project';
import { fail, ok, type Result } from '@/core/result';
import type { Helper } from '@/core/takeoff';
import { newId, notify, type OpenProject } from '@/hooks';
import { Button, Choice, Detail, ReadField } from '@/ui';
import { EditFoot } from './EditFoot';
import type { Chosen } from './chosen';
import { CopyGroup } from './CopyGroup';
import { FitNotes } from './FitNotes';
import { GroupDrawing } from './HelperDrawing';
import { MaterialField } from './MaterialField';
import { Options } from './Options';
import { EXPOSURES } from './words';

/** One group: its name, where it stands, what it may be made of. */
export const GroupForm = ({
  open,
  groupId,
  onClose,
  onChoose,
  helper,
  onHelper,
}: {
  open: OpenProject;
  groupId: string;
  onClose: () => void;
  onChoose: (chosen: Chosen) => void;
  /** The helper that made it; undefined when it was made by hand. */
  helper: Helper | undefined;
  /** Opens it. */
  onHelper: () => void;
}) => {
  const { project, book, dispatch, undo } = open;
  const group = project.groups.find(({ id }) => id === groupId);
  if (!group) return null;
  const edit = (fields: Partial<Group>) => dispatch({ type: 'editGroup', groupId, fields });
  const readName = (text: string): Result<string> => {
    const name = text.trim();
    const isTaken = project.groups.some((other) => other.id !== groupId && other.name === name);
    const sentence =
      name === '' ? 'Give the group a name.' : `There is a group ${name} already; give it another name.`;
    return name === '' || isTaken ? fail('name', sentence) : ok(name);
  };
  const count = chosenOption(group)?.parts.length ?? 0;
  const cut = cutParts(group);
  const fasten = () => {
    const [first, second = first] = cut;
    if (!first || !second) return;
    const joint: Joint = {
      id: newId(),
      name: `${first.name} to ${second.name.toLowerCase()}`,
      how: 'through',
      first: first.id,
      second: second.id,
      through: 'thickness',
      into: 'thickness',
      quantity: 4,
      each: 2,
      item: '',
    };
    dispatch({ type: 'addJoint', groupId, joint });
    onChoose({ kind: 'joint', id: joint.id });
  };
  const cover = () => {
    const extra = {
      ...emptyExtra(newId()),
      name: 'Finish',
      rule: 'finish' as const,
      groupId,
      covers: project.unit === 'in' ? '60 ft2' : '5 m2',
      coats: 2,
    };
    dispatch({ type: 'addExtra', extra });
    onChoose({ kind: 'extra', id: extra.id });
  };
  const remove = () => {
    dispatch({ type: 'removeGroup', groupId });
    onClose();
    notify({
      text: `${group.name} is deleted, with its ${count} ${count === 1 ? 'part' : 'parts'}.`,
      action: { label: 'Undo', run: undo },
    });
  };
  return (
    <Detail
      title={group.name}
      onClose={onClose}
      foot={<EditFoot remove="Delete the group" onRemove={remove} onDone={onClose} />}
    >
      <ReadField
        label="Name of the group"
        text={group.name}
        read={readName}
        onRead={(name) => dispatch({ type: 'editGroup', groupId, fields: { name } })}
      />
      {helper ? (
        <>
          <GroupDrawing project={project} group={group} helper={helper} height={190} />
          <Button mode="outlined" onPress={onHelper}>
            Change its measures
          </Button>
        </>
      ) : null}
      <ReadField
        label="How many of it one project has"
        inputMode="numeric"
        text={String(group.copies ?? 1)}
        read={parseCount}
        onRead={(copies) =>
          dispatch({ type: 'editGroup', groupId, fields: { copies: Math.min(copies, 10_000) } })
        }
      />
      <Choice
        label="Where it stands"
        value={group.exposure}
        options={EXPOSURES}
        onChange={(exposure) => edit({ exposure })}
      />
      <Choice
        label="Food, or soil that food grows in, touches it"
        value={group.nearFood ? 'yes' : 'no'}
        options={YES_NO}
        onChange={(value) => edit({ nearFood: value === 'yes' })}
      />
      <FitNotes
        project={project}
        book={book}
        groupId={groupId}
        onChange={(materials) => edit({ materials })}
      />
      <MaterialField
        label="Materials, the best liked first"
        materials={group.materials}
        book={book}
        currency={project.currency}
        kind={null}
        blank="Blank: any. A part can have its own."
        onChange={(materials) => edit({ materials })}
      />
      <Options open={open} group={group} />
      <Choice
        label="When it is built"
        value={group.isLater ? 'later' : 'now'}
        options={WHEN}
        onChange={(value) => edit({ isLater: value === 'later' })}
      />
      {cut.length > 0 ? (
        <Button mode="outlined" icon="add" onPress={fasten}>
          Fasten parts
        </Button>
      ) : null}
      <Button mode="outlined" icon="add" onPress={cover}>
        Add finish, glue, liner or fill
      </Button>
      <CopyGroup project={project} group={group} />
    </Detail>
  );
};

const YES_NO = [
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
] as const;

const WHEN = [
  { value: 'now', label: 'Now' },
  { value: 'later', label: 'Another time' },
] as const;
