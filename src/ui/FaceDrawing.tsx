import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColors } from './theme';

interface Props {
  /** The rectangle that it is cut from, in any unit. */
  length: number;
  width: number;
  /** Its outline from the lower left corner, and its holes. */
  outline: [x: number, y: number][];
  holes: { x: number; y: number; diameter: number }[];
  color: string;
  /** Measures as they are read. */
  say: (length: number) => string;
  label: string;
}

/** The most of the screen that it takes. */
const MAX_HEIGHT = 170;
const MARGIN = 26;

/** The face of a part, to scale in the rectangle that it is cut from, with its measures. */
export const FaceDrawing = ({ length, width, outline, holes, color, say, label }: Props) => {
  const colors = useColors();
  const [screen, setScreen] = useState(320);
  const scale = Math.min((screen - MARGIN - 2) / length, MAX_HEIGHT / width);
  const [wide, high] = [length * scale, width * scale];
  const X = (x: number) => MARGIN + x * scale;
  // Drawings count downwards.
  const Y = (y: number) => 1 + high - y * scale;
  return (
    <View
      style={styles.frame}
      onLayout={({ nativeEvent }) => setScreen(Math.max(120, nativeEvent.layout.width))}
    >
      <Svg width={MARGIN + wide + 2} height={high + 24} role="img" aria-label={label}>
        <Rect
          x={X(0)}
          y={Y(width)}
          width={wide}
          height={high}
          fill="none"
          stroke={colors.soft}
          strokeDasharray="4 3"
        />
        <Polygon
          points={outline.map(([x, y]) => `${X(x)},${Y(y)}`).join(' ')}
          fill={color}
          stroke={colors.onWood}
          strokeWidth={1.2}
        />
        {holes.map(({ x, y, diameter }, index) => (
          <Circle
            key={index}
            cx={X(x)}
            cy={Y(y)}
            r={(diameter / 2) * scale}
            fill={colors.card}
            stroke={colors.onWood}
          />
        ))}
        <Line x1={X(0)} x2={X(length)} y1={high + 6} y2={high + 6} stroke={colors.soft} />
        <SvgText
          x={X(length / 2)}
          y={high + 20}
          fontSize={13}
          fontFamily={FONTS.regular}
          fill={colors.soft}
          textAnchor="middle"
        >
          {say(length)}
        </SvgText>
        <SvgText
          x={14}
          y={1 + high / 2}
          transform={`rotate(-90 14 ${1 + high / 2})`}
          fontSize={13}
          fontFamily={FONTS.regular}
          fill={colors.soft}
          textAnchor="middle"
        >
          {say(width)}
        </SvgText>
      </Svg>
    </View>
  );
};

const styles = StyleSheet.create({ frame: { width: '100%' } });
