import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import type { DayMoney } from '@/core/budget';
import { decimals, formatDay, formatMoney, formatWhole, type Minor } from '@/core/units';
import { useColors } from '../theme';
import { Text } from '../Text';
import { LABEL_WIDTH, moneyAxis, targetLine } from './moneyAxis';
import { niceSteps } from './niceSteps';

const HEIGHT = 168;

/** What was spent, day by day, against the target line, and what is forecast. */
export const SpentChart = ({
  days,
  target,
  currency,
  width,
}: {
  days: DayMoney[];
  target: Minor | null;
  currency: string;
  width: number;
}) => {
  const colors = useColors();
  const main = (sum: number) => sum / 10 ** decimals(currency);
  const inner = width - LABEL_WIDTH - 10;
  const sums = days.flatMap(({ spent, forecast }) => [spent ?? 0, forecast ?? 0]);
  const steps = niceSteps(main(Math.max(target ?? 0, ...sums) * 1.08 || 1), 4);
  const now = days.findLastIndex(({ spent }) => spent !== null);
  const today = days[now];
  const end = days.at(-1);
  const money = (sum: number | null | undefined) => formatMoney(sum ?? 0, currency);
  const data = (of: (day: DayMoney) => number | null) => days.map((day) => ({ value: main(of(day) ?? 0) }));
  const isToCome = now < days.length - 1;
  const place = now / Math.max(1, days.length - 1);
  // Where there is room for it between the first day and the last.
  const isTodayApart = place > 0.32 && place < 0.68;
  return (
    <View
      role="img"
      aria-label={[
        `Spent over time: ${money(today?.spent)} by ${formatDay(today?.date ?? '')}`,
        `${money(end?.forecast)} when it is done`,
        ...(target === null ? [] : [`target ${money(target)}`]),
      ].join(', ')}
    >
      <LineChart
        dataSet={[
          {
            data: data(({ spent }) => spent),
            color: colors.spruce,
            thickness: 3.5,
            startIndex: 0,
            endIndex: now,
            hideDataPoints: true,
          },
          ...(isToCome
            ? [
                {
                  data: data(({ forecast }) => forecast),
                  color: colors.ink,
                  thickness: 2,
                  startIndex: now,
                  strokeDashArray: [5, 5],
                  hideDataPoints: true,
                },
              ]
            : []),
        ]}
        height={HEIGHT}
        width={inner}
        spacing={days.length > 1 ? (inner - 10) / (days.length - 1) : inner}
        initialSpacing={4}
        endSpacing={4}
        {...moneyAxis(colors, currency, steps)}
        {...targetLine(target === null ? null : main(target), colors.red, inner)}
      />
      <View style={[styles.days, { width: inner }]}>
        <Text size="small" tone="soft">
          {now === 0 ? 'today' : formatDay(days[0]?.date ?? '')}
        </Text>
        {isTodayApart ? (
          <Text size="small" tone="soft" align="center" style={[styles.today, { left: `${place * 100}%` }]}>
            today
          </Text>
        ) : null}
        {days.length > 1 ? (
          <Text size="small" tone="soft">
            {isToCome ? formatDay(end?.date ?? '') : 'today'}
          </Text>
        ) : null}
      </View>
      <Legend isToCome={isToCome} target={target} currency={currency} />
    </View>
  );
};

const Legend = ({
  isToCome,
  target,
  currency,
}: {
  isToCome: boolean;
  target: Minor | null;
  currency: string;
}) => {
  const colors = useColors();
  return (
    <View style={styles.legend}>
      <Mark color={colors.spruce} word="spent" />
      {isToCome ? <Mark color={colors.ink} word="forecast" isDashed /> : null}
      {target === null ? null : (
        <Mark color={colors.red} word={`your target, ${formatWhole(target, currency)}`} />
      )}
    </View>
  );
};

const Mark = ({ color, word, isDashed = false }: { color: string; word: string; isDashed?: boolean }) => (
  <View style={styles.entry}>
    <View style={[styles.mark, { borderColor: color, borderStyle: isDashed ? 'dashed' : 'solid' }]} />
    <Text size="small">{word}</Text>
  </View>
);

const styles = StyleSheet.create({
  days: { flexDirection: 'row', justifyContent: 'space-between', marginLeft: LABEL_WIDTH },
  today: { position: 'absolute', width: 60, marginLeft: -30 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, marginTop: 6, paddingLeft: LABEL_WIDTH },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  mark: { width: 22, borderTopWidth: 3 },
});
