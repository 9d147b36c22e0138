import { Pressable, StyleSheet } from 'react-native';
import { ActionMenu } from './ActionMenu';
import { TOUCH } from './layout';
import { useColors } from './theme';
import { Text } from './Text';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  /** The word that stands for nothing in particular; blank when not told. */
  usual?: T;
}

/** One of many words, in a menu behind the one that holds: `Material: any`. */
export const Select = <T extends string>({ label, value, options, onChange, usual }: Props<T>) => {
  const colors = useColors();
  const held = options.find((option) => option.value === value)?.label ?? value;
  return (
    <ActionMenu
      label={label}
      actions={options.map((option) => ({ title: option.label, run: () => onChange(option.value) }))}
      anchor={(show) => (
        <Pressable
          role="button"
          aria-haspopup="menu"
          aria-label={`${label}: ${held}`}
          onPress={show}
          style={[
            styles.pick,
            {
              borderColor: value === (usual ?? '') ? colors.soft : colors.spruce,
              borderWidth: value === (usual ?? '') ? 1 : 2,
              backgroundColor: colors.card,
            },
          ]}
        >
          <Text size="small" tone="soft">
            {label}
          </Text>
          <Text size="small" numberOfLines={1}>
            {held}
          </Text>
        </Pressable>
      )}
    />
  );
};

const styles = StyleSheet.create({
  pick: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    minHeight: TOUCH,
    paddingHorizontal: 12,
    maxWidth: 240,
  },
});
