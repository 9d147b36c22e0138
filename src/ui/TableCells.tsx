import type { CSSProperties, ReactNode } from 'react';
import { TOUCH } from './layout';
import { FONTS, useColors, type Colors } from './theme';

/**
 * Rows and cells of long tables, as plain elements of the page: dozens come and go with every frame that a table
 * scrolls, and what a touchable of the library brings with it is too much for that.
 */

/** A line of two in a cell: what it says, and how. */
export interface CellText {
  text: string;
  tone: 'ink' | 'soft' | 'bad';
  isStrong?: boolean;
}

interface Look {
  row: CSSProperties;
  first: CSSProperties;
  marked: CSSProperties;
  cell: CSSProperties;
  chosen: CSSProperties;
}

const looks = new WeakMap<Colors, Look>();

const lookOf = (ink: Colors): Look => {
  const held = looks.get(ink);
  if (held) return held;
  const cell: CSSProperties = {
    boxSizing: 'border-box',
    flex: '1 0 116px',
    width: 116,
    maxWidth: 160,
    minHeight: TOUCH,
    padding: '0 8px',
    display: 'flex',
    flexDirection: 'column',
    justifyContent: 'center',
    textAlign: 'right',
    border: 0,
    background: 'none',
    fontVariantNumeric: 'tabular-nums',
  };
  const first: CSSProperties = {
    boxSizing: 'border-box',
    flex: '1 0 260px',
    width: 260,
    maxWidth: 420,
    padding: '0 13px',
    display: 'flex',
    flexDirection: 'column',
    justifyContent: 'center',
    borderLeft: '3px solid transparent',
  };
  const look: Look = {
    row: {
      display: 'flex',
      height: '100%',
      boxSizing: 'border-box',
      borderBottom: `1px solid ${ink.hairline}`,
      backgroundColor: ink.card,
    },
    first,
    marked: { ...first, borderLeftColor: ink.spruce },
    cell,
    chosen: { ...cell, backgroundColor: ink.pale },
  };
  looks.set(ink, look);
  return look;
};

const LINES = { whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' } as const;

const Lines = ({ lines }: { lines: CellText[] }) => {
  const colors = useColors();
  const toneColors = { ink: colors.ink, soft: colors.soft, bad: colors.red };
  return lines.map(({ text, tone, isStrong = false }, index) => (
    <span
      key={index}
      style={{
        ...LINES,
        color: toneColors[tone],
        fontFamily: isStrong ? FONTS.bold : FONTS.regular,
        fontSize: index === 0 ? 17 : 15,
        lineHeight: index === 0 ? '23px' : '20px',
      }}
    >
      {text}
    </span>
  ));
};

/** A row of a table. */
export const TableRow = ({ children }: { children: ReactNode }) => (
  <div style={lookOf(useColors()).row}>{children}</div>
);

/** What a row is about; marked at its edge. */
export const TableName = ({ lines, isMarked }: { lines: CellText[]; isMarked: boolean }) => {
  const look = lookOf(useColors());
  return (
    <div style={isMarked ? look.marked : look.first}>
      <Lines lines={lines} />
    </div>
  );
};

/** A cell that opens something; without `onPress` it only tells. */
export const TableCell = ({
  lines,
  label,
  isChosen = false,
  onPress,
}: {
  lines: CellText[];
  label: string;
  isChosen?: boolean;
  onPress?: () => void;
}) => {
  const look = lookOf(useColors());
  const style = isChosen ? look.chosen : look.cell;
  return onPress ? (
    <button type="button" aria-label={label} onClick={onPress} style={{ ...style, cursor: 'pointer' }}>
      <Lines lines={lines} />
    </button>
  ) : (
    <div role="img" aria-label={label} style={style}>
      <Lines lines={lines} />
    </div>
  );
};
