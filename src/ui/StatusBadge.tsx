import { StyleSheet, View } from 'react-native';
import { useColors } from './theme';
import { Text } from './Text';

/** A fact that was earned, stamped a little askew. Sparingly. */
export const StatusBadge = ({ text, tone = 'good' }: { text: string; tone?: 'good' | 'plain' | 'bad' }) => {
  const colors = useColors();
  const color = { good: colors.spruce, plain: colors.soft, bad: colors.red }[tone];
  return (
    <View style={[styles.stamp, { borderColor: color }]}>
      <Text size="small" style={{ color, fontFamily: 'PlexBold' }}>
        {text}
      </Text>
    </View>
  );
};

const styles = StyleSheet.create({
  stamp: {
    borderWidth: 2,
    paddingHorizontal: 8,
    paddingVertical: 1,
    transform: [{ rotate: '-2deg' }],
    alignSelf: 'center',
  },
});
