import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { thinnable } from '@/core/pricing';
import { storageUsage, notify, today, useOpenBook, type StorageUsage } from '@/hooks';
import { Button, Confirm, useColors, Text } from '@/ui';

/** The year before which history is thinned to one price a month. */
const yearBefore = (iso: string): string => `${Number(iso.slice(0, 4)) - 1}${iso.slice(4)}`;

const size = (units: number): string =>
  units < 1000
    ? `${units}`
    : units < 1_000_000
      ? `${Math.round(units / 1000)} kB`
      : units < 1e9
        ? `${(units / 1e6).toFixed(1)} MB`
        : `${(units / 1e9).toFixed(1)} GB`;

/** How full the browser's storage is, and what old price history could be thinned out of it. */
export const Room = () => {
  const open = useOpenBook();
  const colors = useColors();
  const [full, setFull] = useState<StorageUsage | null>(null);
  const [isAsking, setAsking] = useState(false);
  const book = open?.book;
  const look = useCallback(() => void storageUsage().then(setFull), []);
  useEffect(() => {
    // What was just changed is written a moment later.
    const later = setTimeout(look, 400);
    return () => clearTimeout(later);
  }, [look, book]);
  if (!full || !open) return null;
  const old = thinnable(open.book, yearBefore(today()));
  const share = Math.min(1, full.used / full.of);
  const percent = Math.max(1, Math.round(share * 100));
  const thin = () => {
    open.dispatch({ type: 'removePrices', ids: old });
    notify({ text: `${old.length} old prices are thinned out.`, action: { label: 'Undo', run: open.undo } });
  };
  return (
    <View style={styles.room}>
      <Text>
        {percent} % of the room is taken: {size(full.used)} of {size(full.of)}.
      </Text>
      <View
        role="progressbar"
        aria-label="Room taken in this browser"
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        style={[styles.bar, { borderColor: colors.soft }]}
      >
        <View
          style={{
            width: `${share * 100}%`,
            height: '100%',
            backgroundColor: share > 0.9 ? colors.red : colors.spruce,
          }}
        />
      </View>
      <Text size="small" tone="soft">
        {full.isPromised
          ? 'The browser has promised not to clear it.'
          : 'The browser may clear it when it is short of room: save what matters to files.'}
      </Text>
      <Text size="small" tone="soft">
        {full.parts.map(({ name, used }) => `${name} ${size(used)}`).join(' · ')}
      </Text>
      {old.length > 0 ? (
        <Button mode="outlined" onPress={() => setAsking(true)} style={styles.button}>
          Thin {old.length} old prices
        </Button>
      ) : null}
      {isAsking ? (
        <Confirm
          title="Thin old history?"
          text={`${old.length} prices seen over a year ago are taken away: of each thing the last one of every month stays, and every price that holds now. This can be undone while Billet is open.`}
          verb="Thin it"
          onConfirm={thin}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  room: { gap: 8 },
  bar: { height: 16, borderWidth: 1 },
  button: { alignSelf: 'flex-start' },
});
