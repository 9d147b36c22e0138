import { StyleSheet, View } from 'react-native';
import { saveEverything, today } from '@/hooks';
import { Button, Text } from '@/ui';

/** Saves all that Billet keeps as one file, which the projects page opens again. */
export const SaveEverything = () => (
  <View style={styles.all}>
    <Button
      mode="outlined"
      onPress={() => void saveEverything(`billet-everything-${today()}.json`)}
      style={styles.button}
    >
      Save everything to a file
    </Button>
    <Text size="small" tone="soft">
      Projects, prices, rack and tools in one file. “Open a file” on the projects page takes it in again, here
      or in another browser.
    </Text>
  </View>
);

const styles = StyleSheet.create({
  all: { gap: 8 },
  button: { alignSelf: 'flex-start' },
});
