import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { capital } from '@/core/capital';
import { formatLength } from '@/core/units';
import { finishedCount, type Layout, type Plan } from '@/core/plan';
import { partLetters, type Project } from '@/core/project';
import { nameKey, type OwnMaterials } from '@/core/lumber';
import { DrawnLayout, drawnOf, HandWork, sourceWords } from '@/forms';
import { SectionHeader, Button, Row, SegmentedButtons, Text } from '@/ui';

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
  const { unit } = project;
  const noun = layout.kind === 'sheet' ? 'Sheet' : 'Board';
  const drawn = drawnOf(layout, partLetters(project), unit);
  const pieces = drawn.pieces.map((piece) => ({ ...piece, isChosen: piece.partId === chosen?.partId }));
  const kinds = [...new Map(pieces.map((piece) => [piece.partId, piece])).values()];
  return (
    <View style={styles.drawn}>
      <View style={styles.title}>
        <Text>{`${noun} ${number}: ${drawn.size}`}</Text>
        <Text size="small" tone="soft" align="right" style={styles.grow}>
          {sourceWords(layout, project)} ·{' '}
          {layout.count === 1 ? 'one like this' : `${layout.count} like this`}
        </Text>
      </View>
      <DrawnLayout
        layout={layout}
        drawn={drawn}
        own={own}
        longest={longest}
        zoom={zoom}
        pieces={pieces}
        onPiece={(key) => onChoose(pieces[Number(key)]?.partId ?? '')}
      />
      <View style={styles.kinds}>
        {kinds.map(({ partId, part: name, finished: length }) => {
          const count = countOn(layout, partId);
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
          `${capital(drawn.left)}.`,
        ].join(' ')}
      </Text>
      <HandWork layout={layout} project={project} />
      {chosen?.number === number ? (
        <Where partId={chosen.partId} number={number} plan={plan} project={project} />
      ) : null}
    </View>
  );
};

/** How many finished pieces of a part are cut from a board. */
const countOn = (layout: Layout, partId: string): number =>
  layout.pieces.reduce((sum, piece) => sum + (piece.partId === partId ? finishedCount(piece) : 0), 0);

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
  const own = (layout: Layout) => countOn(layout, partId);
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
