import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { outcomeOf } from '@/core/compare';
import { isSameLack } from '@/core/plan';
import type { Alternative, Decision } from '@/core/project';
import type { Minor } from '@/core/units';
import { type PlannedProject } from '@/hooks';
import { useAlternatives } from '@/hooks/compare';
import { Button, Row, SectionHeader, Text } from '@/ui';
import { decidedWords, todayWords } from './decidedWords';

interface Props {
  open: PlannedProject;
  /** Puts the way back among what is compared; null: it is there. */
  onLook: (way: Alternative) => void;
  held: ReadonlySet<string>;
}

/** So many of the latest decisions are shown. */
const SHOWN = 3;

/** What was decided, when and against what, and whether today's prices would have it so again: each way back is planned anew. */
export const Decided = ({ open, onLook, held }: Props) => {
  const { project, book, plan } = open;
  const { decisions } = project;
  const latest = useMemo(() => (decisions ?? []).slice(-SHOWN).reverse(), [decisions]);
  const ways = useMemo(
    () =>
      latest.flatMap(({ id, name, back }): Alternative[] =>
        back && back.length > 0 ? [{ id: `back:${id}`, name: `Without: ${name}`, changes: back }] : [],
      ),
    [latest],
  );
  const views = useAlternatives(project, book, ways);
  const now = useMemo(() => outcomeOf(project, book, plan), [project, book, plan]);
  if (latest.length === 0) return null;
  /** What the way back would cost more than what is chosen; null: not known, or it leads nowhere any more. */
  const moreOf = ({ id }: Decision): Minor | null => {
    const view = views.find(({ alternative }) => alternative.id === `back:${id}`);
    if (!view?.plan || view.made === project || !now || !isSameLack(view.plan, plan)) return null;
    const back = outcomeOf(view.made, book, view.plan);
    return back ? back.atTill - now.atTill : null;
  };
  return (
    <View role="region" aria-label="What was decided">
      <SectionHeader title="What was decided" />
      {latest.map((decision) => {
        const way = ways.find(({ id }) => id === `back:${decision.id}`);
        const more = moreOf(decision);
        return (
          <Row key={decision.id} style={styles.row}>
            <View style={styles.grow}>
              <Text>{decision.name}</Text>
              <Text size="small" tone="soft">
                {decidedWords(decision, project.currency)}
              </Text>
              {more === null ? null : <Text size="small">{todayWords(more, project.currency)}</Text>}
            </View>
            {way && more !== null && !held.has(way.id) ? (
              <Button mode="text" onPress={() => onLook(way)} accessibilityLabel={`Compare ${way.name}`}>
                Compare
              </Button>
            ) : null}
          </Row>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingHorizontal: 16, paddingVertical: 8 },
  grow: { flex: 1 },
});
