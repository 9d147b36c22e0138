import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter, type Href } from 'expo-router';
import { useBook, useProjects } from '@/hooks';
import { isOnControl, onKeyDown } from '@/platform/page';
import { Row, Sheet, Text, TextField } from '@/ui';
import { findableIn, foundBy, type Findable } from './finder';

interface Props {
  projectId: string | null;
  typed: string;
  onType: (text: string) => void;
  onClose: () => void;
}

const KINDS: Record<Findable['kind'], string> = {
  place: 'Place',
  project: 'Project',
  part: 'Part',
  price: 'Price',
  action: 'Do',
};

/** Finds a part, a price, a place, a project or what can be done by its name, and goes there. */
export const FindBox = ({ projectId, typed, onType, onClose }: Props) => {
  const router = useRouter();
  const book = useBook();
  const records = useProjects()?.records;
  const [at, setAt] = useState(0);
  const all = useMemo(() => {
    const projects = (records ?? []).flatMap(({ project, deletedAt }) =>
      deletedAt === null ? [project] : [],
    );
    return findableIn({ projects, book, project: projects.find(({ id }) => id === projectId) ?? null });
  }, [records, book, projectId]);
  const found = foundBy(all, typed);
  const chosen = Math.min(at, found.length - 1);
  const go = (one: Findable | undefined) => {
    if (!one) return;
    onClose();
    router.push(one.href as Href);
  };
  useEffect(() =>
    onKeyDown((event) => {
      if (event.key === 'Enter' && !isOnControl(event)) {
        event.preventDefault();
        return go(found[chosen]);
      }
      const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      setAt((chosen + by + found.length) % Math.max(1, found.length));
    }),
  );
  return (
    <Sheet title="Find" onClose={onClose}>
      <TextField
        label="A part, a price, a place, a project, or what to do"
        value={typed}
        onChange={(text) => {
          onType(text);
          setAt(0);
        }}
        autoFocus
        onSubmitEditing={() => go(found[chosen])}
      />
      <View role="group" aria-label="Found">
        {found.map((one, index) => (
          <Row
            key={one.key}
            isChosen={index === chosen}
            onPress={() => go(one)}
            label={`${one.name}, ${one.detail}`}
            style={styles.row}
          >
            <Text>{one.name}</Text>
            <Text size="small" tone="soft">
              {KINDS[one.kind]} · {one.detail}
            </Text>
          </Row>
        ))}
      </View>
      <Text size="small" tone="soft" role="status">
        {found.length === 0 ? 'Nothing is called that here.' : ''}
      </Text>
    </Sheet>
  );
};

const styles = StyleSheet.create({
  row: { paddingVertical: 8, paddingHorizontal: 12 },
});
