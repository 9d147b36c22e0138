import { StyleSheet, View } from 'react-native';
import Svg, { Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import { useId } from 'react';
import { useColors } from './theme';
import { Icon } from './icons';
import { Text } from './Text';

interface Props {
  spent: number;
  toBuy: number;
  /** What is held back of what is still to buy. */
  reserve?: number;
  /** Null: no target is set. */
  target: number | null;
  format: (sum: number) => string;
  /** The sums lack something that has no price or cannot be made. */
  isIncomplete?: boolean;
  size?: 'full' | 'small';
}

/** How far past the target line the board is drawn, so that the line is seen as one. */
const MARGIN = 1.1;

/** What the whole width stands for. */
const scaleOf = (target: number | null, forecast: number): number =>
  Math.max((target ?? 0) * MARGIN, forecast, 1);

/**
 * Money as one board that is being used up: spent is solid, what is to buy hatched, what is held back hatched thinly,
 * what is left bare wood, the target a saw line across it. Over target the hatching runs past the line in red, and a word says so.
 */
export const MoneyStrip = ({
  spent,
  toBuy,
  reserve = 0,
  target,
  format,
  isIncomplete = false,
  size = 'full',
}: Props) => {
  const colors = useColors();
  const hatch = useId();
  const overHatch = useId();
  const heldHatch = useId();
  const total = spent + toBuy;
  const forecast = total + reserve;
  const left = target === null ? null : target - forecast;
  const isOver = forecast > (target ?? Infinity);
  const scale = scaleOf(target, forecast);
  const share = (sum: number) => `${Math.max(0, Math.min(100, (sum / scale) * 100))}%`;
  const isFull = size === 'full';
  const height = isFull ? 26 : 14;
  const bar = (from: number, sum: number, fill: string, stroke: string) =>
    sum > 0 ? (
      <Rect x={share(from)} y={4} width={share(sum)} height={height} fill={fill} stroke={stroke} />
    ) : null;
  const withinTarget = Math.min(total, target ?? total);
  return (
    <View>
      {isFull ? (
        <View style={styles.above}>
          <Text size="title" role="presentation">
            {format(total)}
          </Text>
          <Left left={left} target={target} format={format} />
        </View>
      ) : null}
      <Svg
        width="100%"
        height={height + 8}
        role="img"
        aria-label={sentence(spent, toBuy, reserve, left, format)}
      >
        <Defs>
          <Hatch id={hatch} step={8} color={colors.spruce} weight={2.2} />
          <Hatch id={overHatch} step={8} color={colors.red} weight={2.6} />
          <Hatch id={heldHatch} step={10} color={isOver ? colors.red : colors.soft} weight={1.2} />
        </Defs>
        <Rect
          x={0}
          y={4}
          width={share(target ?? scale)}
          height={height}
          fill={colors.wood.softwood}
          fillOpacity={0.45}
        />
        <Rect x={0} y={4} width={share(withinTarget)} height={height} fill={colors.wood.softwood} />
        <Rect x={0} y={4} width={share(withinTarget)} height={height} fill={`url(#${hatch})`} />
        {bar(total, reserve, `url(#${heldHatch})`, colors.soft)}
        {bar(target ?? total, target === null ? 0 : total - target, `url(#${overHatch})`, colors.red)}
        <Rect
          x={0}
          y={4}
          width={share(spent)}
          height={height}
          fill={spent > (target ?? spent) ? colors.red : colors.spruce}
        />
        <Rect
          x={0}
          y={4}
          width={share(target ?? scale)}
          height={height}
          fill="none"
          stroke={colors.soft}
          strokeWidth={1}
        />
        {target === null ? null : (
          <Line
            x1={share(target)}
            x2={share(target)}
            y1={0}
            y2={height + 8}
            stroke={colors.ink}
            strokeWidth={2.5}
          />
        )}
      </Svg>
      <View style={styles.sums}>
        <Sum mark="solid" word="spent" sum={format(spent)} />
        <Sum mark="hatched" word={isIncomplete ? 'to buy, so far' : 'to buy'} sum={format(toBuy)} />
        {reserve > 0 ? <Sum mark="bare" word="held back" sum={format(reserve)} /> : null}
        {isFull ? null : <Left left={left} target={null} format={format} />}
      </View>
    </View>
  );
};

/** What the target leaves, or by how much it is passed: by word, mark and colour. */
const Left = ({
  left,
  target,
  format,
}: {
  left: number | null;
  target: number | null;
  format: (sum: number) => string;
}) => {
  const colors = useColors();
  if (left === null)
    return (
      <Text size="small" tone="soft">
        no target
      </Text>
    );
  const of = target === null ? '' : ` of ${format(target)}`;
  if (left >= 0) return <Sum mark="bare" word={`left${of}`} sum={format(left)} />;
  return (
    <View style={styles.sum}>
      <Icon name="warning" size={16} color={colors.red} />
      <Text size="small" tone="bad" style={styles.over}>
        {format(-left)} over target{target === null ? '' : ` ${format(target)}`}
      </Text>
    </View>
  );
};

const sentence = (
  spent: number,
  toBuy: number,
  reserve: number,
  left: number | null,
  format: (sum: number) => string,
): string =>
  `${format(spent)} spent, ${format(toBuy)} to buy${reserve > 0 ? `, ${format(reserve)} held back` : ''}${left === null ? '' : left < 0 ? `, ${format(-left)} over target` : `, ${format(left)} left of the target`}`;

/** A pencil's hatching, to fill a shape with by `url(#id)`. */
const Hatch = ({ id, step, color, weight }: { id: string; step: number; color: string; weight: number }) => {
  const quarter = step / 4;
  const stroke = `M${-quarter} ${quarter} L${quarter} ${-quarter} M0 ${step} L${step} 0 M${step - quarter} ${step + quarter} L${step + quarter} ${step - quarter}`;
  return (
    <Pattern id={id} patternUnits="userSpaceOnUse" width={step} height={step}>
      <Path d={stroke} stroke={color} strokeWidth={weight} />
    </Pattern>
  );
};

const Sum = ({ mark, word, sum }: { mark: 'solid' | 'hatched' | 'bare'; word: string; sum: string }) => {
  const colors = useColors();
  const hatch = useId();
  return (
    <View style={styles.sum}>
      <Svg width={12} height={12} aria-hidden>
        <Defs>
          <Hatch id={hatch} step={5} color={colors.spruce} weight={1.6} />
        </Defs>
        <Rect
          x={0.5}
          y={0.5}
          width={11}
          height={11}
          fill={mark === 'solid' ? colors.spruce : colors.wood.softwood}
          fillOpacity={mark === 'bare' ? 0.45 : 1}
          stroke={colors.soft}
        />
        {mark === 'hatched' ? <Rect x={0.5} y={0.5} width={11} height={11} fill={`url(#${hatch})`} /> : null}
      </Svg>
      <Text size="small">
        {sum} {word}
      </Text>
    </View>
  );
};

const styles = StyleSheet.create({
  above: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    flexWrap: 'wrap',
    columnGap: 12,
  },
  sums: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 2, marginTop: 2 },
  sum: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  over: { fontFamily: 'PlexBold' },
});
