import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Caution } from '@/core/lumber';
import { Icon } from './icons';
import { SectionHeader, Row } from './rows';
import { useColors } from './theme';
import { Text } from './Text';

/** Cautions in one line of titles; a press says them in full. Never in the way. */
export const Cautions = ({ cautions }: { cautions: Caution[] }) => {
  const [isOpen, setIsOpen] = useState(false);
  const colors = useColors();
  if (cautions.length === 0) return null;
  const titles = cautions.map(({ title }) => title).join(' · ');
  return (
    <View role="region" aria-label="Take care">
      <SectionHeader
        title="Take care"
        note={isOpen ? 'less' : titles}
        label={`Take care: ${titles}`}
        onPress={() => setIsOpen(!isOpen)}
      />
      {isOpen
        ? cautions.map(({ id, title, sentence, source }) => (
            <Row key={id} style={styles.row}>
              <View style={styles.line}>
                <Icon name="warning" size={18} color={colors.soft} />
                <View style={styles.grow}>
                  <Text size="strong">{title}</Text>
                  <Text size="small">{sentence}</Text>
                  <Text size="small" tone="soft">
                    {`By ${source}.`}
                  </Text>
                </View>
              </View>
            </Row>
          ))
        : null}
      {isOpen ? (
        <Text size="small" tone="soft" style={styles.last}>
          The tool’s manual, the product’s own sheet, local codes and licensed practice come first.
        </Text>
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
