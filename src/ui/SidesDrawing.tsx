import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Line, Polygon, Text as SvgText } from 'react-native-svg';
import type { View as Side } from '@/core/takeoff';
import { FONTS, useColors } from './theme';

interface Props {
  views: Side[];
  /** The wood colour and the letter of each part, by role; what has neither is drawn as paper. */
  colorOf: (role: string) => string | null;
  letterOf: (role: string) => string;
  /** Measures as they are read. */
  say: (ticks: number) => string;
  /** The most it may take of the screen. */
  height: number;
  label: string;
}

/** Room for the measures around a view. */
const MARGIN = 34;
const HEAD = 16;

interface Bounds {
  left: number;
  bottom: number;
  wide: number;
  high: number;
}

const boundsOf = ({ shapes, dimensions }: Side): Bounds => {
  const corners = [
    ...shapes.flatMap((shape) => shape.corners),
    ...dimensions.flatMap(({ from, to }) => [from, to]),
  ];
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  return {
    left,
    bottom,
    wide: Math.max(1, Math.max(...xs) - left),
    high: Math.max(1, Math.max(...ys) - bottom),
  };
};

/** A thing from its sides, to one scale, with its measures: what a helper makes of its answers. */
export const SidesDrawing = ({ views, colorOf, letterOf, say, height, label }: Props) => {
  const [width, setWidth] = useState(358);
  const bounds = views.map(boundsOf);
  const sum = (values: number[]) => values.reduce((total, value) => total + value, 0);
  // Side by side or one over the other: as it comes out larger.
  const inRow = Math.min(
    (width - views.length * 2 * MARGIN) / sum(bounds.map(({ wide }) => wide)),
    (height - 2 * MARGIN - HEAD) / Math.max(...bounds.map(({ high }) => high)),
  );
  const inColumn = Math.min(
    (width - 2 * MARGIN) / Math.max(...bounds.map(({ wide }) => wide)),
    (height - views.length * (2 * MARGIN + HEAD)) / sum(bounds.map(({ high }) => high)),
  );
  const scale = Math.max(inRow, inColumn, 1e-7);
  return (
    <View
      style={[styles.views, { flexDirection: inRow >= inColumn ? 'row' : 'column' }]}
      onLayout={({ nativeEvent }) => setWidth(Math.max(160, nativeEvent.layout.width))}
      role="img"
      aria-label={label}
    >
      {views.map((side, index) => (
        <OneSide
          key={side.title}
          side={side}
          bounds={bounds[index] as Bounds}
          scale={scale}
          colorOf={colorOf}
          letterOf={letterOf}
          say={say}
        />
      ))}
    </View>
  );
};

/** A view as a small picture, without letters or measures: what a thing is, at a glance. */
export const SidePicture = ({
  side,
  colorOf,
  width,
  height,
}: Pick<Props, 'colorOf'> & { side: Side; width: number; height: number }) => {
  const colors = useColors();
  const { left, bottom, wide, high } = boundsOf({ ...side, dimensions: [] });
  const scale = Math.min((width - 4) / wide, (height - 4) / high);
  const X = (x: number) => (width - wide * scale) / 2 + (x - left) * scale;
  const Y = (y: number) => height - 2 - (y - bottom) * scale;
  return (
    <Svg width={width} height={height} aria-hidden>
      {behindFirst(side.shapes).map(({ role, corners, behind }, index) => (
        <Polygon
          key={index}
          points={corners.map(([x, y]) => `${X(x)},${Y(y)}`).join(' ')}
          fill={colorOf(role) ?? colors.paper}
          fillOpacity={behind ? 0.55 : 1}
          stroke={colorOf(role) ? colors.onWood : colors.soft}
          strokeWidth={0.6}
        />
      ))}
    </Svg>
  );
};

const behindFirst = (shapes: Side['shapes']): Side['shapes'] =>
  [...shapes].sort((a, b) => Number(b.behind ?? false) - Number(a.behind ?? false));

