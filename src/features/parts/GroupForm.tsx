import { chosenOption } from '@/core/project';
import { ok, type Result } from '@/core/result';
import { notify, type OpenProject } from '@/data';
import { Button, Choice, Detail, ReadField } from '@/ui';
import { MaterialField } from './MaterialField';
import { EXPOSURES } from './words';

/** One group: its name, where it stands, what it may be made of. */
export const GroupForm = ({
  open: { project, book, run, undo },
  groupId,
  onClose,
}: {
  open: OpenProject;
  groupId: string;
  onClose: () => void;
}) => {
  const group = project.groups.find(({ id }) => id === groupId);
  if (!group) return null;
  const readName = (text: string): Result<string> => {
    const name = text.trim();
    const isTaken = project.groups.some((other) => other.id !== groupId && other.name === name);
    const sentence =
      name === '' ? 'Give the group a name.' : `There is a group ${name} already; give it another name.`;
    return name === '' || isTaken
      ? { ok: false, problems: [{ code: 'name', place: '', sentence }] }
      : ok(name);
  };
  const count = chosenOption(group)?.parts.length ?? 0;
  const remove = () => {
    run({ type: 'removeGroup', groupId });
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
      foot={
        <>
          <Button icon="delete" onPress={remove}>
            Delete the group
          </Button>
          <Button mode="contained" onPress={onClose}>
            Done
          </Button>
        </>
      }
    >
      <ReadField
        label="Name of the group"
        text={group.name}
        read={readName}
        onRead={(name) => run({ type: 'editGroup', groupId, fields: { name } })}
      />
      <Choice
        label="Where it stands"
        value={group.exposure}
        options={EXPOSURES}
        onChange={(exposure) => run({ type: 'editGroup', groupId, fields: { exposure } })}
      />
      <MaterialField
        label="Materials, the best liked first"
        materials={group.materials}
        book={book}
        kind={null}
        blank="Blank: any. A part can have its own."
        onChange={(materials) => run({ type: 'editGroup', groupId, fields: { materials } })}
      />
    </Detail>
  );
};
