import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDay, isoDay } from '@/core/units';
import { asideNow, notify, removeAside, saveFile, textAside, type SetAside, useOpenBook } from '@/hooks';
import { Button, Confirm, Row, SectionHeader, Text } from '@/ui';

const NAMES: Record<string, string> = { book: 'A price book', settings: 'Settings' };

/** What could not be read and lies aside: it can be saved as it was found, and taken away. */
export const Aside = () => {
  const [found, setFound] = useState<SetAside[]>([]);
  const [asked, setAsked] = useState<SetAside | null>(null);
  const look = useCallback(() => void asideNow().then(setFound), []);
  // What cannot be read is set aside while everything is read: then there is a book.
  const book = useOpenBook()?.book;
  useEffect(look, [look, book]);
  if (found.length === 0) return null;
  const save = async (one: SetAside) =>
    saveFile(`billet-${one.what}-set-aside.txt`, await textAside(one), 'text/plain');
  const remove = async (one: SetAside) => {
    await removeAside(one);
    setAsked(null);
    look();
    notify({ text: 'It is gone.' });
  };
  return (
    <View role="region" aria-label="Set aside">
      <SectionHeader title="Set aside" note="could not be read, untouched" />
      {found.map((one) => (
        <Row key={one.key} style={styles.row}>
          <Text>{`${NAMES[one.what] ?? one.what}, set aside ${formatDay(isoDay(one.at))}`}</Text>
          <View style={styles.buttons}>
            <Button mode="outlined" onPress={() => void save(one)}>
              Save it as a file
            </Button>
            <Button mode="text" onPress={() => setAsked(one)}>
              Take it away
            </Button>
          </View>
        </Row>
      ))}
      {asked ? (
        <Confirm
          title="Take it away for good?"
          text="What was kept in it cannot be had back, unless you saved it as a file."
          verb="Take it away"
          onConfirm={() => void remove(asked)}
          onClose={() => setAsked(null)}
        />
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
