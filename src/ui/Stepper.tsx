import { StyleSheet, View } from 'react-native';
import { parseCount } from '@/core/units';
import { TextField } from './fields';
import { IconAction } from './rows';

/** A count with a step down and up beside it, for a thumb. */
export const Stepper = ({
  label,
  value,
  onChange,
  error,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  error?: string | null;
}) => {
  const count = parseCount(value);
  const by = (step: number) => onChange(String(Math.max(1, (count.ok ? count.value : 1) + step)));
  return (
    <View style={styles.line}>
      <IconAction icon="less" label={`One fewer: ${label}`} onPress={() => by(-1)} />
      <View style={styles.grow}>
        <TextField label={label} value={value} onChange={onChange} inputMode="numeric" error={error} />
      </View>
      <IconAction icon="add" label={`One more: ${label}`} onPress={() => by(1)} />
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  grow: { flex: 1 },
});
