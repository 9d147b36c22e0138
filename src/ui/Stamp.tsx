import { StyleSheet, View } from 'react-native';
import { useInk } from './theme';
import { Words } from './Words';

/** A fact that was earned, stamped a little askew. Sparingly. */
export const Stamp = ({ text, tone = 'good' }: { text: string; tone?: 'good' | 'plain' | 'bad' }) => {
  const ink = useInk();
  const color = { good: ink.spruce, plain: ink.soft, bad: ink.red }[tone];
  return (
    <View style={[styles.stamp, { borderColor: color }]}>
      <Words size="small" style={{ color, fontFamily: 'PlexBold' }}>
        {text}
      </Words>
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
