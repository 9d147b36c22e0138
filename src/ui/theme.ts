import { configureFonts, useTheme, type MD3Theme } from 'react-native-paper';
import type { TextStyle } from 'react-native';
import type { WoodTone } from '@/core/lumber';

/** Paper and ink, and what is ours beside Paper's own colours. */
export interface Colors {
  paper: string;
  card: string;
  ink: string;
  soft: string;
  /** What cannot be done now. */
  faint: string;
  hairline: string;
  spruce: string;
  /** Behind words that were understood, and what is chosen. */
  pale: string;
  red: string;
  /** The bar at the foot, the rail, and words on them. */
  bar: string;
  onBar: string;
  wood: Record<WoodTone, string>;
  /** Lines and words on wood. */
  onWood: string;
}

const WOOD: Colors['wood'] = {
  softwood: '#E2C292',
  treated: '#B9BE86',
  cedar: '#CC9068',
  larch: '#D6A878',
  sheet: '#E8D5B4',
  fibreboard: '#CDBCA0',
};

const LIGHT: Colors = {
  paper: '#F3EEE4',
  card: '#FBF8F2',
  ink: '#20302B',
  soft: '#56625C',
  faint: '#A9A393',
  hairline: '#D9D0C0',
  spruce: '#1D5A4A',
  pale: '#DDE6DD',
  red: '#A9362B',
  bar: '#20302B',
  onBar: '#F3EEE4',
  wood: WOOD,
  onWood: '#20302B',
};

const DARK: Colors = {
  paper: '#171D1B',
  card: '#1F2725',
  ink: '#E9E4D8',
  soft: '#A5AFA8',
  faint: '#5A655F',
  hairline: '#38433F',
  spruce: '#6FB59B',
  pale: '#2C3B36',
  red: '#E58A7B',
  bar: '#0F1412',
  onBar: '#E9E4D8',
  wood: WOOD,
  onWood: '#20302B',
};

/** The fonts that come with the application. */
export const FONTS = { regular: 'Plex', medium: 'PlexMedium', bold: 'PlexBold' } as const;

/** Figures of one width, so that columns of money stand straight. */
export const TABULAR: TextStyle = { fontVariant: ['tabular-nums'] };

const fonts = configureFonts({ config: { fontFamily: FONTS.regular, fontWeight: '400', letterSpacing: 0 } });
const heavier = { fontFamily: FONTS.medium, fontWeight: '400', letterSpacing: 0 } as const;

const themeOf = (dark: boolean, ink: Colors): MD3Theme & { ink: Colors } => ({
  dark,
  isV3: true,
  version: 3,
  roundness: 0,
  // No motion but what explains: menus and dialogs are there at once.
  animation: { scale: 0 },
  fonts: {
    ...fonts,
    labelLarge: { ...fonts.labelLarge, ...heavier, fontSize: 16 },
    bodyLarge: { ...fonts.bodyLarge, fontSize: 17 },
    titleMedium: { ...fonts.titleMedium, ...heavier },
  },
  colors: {
    primary: ink.spruce,
    onPrimary: ink.card,
    secondary: ink.spruce,
    onSecondary: ink.card,
    tertiary: ink.spruce,
    onTertiary: ink.card,
    tertiaryContainer: ink.pale,
    onTertiaryContainer: ink.ink,
    errorContainer: ink.card,
    onErrorContainer: ink.red,
    surfaceDisabled: ink.hairline,
    onSurfaceDisabled: ink.faint,
    shadow: 'transparent',
    scrim: ink.bar,
    backdrop: 'rgba(15, 20, 18, 0.55)',
    primaryContainer: ink.pale,
    onPrimaryContainer: ink.ink,
    secondaryContainer: ink.pale,
    onSecondaryContainer: ink.ink,
    background: ink.card,
    surface: ink.card,
    surfaceVariant: ink.pale,
    onSurface: ink.ink,
    onSurfaceVariant: ink.soft,
    onBackground: ink.ink,
    outline: ink.soft,
    outlineVariant: ink.hairline,
    error: ink.red,
    onError: ink.card,
    inverseSurface: ink.bar,
    inverseOnSurface: ink.onBar,
    inversePrimary: '#E2C292',
    elevation: {
      level0: 'transparent',
      level1: ink.card,
      level2: ink.card,
      level3: ink.card,
      level4: ink.card,
      level5: ink.card,
    },
  },
  ink,
});

/** Paper's theme by day. */
export const lightTheme = themeOf(false, LIGHT);
/** Paper's theme by night. */
export const darkTheme = themeOf(true, DARK);

/** Our colours of the theme that holds. */
export const useColors = (): Colors => useTheme<typeof lightTheme>().ink;
