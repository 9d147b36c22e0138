import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import Svg, { G, Path, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColors } from './theme';

/** A piece to draw: its corners in board coordinates, and what is written on it. */
export interface DrawnPiece {
  key: string;
  outline: [x: number, y: number][];
  name: string;
  /** Stands for the name where that does not fit. */
  letter?: string;
  size: string;
  /** One of those that are looked at: it is marked. */
  isChosen?: boolean;
  /** It is cut already: it is drawn fainter. */
  isDone?: boolean;
}

export interface DrawnOffcut {
  x: number;
  y: number;
  length: number;
  width: number;
  size: string;
}

interface Props {
  length: number;
  width: number;
  color: string;
  pieces: DrawnPiece[];
  offcuts: DrawnOffcut[];
  /** Sheets are drawn in their true proportion; boards as long as the screen, and at least high enough to write on. */
  kind: 'board' | 'sheet';
  /** A sheet whose face runs one way: its grain is drawn. */
  hasGrain?: boolean;
  /** The length that takes the whole width of the screen, so that shorter boards are seen to be shorter. */
  longest: number;
  /** How many screens wide the longest is drawn: with more, kerfs are seen. */
  zoom?: number;
  onPiece?: (key: string) => void;
  /** The cut that comes next, by the ends of its line. */
  cut?: [[x: number, y: number], [x: number, y: number]] | null;
  label: string;
}

const BOARD_HEIGHT = 40;
/** Of a board that is ripped, whose strips have to be read. */
const RIPPED_HEIGHT = 96;
const LETTER = 7;

/** One board or sheet to scale along its length, with its pieces, its cuts and what is left of it. */
export const LayoutDrawing = ({
  length,
  width,
  color,
  pieces,
  offcuts,
  kind,
  hasGrain = true,
  longest,
  zoom = 1,
  onPiece,
  cut = null,
  label,
}: Props) => {
  const colors = useColors();
  const [screen, setScreen] = useState(340);
  const wide = screen * zoom;
  const scale = (wide - 2) / longest;
  const isRipped =
    kind === 'board' && pieces.some(({ outline }) => Math.max(...outline.map(([, y]) => y)) < width);
  const boardHeight = isRipped ? RIPPED_HEIGHT : BOARD_HEIGHT;
  const across = kind === 'sheet' ? scale : (boardHeight * Math.sqrt(zoom)) / width;
  const height = width * across;
  const X = (x: number) => 1 + x * scale;
  // Drawings count downwards, boards upwards.
  const Y = (y: number) => 1 + height - y * across;
  return (
    <View
      style={styles.frame}
      onLayout={({ nativeEvent }) => setScreen(Math.max(120, nativeEvent.layout.width))}
    >
      <InPane isScrolled={zoom > 1} label={label}>
        <Svg
          width={wide}
          height={height + 2}
          viewBox={`0 0 ${wide} ${height + 2}`}
          role="img"
          aria-label={label}
        >
          <Rect x={1} y={1} width={length * scale} height={height} fill="none" stroke={colors.hairline} />
          {offcuts.map((offcut, index) => {
            const along = offcut.length * scale;
            const high = offcut.width * across;
            return (
              <G key={index}>
                <Rect
                  x={X(offcut.x)}
                  y={Y(offcut.y + offcut.width)}
                  width={Math.max(0, along - 0.5)}
                  height={high}
                  fill={colors.card}
                  stroke={colors.soft}
                  strokeDasharray="4 3"
                />
                {offcut.size.length * LETTER < along - 6 && high > 16 ? (
                  <Label
                    x={X(offcut.x) + along / 2}
                    y={Y(offcut.y) - high / 2 + 5}
                    text={offcut.size}
                    color={colors.soft}
                  />
                ) : null}
              </G>
            );
          })}
          {pieces.map(({ key, outline, name, letter = '', size, isChosen = false, isDone = false }) => {
            const xs = outline.map(([x]) => X(x));
            const ys = outline.map(([, y]) => Y(y));
            const [left, right, top, bottom] = [
              Math.min(...xs),
              Math.max(...xs),
              Math.min(...ys),
              Math.max(...ys),
            ];
            const room = right - left - 8;
            const inOneLine = fitting([`${name} ${size}`], room);
            const isTall = bottom - top >= 38;
            const short = letter === '' ? [] : [`${letter} ${size}`];
            const text = inOneLine ?? fitting([...short, name, size, letter], room);
            return (
              <G key={key}>
                <Polygon
                  points={outline.map(([x, y]) => `${X(x)},${Y(y)}`).join(' ')}
                  fill={color}
                  fillOpacity={isDone ? 0.35 : 1}
                  stroke={isChosen ? colors.spruce : colors.onWood}
                  strokeWidth={isChosen ? 3 : 1.2}
                />
                {kind === 'sheet' && hasGrain ? (
                  <Path
                    d={grain(left, right, top, bottom)}
                    stroke={colors.onWood}
                    strokeOpacity={0.12}
                    fill="none"
                  />
                ) : null}
                {isTall && !inOneLine && fitting([name], room) && fitting([size], room) ? (
                  <>
                    <Label
                      x={(left + right) / 2}
                      y={(top + bottom) / 2 - 3}
                      text={name}
                      color={colors.onWood}
                    />
                    <Label
                      x={(left + right) / 2}
                      y={(top + bottom) / 2 + 14}
                      text={size}
                      color={colors.onWood}
                    />
                  </>
                ) : text && bottom - top > 15 ? (
                  places(left, right, screen).map((x) => (
                    <Label key={x} x={x} y={(top + bottom) / 2 + 5} text={text} color={colors.onWood} />
                  ))
                ) : null}
              </G>
            );
          })}
          {cut ? (
            <Path
              d={`M${X(cut[0][0])} ${Y(cut[0][1])} L${X(cut[1][0])} ${Y(cut[1][1])}`}
              stroke={colors.red}
              strokeWidth={4}
            />
          ) : null}
        </Svg>
        {onPiece
          ? pieces.map(({ key, outline }) => (
              <Touch
                key={key}
                id={key}
                outline={outline.map(([x, y]): [number, number] => [X(x), Y(y)])}
                onPress={() => onPiece(key)}
              />
            ))
          : null}
      </InPane>
    </View>
  );
};