const OneSide = ({
  side,
  bounds,
  scale,
  colorOf,
  letterOf,
  say,
}: Pick<Props, 'colorOf' | 'letterOf' | 'say'> & { side: Side; bounds: Bounds; scale: number }) => {
  const colors = useColors();
  const X = (x: number) => MARGIN + (x - bounds.left) * scale;
  const Y = (y: number) => HEAD + MARGIN + (bounds.high - (y - bounds.bottom)) * scale;
  const named = new Set<string>();
  const shapes = behindFirst(side.shapes);
  const lettered = shapes.flatMap((shape) => {
    const xs = shape.corners.map(([x]) => X(x));
    const ys = shape.corners.map(([, y]) => Y(y));
    const [wide, high] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
    const letter = letterOf(shape.role);
    if (letter === '' || named.has(shape.role)) return [];
    named.add(shape.role);
    const middle = (values: number[]) => values.reduce((total, value) => total + value, 0) / values.length;
    return [{ letter, isTag: Math.min(wide, high) < 13, x: middle(xs), y: middle(ys) }];
  });
  return (
    <Svg width={bounds.wide * scale + 2 * MARGIN} height={bounds.high * scale + 2 * MARGIN + HEAD}>
      <SvgText x={MARGIN} y={13} fill={colors.soft} fontSize={13} fontFamily={FONTS.regular}>
        {side.title}
      </SvgText>
      {shapes.map((shape, index) => {
        const color = colorOf(shape.role);
        return (
          <Polygon
            key={index}
            points={shape.corners.map(([x, y]) => `${X(x)},${Y(y)}`).join(' ')}
            fill={color ?? colors.card}
            fillOpacity={shape.behind ? 0.55 : 1}
            stroke={color ? colors.onWood : colors.soft}
            strokeWidth={shape.behind ? 0.6 : 1}
            strokeDasharray={color ? undefined : '4 3'}
          />
        );
      })}
      {lettered.map(({ letter, isTag, x, y }) => (
        <G key={letter}>
          {isTag ? (
            <Circle cx={x} cy={y} r={7.5} fill={colors.card} stroke={colors.soft} strokeWidth={0.8} />
          ) : null}
          <SvgText
            x={x}
            y={y + 4}
            fill={isTag ? colors.ink : colors.onWood}
            fontSize={isTag ? 10.5 : 12}
            fontFamily={FONTS.bold}
            textAnchor="middle"
          >
            {letter}
          </SvgText>
        </G>
      ))}
      {side.dimensions.map(({ from, to, ticks, side: at }, index) => {
        const lies = at === 'below' || at === 'above';
        const away = at === 'below' || at === 'right' ? 12 : -12;
        const [x1, y1, x2, y2] = lies
          ? [X(from[0]), Y(from[1]) + away, X(to[0]), Y(to[1]) + away]
          : [X(from[0]) + away, Y(from[1]), X(to[0]) + away, Y(to[1])];
        const tick = lies ? { x: 0, y: 4 } : { x: 4, y: 0 };
        const [x, y] = [(x1 + x2) / 2, (y1 + y2) / 2];
        return (
          <G key={index}>
            <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={colors.soft} />
            {[
              [x1, y1],
              [x2, y2],
            ].map(([endX = 0, endY = 0], end) => (
              <Line
                key={end}
                x1={endX - tick.x}
                y1={endY - tick.y}
                x2={endX + tick.x}
                y2={endY + tick.y}
                stroke={colors.soft}
              />
            ))}
            <SvgText
              x={lies ? x : x + (away > 0 ? 13 : -5)}
              y={lies ? y + (away > 0 ? 15 : -5) : y}
              fill={colors.ink}
              fontSize={13}
              fontFamily={FONTS.regular}
              textAnchor="middle"
              transform={lies ? undefined : `rotate(-90 ${x + (away > 0 ? 13 : -5)} ${y})`}
            >
              {say(ticks)}
            </SvgText>
          </G>
        );
      })}
    </Svg>
  );
};

const styles = StyleSheet.create({
  views: { width: '100%', flexWrap: 'nowrap', justifyContent: 'center', alignItems: 'center' },
});
