import type { ComponentProps } from 'react';
import { StyleSheet } from 'react-native';
import { Button as PaperButton } from 'react-native-paper';
import { TOUCH } from './layout';

/** Paper's button, as high as a thumb needs. */
export const Button = ({ contentStyle, style, labelStyle, ...props }: ComponentProps<typeof PaperButton>) => (
  <PaperButton
    {...props}
    style={[styles.button, style]}
    labelStyle={[styles.label, labelStyle]}
    contentStyle={[styles.content, contentStyle]}
  />
);

const styles = StyleSheet.create({
  button: { maxWidth: '100%' },
  // On an enlarged page its words take two lines rather than leave the screen.
  label: { whiteSpace: 'normal', flexShrink: 1 } as object,
  content: { minHeight: TOUCH },
});
