import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatLength } from '@/core/units';
import { chosenOption, numbered, resolveJoint, type Exposure } from '@/core/project';
import {
  answerFault,
  helperOf,
  isAsked,
  previewMade,
  sizesOf,
  toldBefore,
  usualAnswers,
  type Helper,
  type HelperInput,
} from '@/core/takeoff';
import { newId, type OpenProject } from '@/hooks';
import { Button, Choice, Sheet, TextField, useColors, useIsWide, Text } from '@/ui';
import { AskField } from './AskField';
import { HelperDrawing } from './HelperDrawing';
import { MaterialField } from './MaterialField';
import { withoutUntouched } from './untouched';
import { EXPOSURES, partWords } from './words';

interface Props {
  open: OpenProject;
  helper: Helper;
  /** The group that it made, to change its measures. */
  groupId?: string;
  onClose: () => void;
}

/** Asks what a builder has in mind, draws it with every keystroke, and adds the parts. */
export const HelperForm = ({ open: { project, book, dispatch }, helper, groupId, onClose }: Props) => {
  const group = project.groups.find(({ id }) => id === groupId);
  const option = group && chosenOption(group);
  const [told, setTold] = useState<HelperInput>(() =>
    option ? toldBefore(helper, option, project) : usualAnswers(helper, project.unit),
  );
  const [name, setName] = useState(() =>
    group
      ? group.name
      : numbered(helper.title, (wanted) => project.groups.some((held) => held.name === wanted)),
  );
  const [materials, setMaterials] = useState<string[]>(group?.materials ?? []);
  const [exposure, setExposure] = useState<Exposure | null>(group?.exposure ?? null);
  const preview = useMemo(() => {
    let last = 0;
    return previewMade(helper, told, {
      project,
      groupName: name.trim() || helper.title,
      materials,
      groupId,
      newId: () => `new-${++last}`,
    });
  }, [helper, told, project, name, materials, groupId]);
  // While an answer is being typed the last drawing stays.
  const [shown, setShown] = useState(preview);
  if (preview.ok && shown !== preview) setShown(preview);
  const isTaken = !group && project.groups.some((held) => held.name === name.trim());
  const take = () => {
    const made = previewMade(helper, told, { project, groupName: name.trim(), materials, groupId, newId });
    if (!made.ok || isTaken) return;
    const { command } = made.value;
    if (command.type === 'addMade')
      dispatch([
        { ...command, group: { ...command.group, exposure: exposure ?? command.group.exposure } },
        ...withoutUntouched(project),
      ]);
    else dispatch(command);
    onClose();
  };
  return (
    <Sheet
      title={group ? `${helper.title}: ${group.name}` : helper.title}
      onClose={onClose}
      sight={shown.ok ? <Sight made={shown.value} helper={helper} /> : <View />}
      foot={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={take} disabled={!preview.ok || isTaken || name.trim() === ''}>
            {group ? 'Change the parts' : 'Add the parts'}
          </Button>
        </>
      }
    >
      {helper.asks
        .filter((ask) => isAsked(ask, told))
        .map((ask) => (
          <AskField
            key={ask.key}
            ask={ask}
            value={told[ask.key] ?? ''}
            error={answerFault(ask, told, project)}
            unit={project.unit}
            onChange={(text) => setTold({ ...told, [ask.key]: text })}
          />
        ))}
      {project.variables.length > 0 ? (
        <Text size="small" tone="soft">
          A length can follow from a measure there is:{' '}
          {project.variables.map((variable) => variable.name).join(', ')}.
        </Text>
      ) : null}
      {group ? null : (
        <>
          <TextField
            label="Name of the group"
            value={name}
            onChange={setName}
            error={isTaken ? `There is a group ${name.trim()} already; give it another name.` : null}
          />
          <MaterialField
            label="Materials, the best liked first"
            materials={materials}
            book={book}
            currency={project.currency}
            kind={null}
            blank="Blank: any."
            onChange={setMaterials}
          />
          <Choice
            label="Where it stands"
            value={exposure ?? (shown.ok ? shown.value.group.exposure : 'indoors')}
            options={EXPOSURES}
            onChange={setExposure}
          />
        </>
      )}
      {shown.ok ? <Result made={shown.value} helper={helper} /> : null}
    </Sheet>
  );
};

type Shown = Extract<ReturnType<typeof previewMade>, { ok: true }>['value'];

/** The drawing, as high as the screen has room for. */
const Sight = ({ made, helper }: { made: Shown; helper: Helper }) => (
  <HelperDrawing {...made} helper={helper} height={useIsWide() ? 420 : 224} />
);

/** What comes out: parts, fasteners, and what is worth knowing. */
const Result = ({ made: { project, group, option }, helper }: { made: Shown; helper: Helper }) => {
  const colors = useColors();
  const notes =
    helper.notes?.(sizesOf(project, group, option), (ticks) => formatLength(Math.abs(ticks), project.unit)) ??
    [];
  const fasteners = (option.joints ?? []).flatMap(
    (joint) => resolveJoint(joint, option, group, project)?.needs ?? [],
  );
  const totals = new Map<string, number>();
  for (const { item, count } of fasteners) totals.set(item, (totals.get(item) ?? 0) + count);
  const line = (key: string, text: string) => (
    <Text key={key} size="small">
      {text}
    </Text>
  );
  return (
    <View style={[styles.result, { borderColor: colors.hairline }]} role="region" aria-label="What it makes">
      <Text size="strong">It makes</Text>
      {notes.map((note) => line(note, note))}
      {option.parts.map((part) =>
        line(part.id, `${part.quantity} × ${part.name} · ${partWords(part, project.unit)}`),
      )}
      {[...totals].filter(([, count]) => count > 0).map(([item, count]) => line(item, `${count} × ${item}`))}
      {project.extras.filter(({ groupId }) => groupId === group.id).map(({ id, name }) => line(id, name))}
    </View>
  );
};

/** The helper that made a group; undefined when it was made by hand. */
export const helperOfGroup = (open: OpenProject, groupId: string): Helper | undefined => {
  const group = open.project.groups.find(({ id }) => id === groupId);
  const made = group && chosenOption(group)?.made;
  return made && helperOf(made.helper);
};

const styles = StyleSheet.create({
  result: { borderTopWidth: 1, paddingTop: 12, gap: 4 },
});
