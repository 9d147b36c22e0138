import { StyleSheet, View } from 'react-native';
import { useState } from 'react';
import { together, type Proposal } from '@/core/compare';
import type { Alternative, Project } from '@/core/project';
import { SectionHeader, Button, Detail, Row, Checkbox, Text } from '@/ui';

/** A way that can be put together with others. */
type Way = Pick<Proposal, 'id' | 'name' | 'changes'>;

/** What may be put beside the choice, by what it is about: one press adds it, or several are ticked and put together. */
export const AddColumn = ({
  project,
  proposals,
  columns,
  held,
  onAdd,
  onReset,
  onClose,
}: {
  project: Project;
  proposals: Proposal[];
  /** Those that are compared now: they too can be put together with others. */
  columns: Alternative[];
  /** Ids of the columns that are there. */
  held: Set<string>;
  onAdd: (way: Pick<Proposal, 'id' | 'name' | 'changes'>) => void;
  /** Null: the columns are those that Billet proposes. */
  onReset: (() => void) | null;
  onClose: () => void;
}) => {
  const [ticked, setTicked] = useState<Way[] | null>(null);
  const isTicked = ({ id }: Way) => ticked?.some((other) => other.id === id) ?? false;
  const press = (proposal: Way) => {
    if (ticked === null) return onAdd(proposal);
    setTicked(isTicked(proposal) ? ticked.filter(({ id }) => id !== proposal.id) : [...ticked, proposal]);
  };
  const addTicked = () => {
    if (ticked && ticked.length > 0) onAdd(together(ticked));
    setTicked(null);
  };
  const abouts: (string | null)[] = [null, ...project.groups.map(({ id }) => id)];
  const others = columns.filter(({ id }) => !proposals.some((proposal) => proposal.id === id));
  return (
    <Detail
      title="Add to the comparison"
      onClose={onClose}
      foot={
        ticked === null ? (
          <Button onPress={() => setTicked([])}>Put several together</Button>
        ) : (
          <>
            <Button onPress={() => setTicked(null)}>One at a time</Button>
            <Button mode="contained" onPress={addTicked} disabled={ticked.length === 0}>
              {`Compare ${ticked.length === 1 ? 'it' : `these ${ticked.length} together`}`}
            </Button>
          </>
        )
      }
    >
      {abouts.map((groupId) => {
        const of = proposals.filter(
          (proposal) => proposal.groupId === groupId && (ticked !== null || !held.has(proposal.id)),
        );
        const title =
          groupId === null
            ? 'The whole project'
            : (project.groups.find(({ id }) => id === groupId)?.name ?? '');
        if (of.length === 0) return null;
        return (
          <View key={groupId ?? ''} style={styles.section}>
            <SectionHeader title={title} />
            {of.map((proposal) => (
              <Choosable
                key={proposal.id}
                proposal={proposal}
                isTicked={ticked === null ? null : isTicked(proposal)}
                onPress={() => press(proposal)}
              />
            ))}
          </View>
        );
      })}
      {ticked !== null && others.length > 0 ? (
        <View style={styles.section}>
          <SectionHeader title="Compared now" />
          {others.map((way) => (
            <Choosable
              key={way.id}
              proposal={{ ...way, verdict: 'fit' }}
              isTicked={isTicked(way)}
              onPress={() => press(way)}
            />
          ))}
        </View>
      ) : null}
      {ticked === null && proposals.every(({ id }) => held.has(id)) ? (
        <Text>
          Everything that the prices allow is compared already. Add prices of other materials or sections to
          see more.
        </Text>
      ) : null}
      {onReset ? (
        <Button mode="text" onPress={onReset}>
          Back to what Billet proposes
        </Button>
      ) : null}
    </Detail>
  );
};

/** A row that adds its proposal, or where several are put together ticks it. */
const Choosable = ({
  proposal: { name, verdict },
  isTicked,
  onPress,
}: {
  proposal: Pick<Proposal, 'name' | 'verdict'>;
  isTicked: boolean | null;
  onPress: () => void;
}) => (
  <Row
    style={styles.row}
    isChosen={isTicked === true}
    {...(isTicked === null ? { onPress, label: `Compare ${name}` } : {})}
  >
    <View style={styles.line}>
      {isTicked === null ? null : <Checkbox isTicked={isTicked} label={name} onPress={onPress} />}
      <Text style={styles.grow}>{name}</Text>
      {verdict === 'unfit' ? (
        <Text size="small" tone="bad">
          not fit
        </Text>
      ) : null}
    </View>
  </Row>
);

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  grow: { flex: 1 },
  section: { marginHorizontal: -16 },
  row: { paddingHorizontal: 16, paddingVertical: 12 },
});
