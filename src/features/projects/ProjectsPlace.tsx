import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { Link } from 'expo-router';
import { formatMoney } from '@/core/units';
import { chosenOption, copiesOf, type Project } from '@/core/project';
import {
  bringSamples,
  removeSamples,
  saveFile,
  useProjects,
  useSnapshot,
  type Damaged,
  type ProjectRecord,
} from '@/hooks';
import { Button, Columns, Logo, MoneyStrip, SectionHeader, useColors, useIsWide, Text } from '@/ui';
import { OpenFile } from './OpenFile';
import { NewProject } from './later';

/** All projects, each with its money strip. */
export const ProjectsPlace = () => {
  const projects = useProjects();
  const isWide = useIsWide();
  const [isMaking, setMaking] = useState(false);
  const samples = projects?.records.filter(({ project }) => project.isSample) ?? [];
  return (
    <Columns>
      <View style={styles.head}>
        {isWide ? null : <Logo size={36} />}
        <Text size="headline" style={styles.grow}>
          {isWide ? 'Projects' : 'Billet'}
        </Text>
      </View>
      {projects && projects.records.length > 0 ? (
        <View style={styles.actions}>
          <Button mode="contained" icon="add" onPress={() => setMaking(true)}>
            New project
          </Button>
          <OpenFile />
        </View>
      ) : null}
      {projects?.damaged.map((record) => (
        <DamagedRecord key={record.key} record={record} />
      ))}
      {!projects ? (
        <ActivityIndicator style={styles.wait} aria-label="Reading the projects" />
      ) : projects.records.length === 0 ? (
        <FirstStart onMake={() => setMaking(true)} />
      ) : (
        <>
          <ProjectCards
            label="Projects"
            records={projects.records.filter(({ project }) => !project.isSample)}
          />
          {samples.length > 0 ? (
            <View style={styles.samples}>
              <SectionHeader title="Samples" note="their stores and prices are invented" />
              <ProjectCards label="Samples" records={samples} />
              <View style={styles.remove}>
                <Button onPress={removeSamples}>Remove the samples</Button>
              </View>
            </View>
          ) : null}
        </>
      )}
      {isMaking ? <NewProject onClose={() => setMaking(false)} /> : null}
    </Columns>
  );
};

/** What a browser shows in which nothing is kept yet: two ways on. */
const FirstStart = ({ onMake }: { onMake: () => void }) => {
  const colors = useColors();
  return (
    <View style={styles.first}>
      <Text style={styles.lead}>
        What will it cost in wood, sheets and screws, at the stores near you? Billet plans what to buy and how
        to cut it, and keeps count of what is spent.
      </Text>
      <View style={[styles.choice, { borderColor: colors.hairline, backgroundColor: colors.card }]}>
        <Text size="title">My own project</Text>
        <Text tone="soft">A name and five answers. Then its parts, and prices as you see them.</Text>
        <Button mode="contained" icon="add" onPress={onMake}>
          Start my own project
        </Button>
      </View>
      <View style={[styles.choice, { borderColor: colors.hairline, backgroundColor: colors.card }]}>
        <Text size="title">Look at a finished one</Text>
        <Text tone="soft">
          Three sample projects with invented stores and prices. They stay apart from yours, and go with one
          touch.
        </Text>
        <Button mode="outlined" onPress={() => void bringSamples()}>
          Look at the samples
        </Button>
      </View>
      <OpenFile />
    </View>
  );
};

const ProjectCards = ({ label, records }: { label: string; records: ProjectRecord[] }) =>
  records.length === 0 ? null : (
    <View style={styles.cards} role="list" aria-label={label}>
      {records.map(({ project }) => (
        <ProjectCard key={project.id} project={project} />
      ))}
    </View>
  );

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
            <Text size="title">
              {!money ? '…' : money.total === 0 && !money.complete ? 'no prices yet' : format(money.total)}
            </Text>
          </View>
          <Text size="small" tone="soft" numberOfLines={2}>
            {`${project.builds > 1 ? `${project.builds} of it · ` : ''}${pieces} ${pieces === 1 ? 'piece' : 'pieces'} of wood${begunWords(project)}${project.note ? ` · ${project.note}` : ''}`}
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

/** How far the saw has come; blank: nothing is sawn. */
const begunWords = ({ sawnBoards = [] }: Project): string =>
  sawnBoards.length === 0
    ? ''
    : ` · ${sawnBoards.length} ${sawnBoards.length === 1 ? 'board' : 'boards'} begun at the saw`;

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
  first: { paddingHorizontal: 16, paddingTop: 8, gap: 16, alignItems: 'flex-start', maxWidth: 560 },
  lead: { paddingBottom: 4 },
  choice: { alignSelf: 'stretch', borderWidth: 1, padding: 16, gap: 10, alignItems: 'flex-start' },
  samples: { gap: 12, paddingTop: 16 },
  remove: { paddingHorizontal: 8, alignItems: 'flex-start' },
  cards: { gap: 12, paddingHorizontal: 16 },
  card: { display: 'flex', borderWidth: 1, textDecorationLine: 'none' },
  cardInside: { flex: 1, padding: 14, gap: 6 },
  strip: { minHeight: 40 },
  cardHead: { flexDirection: 'row', alignItems: 'baseline', gap: 12 },
});
