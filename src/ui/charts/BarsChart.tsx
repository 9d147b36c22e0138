import { StyleSheet, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';
import { decimals, formatMoney, formatWhole } from '@/core/measure';
import { FONTS, useInk } from '../theme';
import { Words } from '../Words';

/** One bar: what it stands for, under it a letter, and what it is made of, from the foot up. */
export interface Bar {
  letter: string;
  name: string;
  isStrong: boolean;
  /** In minor units; null: not known yet. */
  sum: number | null;
  stacks: { sum: number; color: string }[];
}

const HEIGHT = 132;
const LABEL_WIDTH = 52;

/** Sums of money as bars against the target line, with a legend of their colours. */
export const BarsChart = ({
  about,
  bars,
  legend,
  currency,
  target,
  width,
}: {
  /** What the sums are, for those who do not see it: `At the till`. */
  about: string;
  bars: Bar[];
  legend: { color: string; word: string }[];
  currency: string;
  target: number | null;
  width: number;
}) => {
  const ink = useInk();
  const main = (sum: number) => sum / 10 ** decimals(currency);
  const inner = width - LABEL_WIDTH - 8;
  const room = inner / Math.max(4, bars.length);
  const barWidth = Math.min(56, room * 0.66);
  const most = Math.max(target ?? 0, ...bars.map(({ sum }) => sum ?? 0)) * 1.08 || 1;
  const step = niceStep(main(most) / 5);
  const sections = Math.ceil(main(most) / step);
  const data = bars.map(({ stacks, letter, isStrong }) => ({
    stacks:
      stacks.length > 0
        ? stacks.map(({ sum, color }) => ({ value: main(sum), color }))
        : [{ value: 0, color: ink.hairline }],
    label: letter,
    labelTextStyle: {
      color: ink.ink,
      fontSize: 15,
      fontFamily: isStrong ? FONTS.bold : FONTS.regular,
      textAlign: 'center' as const,
    },
  }));
  const words = bars.map(({ letter, name, sum }) => `${letter}, ${name}: ${sum === null ? 'not planned yet' : formatMoney(sum, currency)}`); // prettier-ignore
  return (
    <View
      role="img"
      aria-label={`${about}${target === null ? '' : `, target ${formatMoney(target, currency)}`}. ${words.join('; ')}.`}
    >
      <View style={styles.chart}>
        <BarChart
          stackData={data}
          height={HEIGHT}
          width={inner}
          barWidth={barWidth}
          spacing={room - barWidth}
          initialSpacing={(room - barWidth) / 2}
          endSpacing={0}
          maxValue={sections * step}
          noOfSections={sections}
          stepValue={step}
          formatYLabel={(label: string) =>
            formatWhole(Math.round(Number(label) * 10 ** decimals(currency)), currency)
          }
          yAxisLabelWidth={LABEL_WIDTH}
          yAxisTextStyle={{ color: ink.soft, fontSize: 13, fontFamily: FONTS.regular }}
          yAxisColor={ink.hairline}
          xAxisColor={ink.soft}
          rulesColor={ink.hairline}
          rulesType="solid"
          disableScroll
          isAnimated={false}
          {...(target === null
            ? {}
            : {
                showReferenceLine1: true,
                referenceLine1Position: main(target),
                referenceLine1Config: { color: ink.ink, thickness: 2.5, type: 'solid', width: inner },
              })}
        />
      </View>
      <View style={styles.legend}>
        {target === null ? null : (
          <View style={styles.entry}>
            <View style={[styles.line, { backgroundColor: ink.ink }]} />
            <Words size="small">your target, {formatWhole(target, currency)}</Words>
          </View>
        )}
        {legend.map(({ color, word }) => (
          <View key={word} style={styles.entry}>
            <View style={[styles.swatch, { backgroundColor: color, borderColor: ink.soft }]} />
            <Words size="small">{word}</Words>
          </View>
        ))}
      </View>
    </View>
  );
};

/** A step of 1, 2 or 5 by a power of ten that is no less than asked. */
const niceStep = (least: number): number => {
  const power = 10 ** Math.floor(Math.log10(Math.max(least, 1e-9)));
  return power * ([1, 2, 5, 10].find((factor) => factor * power >= least) ?? 10);
};

const styles = StyleSheet.create({
  chart: { paddingTop: 6 },
  legend: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    columnGap: 14,
    rowGap: 2,
    paddingLeft: LABEL_WIDTH,
    marginTop: 2,
  },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  swatch: { width: 12, height: 12, borderWidth: 1 },
  line: { width: 22, height: 2.5 },
});
