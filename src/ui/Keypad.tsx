import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { createPortal } from 'react-dom';
import { Pressable, StyleSheet, View } from 'react-native';
import { focusedElement, pageRoot } from '@/platform/page';
import type { LengthUnit } from '@/core/units';
import { useIsShort, useIsWide } from './layout';
import { eraseUnit, typeKey, type Edited } from './padEdits';
import { useColors } from './theme';
import { Text } from './Text';

/** The field that the keypad writes into. */
interface Target {
  input: HTMLInputElement;
  unit: LengthUnit;
  change: (text: string) => void;
  /** Gives the field the keyboard of the phone. */
  letters: () => void;
}

interface Pad {
  target: Target | null;
  open: (target: Target) => void;
  /** Closes the keypad of that field, when it is open for it. */
  close: (input: HTMLInputElement) => void;
  height: number;
}

const PadContext = createContext<Pad>({ target: null, open: () => {}, close: () => {}, height: 0 });

const WHOLE = [
  '1/16',
  '1/8',
  '3/16',
  '1/4',
  '5/16',
  '3/8',
  '7/16',
  '1/2',
  '9/16',
  '5/8',
  '11/16',
  '3/4',
  '13/16',
  '7/8',
  '15/16',
];
const KEY = 48;
const FRACTION = 44;
/** On a phone on its side the fractions stand beside the digits, in keys of this height. */
const SIDE_KEY = 44;

/** Lets length fields below it, dialogs too, open the keypad at the foot of a phone; PadKeys draws it. */
export const PadProvider = ({ children }: { children: ReactNode }) => {
  const [target, setTarget] = useState<Target | null>(null);
  const open = useCallback((next: Target) => setTarget(next), []);
  const close = useCallback(
    (input: HTMLInputElement) => setTarget((held) => (held?.input === input ? null : held)),
    [],
  );
  const isShort = useIsShort();
  const rows = isShort ? 4 * SIDE_KEY : (target?.unit === 'in' ? 2 * FRACTION : 0) + 4 * KEY;
  const height = target ? rows + 9 : 0;
  const pad = useMemo(() => ({ target, open, close, height }), [target, open, close, height]);
  return <PadContext.Provider value={pad}>{children}</PadContext.Provider>;
};

/** The keypad itself, over everything; stands where the theme is known. */
export const PadKeys = () => {
  const { target } = useContext(PadContext);
  return target ? createPortal(<Keys target={target} />, pageRoot()) : null;
};

/** How much of the foot of the screen the keypad takes now. */
export const usePadRoom = (): number => useContext(PadContext).height;

/**
 * What a text field needs to be written into by the keypad; null where there is none: not a length, or a wide screen.
 * `letters` is true once the user asked for the keyboard of the phone.
 */
export const usePad = (
  unit: LengthUnit | undefined,
  change: (text: string) => void,
): { onFocus: (event: object) => void; onBlur: () => void; inputMode: 'none' | 'text' } | null => {
  const { open, close } = useContext(PadContext);
  const isWide = useIsWide();
  const [hasLetters, setLetters] = useState(false);
  const input = useRef<HTMLInputElement | null>(null);
  const latest = useRef(change);
  useEffect(() => {
    latest.current = change;
  });
  useEffect(
    () => () => {
      if (input.current) close(input.current);
    },
    [close],
  );
  if (unit === undefined || isWide) return null;
  return {
    inputMode: hasLetters ? 'text' : 'none',
    onFocus: (event) => {
      const field = (event as { target: HTMLInputElement }).target;
      input.current = field;
      if (hasLetters) return;
      open({
        input: field,
        unit,
        change: (text) => latest.current(text),
        letters: () => {
          setLetters(true);
          close(field);
          // The keyboard of the phone comes with a new focus.
          field.blur();
          setTimeout(() => field.focus(), 60);
        },
      });
      setTimeout(() => field.scrollIntoView({ block: 'center' }), 60);
    },
    onBlur: () => {
      // What was tapped must still be where it was when the finger lifts: the room is given back a moment later.
      const field = input.current;
      if (field) setTimeout(() => focusedElement() !== field && close(field), 220);
      setLetters(false);
    },
  };
};

