import type { ReactNode } from 'react';
import type { StyleProp, TextProps, TextStyle } from 'react-native';
import { Text as PaperText } from 'react-native-paper';
import { FONTS, TABULAR, useColors } from './theme';

const SIZES = {
  headline: { fontSize: 25, lineHeight: 31, fontFamily: FONTS.bold },
  title: { fontSize: 21, lineHeight: 27, fontFamily: FONTS.bold },
  strong: { fontSize: 17, lineHeight: 23, fontFamily: FONTS.bold },
  body: { fontSize: 17, lineHeight: 23, fontFamily: FONTS.regular },
  small: { fontSize: 15, lineHeight: 20, fontFamily: FONTS.regular },
} as const;

/** Which sizes are headings, and how deep. */
const LEVELS: Partial<Record<keyof typeof SIZES, number>> = { headline: 1, title: 2 };

/** What a text's colour says. */
export type Tone = 'ink' | 'soft' | 'good' | 'bad';

interface Props extends Pick<TextProps, 'numberOfLines' | 'role' | 'nativeID' | 'testID' | 'aria-live'> {
  size?: keyof typeof SIZES;
  tone?: Tone;
  align?: 'left' | 'right' | 'center';
  struck?: boolean;
  /** How deep a heading it is, where its size does not say. */
  level?: number;
  style?: StyleProp<TextStyle>;
  children: ReactNode;
}

/** Text in one of our five sizes and four tones. A headline or title is a heading to screen readers. */
export const Text = ({
  size = 'body',
  tone = 'ink',
  align,
  struck = false,
  level: ownLevel,
  style,
  children,
  ...rest
}: Props) => {
  const ink = useColors();
  const colors: Record<Tone, string> = { ink: ink.ink, soft: ink.soft, good: ink.spruce, bad: ink.red };
  const ofSize = LEVELS[size] ?? (rest.role === 'heading' ? (size === 'small' ? 3 : 2) : undefined);
  const level = rest.role === 'presentation' ? undefined : (ownLevel ?? ofSize);
  const heading = level === undefined ? {} : { role: 'heading' as const, 'aria-level': level };
  return (
    <PaperText
      {...rest}
      {...(heading as object)}
      style={[
        SIZES[size],
        TABULAR,
        { color: colors[tone], textAlign: align },
        struck && { textDecorationLine: 'line-through' },
        style,
      ]}
    >
      {children}
    </PaperText>
  );
};

/** What is wrong with a form, as a sentence that is read aloud; null: nothing. */
export const Fault = ({ sentence }: { sentence: string | null }) =>
  sentence === null ? null : (
    <Text tone="bad" role="alert">
      {sentence}
    </Text>
  );
