import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { formatDay, formatTag, MICROS } from '@/core/units';
import { FONTS, useColors } from '../theme';
import { Text } from '../Text';

/** What a thing cost at a store over time. */
export interface StoreSeries {
  store: string;
  /** Oldest first, in millionths. */
  points: { date: string; unitPrice: number }[];
}

/** So many days on which something was seen are drawn: the newest. */
const MAX_DAYS = 24;
const HEIGHT = 170;

/** Prices by store over time, stepped: a price holds until another is seen. */
export const HistoryChart = ({
  series,
  currency,
  width,
}: {
  series: StoreSeries[];
  currency: string;
  width: number;
}) => {
  const colors = useColors();
  const days = [...new Set(series.flatMap(({ points }) => points.map(({ date }) => date)))]
    .sort()
    .slice(-MAX_DAYS);
  const lines = [
    { color: colors.spruce, dash: undefined },
    { color: colors.ink, dash: [6, 4] },
    { color: colors.red, dash: [2, 3] },
    { color: colors.soft, dash: [10, 4] },
  ];
  const values = series.flatMap(({ points }) => points.map(({ unitPrice }) => unitPrice / MICROS));
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const room = Math.max((most - least) * 0.15, most * 0.02);
  const floor = Math.max(0, least - room);
  const drawn = series.map(({ points }, index) => ({
    ...(lines[index % lines.length] as (typeof lines)[number]),
    data: days.map((day) => ({ value: heldOn(points, day) - floor })),
    start: days.findIndex((day) => points.some(({ date }) => date <= day)),
  }));
  const inner = width - 62;
  const spacing = days.length > 1 ? (inner - 12) / (days.length - 1) : inner;
  const summary = series
    .map(
      ({ store, points }) =>
        `${store} ${points.map(({ date, unitPrice }) => `${formatTag(unitPrice, currency)} on ${formatDay(date)}`).join(', ')}`,
    )
    .join('; ');
  return (
    <View role="img" aria-label={`Prices over time: ${summary}`}>
      <LineChart
        dataSet={drawn.map(({ data, color, dash, start }) => ({
          data,
          color,
          thickness: 2.5,
          stepChart: true,
          startIndex: Math.max(0, start),
          dataPointsColor: color,
          dataPointsRadius: 3.5,
          ...(dash ? { strokeDashArray: dash } : {}),
        }))}
        stepChart
        height={HEIGHT}
        width={inner}
        spacing={spacing}
        initialSpacing={6}
        endSpacing={6}
        maxValue={most + room - floor}
        noOfSections={3}
        formatYLabel={(label: string) =>
          formatTag(Math.round((Number(label) + floor) * 100) * 10_000, currency)
        }
        yAxisLabelWidth={56}
        yAxisTextStyle={{ color: colors.soft, fontSize: 13, fontFamily: FONTS.regular }}
        yAxisColor={colors.hairline}
        xAxisColor={colors.hairline}
        rulesColor={colors.hairline}
        rulesType="solid"
        disableScroll
        isAnimated={false}
      />
      <View style={[styles.days, { width: inner }]}>
        <Text size="small" tone="soft">
          {formatDay(days[0] ?? '')}
        </Text>
        {days.length > 1 ? (
          <Text size="small" tone="soft">
            {formatDay(days[days.length - 1] ?? '')}
          </Text>
        ) : null}
      </View>
      <View style={styles.legend}>
        {series.map(({ store }, index) => {
          const { color, dash } = lines[index % lines.length] as (typeof lines)[number];
          return (
            <View key={store} style={styles.entry}>
              <View style={[styles.mark, { borderColor: color, borderStyle: dash ? 'dashed' : 'solid' }]} />
              <Text size="small">{store}</Text>
            </View>
          );
        })}
      </View>
    </View>
  );
};

/** The price that held on a day; before the first, the first. */
const heldOn = (points: StoreSeries['points'], day: string): number =>
  ((points.findLast(({ date }) => date <= day) ?? points[0])?.unitPrice ?? 0) / MICROS;

const styles = StyleSheet.create({
  days: { flexDirection: 'row', justifyContent: 'space-between', marginLeft: 58 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, marginTop: 6 },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  mark: { width: 22, borderTopWidth: 3 },
});
