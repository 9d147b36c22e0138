import { startTransition, useState, type ComponentProps } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BarsChart } from './charts';
import { later } from './later';

const Chart = later(async () => (await import('./charts')).BarsChart);

/** Sums of money as bars, as wide as there is room; its code is fetched when it is first drawn. */
export const Bars = (props: Omit<ComponentProps<typeof BarsChart>, 'width'>) => {
  const [width, setWidth] = useState(0);
  return (
    <View
      style={styles.bars}
      // Drawn between what is touched, not before it.
      onLayout={({ nativeEvent }) => startTransition(() => setWidth(nativeEvent.layout.width))}
    >
      {width > 0 ? <Chart {...props} width={width} /> : null}
    </View>
  );
};

const styles = StyleSheet.create({
  bars: { marginHorizontal: 16, minHeight: 190, maxWidth: 780, marginBottom: 10 },
});
