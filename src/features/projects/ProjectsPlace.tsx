import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { Link } from 'expo-router';
import { formatMoney } from '@/core/units';
import { chosenOption, copiesOf, type Project } from '@/core/project';
import { saveFile, useProjects, type Damaged, useSnapshot } from '@/hooks';
import { Button, Columns, Logo, MoneyStrip, useColors, useIsWide, Text } from '@/ui';
import { OpenFile } from './OpenFile';
import { NewProject } from './ProjectDetails';

/** All projects, each with its money strip. */
export const ProjectsPlace = () => {
  const projects = useProjects();
  const isWide = useIsWide();
  const [isMaking, setMaking] = useState(false);
  return (
    <Columns>
      <View style={styles.head}>
        {isWide ? null : <Logo size={36} />}
        <Text size="headline" style={styles.grow}>
          {isWide ? 'Projects' : 'Billet'}
        </Text>
      </View>
      <View style={styles.actions}>
        <Button mode="contained" icon="add" onPress={() => setMaking(true)}>
          New project
        </Button>
        <OpenFile />
      </View>
      {projects?.damaged.map((record) => (
        <DamagedRecord key={record.key} record={record} />
      ))}
      {!projects ? (
        <ActivityIndicator style={styles.wait} aria-label="Reading the projects" />
      ) : projects.records.length === 0 ? (
        <View style={styles.empty}>
          <Text>
            No project yet. Make one, open a file, or bring the sample projects back under Settings.
          </Text>
        </View>
      ) : (
        <View style={styles.cards} role="list" aria-label="Projects">
          {projects.records.map(({ project }) => (
            <ProjectCard key={project.id} project={project} />
          ))}
        </View>
      )}
      {isMaking ? <NewProject onClose={() => setMaking(false)} /> : null}
    </Columns>
  );
};

const ProjectCard = ({ project: newest }: { project: Project }) => {
  const colors = useColors();
  const snapshot = useSnapshot(newest.id);
  const project = snapshot?.project ?? newest;
  const money = snapshot?.money;
  const pieces = project.groups
    .flatMap(
      (group) => chosenOption(group)?.parts.map((part) => ({ ...part, copies: copiesOf(group) })) ?? [],
    )
    // Of wood: screws are counted where they are bought.
    .filter(({ kind }) => kind !== 'hardware')
    .reduce((sum, { quantity, copies }) => sum + quantity * copies, 0);
  const format = (sum: number) => formatMoney(sum, project.currency);
  return (
    <View role="listitem">
      <Link
        href={`/project/${project.id}/parts`}
        style={[styles.card, { backgroundColor: colors.card, borderColor: colors.hairline }]}
      >
        <View style={styles.cardInside}>
          <View style={styles.cardHead}>
            <Text size="title" style={styles.grow} numberOfLines={1}>
              {project.name}
            </Text>
            <Text size="title">{money ? format(money.total) : '…'}</Text>
          </View>
          <Text size="small" tone="soft" numberOfLines={2}>
            {`${project.builds > 1 ? `${project.builds} of it · ` : ''}${pieces} ${pieces === 1 ? 'piece' : 'pieces'} of wood${project.note ? ` · ${project.note}` : ''}`}
          </Text>
          <View style={styles.strip}>
            {money ? (
              <MoneyStrip
                size="small"
                spent={money.spent}
                toBuy={money.toBuy}
                reserve={money.reserve}
                target={money.target}
                isIncomplete={!money.complete}
                format={format}
              />
            ) : null}
          </View>
        </View>
      </Link>
    </View>
  );
};

const DamagedRecord = ({ record }: { record: Damaged }) => (
  <View style={styles.empty}>
    <Text tone="bad">A project that is kept in this browser cannot be read. It is left as it is.</Text>
    {record.problems.slice(0, 3).map(({ place, sentence }, index) => (
      <Text key={index} size="small" tone="soft">
        {`${place} ${sentence}`.trim()}
      </Text>
    ))}
    <Button mode="outlined" onPress={() => saveFile('unreadable.billet.txt', record.text, 'text/plain')}>
      Save its data to a file
    </Button>
  </View>
);

const styles = StyleSheet.create({
  wait: { marginTop: 80 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 16,
    paddingTop: 16,
    paddingBottom: 8,
  },
  grow: { flex: 1 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, paddingHorizontal: 16, paddingBottom: 16 },
  empty: { padding: 16, gap: 8, alignItems: 'flex-start' },
  cards: { gap: 12, paddingHorizontal: 16 },
  card: { display: 'flex', borderWidth: 1, textDecorationLine: 'none' },
  cardInside: { flex: 1, padding: 14, gap: 6 },
  strip: { minHeight: 40 },
  cardHead: { flexDirection: 'row', alignItems: 'baseline', gap: 12 },
});
