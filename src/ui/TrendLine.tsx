import Svg, { Circle, Polyline } from 'react-native-svg';
import { useColors } from './theme';

const WIDTH = 44;
const HEIGHT = 18;

/** How a price moved, small: a stepped line that ends in a dot. Values are oldest first. */
export const TrendLine = ({ values, label }: { values: number[]; label: string }) => {
  const colors = useColors();
  const least = Math.min(...values);
  const span = Math.max(...values) - least;
  const x = (index: number) => 3 + (index / Math.max(1, values.length - 1)) * (WIDTH - 6);
  const y = (value: number) =>
    span === 0 ? HEIGHT / 2 : HEIGHT - 3 - ((value - least) / span) * (HEIGHT - 6);
  const steps = values.flatMap((value, index) => {
    const before = values[index - 1];
    return before === undefined
      ? [[x(0), y(value)]]
      : [
          [x(index), y(before)],
          [x(index), y(value)],
        ];
  });
  const last = values[values.length - 1] ?? 0;
  return (
    <Svg width={WIDTH} height={HEIGHT} role="img" aria-label={label}>
      <Polyline
        points={steps.map((at) => at.join(',')).join(' ')}
        fill="none"
        stroke={colors.soft}
        strokeWidth={1.5}
      />
      <Circle cx={x(values.length - 1)} cy={y(last)} r={2.5} fill={colors.ink} />
    </Svg>
  );
};
