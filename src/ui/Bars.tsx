import { startTransition, useState, type ComponentProps, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BarsChart, SpentChart } from './charts';
import { lazyScreen } from './lazyScreen';

const Chart = lazyScreen(async () => (await import('./charts')).BarsChart);
const OverTime = lazyScreen(async () => (await import('./charts')).SpentChart);

/** Sums of money as bars, as wide as there is room; its code is fetched when it is first drawn. */
export const Bars = (props: Omit<ComponentProps<typeof BarsChart>, 'width'>) => (
  <AsWide>{(width) => <Chart {...props} width={width} />}</AsWide>
);

/** Money over time, as wide as there is room. */
export const SpentLine = (props: Omit<ComponentProps<typeof SpentChart>, 'width'>) => (
  <AsWide>{(width) => <OverTime {...props} width={width} />}</AsWide>
);

const AsWide = ({ children }: { children: (width: number) => ReactNode }) => {
  const [width, setWidth] = useState(0);
  return (
    <View
      style={styles.bars}
      testID="chart"
      // Drawn between what is touched, not before it.
      onLayout={({ nativeEvent }) => startTransition(() => setWidth(nativeEvent.layout.width))}
    >
      {width > 0 ? children(width) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  bars: { marginHorizontal: 16, minHeight: 190, maxWidth: 780, marginBottom: 10 },
});
