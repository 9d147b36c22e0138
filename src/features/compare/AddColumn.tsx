import { StyleSheet, View } from 'react-native';
import type { Proposal } from '@/core/compare';
import type { Project } from '@/core/project';
import { Band, Button, Detail, Row, Words } from '@/ui';

/** What may be put beside the choice, by what it is about; one press adds it. */
export const AddColumn = ({
  project,
  proposals,
  held,
  onAdd,
  onReset,
  onClose,
}: {
  project: Project;
  proposals: Proposal[];
  /** Ids of the columns that are there. */
  held: Set<string>;
  onAdd: (proposal: Proposal) => void;
  /** Null: the columns are those that Billet proposes. */
  onReset: (() => void) | null;
  onClose: () => void;
}) => {
  const abouts: (string | null)[] = [null, ...project.groups.map(({ id }) => id)];
  return (
    <Detail title="Add to the comparison" onClose={onClose}>
      {abouts.map((groupId) => {
        const of = proposals.filter((proposal) => proposal.groupId === groupId && !held.has(proposal.id));
        const title = groupId === null ? 'The whole project' : (project.groups.find(({ id }) => id === groupId)?.name ?? '');
        if (of.length === 0) return null;
        return (
          <View key={groupId ?? ''} style={styles.section}>
            <Band title={title} />
            {of.map((proposal) => (
              <Row key={proposal.id} onPress={() => onAdd(proposal)} label={`Compare ${proposal.name}`} style={styles.row}>
                <Words>{proposal.name}</Words>
              </Row>
            ))}
          </View>
        );
      })}
      {proposals.every(({ id }) => held.has(id)) ? (
        <Words>Everything that the prices allow is compared already. Add prices of other materials or sections to see more.</Words>
      ) : null}
      {onReset ? (
        <Button mode="text" onPress={onReset}>
          Back to what Billet proposes
        </Button>
      ) : null}
    </Detail>
  );
}; // prettier-ignore

const styles = StyleSheet.create({
  section: { marginHorizontal: -16 },
  row: { paddingHorizontal: 16, paddingVertical: 12 },
});
