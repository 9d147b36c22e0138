import { useEffect, useRef, type ReactNode } from 'react';
import {
  Pressable,
  ScrollView,
  StyleSheet,
  useWindowDimensions,
  View,
  type StyleProp,
  type ViewStyle,
} from 'react-native';
import { IconButton, Modal, Portal, TouchableRipple } from 'react-native-paper';
import type { IconName } from './icons';
import { useInk } from './theme';
import { Words } from './Words';

/** The least side of anything that is touched. */
export const TOUCH = 44;

/** Whether there is room for a rail, and for list and detail side by side. */
export const useIsWide = (): boolean => useWindowDimensions().width >= 900;

/** A scrolling column, and beside it on a wide screen the detail of what is chosen in it, or else `beside`. */
export const Columns = ({
  children,
  detail,
  beside,
}: {
  children: ReactNode;
  detail?: ReactNode;
  beside?: ReactNode;
}) => {
  const isWide = useIsWide();
  const ink = useInk();
  return (
    <View style={styles.columns}>
      <ScrollView style={styles.column} contentContainerStyle={styles.scrolled}>
        <View style={[styles.list, isWide && styles.wideList]}>{children}</View>
      </ScrollView>
      {isWide && detail ? (
        <View style={[styles.detail, { borderColor: ink.hairline, backgroundColor: ink.card }]}>
          {detail}
        </View>
      ) : null}
      {isWide && !detail && beside ? (
        <ScrollView
          style={[styles.beside, { borderColor: ink.hairline }]}
          contentContainerStyle={styles.scrolled}
        >
          {beside}
        </ScrollView>
      ) : null}
    </View>
  );
};

interface DetailProps {
  title: string;
  onClose: () => void;
  children: ReactNode;
  /** Stays at the foot, in reach of the thumb. */
  foot?: ReactNode;
}

/** What is chosen in a list: a page over it on a phone, a column beside it on a wide screen. */
export const Detail = (props: DetailProps) => {
  const ink = useInk();
  const isWide = useIsWide();
  if (isWide) return <DetailBody {...props} />;
  return (
    <Portal>
      <Modal
        visible
        onDismiss={props.onClose}
        contentContainerStyle={[styles.page, { backgroundColor: ink.card }]}
        style={styles.modal}
      >
        <DetailBody {...props} />
      </Modal>
    </Portal>
  );
};

const DetailBody = ({ title, onClose, children, foot }: DetailProps) => {
  const ink = useInk();
  const body = useRef<View>(null);
  useEffect(() => {
    // Reading goes on in what has opened, and goes back to where it was when that closes.
    const before = document.activeElement as HTMLElement | null;
    const here = body.current as unknown as HTMLElement | null;
    if (here && !here.contains(before)) here.focus({ preventScroll: true });
    return () => {
      if (before?.isConnected) before.focus({ preventScroll: true });
    };
  }, []);
  useEffect(() => {
    const close = (event: KeyboardEvent) => event.key === 'Escape' && !event.defaultPrevented && onClose();
    window.addEventListener('keydown', close);
    return () => window.removeEventListener('keydown', close);
  }, [onClose]);
  return (
    <View ref={body} style={styles.body} role="dialog" aria-label={title} tabIndex={-1}>
      <View style={[styles.detailHead, { borderColor: ink.hairline }]}>
        <Words size="title" style={styles.grow} numberOfLines={1}>
          {title}
        </Words>
        <IconAction icon="close" label="Close" onPress={onClose} />
      </View>
      <ScrollView contentContainerStyle={styles.fields}>{children}</ScrollView>
      {foot ? <View style={[styles.foot, { borderColor: ink.hairline }]}>{foot}</View> : null}
    </View>
  );
};

/** A dialog of its own, over everything: for what begins or ends something. */
export const Sheet = (props: DetailProps) => {
  const ink = useInk();
  const isWide = useIsWide();
  return (
    <Portal>
      <Modal
        visible
        onDismiss={props.onClose}
        style={styles.modal}
        contentContainerStyle={[
          isWide ? styles.sheet : styles.page,
          { backgroundColor: ink.card, borderColor: ink.ink },
        ]}
      >
        <DetailBody {...props} />
      </Modal>
    </Portal>
  );
};