/** Where a piece is touched; for keys and readers of the screen there are words elsewhere. */
const Touch = ({
  id,
  outline,
  onPress,
}: {
  id: string;
  outline: [number, number][];
  onPress: () => void;
}) => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return (
    <Pressable
      testID={`piece-${id}`}
      aria-hidden
      tabIndex={-1}
      onPress={onPress}
      style={{
        position: 'absolute',
        left,
        top,
        width: Math.max(...xs) - left,
        height: Math.max(...ys) - top,
      }}
    />
  );
};

/** A pane that scrolls sideways where the drawing is wider than the screen. */
const InPane = ({
  isScrolled,
  label,
  children,
}: {
  isScrolled: boolean;
  label: string;
  children: React.ReactNode;
}) =>
  isScrolled ? (
    <ScrollView horizontal tabIndex={0} role="group" aria-label={`${label}, enlarged`}>
      {children}
    </ScrollView>
  ) : (
    <View>{children}</View>
  );

/** Where a piece is written on: in its middle; enlarged beyond the screen, once for each screen. */
const places = (left: number, right: number, screen: number): number[] => {
  const times = Math.max(1, Math.round((right - left) / screen));
  return Array.from({ length: times }, (_, at) => left + ((right - left) * (at + 0.5)) / times);
};

/** The first text that fits a width. */
const fitting = (texts: string[], width: number): string | null =>
  texts.find((text) => text.length * LETTER <= width) ?? null;

/** A few lines along a sheet's length: the way its face grain runs. */
const grain = (left: number, right: number, top: number, bottom: number): string => {
  const rows = Math.floor((bottom - top) / 12);
  return Array.from({ length: rows }, (_, row) => `M${left + 4} ${top + 8 + row * 12} H${right - 4}`).join(
    ' ',
  );
};

const Label = ({ x, y, text, color }: { x: number; y: number; text: string; color: string }) => (
  <SvgText x={x} y={y} fill={color} fontSize={14} fontFamily={FONTS.regular} textAnchor="middle">
    {text}
  </SvgText>
);

const styles = StyleSheet.create({ frame: { width: '100%' } });
