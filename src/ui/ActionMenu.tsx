import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Modal, Portal } from 'react-native-paper';
import { focusedBox, focusedElement, focusKeeper } from '@/platform/page';
import { TOUCH, useIsWide } from './layout';
import { useColors, type Colors } from './theme';
import { Text } from './Text';
import { useLayer } from './useLayer';

/** One thing to do in a menu. */
export interface Action {
  title: string;
  run: () => void;
}

/** A few things to do, behind one button: at the foot of a phone, at the button on a wide screen. */
export const ActionMenu = ({
  label,
  actions,
  anchor,
}: {
  label: string;
  actions: Action[];
  anchor: (open: () => void) => ReactNode;
}) => {
  const [place, setPlace] = useState<Place | null>(null);
  const close = () => setPlace(null);
  return (
    <>
      {anchor(() => setPlace(placeAt(focusedBox())))}
      {place ? (
        <Portal>
          <Opened label={label} actions={actions} at={place} onClose={close} />
        </Portal>
      ) : null}
    </>
  );
};

/** Where a menu stands on a wide screen, from its upper or its lower edge, and how high it may be there. */
type Place = ({ left: number; top: number } | { left: number; bottom: number }) & { maxHeight: number };

const WIDTH = 320;
const MARGIN = 12;

/** Below its button, or above it where there is more room; where no button has the focus, at the upper right. */
const placeAt = ({ box, width, height }: ReturnType<typeof focusedBox>): Place => {
  const right = box?.right ?? width - MARGIN;
  const left = Math.max(MARGIN, Math.min(right - WIDTH, width - WIDTH - MARGIN));
  const top = (box?.bottom ?? 48) + 4;
  if (!box || top <= height * 0.6) return { left, top, maxHeight: height - top - MARGIN };
  return { left, bottom: height - box.top + 4, maxHeight: box.top - 4 - MARGIN };
};

const Opened = ({
  label,
  actions,
  at,
  onClose,
}: {
  label: string;
  actions: Action[];
  at: Place;
  onClose: () => void;
}) => {
  const colors = useColors();
  const isWide = useIsWide();
  const list = useRef<View>(null);
  const items = (): HTMLElement[] => [
    ...((list.current as unknown as HTMLElement | null)?.querySelectorAll<HTMLElement>('[role=menuitem]') ??
      []),
  ];
  useEffect(() => {
    const giveBack = focusKeeper();
    items()[0]?.focus();
    return giveBack;
  }, []);
  useLayer(onClose);
  const onKeyDown = (event: { key: string; preventDefault: () => void }) => {
    if (event.key === 'Tab') {
      event.preventDefault();
      return onClose();
    }
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const all = items();
    const index = all.findIndex((item) => item === focusedElement());
    all[(index + by + all.length) % all.length]?.focus();
  };
  return (
    <Modal
      visible
      onDismiss={onClose}
      style={isWide ? styles.upper : styles.lower}
      contentContainerStyle={isWide ? [styles.wide, at] : undefined}
    >
      <View
        ref={list}
        role="menu"
        aria-label={label}
        {...({ onKeyDown } as object)}
        style={[
          styles.list,
          isWide && { maxHeight: at.maxHeight },
          { backgroundColor: colors.card, borderColor: colors.ink },
          showsMore(colors),
        ]}
      >
        {actions.map(({ title, run }) => (
          <Pressable
            key={title}
            role="menuitem"
            onPress={() => {
              onClose();
              run();
            }}
            style={(state) => [
              styles.item,
              { borderColor: colors.hairline },
              (state as { hovered?: boolean }).hovered && { backgroundColor: colors.pale },
            ]}
          >
            <Text>{title}</Text>
          </Pressable>
        ))}
      </View>
    </Modal>
  );
};

/** A shade at the edge behind which there is more: covers scroll with the list and hide it at its ends. */
const showsMore = ({ card, ink }: Colors) => {
  const shade = `color-mix(in srgb, ${ink} 32%, transparent)`;
  return {
    backgroundImage: [
      `linear-gradient(${card} 40%, transparent)`,
      `linear-gradient(transparent, ${card} 60%)`,
      `linear-gradient(${shade}, transparent)`,
      `linear-gradient(transparent, ${shade})`,
    ].join(', '),
    backgroundPosition: 'top, bottom, top, bottom',
    backgroundSize: '100% 48px, 100% 48px, 100% 16px, 100% 16px',
    backgroundRepeat: 'no-repeat',
    backgroundAttachment: 'local, local, scroll, scroll',
  } as object;
};

const styles = StyleSheet.create({
  lower: { justifyContent: 'flex-end', marginTop: 0, marginBottom: 0 },
  upper: { justifyContent: 'flex-start', marginTop: 0, marginBottom: 0 },
  list: { borderWidth: 1, maxHeight: '82%', overflow: 'auto' } as object,
  wide: { position: 'absolute', width: WIDTH },
  item: { minHeight: TOUCH + 4, justifyContent: 'center', paddingHorizontal: 16, borderBottomWidth: 1 },
});
