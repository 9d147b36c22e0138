import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import Svg, { G, Path, Rect } from 'react-native-svg';
import { BoardLabel, LETTER, PieceOnBoard, type DrawnPiece } from './PieceOnBoard';
import { useColors } from './theme';

/** What is left of a board, to draw: in board coordinates. */
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
                  <BoardLabel
                    x={X(offcut.x) + along / 2}
                    y={Y(offcut.y) - high / 2 + 5}
                    text={offcut.size}
                    color={colors.soft}
                  />
                ) : null}
              </G>
            );
          })}
          {pieces.map((piece) => (
            <PieceOnBoard
              key={piece.key}
              piece={piece}
              X={X}
              Y={Y}
              color={color}
              isGrained={kind === 'sheet' && hasGrain}
              screen={screen}
            />
          ))}
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

const styles = StyleSheet.create({ frame: { width: '100%' } });
