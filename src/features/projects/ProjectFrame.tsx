import { useEffect, useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import { formatMoney } from '@/core/units';
import { useProject, useReadyToCompare, useSnapshot, type OpenProject, type PlanSnapshot } from '@/hooks';
import { isInFilledField, onKeyDown } from '@/platform/page';
import {
  Button,
  IconAction,
  MoneyStrip,
  useColors,
  useIsLow,
  useIsNarrow,
  useIsWide,
  Text,
  READING,
} from '@/ui';
import { SumsExplained } from './later';
import { ProjectMenu } from './ProjectMenu';

/** What stays in sight in all places of a project: its name, undo and redo, and the money strip. */
export const ProjectFrame = ({ id, children }: { id: string; children: ReactNode }) => {
  const open = useProject(id);
  const router = useRouter();
  if (open === null) return <ActivityIndicator style={styles.wait} />;
  if (open === undefined)
    return (
      <View style={styles.missing}>
        <Text size="title">There is no such project here</Text>
        <Text>It may have been deleted, or be kept in another browser. Open its file to have it here.</Text>
        <Button mode="contained" onPress={() => router.replace('/')}>
          See the projects
        </Button>
      </View>
    );
  return (
    <View style={styles.frame}>
      <Head open={open} />
      {open.isNewer ? (
        <Text size="small" tone="bad" style={styles.newer} role="status">
          Written by a newer Billet: here it can be looked at, not changed. Reload the page to get the new
          one.
        </Text>
      ) : null}
      {open.project.isSample ? (
        <Text size="small" tone="soft" style={styles.newer}>
          A sample: its stores and prices are invented, and stay apart from yours.
        </Text>
      ) : null}
      {children}
    </View>
  );
};

const Head = ({ open }: { open: OpenProject }) => {
  const { project, undo, redo } = open;
  const snapshot = useSnapshot(project.id);
  const isStale = snapshot?.phase !== 'current';
  const colors = useColors();
  const isWide = useIsWide();
  const isLow = useIsLow();
  const isNarrow = useIsNarrow();
  // The low strip says it not itself.
  const total =
    isLow && snapshot ? formatMoney(snapshot.money.spent + snapshot.money.toBuy, project.currency) : null;
  const router = useRouter();
  useUndoKeys(undo, redo);
  useReadyToCompare();
  return (
    <View
      style={[
        styles.head,
        isLow && styles.lowHead,
        { backgroundColor: colors.paper, borderColor: colors.hairline },
      ]}
      testID="project-head"
    >
      <View style={styles.bar}>
        {isWide ? null : (
          <IconAction icon="back" label="Back to projects" onPress={() => router.navigate('/')} />
        )}
        <Text size="headline" style={[styles.name, isWide && styles.nameWide]} numberOfLines={1}>
          {project.name}
        </Text>
        {total && !isNarrow ? <Text size="title">{total}</Text> : null}
        {isNarrow ? null : <UndoRedo open={open} />}
        <ProjectMenu open={open} />
      </View>
      <View
        style={[styles.strip, isLow && styles.lowStrip, isWide && styles.stripWide, isStale && styles.stale]}
        aria-busy={snapshot?.phase !== 'failed' && isStale}
        testID="money-strip"
      >
        {snapshot ? <OpensSums snapshot={snapshot} /> : null}
        {total && isNarrow ? <Text size="strong">{total}</Text> : null}
        {snapshot ? (
          <MoneyStrip
            spent={snapshot.money.spent}
            toBuy={snapshot.money.toBuy}
            reserve={snapshot.money.reserve}
            target={snapshot.money.target}
            size={isLow ? 'small' : 'full'}
            isIncomplete={!snapshot.money.complete}
            format={(sum) => formatMoney(sum, snapshot.project.currency)}
          />
        ) : (
          <Text size="small" tone="soft" style={styles.reckoning}>
            Working out what it costs
          </Text>
        )}
      </View>
    </View>
  );
};

const UndoRedo = ({ open: { undo, redo, undoLabel, redoLabel } }: { open: OpenProject }) => (
  <>
    <IconAction
      icon="undo"
      label={undoLabel ? `Undo: ${undoLabel}` : 'Nothing to undo'}
      onPress={undo}
      disabled={!undoLabel}
    />
    <IconAction
      icon="redo"
      label={redoLabel ? `Redo: ${redoLabel}` : 'Nothing to redo'}
      onPress={redo}
      disabled={!redoLabel}
    />
  </>
);

/** Over the money strip: a touch of it opens where its sums come from. */
const OpensSums = ({ snapshot }: { snapshot: PlanSnapshot }) => {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Pressable
        role="button"
        aria-label="Where these sums come from"
        onPress={() => setOpen(true)}
        style={styles.over}
      />
      {isOpen ? <SumsExplained snapshot={snapshot} onClose={() => setOpen(false)} /> : null}
    </>
  );
};

/** Ctrl+Z and Ctrl+Shift+Z (or Ctrl+Y), unless a field holds text whose own typing they should take back. */
const useUndoKeys = (undo: () => void, redo: () => void): void => {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const way = key === 'y' || (key === 'z' && event.shiftKey) ? redo : key === 'z' ? undo : null;
      if (!way || isInFilledField()) return;
      event.preventDefault();
      way();
    };
    return onKeyDown(pressed);
  }, [undo, redo]);
};

const styles = StyleSheet.create({
  newer: { paddingHorizontal: 16, paddingVertical: 8 },
  frame: { flex: 1 },
  wait: { marginTop: 80 },
  missing: { padding: 24, gap: 12, maxWidth: 520, alignItems: 'flex-start' },
  head: { borderBottomWidth: 1, paddingBottom: 10 },
  lowHead: { paddingBottom: 2 },
  bar: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 4, minHeight: 52 },
  name: { flex: 1, paddingHorizontal: 4 },
  nameWide: { paddingHorizontal: 12 },
  strip: { paddingHorizontal: 16, minHeight: 72 },
  lowStrip: { minHeight: 22 },
  reckoning: { paddingTop: 24 },
  stripWide: { maxWidth: READING },
  stale: { opacity: 0.65 },
  over: { position: 'absolute', top: 0, left: 0, right: 0, bottom: 0, zIndex: 1 },
});
