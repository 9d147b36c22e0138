import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { formatLength, parseLength } from '@/core/units';
import {
  freeVariableName,
  isDerived,
  movedParts,
  movedWords,
  valuesOf,
  withChanges,
  type Project,
  type Variable,
} from '@/core/project';
import { ok, type Result } from '@/core/result';
import { newId, notify, type OpenProject } from '@/hooks';
import { SectionHeader, FONTS, IconAction, ReadField, TOUCH, useColors, useIsWide, Text } from '@/ui';
import type { Chosen } from './chosen';
import { measureWords } from './words';

interface Props {
  open: OpenProject;
  onChoose: (chosen: Chosen) => void;
}

/** The measures with a name: change one, and all that follows from it moves. */
export const MeasuresBand = ({ open, onChoose }: Props) => {
  const { project, dispatch } = open;
  const isWide = useIsWide();
  const asked = project.variables.filter((variable) => !isDerived(variable));
  const follows = project.variables.filter(isDerived);
  const add = () => {
    const name = freeVariableName(
      'measure',
      project.variables.map((variable) => variable.name),
    );
    const variable: Variable = {
      id: newId(),
      name,
      kind: 'length',
      formula: project.unit === 'in' ? '12' : '300',
      note: '',
    };
    dispatch({ type: 'addVariable', variable });
    onChoose({ kind: 'measure', id: variable.id });
  };
  return (
    <View role="group" aria-label="Measures" style={styles.measures}>
      <SectionHeader
        title="Measures"
        note={
          asked.length === 0 ? 'name one, and lengths can follow from it' : 'all that follows moves along'
        }
      />
      {isWide ? (
        <Fields open={open} variables={asked} onChoose={onChoose} onAdd={add} />
      ) : (
        <Tapped open={open} variables={asked} onChoose={onChoose} onAdd={add} />
      )}
      {follows.length > 0 ? (
        <Text size="small" tone="soft" style={styles.follows}>
          From these:{' '}
          {follows
            .map((variable) => `${measureWords(variable)} ${shownValue(project, variable)}`)
            .join(' · ')}
        </Text>
      ) : null}
    </View>
  );
};

interface ListProps extends Props {
  variables: Variable[];
  onAdd: () => void;
}

/** On a wide screen every measure is a field. */
const Fields = ({ open, variables, onChoose, onAdd }: ListProps) => (
  <View style={styles.fields}>
    {variables.map((variable) => (
      <View key={variable.id} style={styles.field}>
        <OneField open={open} variable={variable} onChoose={onChoose} />
      </View>
    ))}
    <IconAction icon="add" label="Add a measure" onPress={onAdd} />
  </View>
);

/** On a phone each is a word to tap, and the one that was tapped a field under them. */
const Tapped = ({ open, variables, onChoose, onAdd }: ListProps) => {
  const colors = useColors();
  const [tapped, setTapped] = useState<string | null>(null);
  const chosen = variables.find(({ id }) => id === tapped);
  return (
    <>
      <ScrollView horizontal contentContainerStyle={styles.words}>
        {variables.map((variable) => (
          <Pressable
            key={variable.id}
            role="button"
            aria-expanded={variable.id === tapped}
            aria-label={`Change ${measureWords(variable)}, ${shownValue(open.project, variable)}`}
            onPress={() => setTapped(variable.id === tapped ? null : variable.id)}
            style={[
              styles.word,
              {
                borderColor: variable.id === tapped ? colors.spruce : colors.hairline,
                backgroundColor: variable.id === tapped ? colors.pale : colors.card,
              },
            ]}
          >
            <Text size="small">
              {measureWords(variable)}{' '}
              <Text size="small" style={{ fontFamily: FONTS.bold }}>
                {shownValue(open.project, variable)}
              </Text>
            </Text>
          </Pressable>
        ))}
        <IconAction icon="add" label="Add a measure" onPress={onAdd} />
      </ScrollView>
      {chosen ? (
        <View style={styles.tapped}>
          <OneField key={chosen.id} open={open} variable={chosen} onChoose={onChoose} hasFocus />
        </View>
      ) : null}
    </>
  );
};

const OneField = ({
  open,
  variable,
  onChoose,
  hasFocus = false,
}: Props & { variable: Variable; hasFocus?: boolean }) => (
  <View style={styles.one}>
    <View style={styles.input}>
      <VariableField
        project={open.project}
        variable={variable}
        autoFocus={hasFocus}
        onChange={(formula) => changeMeasure(open, variable, formula)}
      />
    </View>
    <IconAction
      icon="edit"
      label={`Rename or delete ${measureWords(variable)}`}
      onPress={() => onChoose({ kind: 'measure', id: variable.id })}
    />
  </View>
);

/** A measure becomes another, and what moved with it is told. */
export const changeMeasure = (
  { project, book, dispatch, undo }: OpenProject,
  variable: Variable,
  formula: string,
): void => {
  const change = { type: 'editVariable' as const, variableId: variable.id, fields: { formula } };
  const text = movedWords(movedParts(project, withChanges(project, [change]), book.materials));
  dispatch(change);
  if (text !== '') notify({ text, action: { label: 'Undo', run: undo } });
};

/** What a measure comes to, as people read it. */
export const shownValue = (project: Project, variable: Variable): string => {
  const value = valuesOf(project).variables[variable.id];
  if (!value?.ok) return '?';
  if (variable.kind === 'number') return String(Number(value.value.toFixed(3)));
  return `${value.value < 0 ? '−' : ''}${formatLength(Math.abs(value.value), project.unit)}`;
};

/** The formula of a measure, and what it comes to or what is wrong with it. Any text is taken: its fault is told. */
export const VariableField = ({
  project,
  variable,
  label = measureWords(variable),
  autoFocus,
  onChange,
}: {
  project: Project;
  variable: Variable;
  label?: string;
  autoFocus?: boolean;
  onChange: (formula: string) => void;
}) => {
  const value = valuesOf(project).variables[variable.id];
  const isPlain =
    variable.kind === 'length'
      ? parseLength(variable.formula, project.unit).ok
      : /^[\d.]+$/.test(variable.formula);
  const read = (text: string): Result<string> => {
    if (text.trim() !== variable.formula.trim() || !value || value.ok) return ok(text.trim());
    return value;
  };
  return (
    <ReadField
      label={label}
      autoFocus={autoFocus}
      text={variable.formula}
      read={read}
      onRead={onChange}
      pad={variable.kind === 'length' ? project.unit : undefined}
      inputMode={variable.kind === 'number' ? 'decimal' : undefined}
      help={isPlain ? null : `= ${shownValue(project, variable)}`}
    />
  );
};

const styles = StyleSheet.create({
  measures: { marginTop: 4 },
  fields: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    paddingHorizontal: 10,
    paddingTop: 8,
    alignItems: 'flex-start',
  },
  field: { flexBasis: '25%', paddingLeft: 6, paddingBottom: 6 },
  words: { flexDirection: 'row', paddingHorizontal: 16, paddingTop: 8, gap: 6 },
  word: { minHeight: TOUCH, paddingHorizontal: 10, justifyContent: 'center', borderWidth: 1 },
  tapped: { paddingLeft: 16, paddingRight: 8, paddingTop: 6 },
  one: { flexDirection: 'row', alignItems: 'center' },
  input: { flex: 1, minWidth: 0 },
  follows: { paddingHorizontal: 16, paddingVertical: 8 },
});
