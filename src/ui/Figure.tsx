import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useColors } from './theme';

/** A sum or verdict that can be opened: a dotted line beneath it says so. */
export const Figure = ({
  label,
  onPress,
  align = 'left',
  children,
}: {
  /** What it opens, for those who do not see it. */
  label: string;
  onPress: () => void;
  align?: 'left' | 'right';
  children: ReactNode;
}) => {
  const colors = useColors();
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={[styles.press, align === 'right' && styles.right]}
      hitSlop={8}
    >
      <View style={[styles.line, { borderColor: colors.soft }]}>{children}</View>
    </Pressable>
  );
};

const styles = StyleSheet.create({
  press: { minHeight: 44, justifyContent: 'center', alignSelf: 'flex-start' },
  right: { alignSelf: 'flex-end' },
  line: { borderBottomWidth: 1, borderStyle: 'dotted' },
});
