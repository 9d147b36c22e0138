import { useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View, type TextInputProps } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import type { LengthUnit } from '@/core/units';
import { type Result, faultOf } from '@/core/result';
import { Icon } from './icons';
import { usePad } from './Keypad';
import { TOUCH } from './layout';
import { useColors } from './theme';
import { Text } from './Text';

/** What every field of text is told. */
export interface TextFieldProps extends Pick<
  TextInputProps,
  'inputMode' | 'onFocus' | 'onSubmitEditing' | 'autoFocus' | 'placeholder' | 'multiline' | 'numberOfLines'
> {
  label: string;
  /** What is written on a narrow field; the label is read aloud whole. */
  shownLabel?: string;
  value: string;
  onChange: (text: string) => void;
  /** A sentence under the field, in red. */
  error?: string | null;
  help?: string | null;
  /** A length in that unit: on a phone it is typed on our keypad. */
  pad?: LengthUnit;
}

/** A line of text with its label, and under it what is wrong or what it comes to. */
export const TextField = ({
  label,
  shownLabel,
  value,
  onChange,
  error,
  help,
  pad,
  ...rest
}: TextFieldProps) => {
  const keypad = usePad(pad, onChange);
  return (
    <View>
      <TextInput
        mode="outlined"
        label={shownLabel ?? label}
        aria-label={label}
        accessibilityLabel={label}
        value={value}
        onChangeText={onChange}
        error={!!error}
        aria-invalid={!!error}
        {...rest}
        {...keypad}
      />
      {error || help ? (
        <HelperText type={error ? 'error' : 'info'} visible padding="none" style={styles.help}>
          {error ?? help}
        </HelperText>
      ) : null}
    </View>
  );
};

interface ReadFieldProps<T> extends Omit<TextFieldProps, 'value' | 'onChange' | 'error'> {
  /** The text for the value that holds; shown again when it changes from elsewhere. */
  text: string;
  read: (text: string) => Result<T>;
  /** Called with every text that can be read, while it is typed. */
  onRead: (value: T, text: string) => void;
}

/** A field whose text is read as something: what cannot be read stays in the field with the reason under it. */
export const ReadField = <T,>({ text, read, onRead, ...rest }: ReadFieldProps<T>) => {
  const [typed, setTyped] = useState({ text, seen: text });
  const result = read(typed.text);
  if (typed.seen !== text) {
    // The value changed. By what was typed here: leave the typing alone. From elsewhere: show it.
    const now = read(text);
    const isOurs = result.ok && now.ok && JSON.stringify(result.value) === JSON.stringify(now.value);
    setTyped({ text: isOurs ? typed.text : text, seen: text });
  }
  const change = (next: string) => {
    setTyped({ ...typed, text: next });
    const answer = read(next);
    if (answer.ok) onRead(answer.value, next);
  };
  return <TextField {...rest} value={typed.text} onChange={change} error={faultOf(result)} />;
};

interface ChoiceProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  children?: ReactNode;
}

/** One of a few words, all in sight. Arrow keys move between them, as in any group of radio buttons. */
export const Choice = <T extends string>({ label, value, options, onChange, children }: ChoiceProps<T>) => {
  const colors = useColors();
  const move = (by: number) => {
    const index = options.findIndex((option) => option.value === value);
    const next = options[(index + by + options.length) % options.length];
    if (next) onChange(next.value);
  };
  return (
    <View role="radiogroup" aria-label={label}>
      <Text size="small" tone="soft" style={styles.choiceLabel}>
        {label}
      </Text>
      <View style={styles.choices}>
        {options.map((option, index) => {
          const isChosen = option.value === value;
          return (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={isChosen}
              tabIndex={isChosen || (value === null && index === 0) ? 0 : -1}
              onPress={() => onChange(option.value)}
              {...({
                onKeyDown: (event: {
                  key: string;
                  preventDefault: () => void;
                  currentTarget: HTMLElement;
                }) => {
                  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  move(by);
                  const all = [...(event.currentTarget.parentElement?.children ?? [])] as HTMLElement[];
                  all[(index + by + options.length) % options.length]?.focus();
                },
              } as object)}
              style={[
                styles.option,
                {
                  borderColor: isChosen ? colors.spruce : colors.soft,
                  backgroundColor: isChosen ? colors.pale : 'transparent',
                },
                isChosen && styles.chosen,
              ]}
            >
              <Text size="body">{option.label}</Text>
            </Pressable>
          );
        })}
        {children}
      </View>
    </View>
  );
};

/** A box to tick, as large as a thumb. */
export const Checkbox = ({
  isTicked,
  label,
  onPress,
}: {
  isTicked: boolean;
  label: string;
  onPress: () => void;
}) => {
  const colors = useColors();
  return (
    <Pressable
      role="checkbox"
      aria-checked={isTicked}
      aria-label={label}
      onPress={onPress}
      style={styles.tick}
    >
      <Icon name={isTicked ? 'ticked' : 'unticked'} size={26} color={isTicked ? colors.spruce : colors.ink} />
    </Pressable>
  );
};

const styles = StyleSheet.create({
  tick: { width: 56, minHeight: TOUCH, alignItems: 'center', justifyContent: 'center' },
  help: { fontSize: 15, lineHeight: 20 },
  choiceLabel: { marginBottom: 4 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  option: {
    minHeight: TOUCH,
    minWidth: TOUCH,
    paddingHorizontal: 12,
    justifyContent: 'center',
    alignItems: 'center',
    borderWidth: 1,
  },
  chosen: { borderWidth: 2, paddingHorizontal: 11 },
});
