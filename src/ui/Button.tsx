import type { ComponentProps } from 'react';
import { StyleSheet } from 'react-native';
import { Button as PaperButton } from 'react-native-paper';
import { TOUCH } from './layout';

/** Paper's button, as high as a thumb needs. */
export const Button = ({ contentStyle, ...props }: ComponentProps<typeof PaperButton>) => (
  <PaperButton {...props} contentStyle={[styles.content, contentStyle]} />
);

const styles = StyleSheet.create({ content: { minHeight: TOUCH } });
