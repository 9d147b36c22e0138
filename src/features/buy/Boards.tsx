import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { capital } from '@/core/capital';
import { formatLength, formatStockLength, type LengthUnit } from '@/core/units';
import { sidesOf, usefulOffcuts, type Layout, type Plan } from '@/core/plan';
import { partLetters, tagName, type Project } from '@/core/project';
import { isFibreboard, materialOf, nameKey, woodTone, type OwnMaterials } from '@/core/lumber';
import { SectionHeader, Button, LayoutDrawing, Row, SegmentedButtons, useColors, Text } from '@/ui';

const ZOOMS = [
  { value: '1', label: 'Whole' },
  { value: '3', label: '3 ×' },
  { value: '8', label: '8 ×' },
] as const;
type Zoom = (typeof ZOOMS)[number]['value'];

/** A board or sheet with its number in the plan. */
interface Numbered {
  layout: Layout;
  number: number;
}

/** Every board and sheet to scale with its cuts, by section and material; like ones once, with their count. */
export const Boards = ({
  project,
  plan,
  own,
}: {
  project: Project;
  plan: Plan;
  /** What the user says of materials. */
  own: OwnMaterials | undefined;
}) => {
  const [zoom, setZoom] = useState<Zoom>('1');
  const [chosen, setChosen] = useState<{ partId: string; number: number } | null>(null);
  const groups = new Map<string, Numbered[]>();
  plan.layouts.forEach((layout, index) => {
    const key = `${layout.kind}:${layout.section}:${nameKey(layout.material)}`;
    groups.set(key, [...(groups.get(key) ?? []), { layout, number: index + 1 }]);
  });
  if (groups.size === 0) return <Text style={styles.pad}>No boards or sheets to cut yet.</Text>;
  const choose = (partId: string, number: number) =>
    setChosen(chosen?.partId === partId && chosen.number === number ? null : { partId, number });
  return (
    <>
      <View style={styles.zoom}>
        <SegmentedButtons label="Size of the drawings" value={zoom} onChange={setZoom} options={ZOOMS} />
      </View>
      {[...groups].map(([key, numbered]) => {
        const first = numbered[0]?.layout as Layout;
        const count = numbered.reduce((sum, { layout }) => sum + layout.count, 0);
        const noun = first.kind === 'sheet' ? 'sheet' : 'board';
        return (
          <View key={key} role="group" aria-label={`${first.section} ${first.material}`}>
            <SectionHeader
              title={`${first.section} ${first.material}`}
              note={`${count} ${noun}${count === 1 ? '' : 's'}`}
            />
            {numbered.map(({ layout, number }) => (
              <Drawn
                key={number}
                layout={layout}
                number={number}
                longest={Math.max(...numbered.map((each) => each.layout.length))}
                zoom={Number(zoom)}
                project={project}
                plan={plan}
                own={own}
                chosen={chosen}
                onChoose={(partId) => choose(partId, number)}
              />
            ))}
          </View>
        );
      })}
    </>
  );
};

/** Where a board that is there already is from. */
const ownedWords = (name: string, { purchases }: Project): string => {
  const isBought = purchases.some(({ lines }) =>
    lines.some(({ item }) => nameKey(tagName(item)) === nameKey(name)),
  );
  return isBought ? 'bought' : 'from the rack';
};

interface DrawnProps {
  layout: Layout;
  number: number;
  longest: number;
  zoom: number;
  project: Project;
  plan: Plan;
  own: OwnMaterials | undefined;
  chosen: { partId: string; number: number } | null;
  onChoose: (partId: string) => void;
}

