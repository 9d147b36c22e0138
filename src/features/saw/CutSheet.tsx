import { StyleSheet, View } from 'react-native';
import type { OwnMaterials } from '@/core/lumber';
import type { Project } from '@/core/project';
import { drawingsToSaw, setupsOf, type SawBoard, type SawDrawing, type SetupUse } from '@/core/sawing';
import type { LengthUnit } from '@/core/units';
import { DrawnLayout, drawnOf, HandWork, sourceWords } from '@/forms';
import { Row, SectionHeader, Text, useColors } from '@/ui';
import { PrintHead } from './PrintHead';
import { cutWords, setupWordsOf, stockWords } from './words';

interface Props {
  boards: SawBoard[];
  project: Project;
  own: OwnMaterials | undefined;
  letters: Record<string, string>;
}

/** All there is to saw on one sheet, to print and take along: the settings, then each drawing with its cuts and a box a board. */
export const CutSheet = ({ boards, project, own, letters }: Props) => {
  const drawings = drawingsToSaw(boards);
  const longest = Math.max(...drawings.map(({ layout }) => layout.length));
  return (
    <View role="region" aria-label="Cut sheet">
      <PrintHead
        title={project.name}
        note={`${boards.length} ${boards.length === 1 ? 'board or sheet' : 'boards and sheets'} · kerf ${project.settings.kerf.text}`}
      />
      <Settings uses={setupsOf(drawings)} unit={project.unit} />
      <View role="list">
        {drawings.map((drawing) => (
          <OneDrawing
            key={drawing.number}
            drawing={drawing}
            longest={longest}
            project={project}
            own={own}
            letters={letters}
          />
        ))}
      </View>
    </View>
  );
};

/** What the saw is set to, each once: what has the same length is cut one after the other. */
const Settings = ({ uses, unit }: { uses: SetupUse[]; unit: LengthUnit }) => (
  <View>
    <SectionHeader title="Settings of the saw" note={`${uses.length}`} />
    {uses.map((use, index) => {
      const words = setupWordsOf(use, unit);
      return (
        <Row key={index} style={styles.row}>
          <Box />
          <Text style={styles.grow}>{words.title}</Text>
          <Text tone="soft">{words.note}</Text>
        </Row>
      );
    })}
  </View>
);

const OneDrawing = ({
  drawing: { number, layout, sequence, count },
  longest,
  project,
  own,
  letters,
}: Pick<Props, 'project' | 'own' | 'letters'> & { drawing: SawDrawing; longest: number }) => {
  const { unit } = project;
  const drawn = drawnOf(layout, letters, unit);
  return (
    <View role="listitem" style={styles.drawing}>
      <View style={styles.over}>
        <View style={styles.grow}>
          <Text size="strong">{`${count} × ${stockWords(layout, unit)}`}</Text>
          <Text size="small" tone="soft">{`Drawing ${number} · ${sourceWords(layout, project)}`}</Text>
        </View>
        <View style={styles.boxes} aria-hidden>
          {Array.from({ length: count > MOST_BOXES ? 0 : count }, (_, index) => (
            <Box key={index} />
          ))}
          {count > MOST_BOXES ? <Text>{`______ of ${count}`}</Text> : null}
        </View>
      </View>
      <DrawnLayout layout={layout} drawn={drawn} own={own} longest={longest} pieces={drawn.pieces} />
      {sequence.cuts.map((_, index) => {
        const words = cutWords({ sequence, layout }, index, unit, (piece) => drawn.pieces[piece]?.name ?? '');
        return words ? (
          <View key={index} style={styles.cut}>
            <Text size="small" tone="soft" style={styles.number}>{`${index + 1}`}</Text>
            <View style={styles.grow}>
              <Text>{words.title}</Text>
              <Text size="small" tone="soft">{`${words.measure} · ${words.leaves}`}</Text>
            </View>
          </View>
        ) : null;
      })}
      {sequence.cuts.length === 0 ? <Text tone="soft">Used whole.</Text> : null}
      <HandWork layout={layout} project={project} />
    </View>
  );
};

/** A box to tick with a pencil. */
const Box = () => <View testID="box" aria-hidden style={[styles.box, { borderColor: useColors().soft }]} />;

/** Of more boards the number is written down. */
const MOST_BOXES = 60;

const styles = StyleSheet.create({
  over: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingTop: 16, flexWrap: 'wrap' },
  grow: { flex: 1, minWidth: 160 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingHorizontal: 16, paddingVertical: 6 },
  drawing: { paddingBottom: 16, paddingHorizontal: 16, gap: 8 },
  boxes: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, maxWidth: 240, justifyContent: 'flex-end' },
  // On paper heights are let go; what is to be ticked keeps its own.
  box: { minWidth: 18, minHeight: 18, borderWidth: 1.5, borderRadius: 3 },
  cut: { flexDirection: 'row', gap: 10 },
  number: { width: 22, textAlign: 'right' },
});
