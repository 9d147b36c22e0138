import { StyleSheet, View } from 'react-native';
import { Row } from './rows';
import { Text } from './Text';

/** A sum with what it is, and under each in small print what it is made of and what it comes to in all. */
export const SumRow = ({
  label,
  about,
  sum,
  inAll,
  press,
}: {
  label: string;
  about: string;
  sum: string;
  inAll?: string;
  /** What a touch does, named for those who do not see it. */
  press?: { label: string; run: () => void };
}) => (
  <Row style={styles.row} label={press?.label} onPress={press?.run}>
    <View style={styles.line}>
      <View style={styles.grow}>
        <Text>{label}</Text>
        <Text size="small" tone="soft">
          {about}
        </Text>
      </View>
      <View>
        <Text size="strong" align="right">
          {sum}
        </Text>
        {inAll ? (
          <Text size="small" tone="soft" align="right">
            {inAll}
          </Text>
        ) : null}
      </View>
    </View>
  </Row>
);

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  grow: { flex: 1 },
});
