import type { ComponentProps } from 'react';
import { isFibreboard, materialOf, nameKey, woodTone, type OwnMaterials } from '@/core/lumber';
import { facesText, finishedCount, OFFCUT, sidesOf, usefulOffcuts, type Layout } from '@/core/plan';
import { tagName, withLetter, type Project } from '@/core/project';
import { formatStockLength, type LengthUnit } from '@/core/units';
import { LayoutDrawing, useColors, type DrawnOffcut, type DrawnPiece } from '@/ui';

/** What is drawn of a layout, with its words. */
interface Drawn {
  /** Of the whole board or sheet. */
  size: string;
  /** Their keys are their places in the layout. */
  pieces: (DrawnPiece & { partId: string; part: string; finished: string })[];
  /** Those that could still be of use. */
  offcuts: DrawnOffcut[];
  /** `left over 14"` */
  left: string;
}

/** The pieces and offcuts of a layout as they are drawn. `letters`: of the parts, by id. */
export const drawnOf = (layout: Layout, letters: Record<string, string>, unit: LengthUnit): Drawn => {
  const offcuts = usefulOffcuts(layout.offcuts).map((offcut) => ({
    ...offcut,
    size: facesText(layout, offcut.length, offcut.width, unit),
  }));
  return {
    size:
      layout.kind === 'sheet'
        ? facesText(layout, layout.length, layout.width, unit)
        : formatStockLength(layout.length, unit),
    pieces: layout.pieces.map((piece, index) => {
      const { partId, part, outline, faces } = piece;
      const { along, across } = sidesOf(outline);
      const sawn = facesText(layout, along, across, unit);
      const number = finishedCount(piece);
      return {
        key: `${index}`,
        partId,
        outline,
        ...(faces ? { faces } : {}),
        part: withLetter(letters, partId, part),
        name: `${number > 1 ? `${number} × ` : ''}${withLetter(letters, partId, part)}`,
        letter: letters[partId],
        size: sawn,
        finished: faces?.[0] ? facesText(layout, lengthOf(faces[0]), across, unit) : sawn,
      };
    }),
    offcuts,
    left:
      offcuts.length > 0 ? `left over ${offcuts.map(({ size }) => size).join(', ')}` : 'nothing left over',
  };
};

/** How far a face reaches along its board. */
const lengthOf = (face: [x: number, y: number][]): number => {
  const xs = face.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
};

/** Where the board of a layout is from: a store, or what is there already; of one on which sawing has begun, that. */
export const sourceWords = (layout: Layout, project: Project): string =>
  layout.sawn ? `${originWords(layout, project)}, begun at the saw` : originWords(layout, project);

const originWords = (layout: Layout, { purchases }: Project): string => {
  const { source } = layout;
  if (!('owned' in source)) return source.store;
  if (source.owned.startsWith(OFFCUT)) return source.owned;
  const isBought = purchases.some(({ lines }) =>
    lines.some(({ item }) => nameKey(tagName(item)) === nameKey(source.owned)),
  );
  return isBought ? 'bought' : 'from the rack';
};

type Props = Pick<ComponentProps<typeof LayoutDrawing>, 'pieces' | 'longest' | 'zoom' | 'cut' | 'onPiece'> & {
  layout: Layout;
  drawn: Drawn;
  /** What the user says of materials. */
  own: OwnMaterials | undefined;
};

/** A board or sheet of a plan, to scale, in the colour of its wood. `pieces`: those of `drawn`, with what is marked on them. */
export const DrawnLayout = ({ layout, drawn, own, pieces, ...rest }: Props) => {
  const colors = useColors();
  const { kind, length, width, material } = layout;
  return (
    <LayoutDrawing
      kind={kind}
      hasGrain={!isFibreboard(materialOf(material, own).panel)}
      length={length}
      width={width}
      color={colors.wood[woodTone(material, own)]}
      pieces={pieces}
      offcuts={drawn.offcuts}
      label={`${drawn.size} ${material}: ${pieces.map(({ name, size }) => `${name} ${size}`).join(', ')}, ${drawn.left}`}
      {...rest}
    />
  );
};
