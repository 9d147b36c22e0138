import { useDeferredValue, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { describeEnds } from '@/core/lumber';
import { facesText } from '@/core/plan';
import type { Project } from '@/core/project';
import { labelsOf, type PieceLabel } from '@/core/sawing';
import type { LengthUnit } from '@/core/units';
import { Choice, Text, useColors } from '@/ui';
import { PrintHead } from './PrintHead';

/** Sizes in which sheets of labels are sold, in millimetres. From memory. */
const SIZES = {
  small: { width: 38, height: 21 },
  middle: { width: 70, height: 37 },
  large: { width: 99, height: 57 },
} as const;
type Size = keyof typeof SIZES;

const OPTIONS: { value: Size; label: string }[] = [
  { value: 'small', label: '38 x 21 mm' },
  { value: 'middle', label: '70 x 37 mm' },
  { value: 'large', label: '99 x 57 mm' },
];

const NONE: PieceLabel[] = [];

/** What is written on each piece as it comes off the saw: to print and stick on, or to copy with a pencil. */
export const Labels = ({ project }: { project: Project }) => {
  const [size, setSize] = useState<Size>('middle');
  const all = useMemo(() => labelsOf(project), [project]);
  // Many take a while: the tab answers first.
  const labels = useDeferredValue(all, NONE);
  return (
    <View role="region" aria-label="Labels">
      <PrintHead
        title={project.name}
        note={`${all.length} ${all.length === 1 ? 'piece' : 'pieces'}: print them, or pencil the mark and the name on each`}
        testID="not-printed"
      />
      <View style={styles.sizes} testID="not-printed">
        <Choice label="Size of a label" value={size} options={OPTIONS} onChange={setSize} />
      </View>
      <View role="list" aria-label="A label for each piece" testID="labels" style={styles.labels}>
        {labels.map((label) => (
          <OneLabel key={`${label.partId} ${label.mark}`} label={label} size={size} unit={project.unit} />
        ))}
      </View>
    </View>
  );
};

const OneLabel = ({ label, size, unit }: { label: PieceLabel; size: Size; unit: LengthUnit }) => {
  const colors = useColors();
  const { mark, name, group, ends } = label;
  return (
    <View
      role="listitem"
      style={[
        styles.label,
        {
          width: SIZES[size].width * MM - HAIR,
          minHeight: SIZES[size].height * MM - HAIR,
          borderColor: colors.soft,
        },
      ]}
    >
      <View style={styles.first}>
        <Text size={size === 'small' ? 'strong' : 'headline'} role="presentation">
          {mark}
        </Text>
        <Text
          size={size === 'large' ? 'body' : 'small'}
          style={styles.grow}
          numberOfLines={size === 'small' ? 1 : 2}
        >
          {name}
        </Text>
      </View>
      <Text size="small">{facesText(label, label.length, label.width, unit)}</Text>
      {size === 'small' ? null : (
        <Text size="small" tone="soft" numberOfLines={1}>
          {group}
        </Text>
      )}
      {size === 'large' && ends.shape !== 'square' ? <Text size="small">{describeEnds(ends)}</Text> : null}
    </View>
  );
};

/** Pixels of a millimetre, as browsers print them. */
const MM = 96 / 25.4;
/** By so many pixels each is smaller, so that a row and a page hold as many as they should. */
const HAIR = 0.5;

const styles = StyleSheet.create({
  grow: { flex: 1, minWidth: 0 },
  sizes: { paddingHorizontal: 16, paddingBottom: 12 },
  labels: { flexDirection: 'row', flexWrap: 'wrap', paddingHorizontal: 16 },
  // Not parted between two pages.
  label: { borderWidth: 0.5, padding: 6, overflow: 'hidden', breakInside: 'avoid' } as object,
  first: { flexDirection: 'row', gap: 8, alignItems: 'baseline' },
});
