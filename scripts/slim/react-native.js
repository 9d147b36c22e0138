/** What the router asks of React Native where it draws places on the web; the whole index would bring every component. */
export { default as I18nManager } from 'react-native-web/dist/exports/I18nManager';
export { default as Linking } from 'react-native-web/dist/exports/Linking';
export { default as Platform } from 'react-native-web/dist/exports/Platform';
export { default as Pressable } from 'react-native-web/dist/exports/Pressable';
export { default as StyleSheet } from 'react-native-web/dist/exports/StyleSheet';
export { default as Text } from 'react-native-web/dist/exports/Text';
export { default as useColorScheme } from 'react-native-web/dist/exports/useColorScheme';
export { default as View } from 'react-native-web/dist/exports/View';
