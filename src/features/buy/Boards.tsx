import { StyleSheet, View } from 'react-native';
import { formatLength, formatStockLength, type LengthUnit } from '@/core/measure';
import type { Layout, Plan } from '@/core/plan';
import { partLetters, type Project } from '@/core/project';
import { nameKey, woodTone } from '@/core/wood';
import { Band, LayoutDrawing, useInk, Words } from '@/ui';

/** Every board and sheet to scale with its cuts, by section and material; like ones once, with their count. */
export const Boards = ({ project, plan }: { project: Project; plan: Plan }) => {
  const letters = partLetters(project);
  const groups = new Map<string, Layout[]>();
  for (const layout of plan.layouts) {
    const key = `${layout.kind}:${layout.section}:${nameKey(layout.material)}`;
    groups.set(key, [...(groups.get(key) ?? []), layout]);
  }
  if (groups.size === 0) return <Words style={styles.pad}>No boards or sheets to cut yet.</Words>;
  return [...groups].map(([key, layouts]) => {
    const first = layouts[0] as Layout;
    const count = layouts.reduce((sum, layout) => sum + layout.count, 0);
    const noun = first.kind === 'sheet' ? 'sheet' : 'board';
    return (
      <View key={key} role="group" aria-label={`${first.section} ${first.material}`}>
        <Band
          title={`${first.section} ${first.material}`}
          note={`${count} ${noun}${count === 1 ? '' : 's'}`}
        />
        {layouts.map((layout, index) => (
          <Drawn
            key={index}
            layout={layout}
            longest={Math.max(...layouts.map(({ length }) => length))}
            unit={project.unit}
            letters={letters}
          />
        ))}
      </View>
    );
  });
};

const Drawn = ({
  layout,
  longest,
  unit,
  letters,
}: {
  layout: Layout;
  longest: number;
  unit: LengthUnit;
  letters: Record<string, string>;
}) => {
  const ink = useInk();
  const size =
    layout.kind === 'sheet'
      ? `${formatLength(layout.length, unit)} x ${formatLength(layout.width, unit)}`
      : formatStockLength(layout.length, unit);
  const from = 'owned' in layout.source ? 'bought' : layout.source.store;
  const pieces = layout.pieces.map(({ part, partId, outline }, index) => {
    const xs = outline.map(([x]) => x);
    const ys = outline.map(([, y]) => y);
    const along = formatLength(Math.max(...xs) - Math.min(...xs), unit);
    const across = formatLength(Math.max(...ys) - Math.min(...ys), unit);
    return {
      key: `${index}`,
      outline,
      name: `${letters[partId] ?? ''} ${part}`.trim(),
      letter: letters[partId],
      size: layout.kind === 'sheet' ? `${along} x ${across}` : along,
    };
  });
  const offcuts = layout.offcuts.map((offcut) => ({
    ...offcut,
    size:
      layout.kind === 'sheet'
        ? `${formatLength(offcut.length, unit)} x ${formatLength(offcut.width, unit)}`
        : formatLength(offcut.length, unit),
  }));
  const left =
    offcuts.length > 0
      ? `, left over ${offcuts.map((offcut) => offcut.size).join(', ')}`
      : ', nothing left over';
  return (
    <View style={styles.drawn}>
      <View style={styles.title}>
        <Words>{size}</Words>
        <Words size="small" tone="soft">
          {from} · {layout.count === 1 ? 'one like this' : `${layout.count} like this`}
        </Words>
      </View>
      <LayoutDrawing
        kind={layout.kind}
        length={layout.length}
        width={layout.width}
        longest={longest}
        color={ink.wood[woodTone(layout.material)]}
        pieces={pieces}
        offcuts={offcuts}
        label={`${size} ${layout.material}: ${pieces.map((piece) => `${piece.name} ${piece.size}`).join(', ')}${left}`}
      />
    </View>
  );
};

const styles = StyleSheet.create({
  pad: { padding: 16 },
  drawn: { paddingHorizontal: 16, paddingVertical: 10, gap: 6 },
  title: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline', gap: 12 },
});
