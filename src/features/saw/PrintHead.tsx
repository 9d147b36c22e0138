import { StyleSheet, View } from 'react-native';
import { printPage } from '@/platform/page';
import { Button, Text } from '@/ui';

/** Over what is to be printed: whose it is, what it is, and the way to paper. `testID`: as of its view. */
export const PrintHead = ({ title, note, testID }: { title: string; note: string; testID?: string }) => (
  <View style={styles.head} testID={testID}>
    <View style={styles.title}>
      <Text size="title">{title}</Text>
      <Text size="small" tone="soft">
        {note}
      </Text>
    </View>
    <Button mode="outlined" onPress={printPage}>
      Print
    </Button>
  </View>
);

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: 12, padding: 16, flexWrap: 'wrap' },
  title: { flex: 1, minWidth: 160 },
});
