import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Caution } from '@/core/wood';
import { Icon } from './icons';
import { Band, Row } from './rows';
import { useInk } from './theme';
import { Words } from './Words';

/** Cautions in one line of titles; a press says them in full. Never in the way. */
export const Cautions = ({ cautions }: { cautions: Caution[] }) => {
  const [isOpen, setIsOpen] = useState(false);
  const ink = useInk();
  if (cautions.length === 0) return null;
  const titles = cautions.map(({ title }) => title).join(' · ');
  return (
    <View role="region" aria-label="Take care">
      <Band
        title="Take care"
        note={isOpen ? 'less' : titles}
        label={`Take care: ${titles}`}
        onPress={() => setIsOpen(!isOpen)}
      />
      {isOpen
        ? cautions.map(({ id, title, sentence, source }) => (
            <Row key={id} style={styles.row}>
              <View style={styles.line}>
                <Icon name="warning" size={18} color={ink.soft} />
                <View style={styles.grow}>
                  <Words size="strong">{title}</Words>
                  <Words size="small">{sentence}</Words>
                  <Words size="small" tone="soft">
                    {`By ${source}.`}
                  </Words>
                </View>
              </View>
            </Row>
          ))
        : null}
      {isOpen ? (
        <Words size="small" tone="soft" style={styles.last}>
          The tool’s manual, the product’s own sheet, local codes and licensed practice come first.
        </Words>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  line: { flexDirection: 'row', gap: 10 },
  grow: { flex: 1, gap: 2 },
  last: { paddingHorizontal: 16, paddingVertical: 10 },
});
