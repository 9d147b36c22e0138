import { createElement, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import { fileBase, reportCsv, reportHtml, reportOf } from '@/core/io';
import { saveFile, usePlanned, useProject, useToday, type OpenProject, type PlannedProject } from '@/hooks';
import { Button, IconAction, Text } from '@/ui';

/** One page of a project, to look at, print, or keep. */
export const ReportPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Planned open={open} /> : <Opening />;
};

const Opening = () => <ActivityIndicator style={styles.wait} aria-label="Opening the page" />;

const Planned = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  return planned ? <Shown open={planned} /> : <Opening />;
};

const Shown = ({ open: { project, book, plan } }: { open: PlannedProject }) => {
  const today = useToday();
  const router = useRouter();
  const page = useRef<HTMLIFrameElement>(null);
  const report = useMemo(() => reportOf(project, book, plan, today), [project, book, plan, today]);
  const html = useMemo(() => reportHtml(report), [report]);
  const base = fileBase(project);
  return (
    <View style={styles.place}>
      <View style={styles.head}>
        <IconAction
          icon="back"
          label="Back to Spend"
          onPress={() => router.navigate(`/project/${project.id}/spend`)}
        />
        <Text size="title" style={styles.grow}>
          One page
        </Text>
      </View>
      <View style={styles.buttons}>
        <Button mode="contained" onPress={() => page.current?.contentWindow?.print()}>
          Print or save as PDF
        </Button>
        <Button mode="outlined" onPress={() => saveFile(`${base}-report.csv`, reportCsv(report), 'text/csv')}>
          Save as CSV
        </Button>
        <Button mode="outlined" onPress={() => saveFile(`${base}-report.html`, html, 'text/html')}>
          Save as a web page
        </Button>
      </View>
      {createElement('iframe', {
        ref: page,
        srcDoc: html,
        title: `${project.name} on one page`,
        style: FRAME,
      })}
    </View>
  );
};

const FRAME = { flex: 1, border: 'none', width: '100%', background: '#fff' };

const styles = StyleSheet.create({
  wait: { marginTop: 80 },
  place: { flex: 1 },
  head: { flexDirection: 'row', alignItems: 'center', minHeight: 52 },
  grow: { flex: 1 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingHorizontal: 16, paddingBottom: 12 },
});
