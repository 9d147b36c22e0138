import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { SAW_HAZARDS, type SawHazard } from '@/core/sawing';
import { isLike, keepDraft, useDraft } from '@/hooks';
import { Button, Text, useColors } from '@/ui';

interface Known {
  known: string[];
}
const isKnown = isLike<Known>({ known: [] });
const PLACE = 'saw-hazards';

/** What to mind at the cut that is next, each until it is known; the saw's own manual comes first. */
export const Hazards = ({ hazards }: { hazards: SawHazard[] }) => {
  const colors = useColors();
  const kept = useDraft(PLACE, isKnown);
  const [known, setKnown] = useState<string[]>(kept?.known ?? []);
  const told = hazards.filter((hazard) => !known.includes(hazard));
  const know = (hazard: SawHazard) => {
    const next = [...known, hazard];
    setKnown(next);
    keepDraft(PLACE, { known: next });
  };
  return told.map((hazard) => {
    const { title, sentence } = SAW_HAZARDS[hazard];
    return (
      <View key={hazard} role="note" style={[styles.hazard, { borderColor: colors.red }]}>
        <Text size="small" style={styles.words}>
          <Text size="small" tone="bad">{`${title}. `}</Text>
          {sentence}
        </Text>
        <Button mode="text" compact onPress={() => know(hazard)} accessibilityLabel={`${title}: I know that`}>
          I know that
        </Button>
      </View>
    );
  });
};

const styles = StyleSheet.create({
  hazard: { flexDirection: 'row', alignItems: 'center', gap: 8, borderLeftWidth: 3, paddingLeft: 10 },
  words: { flex: 1 },
});
