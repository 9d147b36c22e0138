import { StyleSheet, View } from 'react-native';
import type { PriceOutlier } from '@/core/pricing';
import { formatTag } from '@/core/units';
import { Button, Text, useColors } from '@/ui';

/** What is said of a thing at the shelf with one touch. */
export const QuickAnswers = ({
  last,
  isKnown,
  onSame,
  onOut,
  onPass,
  onNext,
}: {
  /** The price of last time, in words. */
  last: string | null;
  isKnown: boolean;
  onSame: () => void;
  onOut: () => void;
  onPass: () => void;
  onNext: (() => void) | null;
}) => {
  const colors = useColors();
  return (
    <View style={[styles.quick, { borderColor: colors.hairline }]}>
      {last ? (
        <Button mode="outlined" compact onPress={onSame} accessibilityLabel={`Same as last time, ${last}`}>
          Same as last
        </Button>
      ) : null}
      {isKnown ? (
        <Button mode="outlined" compact onPress={onOut}>
          Out of stock
        </Button>
      ) : null}
      <Button mode="outlined" compact onPress={onPass}>
        {isKnown ? 'Pass' : 'Not here'}
      </Button>
      {onNext ? (
        <Button mode="contained" onPress={onNext}>
          Next
        </Button>
      ) : null}
    </View>
  );
};

/** A price far off what was seen before is asked about. */
export const OutlierAlert = ({
  outlier,
  sold,
  currency,
  onYes,
  onAgain,
}: {
  outlier: PriceOutlier;
  sold: string;
  currency: string;
  onYes: () => void;
  onAgain: () => void;
}) => {
  const colors = useColors();
  return (
    <View style={[styles.doubt, { borderColor: colors.red }]} role="alert">
      <Text>
        Really {sold}? {outlier.against === 'last' ? 'The last was' : 'By its neighbours it would be about'}{' '}
        {formatTag(Math.round(outlier.expected / 10_000) * 10_000, currency)}.
      </Text>
      <View style={styles.line}>
        <Button mode="contained" onPress={onYes}>
          Yes, it is
        </Button>
        <Button mode="outlined" onPress={onAgain}>
          Type it again
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: 10, alignItems: 'flex-start', flexWrap: 'wrap' },
  doubt: { borderLeftWidth: 3, paddingLeft: 12, gap: 8 },
  quick: {
    flexDirection: 'row',
    gap: 8,
    padding: 8,
    paddingHorizontal: 16,
    borderTopWidth: 1,
    flexWrap: 'wrap',
  },
});