const Drawn = ({ layout, number, longest, zoom, project, plan, own, chosen, onChoose }: DrawnProps) => {
  const colors = useColors();
  const { unit } = project;
  const letters = partLetters(project);
  const noun = layout.kind === 'sheet' ? 'Sheet' : 'Board';
  const size =
    layout.kind === 'sheet'
      ? sides(layout.length, layout.width, unit)
      : formatStockLength(layout.length, unit);
  const from = 'owned' in layout.source ? ownedWords(layout.source.owned, project) : layout.source.store;
  const pieces = layout.pieces.map((piece, index) => ({
    key: `${index}`,
    partId: piece.partId,
    outline: piece.outline,
    name: `${letters[piece.partId] ?? ''} ${piece.part}`.trim(),
    letter: letters[piece.partId],
    size: sizeOf(layout, piece.outline, unit),
    isChosen: piece.partId === chosen?.partId,
  }));
  const offcuts = usefulOffcuts(layout.offcuts).map((offcut) => ({
    ...offcut,
    size: isWhole(layout, offcut.width)
      ? formatLength(offcut.length, unit)
      : sides(offcut.length, offcut.width, unit),
  }));
  const left =
    offcuts.length > 0 ? `left over ${offcuts.map((offcut) => offcut.size).join(', ')}` : 'nothing left over';
  const kinds = [...new Map(pieces.map((piece) => [piece.partId, piece])).values()];
  return (
    <View style={styles.drawn}>
      <View style={styles.title}>
        <Text>{`${noun} ${number}: ${size}`}</Text>
        <Text size="small" tone="soft" align="right" style={styles.grow}>
          {from} · {layout.count === 1 ? 'one like this' : `${layout.count} like this`}
        </Text>
      </View>
      <LayoutDrawing
        kind={layout.kind}
        hasGrain={!isFibreboard(materialOf(layout.material, own).panel)}
        length={layout.length}
        width={layout.width}
        longest={longest}
        zoom={zoom}
        color={colors.wood[woodTone(layout.material, own)]}
        pieces={pieces}
        offcuts={offcuts}
        onPiece={(key) => onChoose(pieces[Number(key)]?.partId ?? '')}
        label={`${size} ${layout.material}: ${pieces.map((piece) => `${piece.name} ${piece.size}`).join(', ')}, ${left}`}
      />
      <View style={styles.kinds}>
        {kinds.map(({ partId, name, size: length }) => {
          const count = pieces.filter((piece) => piece.partId === partId).length;
          return (
            <Button
              key={partId}
              mode="text"
              compact
              onPress={() => onChoose(partId)}
              accessibilityLabel={`${name}: where its pieces are`}
            >
              {`${name} ${length}${count > 1 ? ` × ${count}` : ''}`}
            </Button>
          );
        })}
      </View>
      <Text size="small" tone="soft">
        {[
          ...layout.storeCuts.map(
            (cut) => `The store saws it at ${formatLength(cut.at, unit)}, so that it goes in the car.`,
          ),
          `${capital(left)}.`,
        ].join(' ')}
      </Text>
      {chosen?.number === number ? (
        <Where partId={chosen.partId} number={number} plan={plan} project={project} />
      ) : null}
    </View>
  );
};

/** A part: how many of it there are, on which boards, and the way to where it is written down. */
const Where = ({
  partId,
  number,
  plan,
  project,
}: {
  partId: string;
  number: number;
  plan: Plan;
  project: Project;
}) => {
  const own = (layout: Layout) => layout.pieces.filter((piece) => piece.partId === partId).length;
  const on = plan.layouts
    .map((layout, index) => ({ number: index + 1, each: own(layout), count: layout.count }))
    .filter(({ each }) => each > 0);
  const total = on.reduce((sum, { each, count }) => sum + each * count, 0);
  const piece = plan.layouts.flatMap(({ pieces }) => pieces).find((each) => each.partId === partId);
  const others = on.filter((each) => each.number !== number);
  const here = on.find((each) => each.number === number);
  const words = [
    `${piece?.part ?? ''} (${piece?.group ?? ''}): ${total} in all, ${here?.each ?? 0} on this one.`,
    others.length === 0
      ? 'None on other boards.'
      : `Also on ${others.map((each) => `${each.number} (${each.each}${each.count > 1 ? ` on each of ${each.count}` : ''})`).join(', ')}.`,
  ];
  return (
    <Row style={styles.where}>
      <View role="status">
        <Text>{words.join(' ')}</Text>
        <Link href={`/project/${project.id}/parts`} style={styles.link}>
          <Text tone="good">Show the parts</Text>
        </Link>
      </View>
    </Row>
  );
};

const sides = (length: number, width: number, unit: LengthUnit): string =>
  `${formatLength(length, unit)} x ${formatLength(width, unit)}`;

/** Whether something is as wide as its board: then its length says enough. */
const isWhole = ({ kind, width }: Layout, across: number): boolean => kind === 'board' && across >= width;

const sizeOf = (layout: Layout, outline: [number, number][], unit: LengthUnit): string => {
  const { along, across } = sidesOf(outline);
  return isWhole(layout, across) ? formatLength(along, unit) : sides(along, across, unit);
};

const styles = StyleSheet.create({
  pad: { padding: 16 },
  zoom: { paddingBottom: 4 },
  drawn: { paddingHorizontal: 16, paddingVertical: 10, gap: 6 },
  title: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline', gap: 12 },
  grow: { flexShrink: 1 },
  kinds: { flexDirection: 'row', flexWrap: 'wrap', marginHorizontal: -8 },
  where: { paddingHorizontal: 12, paddingVertical: 8 },
  link: { paddingVertical: 12, minHeight: 44, display: 'flex' },
});
