import { G, Path, Polygon, Text as SvgText } from 'react-native-svg';
import { FONTS, useColors } from './theme';

/** A piece to draw: its corners in board coordinates, and what is written on it. */
export interface DrawnPiece {
  key: string;
  outline: [x: number, y: number][];
  /** The finished faces in it, where it is shaped by hand after it is sawn. */
  faces?: [x: number, y: number][][];
  name: string;
  /** Stands for the name where that does not fit. */
  letter?: string;
  size: string;
  /** One of those that are looked at: it is marked. */
  isChosen?: boolean;
  /** It is cut already: it is drawn fainter. */
  isDone?: boolean;
}

/** How wide a letter is drawn, about, in CSS pixels. */
export const LETTER = 7;

interface Props {
  piece: DrawnPiece;
  /** Where a place on the board is drawn. */
  X: (x: number) => number;
  Y: (y: number) => number;
  color: string;
  /** Its face grain is drawn. */
  isGrained: boolean;
  /** How wide the screen is. */
  screen: number;
}

/** One piece on the drawing of its board, with what it is; in what is sawn for it, the shapes that it is finished to. */
export const PieceOnBoard = ({ piece, X, Y, color, isGrained, screen }: Props) => {
  const { outline, faces, isChosen = false, isDone = false } = piece;
  const colors = useColors();
  const drawn = (of: Point[]) => of.map(([x, y]): Point => [X(x), Y(y)]);
  const box = boxOf(drawn(outline));
  return (
    <G>
      {faces ? (
        <Polygon
          points={drawn(outline).join(' ')}
          fill={colors.card}
          stroke={colors.soft}
          strokeWidth={0.8}
        />
      ) : null}
      {(faces ?? [outline]).map((face, at) => (
        <Polygon
          key={at}
          points={drawn(face).join(' ')}
          fill={color}
          fillOpacity={isDone ? 0.35 : 1}
          stroke={isChosen ? colors.spruce : colors.onWood}
          strokeWidth={isChosen ? 3 : 1.2}
        />
      ))}
      {isGrained ? <Path d={grain(box)} stroke={colors.onWood} strokeOpacity={0.12} fill="none" /> : null}
      {box.bottom - box.top > LEAST_HEIGHT
        ? wordsOf(piece, faces?.map(drawn), box, screen).map(({ x, y, text }, at) => (
            <BoardLabel key={at} x={x} y={y} text={text} color={colors.onWood} />
          ))
        : null}
    </G>
  );
};

/** A piece must be so high that something is written on it. */
const LEAST_HEIGHT = 15;
/** And so high for two lines. */
const TWO_LINES = 38;

type Point = [x: number, y: number];

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

const boxOf = (points: Point[]): Box => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
};

interface Word {
  x: number;
  y: number;
  text: string;
}

/** What is written on a piece and where: of shapes that share it the letter on each, else as much as there is room for. */
const wordsOf = (
  { name, letter = '', size }: DrawnPiece,
  faces: Point[][] | undefined,
  { left, right, top, bottom }: Box,
  screen: number,
): Word[] => {
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  if (faces && faces.length > 1 && letter !== '')
    return faces.map((face) => {
      const [x, y] = middleOf(face);
      return { x, y: y + 5, text: letter };
    });
  const room = right - left - 8;
  const inOneLine = fitting([`${name} ${size}`], room);
  const canStack = fitting([name], room) !== null && fitting([size], room) !== null;
  if (inOneLine === null && bottom - top >= TWO_LINES && canStack)
    return [
      { x: middle.x, y: middle.y - 3, text: name },
      { x: middle.x, y: middle.y + 14, text: size },
    ];
  const short = letter === '' ? [] : [`${letter} ${size}`];
  const text = inOneLine ?? fitting([...short, name, size, letter], room);
  return text === null ? [] : places(left, right, screen).map((x) => ({ x, y: middle.y + 5, text }));
};

/** The middle of a shape's face. */
const middleOf = (face: Point[]): Point => {
  let [area, x, y] = [0, 0, 0];
  for (const [index, [ax, ay]] of face.entries()) {
    const [bx, by] = face[(index + 1) % face.length] ?? [ax, ay];
    const cross = ax * by - bx * ay;
    area += cross;
    x += (ax + bx) * cross;
    y += (ay + by) * cross;
  }
  return area === 0 ? (face[0] ?? [0, 0]) : [x / (3 * area), y / (3 * area)];
};

/** Where a piece is written on: in its middle; enlarged beyond the screen, once for each screen. */
const places = (left: number, right: number, screen: number): number[] => {
  const times = Math.max(1, Math.round((right - left) / screen));
  return Array.from({ length: times }, (_, at) => left + ((right - left) * (at + 0.5)) / times);
};

/** The first text that fits a width. */
const fitting = (texts: string[], width: number): string | null =>
  texts.find((text) => text.length * LETTER <= width) ?? null;

/** A few lines along a sheet's length: the way its face grain runs. */
const grain = ({ left, right, top, bottom }: Box): string => {
  const rows = Math.floor((bottom - top) / 12);
  return Array.from({ length: rows }, (_, row) => `M${left + 4} ${top + 8 + row * 12} H${right - 4}`).join(
    ' ',
  );
};

/** Words on a board. */
export const BoardLabel = ({ x, y, text, color }: { x: number; y: number; text: string; color: string }) => (
  <SvgText x={x} y={y} fill={color} fontSize={14} fontFamily={FONTS.regular} textAnchor="middle">
    {text}
  </SvgText>
);
