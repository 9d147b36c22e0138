import { StyleSheet, View } from 'react-native';
import type { Check } from '@/core/takeoff';
import { Icon, useColors, Text } from '@/ui';

/** What is to be looked at, quietly, beside what it is about. */
export const CheckWords = ({ checks }: { checks: Check[] }) => {
  const colors = useColors();
  return checks.map(({ code, sentence, weight }) => (
    <View key={`${code}${sentence}`} style={styles.check}>
      <Icon name="warning" size={15} color={weight === 'bad' ? colors.red : colors.soft} />
      <Text size="small" tone={weight === 'bad' ? 'bad' : 'soft'} style={styles.words}>
        {sentence}
      </Text>
    </View>
  ));
};

const styles = StyleSheet.create({
  check: { flexDirection: 'row', alignItems: 'flex-start', gap: 6, paddingTop: 2 },
  words: { flex: 1 },
});
