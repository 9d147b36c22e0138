import { StyleSheet, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';
import { decimals, formatMoney } from '@/core/units';
import { FONTS, useColors } from '../theme';
import { Legend } from '../Legend';
import { LABEL_WIDTH, moneyAxis, targetLine } from './moneyAxis';
import { niceSteps } from './niceSteps';

/** One bar: what it stands for, under it a letter, and what it is made of, from the foot up. */
export interface Bar {
  letter: string;
  name: string;
  isStrong: boolean;
  /** In minor units; null: not known yet. */
  sum: number | null;
  stacks: { sum: number; color: string }[];
  /** It belongs with the next: they stand close. */
  isPaired?: boolean;
}

const HEIGHT = 132;

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
  const colors = useColors();
  const main = (sum: number) => sum / 10 ** decimals(currency);
  const inner = width - LABEL_WIDTH - 8;
  const groups = bars.filter(({ isPaired }) => !isPaired).length;
  const room = inner / Math.max(4, groups);
  const inGroup = bars.length > groups ? 2 : 1;
  const barWidth = Math.min(56, (room * 0.7) / inGroup);
  const most = Math.max(target ?? 0, ...bars.map(({ sum }) => sum ?? 0)) * 1.08 || 1;
  const steps = niceSteps(main(most), 5);
  const data = bars.map(({ stacks, letter, isStrong, isPaired }) => ({
    ...(isPaired ? { spacing: 1 } : {}),
    stacks:
      stacks.length > 0
        ? stacks.map(({ sum, color }) => ({ value: main(sum), color }))
        : [{ value: 0, color: colors.hairline }],
    label: letter,
    labelTextStyle: {
      color: colors.ink,
      fontSize: 15,
      fontFamily: isStrong ? FONTS.bold : FONTS.regular,
      textAlign: 'center' as const,
    },
  }));
  const words = bars
    .filter(({ name }) => name !== '')
    .map(
      ({ letter, name, sum }) =>
        `${letter}, ${name}: ${sum === null ? 'not planned yet' : formatMoney(sum, currency)}`,
    );
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
          spacing={room - barWidth * inGroup}
          initialSpacing={(room - barWidth * inGroup) / 2}
          endSpacing={0}
          {...moneyAxis(colors, currency, steps)}
          {...targetLine(target === null ? null : main(target), colors.ink, inner)}
        />
      </View>
      <View style={styles.legend}>
        <Legend entries={legend} target={target} currency={currency} />
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  chart: { paddingTop: 6 },
  legend: { paddingLeft: LABEL_WIDTH },
});