const Keys = ({ target }: { target: Target }) => {
  const colors = useColors();
  const isShort = useIsShort();
  const edit = (by: (edited: Edited) => Edited) => {
    const { input } = target;
    const caret = input.selectionStart ?? input.value.length;
    const end = input.selectionEnd ?? caret;
    // What is selected is written over.
    const edited =
      end > caret
        ? { text: input.value.slice(0, caret) + input.value.slice(end), caret }
        : { text: input.value, caret };
    const next = end > caret && by === eraseUnit ? edited : by(edited);
    target.change(next.text);
    requestAnimationFrame(() => input.setSelectionRange(next.caret, next.caret));
  };
  const key = (word: string) => (
    <Key key={word} word={word} onPress={() => edit((edited) => typeKey(edited, word))} />
  );
  const units = target.unit === 'in' ? ['ft', 'in', 'mm'] : ['mm', 'cm', 'm'];
  return (
    <View
      style={[
        styles.pad,
        isShort && styles.sideways,
        { backgroundColor: colors.paper, borderColor: colors.ink },
      ]}
      role="region"
      aria-label="Keypad for lengths"
      testID="keypad"
    >
      {target.unit === 'in' ? (
        <View style={[styles.fractions, isShort && styles.half]}>
          {WHOLE.map((word) => (
            <Key key={word} word={word} isFraction onPress={() => edit((edited) => typeKey(edited, word))} />
          ))}
          <Key word="−" label="minus" isFraction onPress={() => edit((edited) => typeKey(edited, '-'))} />
        </View>
      ) : null}
      <View style={isShort && styles.half}>
        <View style={styles.row}>
          {['7', '8', '9', units[0] ?? ''].map(key)}
          <Key word="⌫" label="Erase" onPress={() => edit(eraseUnit)} />
        </View>
        <View style={styles.row}>
          {['4', '5', '6', units[1] ?? ''].map(key)}
          <Key word="abc" label="Letters" onPress={target.letters} />
        </View>
        <View style={styles.row}>{['1', '2', '3', units[2] ?? '', '/'].map(key)}</View>
        <View style={styles.row}>
          {['0', '.'].map(key)}
          <Key word="clear" label="Clear" onPress={() => target.change('')} />
          <Key word="Set" isDone onPress={() => target.input.blur()} />
        </View>
      </View>
    </View>
  );
};

const Key = ({
  word,
  label,
  onPress,
  isFraction = false,
  isDone = false,
}: {
  word: string;
  label?: string;
  onPress: () => void;
  isFraction?: boolean;
  isDone?: boolean;
}) => {
  const colors = useColors();
  const isShort = useIsShort();
  return (
    <Pressable
      role="button"
      aria-label={label ?? word}
      onPress={onPress}
      tabIndex={-1}
      // The field keeps the focus, and with it the keypad.
      {...({ onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault() } as object)}
      style={({ pressed }) => [
        styles.key,
        isFraction && styles.fraction,
        isShort && (isFraction ? styles.sideFraction : styles.sideKey),
        isDone && styles.done,
        {
          borderColor: colors.hairline,
          backgroundColor: isDone
            ? colors.spruce
            : pressed
              ? colors.pale
              : isFraction
                ? colors.paper
                : colors.card,
        },
      ]}
    >
      <Text size={isFraction ? 'small' : 'body'} style={isDone ? { color: colors.card } : null}>
        {word}
      </Text>
    </Pressable>
  );
};

const styles = StyleSheet.create({
  pad: {
    position: 'fixed',
    left: 0,
    right: 0,
    bottom: 0,
    zIndex: 2000,
    borderTopWidth: 1,
    paddingBottom: 8,
  } as object,
  fractions: { flexDirection: 'row', flexWrap: 'wrap' },
  row: { flexDirection: 'row' },
  key: {
    flex: 1,
    height: KEY,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1,
    marginRight: -1,
    marginBottom: -1,
  },
  fraction: {
    flexGrow: 0,
    marginRight: 0,
    borderRightWidth: 0,
    flexShrink: 0,
    flexBasis: '12.5%',
    height: FRACTION,
  },
  done: { flex: 2.05 },
  sideways: { flexDirection: 'row' },
  half: { flex: 1 },
  sideKey: { height: SIDE_KEY },
  sideFraction: { flexBasis: '25%', height: SIDE_KEY },
});
