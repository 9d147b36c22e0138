import { memo, useCallback, useContext, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ScrollContext } from './scrollContext';

interface Props<T> {
  items: T[];
  keyOf: (item: T) => string;
  /** The height of a row. */
  rowHeight: number;
  /** Whether every row has that height, or each its own, which is measured once it is drawn. */
  heights: 'same' | 'own';
  render: (item: T) => ReactNode;
  label: string;
}

/** One row: drawn again when it is another, not when the list moves. */
const Drawn = memo(({ item, render }: { item: unknown; render: (item: unknown) => ReactNode }) =>
  render(item),
);
Drawn.displayName = 'Drawn';

/** A long list, of which only what is in sight is drawn. Stands in a column that scrolls. */
export const VirtualList = <T,>({ items, keyOf, rowHeight, heights, render, label }: Props<T>) => {
  'use no memo'; // The virtualizer is one object that changes within.
  const scroller = useContext(ScrollContext);
  const list = useRef<View>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const node = list.current as unknown as HTMLElement | null;
    if (!node || !scroller) return;
    const above =
      node.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop;
    setTop(above);
  }, [scroller, items]);
  // The list works out all places anew when these are other functions.
  const estimateSize = useCallback(() => rowHeight, [rowHeight]);
  const getItemKey = useCallback(
    (index: number) => {
      const item = items[index];
      return item === undefined ? index : keyOf(item);
    },
    [items, keyOf],
  );
  // eslint-disable-next-line react-hooks/incompatible-library -- it is not memoized, by the directive above
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller,
    estimateSize,
    overscan: 4,
    scrollMargin: top,
    getItemKey,
    initialRect: { width: 0, height: 600 },
  });
  const measure = (node: unknown) => virtual.measureElement(node as Element | null);
  return (
    <View ref={list} role="list" aria-label={label} style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ index, key, start }) => {
        const item = items[index];
        if (item === undefined) return null;
        return (
          <View
            key={key}
            role="listitem"
            aria-setsize={items.length}
            aria-posinset={index + 1}
            ref={heights === 'own' ? measure : undefined}
            {...({ dataSet: { index } } as object)}
            style={[
              styles.slot,
              heights === 'same' && styles.even,
              heights === 'same' && { height: rowHeight },
              { transform: [{ translateY: start - top }] },
            ]}
          >
            <Drawn item={item} render={render as (item: unknown) => ReactNode} />
          </View>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
  slot: { position: 'absolute', left: 0, right: 0, top: 0 },
  // Nothing in a row moves what is outside it.
  even: { contain: 'strict' } as object,
});
