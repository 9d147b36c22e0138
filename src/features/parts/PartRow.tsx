import { memo, useCallback } from 'react';
import { StyleSheet, View } from 'react-native';
import { useSortable } from '@dnd-kit/sortable';
import Svg, { Polygon } from 'react-native-svg';
import type { WoodTone } from '@/core/lumber';
import { SKETCH, type Check } from '@/core/takeoff';
import { Icon, Row, TOUCH, useColors, Text } from '@/ui';
import { CheckWords } from './CheckWords';

/** What a row says of a part. */
export interface PartLine {
  name: string;
  quantity: number;
  letter: string;
  /** Its shape, as corners of a drawing in a box of `SKETCH`; blank: it has none. */
  sketch: string;
  tone: WoodTone;
  words: string;
  measured: string;
  checks: Check[];
  cost: string | null;
}

/** Which rows are on the screen, or near it. */
export interface OnScreen {
  watch: (node: Element, id: string) => void;
  has: (id: string) => boolean;
}

/** Where there is no way to tell, all are. */
export const onScreen = (): OnScreen => {
  if (typeof IntersectionObserver === 'undefined') return { watch: () => {}, has: () => true };
  const seen = new Set<string>();
  const ids = new WeakMap<Element, string>();
  const observer = new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) {
        const id = ids.get(target) ?? '';
        if (isIntersecting) seen.add(id);
        else seen.delete(id);
      }
    },
    { rootMargin: '100px' },
  );
  return {
    watch: (node, id) => {
      ids.set(node, id);
      observer.observe(node);
    },
    has: (id) => seen.has(id),
  };
};

interface Props {
  id: string;
  line: PartLine;
  screen: OnScreen;
  isChosen: boolean;
  onChoose: (id: string) => void;
}

const isSame = (a: Props, b: Props): boolean =>
  a.isChosen === b.isChosen && a.id === b.id && JSON.stringify(a.line) === JSON.stringify(b.line);

/** One part in its list; drawn again only when what it says has changed. */
export const PartRow = memo(function PartRow({ id, line, screen, isChosen, onChoose }: Props) {
  const colors = useColors();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id,
  });
  const own = useCallback(
    (node: unknown) => {
      setNodeRef(node as HTMLElement | null);
      if (node) screen.watch(node as Element, id);
    },
    [setNodeRef, screen, id],
  );
  const handle = { ...attributes, ...listeners, 'aria-label': `Move ${line.name}` } as object;
  return (
    <View
      ref={own as React.Ref<View>}
      style={[
        styles.line,
        { backgroundColor: colors.card, borderColor: colors.hairline },
        transform && { transform: [{ translateY: transform.y }] },
        isDragging && [styles.dragged, { borderColor: colors.spruce }],
      ]}
    >
      <View ref={setActivatorNodeRef as unknown as React.Ref<View>} {...handle} style={styles.handle}>
        <Icon name="grip" color={colors.soft} size={18} />
      </View>
      <Said id={id} line={line} isChosen={isChosen} onChoose={onChoose} />
    </View>
  );
}, isSame);

const Said = memo(function Said({ id, line, isChosen, onChoose }: Omit<Props, 'screen'>) {
  const { name, quantity, letter, sketch, tone, words, measured, checks, cost } = line;
  const colors = useColors();
  return (
    <Row
      onPress={() => onChoose(id)}
      label={`Change ${quantity} ${name}, ${words}`}
      isChosen={isChosen}
      style={styles.row}
    >
      <View style={styles.inside}>
        <Text size="strong" align="right" style={styles.quantity}>
          {quantity} ×
        </Text>
        <Svg width={SKETCH.width} height={SKETCH.height} aria-hidden>
          {sketch === '' ? null : (
            <Polygon points={sketch} fill={colors.wood[tone]} stroke={colors.onWood} strokeWidth={0.8} />
          )}
        </Svg>
        <View style={styles.middle}>
          <Text numberOfLines={1}>
            {letter === '' ? '' : `${letter} `}
            {name}
          </Text>
          <Text size="small" tone="soft">
            {words}
          </Text>
          {measured ? <Text size="small">{measured}</Text> : null}
          <CheckWords checks={checks} />
        </View>
        {cost ? <Text size="strong">{cost}</Text> : null}
      </View>
    </Row>
  );
});

const styles = StyleSheet.create({
  line: { flexDirection: 'row', borderBottomWidth: 1 },
  dragged: { zIndex: 2, borderTopWidth: 1 },
  handle: {
    width: TOUCH,
    minHeight: TOUCH,
    alignItems: 'center',
    justifyContent: 'center',
    touchAction: 'none',
    cursor: 'grab',
  } as object,
  row: { flex: 1, borderBottomWidth: 0, paddingVertical: 8, paddingRight: 16 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  quantity: { minWidth: 36 },
  middle: { flex: 1 },
});
