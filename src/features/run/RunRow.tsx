import { StyleSheet, View } from 'react-native';
import type { RunLine } from '@/core/budget';
import { formatMoney, formatTag } from '@/core/units';
import { offerAt, tierFor } from '@/core/pricing';
import type { Book, Project } from '@/core/project';
import { Row, Checkbox, useColors, Text } from '@/ui';
import type { LineNotes } from './lineNotes';

/** One thing to take, as large as a thumb: a tick takes it as planned, a touch beside it says what is otherwise. */
export const RunRow = ({
  line,
  project,
  book,
  notes,
  isTaken,
  onTick,
  onOpen,
}: {
  line: RunLine;
  project: Project;
  book: Book;
  notes: LineNotes | undefined;
  /** It was ticked, and the plan without it is being made. */
  isTaken: boolean;
  onTick: () => void;
  onOpen: () => void;
}) => {
  const colors = useColors();
  const { name, quantity, pack, spare } = line;
  const offer = offerAt(book, line.offerKey);
  const each = offer ? tierFor(offer.tiers, quantity)?.unitPrice : undefined;
  const facts = [
    each === undefined
      ? ''
      : `${formatTag(each, project.currency)} ${pack > 1 ? `a pack of ${pack}` : 'each'}`,
    spare > 0 ? `${spare} of them spare` : '',
  ].filter(Boolean);
  return (
    <View style={[styles.line, { backgroundColor: colors.card }]}>
      <Checkbox isTicked={isTaken} label={`${quantity} × ${name}: in the cart`} onPress={onTick} />
      <Row
        onPress={onOpen}
        label={`${quantity} × ${name}: other price or number, or not there`}
        style={styles.row}
      >
        <View style={styles.inside}>
          <View style={styles.grow}>
            <Text size="title" role="presentation">{`${quantity} × ${name}`}</Text>
            {facts.length > 0 ? (
              <Text size="small" tone="soft">
                {facts.join(' · ')}
              </Text>
            ) : null}
            {notes?.warning ? (
              <Text size="small" tone="bad">
                {notes.warning}
              </Text>
            ) : null}
            {notes?.measure ? <Text size="small">{notes.measure}</Text> : null}
            {notes?.advice ? (
              <Text size="small" tone="soft">
                {notes.advice}
              </Text>
            ) : null}
          </View>
          <Text size="strong">{formatMoney(line.paid, project.currency)}</Text>
        </View>
      </Row>
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row' },
  row: { flex: 1, minHeight: 72, paddingVertical: 12, paddingRight: 16 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});
