import { StyleSheet, View } from 'react-native';
import type { RunLine } from '@/core/budget';
import { formatMoney, formatTag } from '@/core/measure';
import { offerAt, tierFor } from '@/core/prices';
import type { Book, Project } from '@/core/project';
import { choosingNotes, materialOf } from '@/core/wood';
import { Row, Tick, useInk, Words } from '@/ui';

/** One thing to take, as large as a thumb: a tick takes it as planned, a touch beside it says what is otherwise. */
export const RunRow = ({
  line,
  project,
  book,
  onTick,
  onOpen,
}: {
  line: RunLine;
  project: Project;
  book: Book;
  onTick: () => void;
  onOpen: () => void;
}) => {
  const ink = useInk();
  const { item, name, quantity, pack, spare } = line;
  const offer = offerAt(book, line.offerKey);
  const each = offer ? tierFor(offer.tiers, quantity)?.unitPrice : undefined;
  const [advice] = item.kind === 'hardware' ? [] : choosingNotes(materialOf(item.material, book.materials));
  const facts = [
    each === undefined
      ? ''
      : `${formatTag(each, project.currency)} ${pack > 1 ? `a pack of ${pack}` : 'each'}`,
    spare > 0 ? `${spare} of them spare` : '',
  ].filter(Boolean);
  return (
    <View style={[styles.line, { backgroundColor: ink.card }]}>
      <Tick isTicked={false} label={`${quantity} × ${name}: in the cart`} onPress={onTick} />
      <Row
        onPress={onOpen}
        label={`${quantity} × ${name}: other price or number, or not there`}
        style={styles.row}
      >
        <View style={styles.inside}>
          <View style={styles.grow}>
            <Words size="title" role="presentation">{`${quantity} × ${name}`}</Words>
            {facts.length > 0 ? (
              <Words size="small" tone="soft">
                {facts.join(' · ')}
              </Words>
            ) : null}
            {advice ? <Words size="small">{advice}</Words> : null}
          </View>
          <Words size="strong">{formatMoney(line.paid, project.currency)}</Words>
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
