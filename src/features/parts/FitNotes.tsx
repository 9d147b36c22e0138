import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { unfitIn, type Unfit } from '@/core/compare/fit';
import type { Book, Project } from '@/core/project';
import { Button, Icon, useColors, Text } from '@/ui';

/** What of a group's materials is not simply fit where it stands: why, from where that is known, and what would be. */
export const FitNotes = ({
  project,
  book,
  groupId,
  onChange,
}: {
  project: Project;
  book: Book;
  groupId: string;
  onChange: (materials: string[]) => void;
}) => {
  const unfit = useMemo(
    () => unfitIn(project, book).filter((one) => one.groupId === groupId),
    [project, book, groupId],
  );
  return unfit.map((one) => (
    <FitNote key={one.material} unfit={one} projectId={project.id} onChange={onChange} />
  ));
};

const FitNote = ({
  unfit,
  projectId,
  onChange,
}: {
  unfit: Unfit;
  projectId: string;
  onChange: (materials: string[]) => void;
}) => {
  const colors = useColors();
  const { verdict, material, sentence, source, parts, fitting } = unfit;
  return (
    <View style={styles.note} role="note">
      <View style={styles.line}>
        <Icon name="warning" size={18} color={verdict === 'unfit' ? colors.red : colors.soft} />
        <Text size="small" tone={verdict === 'unfit' ? 'bad' : 'ink'} style={styles.grow}>
          {`${material}${verdict === 'unfit' ? ' is not fit here' : ''}: ${sentence}`}
        </Text>
      </View>
      <Text size="small" tone="soft">
        {`${parts.join(', ')}. By ${source}.${fitting.length === 0 ? ' Nothing fitter has a price for these sections.' : ''}`}
      </Text>
      {fitting.length > 0 ? (
        <View style={styles.buttons}>
          {fitting.slice(0, 3).map((name) => (
            <Button key={name} mode="outlined" compact onPress={() => onChange([name])}>
              {`Use ${name}`}
            </Button>
          ))}
          <Link href={`/project/${projectId}/compare`} style={styles.link}>
            <Text size="small" tone="good">
              Compare what they cost
            </Text>
          </Link>
        </View>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  note: { gap: 4 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'center' },
  grow: { flex: 1 },
  link: { minHeight: 44, minWidth: 44, display: 'flex', alignItems: 'center' },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
