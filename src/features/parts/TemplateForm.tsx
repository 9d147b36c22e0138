import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatLength } from '@/core/units';
import { chosenOption, partLetters, resolve, type Project } from '@/core/project';
import {
  buildTemplate,
  usualAnswers,
  answerFaults,
  type BuiltTemplate,
  type HelperInput,
  type Template,
} from '@/core/takeoff';
import { newId, type OpenProject } from '@/hooks';
import { Button, Sheet, SidesDrawing, Text, useColors, useIsWide } from '@/ui';
import { AskField } from './AskField';
import { MaterialField } from './MaterialField';
import { partTone } from './partTone';
import { withoutUntouched } from './untouched';
import { partWords } from './words';

interface Props {
  open: OpenProject;
  template: Template;
  onClose: () => void;
}

/** Asks for the measures of a whole thing, draws it with every keystroke, and adds all of it. */
export const TemplateForm = ({ open: { project, book, dispatch }, template, onClose }: Props) => {
  const [told, setTold] = useState<HelperInput>(() => usualAnswers(template, project.unit));
  const [materials, setMaterials] = useState<string[]>([]);
  const preview = useMemo(() => {
    let last = 0;
    return buildTemplate(template, told, { project, materials, newId: () => `new-${++last}` });
  }, [template, told, project, materials]);
  // While an answer is being typed the last drawing stays.
  const [shown, setShown] = useState(preview);
  if (preview.ok && shown !== preview) setShown(preview);
  const faults = answerFaults(template, told, project);
  const problems = preview.ok ? problemsOf(preview.value) : [];
  const take = () => {
    const built = buildTemplate(template, told, { project, materials, newId });
    if (!built.ok) return;
    dispatch([...built.value.commands, ...withoutUntouched(project)]);
    onClose();
  };
  return (
    <Sheet
      title={template.title}
      onClose={onClose}
      sight={shown.ok ? <Drawn built={shown.value} template={template} unit={project.unit} /> : <View />}
      foot={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={take} disabled={!preview.ok || problems.length > 0}>
            Add all of it
          </Button>
        </>
      }
    >
      {template.asks.map((ask) => (
        <AskField
          key={ask.key}
          ask={ask}
          value={told[ask.key] ?? ''}
          error={faults[ask.key] ?? null}
          unit={project.unit}
          onChange={(text) => setTold({ ...told, [ask.key]: text })}
        />
      ))}
      {problems.map((sentence) => (
        <Text key={sentence} size="small" tone="bad">
          {sentence}
        </Text>
      ))}
      <MaterialField
        label="Materials, the best liked first"
        materials={materials}
        book={book}
        currency={project.currency}
        kind={null}
        blank="Blank: any."
        onChange={setMaterials}
      />
      {shown.ok ? <Result built={shown.value} before={project} /> : null}
    </Sheet>
  );
};

/** What of its own parts cannot be made of these measures, as sentences. */
const problemsOf = ({ project, groups }: BuiltTemplate): string[] => {
  const ids = new Set(groups.flatMap((group) => chosenOption(group)?.parts.map(({ id }) => id) ?? []));
  return resolve(project).problems.flatMap(({ partId, sentence }) => (ids.has(partId) ? [sentence] : []));
};

const Drawn = ({
  built: { project, sizes, partOf },
  template,
  unit,
}: {
  built: BuiltTemplate;
  template: Template;
  unit: 'in' | 'mm';
}) => {
  const colors = useColors();
  const isWide = useIsWide();
  const letters = partLetters(project);
  const groupOf = (partId: string) =>
    project.groups.find((group) => chosenOption(group)?.parts.some(({ id }) => id === partId));
  return (
    <View style={styles.drawn}>
      <SidesDrawing
        views={template.draw(sizes)}
        colorOf={(role) => {
          const part = partOf(role);
          return part ? colors.wood[partTone(part, groupOf(part.id))] : null;
        }}
        letterOf={(role) => letters[partOf(role)?.id ?? ''] ?? ''}
        say={(ticks) => formatLength(Math.max(0, ticks), unit)}
        height={isWide ? 420 : 224}
        label={`${template.title}, drawn to scale`}
      />
    </View>
  );
};

/** What comes out, group by group. */
const Result = ({ built: { project, groups }, before }: { built: BuiltTemplate; before: Project }) => {
  const colors = useColors();
  const held = new Set(before.extras.map(({ id }) => id));
  return (
    <View style={[styles.result, { borderColor: colors.hairline }]} role="region" aria-label="What it makes">
      <Text size="strong">It makes</Text>
      {groups.map((group) => (
        <View key={group.id}>
          <Text size="small" tone="soft">
            {group.name}
          </Text>
          {(chosenOption(group)?.parts ?? []).map((part) => (
            <Text key={part.id} size="small">
              {part.quantity} × {part.name}
              {part.kind === 'hardware' ? '' : ` · ${partWords(part, before.unit)}`}
            </Text>
          ))}
        </View>
      ))}
      {project.extras
        .filter(({ id }) => !held.has(id))
        .map(({ id, name }) => (
          <Text key={id} size="small">
            {name}
          </Text>
        ))}
      <Text size="small" tone="soft">
        The fasteners of its joints are counted with the parts.
      </Text>
    </View>
  );
};

const styles = StyleSheet.create({
  drawn: { paddingHorizontal: 8, paddingVertical: 6, flexGrow: 1, justifyContent: 'center' },
  result: { borderTopWidth: 1, paddingTop: 12, gap: 6 },
});