/** A heading over a run of rows: what they are at the left, what they come to at the right. */
export const Band = ({
  title,
  note,
  onPress,
  label,
  tone,
}: {
  title: string;
  note?: string;
  onPress?: () => void;
  label?: string;
  tone?: 'bad';
}) => {
  const ink = useInk();
  const content = (
    <View style={styles.band}>
      <Words size="strong" role="heading" tone={tone === 'bad' ? 'bad' : 'ink'} style={styles.bandTitle}>
        {title}
      </Words>
      {note ? (
        <Words size="small" tone="soft" align="right" style={styles.bandNote}>
          {note}
        </Words>
      ) : null}
    </View>
  );
  const frame = [styles.bandFrame, { borderColor: ink.hairline, backgroundColor: ink.paper }];
  if (!onPress) return <View style={frame}>{content}</View>;
  return (
    <View style={frame}>
      <TouchableRipple onPress={onPress} role="button" aria-label={label ?? title} style={styles.touchable}>
        {content}
      </TouchableRipple>
    </View>
  );
};

/** One entry of a list on a card, with a hairline under it. */
export const Row = ({
  children,
  onPress,
  label,
  isChosen = false,
  style,
}: {
  children: ReactNode;
  onPress?: () => void;
  label?: string;
  isChosen?: boolean;
  style?: StyleProp<ViewStyle>;
}) => {
  const ink = useInk();
  const frame = [
    styles.row,
    { borderColor: ink.hairline, backgroundColor: isChosen ? ink.pale : ink.card },
    style,
  ];
  if (!onPress) return <View style={frame}>{children}</View>;
  return (
    <TouchableRipple onPress={onPress} role="button" aria-label={label} style={frame}>
      <View style={styles.rowInside}>{children}</View>
    </TouchableRipple>
  );
};

/** A touch target of an icon, named for those who do not see it. */
export const IconAction = ({
  icon,
  label,
  onPress,
  disabled = false,
  color,
}: {
  icon: IconName;
  label: string;
  onPress: () => void;
  disabled?: boolean;
  color?: string;
}) => {
  const ink = useInk();
  return (
    <IconButton
      icon={icon}
      aria-label={label}
      accessibilityLabel={label}
      onPress={onPress}
      disabled={disabled}
      iconColor={color ?? ink.ink}
      style={styles.iconAction}
    />
  );
};

/** Two to four views of one place, one of them open. */
export const Segments = <T extends string>({
  value,
  options,
  onChange,
  label,
}: {
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  label: string;
}) => {
  const ink = useInk();
  return (
    <View style={[styles.segments, { borderColor: ink.ink }]} role="tablist" aria-label={label}>
      {options.map((option, index) => {
        const isOpen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="tab"
            aria-selected={isOpen}
            onPress={() => onChange(option.value)}
            style={[
              styles.segment,
              {
                backgroundColor: isOpen ? ink.ink : 'transparent',
                borderColor: ink.ink,
                borderLeftWidth: index === 0 ? 0 : 1,
              },
            ]}
          >
            <Words size="body" style={{ color: isOpen ? ink.paper : ink.ink }}>
              {option.label}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row' },
  column: { flex: 1 },
  scrolled: { flexGrow: 1, paddingBottom: 40 },
  list: { width: '100%' },
  wideList: { maxWidth: 780 },
  detail: { width: 420, borderLeftWidth: 1 },
  beside: { flex: 1, borderLeftWidth: 1 },
  modal: { marginTop: 0, marginBottom: 0, justifyContent: 'center' },
  page: { flex: 1, width: '100%', height: '100%' },
  sheet: { width: 560, height: '86%', alignSelf: 'center', borderWidth: 1 },
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
  band: {
    flexDirection: 'row',
    alignItems: 'center',
    paddingHorizontal: 16,
    paddingVertical: 8,
    gap: 12,
    minHeight: TOUCH,
    flex: 1,
  },
  bandFrame: { borderTopWidth: 1, borderBottomWidth: 1, marginTop: -1 },
  bandTitle: { flexShrink: 0, maxWidth: '60%' },
  bandNote: { flex: 1 },
  touchable: { minHeight: TOUCH },
  row: { borderBottomWidth: 1, minHeight: TOUCH, justifyContent: 'center' },
  rowInside: { width: '100%' },
  iconAction: { width: TOUCH, height: TOUCH, margin: 0, borderRadius: 0 },
  segments: { flexDirection: 'row', borderWidth: 1, marginHorizontal: 16, marginVertical: 12 },
  segment: { flex: 1, minHeight: TOUCH, alignItems: 'center', justifyContent: 'center' },
});
