import { useState, type ReactNode } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useColors } from './theme';
import { ScrollContext } from './scrollContext';

/** How wide a column to read is at most on a wide screen: two thirds of what there is, where that is more. */
export const READING = 'max(780px, 68%)' as unknown as number;

/** The least side of anything that is touched. */
export const TOUCH = 44;

/** Whether there is room for a rail, and for list and detail side by side. */
export const useIsWide = (): boolean => useWindowDimensions().width >= 900;

/** A phone on its side: what stands above and below a place takes one line each. */
export const useIsShort = (): boolean => {
  const { width, height } = useWindowDimensions();
  return height < 480 && width > height;
};

/** So little height, on its side or enlarged, that what stands above and below a place takes one line each. */
export const useIsLow = (): boolean => useWindowDimensions().height < 480;

/** An enlarged phone: so little width that a line holds a name and two things to touch. */
export const useIsNarrow = (): boolean => useWindowDimensions().width < 300;

/**
 * React Native for the web gives a scrolling element a scrollTo of its own, with other arguments; dragging by keyboard
 * asks the element for the browser's.
 */
const withOwnScroll = (node: unknown): void => {
  if (node !== null && typeof node === 'object') Reflect.deleteProperty(node, 'scrollTo');
};

/** A scrolling column, and beside it on a wide screen the detail (a `Detail`) of what is chosen in it, or else `beside`. */
export const Columns = ({
  children,
  detail,
  beside,
  width = 'reading',
}: {
  children: ReactNode;
  detail?: ReactNode;
  beside?: ReactNode;
  /** On a wide screen: as wide as is good to read, or all there is, for a table. */
  width?: 'reading' | 'all';
}) => {
  const isWide = useIsWide();
  const colors = useColors();
  const [scroller, setScroller] = useState<HTMLElement | null>(null);
  return (
    <View style={styles.columns} testID="columns">
      <ScrollView
        ref={(node) => {
          withOwnScroll(node);
          setScroller(node as unknown as HTMLElement | null);
        }}
        style={styles.column}
        contentContainerStyle={styles.scrolled}
      >
        <ScrollContext value={scroller}>
          <View style={[styles.list, isWide && width === 'reading' && styles.wideList]}>{children}</View>
        </ScrollContext>
      </ScrollView>
      {detail ? (
        // At one place whatever the width: a form that is half filled in stays as a tablet is turned.
        <View
          style={
            isWide
              ? [styles.detail, { borderColor: colors.hairline, backgroundColor: colors.card }]
              : styles.elsewhere
          }
        >
          {detail}
        </View>
      ) : null}
      {isWide && !detail && beside ? (
        <View
          tabIndex={0}
          role="region"
          aria-label="Beside the list"
          style={[styles.beside, { borderColor: colors.hairline }]}
        >
          {beside}
        </View>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row' },
  column: { flex: 1 },
  scrolled: { flexGrow: 1, paddingBottom: 40 },
  list: { width: '100%' },
  wideList: { maxWidth: READING },
  detail: { width: 420, borderLeftWidth: 1 },
  // On a phone it draws itself over all.
  elsewhere: { display: 'none' },
  beside: { flex: 1, borderLeftWidth: 1, paddingBottom: 40, overflow: 'auto' } as object,
});
