import { useEffect, useRef, useState, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Modal, Portal } from 'react-native-paper';
import { focusedElement, focusKeeper } from '@/platform/page';
import { useIsWide } from './layout';
import { usePadRoom } from './Keypad';
import { IconAction } from './rows';
import { useColors } from './theme';
import { useLayer } from './useLayer';
import { ScrollContext } from './scrollContext';
import { Text } from './Text';

interface DetailProps {
  title: string;
  onClose: () => void;
  children: ReactNode;
  /** Stays at the foot, in reach of the thumb. */
  foot?: ReactNode;
  /** Stays in sight over what scrolls; beside it on a wide screen. */
  sight?: ReactNode;
}

/** What is chosen in a list: a page over it on a phone, a column beside it on a wide screen. */
export const Detail = (props: DetailProps) => {
  const colors = useColors();
  const isWide = useIsWide();
  if (isWide) return <DetailBody {...props} />;
  return (
    <Portal>
      <Modal
        visible
        onDismiss={props.onClose}
        contentContainerStyle={[styles.page, { backgroundColor: colors.card }]}
        style={styles.modal}
      >
        <DetailBody {...props} />
      </Modal>
    </Portal>
  );
};

const DetailBody = ({ title, onClose, children, foot, sight }: DetailProps) => {
  const colors = useColors();
  const padRoom = usePadRoom();
  const isWide = useIsWide();
  const body = useRef<View>(null);
  const [scroller, setScroller] = useState<HTMLElement | null>(null);
  useEffect(() => {
    // Reading goes on in what has opened, and goes back to where it was when that closes.
    const giveBack = focusKeeper();
    const here = body.current as unknown as HTMLElement | null;
    if (here && !here.contains(focusedElement())) here.focus({ preventScroll: true });
    return giveBack;
  }, []);
  useLayer(onClose);
  return (
    <View
      ref={body}
      style={[styles.body, { paddingBottom: padRoom }]}
      role="dialog"
      aria-label={title}
      tabIndex={-1}
    >
      <View style={[styles.detailHead, { borderColor: colors.hairline }]}>
        <Text size="title" style={styles.grow} numberOfLines={1}>
          {title}
        </Text>
        <IconAction icon="close" label="Close" onPress={onClose} />
      </View>
      {sight ? (
        <View style={[styles.parted, isWide && styles.beside]}>
          <View style={[isWide ? styles.sightWide : styles.sight, { borderColor: colors.hairline }]}>
            {sight}
          </View>
          <ScrollView style={styles.scroll} contentContainerStyle={styles.fields}>
            {children}
          </ScrollView>
        </View>
      ) : (
        <ScrollView
          ref={(node) => setScroller(node as unknown as HTMLElement | null)}
          contentContainerStyle={styles.fields}
        >
          <ScrollContext value={scroller}>{children}</ScrollContext>
        </ScrollView>
      )}
      {foot ? <View style={[styles.foot, { borderColor: colors.hairline }]}>{foot}</View> : null}
    </View>
  );
};

/** A dialog of its own, over everything: for what begins or ends something. */
export const Sheet = (props: DetailProps) => {
  const colors = useColors();
  const isWide = useIsWide();
  return (
    <Portal>
      <Modal
        visible
        onDismiss={props.onClose}
        style={styles.modal}
        contentContainerStyle={[
          isWide ? (props.sight ? styles.wideSheet : styles.sheet) : styles.page,
          { backgroundColor: colors.card, borderColor: colors.ink },
        ]}
      >
        <DetailBody {...props} />
      </Modal>
    </Portal>
  );
};

const styles = StyleSheet.create({
  modal: { marginTop: 0, marginBottom: 0, justifyContent: 'center' },
  page: { flex: 1, width: '100%', height: '100%' },
  sheet: { width: 560, height: '86%', alignSelf: 'center', borderWidth: 1 },
  wideSheet: { width: 1040, height: '92%', alignSelf: 'center', borderWidth: 1 },
  parted: { flex: 1 },
  beside: { flexDirection: 'row' },
  sight: { borderBottomWidth: 1 },
  sightWide: { flex: 1, borderRightWidth: 1 },
  scroll: { flex: 1 },
  body: { flex: 1, outlineStyle: 'none' } as object,
  detailHead: {
    flexDirection: 'row',
    alignItems: 'center',
    paddingLeft: 16,
    paddingVertical: 4,
    borderBottomWidth: 1,
    minHeight: 56,
  },
  grow: { flex: 1 },
  fields: { padding: 16, gap: 12 },
  foot: {
    padding: 12,
    borderTopWidth: 1,
    flexDirection: 'row',
    gap: 8,
    justifyContent: 'flex-end',
    flexWrap: 'wrap',
  },
});
