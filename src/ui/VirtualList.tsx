import { createContext, useContext, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useVirtualizer } from '@tanstack/react-virtual';

/** The element that scrolls a column; its lists draw only what is in sight of it. */
export const ScrollContext = createContext<HTMLElement | null>(null);

interface Props<T> {
  items: T[];
  keyOf: (item: T) => string;
  /** The usual height of a row; rows are measured once they are drawn. */
  rowHeight: number;
  render: (item: T) => ReactNode;
  label: string;
}

/** A long list, of which only what is in sight is drawn. Stands in a column that scrolls. */
export const VirtualList = <T,>({ items, keyOf, rowHeight, render, label }: Props<T>) => {
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
  // eslint-disable-next-line react-hooks/incompatible-library -- it is not memoized, by the directive above
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller,
    estimateSize: () => rowHeight,
    overscan: 6,
    scrollMargin: top,
    getItemKey: (index) => {
      const item = items[index];
      return item === undefined ? index : keyOf(item);
    },
    initialRect: { width: 0, height: 900 },
  });
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
            ref={(node) => virtual.measureElement(node as unknown as Element | null)}
            {...({ dataSet: { index } } as object)}
            style={{
              position: 'absolute',
              left: 0,
              right: 0,
              top: 0,
              transform: [{ translateY: start - top }],
            }}
          >
            {render(item)}
          </View>
        );
      })}
    </View>
  );
};
