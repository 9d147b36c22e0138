import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import type { Explanation } from '@/core/budget';
import { formatMoney } from '@/core/units';
import { Button, Icon, Sheet, Text, useColors } from '@/ui';

interface Props {
  title: string;
  /** Where sums come from, each with its parts; empty: only sentences are told. */
  explanations?: Explanation[];
  /** What a verdict rests on. */
  sentences?: string[];
  currency: string;
  onClose: () => void;
}

/** Where a figure comes from: its parts down to shelf tags and receipts, each of which opens by a touch. */
export const Explained = ({ title, explanations = [], sentences = [], currency, onClose }: Props) => (
  <Sheet title={title} onClose={onClose} foot={<Button onPress={onClose}>Close</Button>}>
    {sentences.map((sentence) => (
      <Text key={sentence}>{sentence}</Text>
    ))}
    {explanations.map((explanation) => (
      <View key={explanation.label} role="tree" aria-label={explanation.label}>
        <Branch explanation={explanation} currency={currency} depth={0} />
      </View>
    ))}
  </Sheet>
);

/** So many levels are open from the first. */
const OPEN_DEPTH = 1;
const INDENT = 14;

const Branch = ({
  explanation: { label, sum, note, parts },
  currency,
  depth,
}: {
  explanation: Explanation;
  currency: string;
  depth: number;
}) => {
  const colors = useColors();
  const [isOpen, setOpen] = useState(depth < OPEN_DEPTH);
  const hasParts = parts.length > 0;
  const money = formatMoney(sum, currency);
  const line = (
    <View style={[styles.line, { paddingLeft: depth * INDENT }]}>
      <View style={styles.mark}>
        {hasParts ? <Icon name={isOpen ? 'less' : 'add'} size={16} color={colors.soft} /> : null}
      </View>
      <View style={styles.grow}>
        <Text size={depth === 0 ? 'strong' : 'body'}>{label}</Text>
        {note ? (
          <Text size="small" tone="soft">
            {note}
          </Text>
        ) : null}
      </View>
      <Text size={depth < 2 ? 'strong' : 'body'} align="right">
        {money}
      </Text>
    </View>
  );
  return (
    <View
      role="treeitem"
      aria-label={`${label}, ${money}`}
      {...(hasParts ? { 'aria-expanded': isOpen } : {})}
      style={[depth > 0 && styles.ruled, { borderColor: colors.hairline }]}
    >
      {hasParts ? (
        <TouchableRipple
          onPress={() => setOpen(!isOpen)}
          role="button"
          aria-expanded={isOpen}
          aria-label={`${label}, ${money}: ${isOpen ? 'close' : 'what it is made of'}`}
          style={styles.touch}
        >
          {line}
        </TouchableRipple>
      ) : (
        <View style={styles.touch}>{line}</View>
      )}
      {isOpen && hasParts ? (
        <View role="group">
          {parts.map((part, index) => (
            <Branch key={`${index} ${part.label}`} explanation={part} currency={currency} depth={depth + 1} />
          ))}
        </View>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  mark: { width: 18, paddingTop: 4 },
  grow: { flex: 1 },
  touch: { minHeight: 44, justifyContent: 'center', paddingVertical: 6 },
  ruled: { borderTopWidth: 1 },
});
