import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet, useColorScheme, View } from 'react-native';
import { PaperProvider, Snackbar, Surface } from 'react-native-paper';
import { notifyManager, QueryClientProvider } from '@tanstack/react-query';
import { usePathname } from 'expo-router';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import {
  dismiss,
  keepForOffline,
  services,
  useNotice,
  useOtherTabs,
  useSettings,
  useStanding,
} from '@/hooks';
import { loadFonts } from '@/platform/fonts';
import { fetchSharedLater } from '@/platform/later';
import { hearBack } from '@/platform/layers';
import { paintPage } from '@/platform/page';
import {
  darkTheme,
  lightTheme,
  PadKeys,
  PadProvider,
  paperIcon,
  Text,
  TOUCH,
  useColors,
  useIsShort,
  useIsWide,
} from '@/ui';
import { Finding } from './Finding';
import { Frame } from './Frame';

// What is typed must be back in its field before the next key: no waiting for a timer.
notifyManager.setScheduler(queueMicrotask);

fetchSharedLater();

hearBack();

// The page asks for them before any of this runs.
loadFonts({
  Plex: '/fonts/condensed-400.woff2',
  PlexMedium: '/fonts/condensed-500.woff2',
  PlexBold: '/fonts/condensed-700.woff2',
});

/** Everything around the places: data, theme, fonts, navigation, notices. */
export const Root = ({ children }: { children: ReactNode }) => {
  return (
    <QueryClientProvider client={services().client}>
      <SafeAreaProvider>
        <Themed>{children}</Themed>
      </SafeAreaProvider>
    </QueryClientProvider>
  );
};

const Themed = ({ children }: { children: ReactNode }) => {
  const { settings } = useSettings();
  const system = useColorScheme();
  const isDark = settings.theme === 'dark' || (settings.theme === 'system' && system === 'dark');
  const theme = isDark ? darkTheme : lightTheme;
  useOtherTabs();
  useEffect(() => void keepForOffline(), []);
  useEffect(() => {
    paintPage(isDark ? 'dark' : 'light', theme.ink.paper);
  }, [isDark, theme]);
  const settingsOfPaper = useMemo(() => ({ icon: paperIcon, rippleEffectEnabled: true }), []);
  return (
    <PadProvider>
      <PaperProvider theme={theme} settings={settingsOfPaper}>
        <View style={{ flex: 1, backgroundColor: theme.ink.paper }}>
          <Frame>{children}</Frame>
        </View>
        <Notices />
        <Finding />
        <PadKeys />
      </PaperProvider>
    </PadProvider>
  );
};

/** What the last change did, with a way back, and below it what is not kept. What stands at a place's foot stays in reach. */
const Notices = () => {
  const notice = useNotice();
  const standing = useStanding();
  const path = usePathname();
  const [isWide, isShort] = [useIsWide(), useIsShort()];
  const hasKeys = path === '/aisle' && !isWide && !isShort;
  const [height, setHeight] = useState(0);
  // The sums of the run, and the keys and answers of the aisle.
  const foot = path.endsWith('/run') ? 132 : hasKeys ? 334 : 64;
  return (
    <>
      {standing ? (
        <View
          style={[styles.standing, { bottom: foot }]}
          pointerEvents="none"
          onLayout={({ nativeEvent }) => setHeight(nativeEvent.layout.height)}
        >
          <Standing text={standing} />
        </View>
      ) : null}
      <Snackbar
        visible={notice !== null}
        onDismiss={() => dismiss(notice)}
        duration={notice?.action ? 10_000 : 6_000}
        action={
          notice?.action
            ? { label: notice.action.label, onPress: notice.action.run, contentStyle: { minHeight: TOUCH } }
            : undefined
        }
        wrapperStyle={{ bottom: foot + (standing ? height : 0), maxWidth: 560, alignSelf: 'center' }}
      >
        {notice?.text ?? ''}
      </Snackbar>
    </>
  );
};

const Standing = ({ text }: { text: string }) => {
  const colors = useColors();
  return (
    <Surface elevation={2} style={[styles.slip, { backgroundColor: colors.card, borderColor: colors.red }]}>
      <Text size="small" role="status">
        {text}
      </Text>
    </Surface>
  );
};

const styles = StyleSheet.create({
  standing: { position: 'absolute', left: 0, right: 0, alignItems: 'center', padding: 8, paddingBottom: 0 },
  slip: { maxWidth: 544, width: '100%', padding: 12, borderWidth: 1, borderRadius: 4 },
});
