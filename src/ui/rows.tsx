import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { IconButton, TouchableRipple } from 'react-native-paper';
import { setTooltip } from '@/platform/page';
import type { IconName } from './icons';
import { TOUCH } from './layout';
import { useColors } from './theme';
import { Text } from './Text';

/** A heading over a run of rows: what they are at the left, what they come to at the right. */
export const SectionHeader = ({
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
  const colors = useColors();
  const content = (
    <View style={styles.band}>
      <Text size="strong" role="heading" tone={tone === 'bad' ? 'bad' : 'ink'} style={styles.bandTitle}>
        {title}
      </Text>
      {note ? (
        <Text size="small" tone="soft" align="right" style={styles.bandNote}>
          {note}
        </Text>
      ) : null}
    </View>
  );
  const frame = [styles.bandFrame, { borderColor: colors.hairline, backgroundColor: colors.paper }];
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
  const colors = useColors();
  const frame = [
    styles.row,
    { borderColor: colors.hairline, backgroundColor: isChosen ? colors.pale : colors.card },
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
  const colors = useColors();
  return (
    <IconButton
      icon={icon}
      aria-label={label}
      accessibilityLabel={label}
      onPress={onPress}
      disabled={disabled}
      iconColor={color ?? colors.ink}
      style={styles.iconAction}
      // Told to a mouse that rests on it, too.
      ref={(node) => setTooltip(node, label)}
    />
  );
};

/** Two to four views of one place, one of them open. */
export const SegmentedButtons = <T extends string>({
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
  const colors = useColors();
  return (
    <View style={[styles.segments, { borderColor: colors.ink }]} role="tablist" aria-label={label}>
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
                backgroundColor: isOpen ? colors.ink : 'transparent',
                borderColor: colors.ink,
                borderLeftWidth: index === 0 ? 0 : 1,
              },
            ]}
          >
            <Text size="body" style={{ color: isOpen ? colors.paper : colors.ink }}>
              {option.label}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
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
