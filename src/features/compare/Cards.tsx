import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { wantWords, type Outcome } from '@/core/compare';
import { formatMoney } from '@/core/units';
import type { Book, Project } from '@/core/project';
import { Button, Icon, Row, StatusBadge, useColors, Text } from '@/ui';
import { problemOf, type Column } from './columns';
import { rowsOf } from './rows';
import { RowValue } from './RowValue';
import { TotalOf } from './TotalOf';

interface Props {
  columns: Column[];
  project: Project;
  book: Book;
  onChoose: (column: Column) => void;
  onRemove: (column: Column) => void;
}

/** The ways by rank, each with what changes against the choice. A press shows all its rows. */
export const Cards = ({ columns, ...props }: Props) => {
  const [openId, setOpenId] = useState<string | null>(null);
  const chosen = columns.find(({ isChosen }) => isChosen);
  return (
    <View role="list" aria-label="Ways to do it, cheapest first">
      {columns.map((column) => (
        <Card
          key={column.id}
          column={column}
          chosen={chosen}
          isOpen={openId === column.id}
          onPress={() => setOpenId(openId === column.id ? null : column.id)}
          {...props}
        />
      ))}
    </View>
  );
};

interface CardProps extends Omit<Props, 'columns'> {
  column: Column;
  chosen: Column | undefined;
  isOpen: boolean;
  onPress: () => void;
}

const Card = ({ column, chosen, project, book, isOpen, onPress, onChoose, onRemove }: CardProps) => {
  const { outcome, name, letter, isChosen, isPlanning } = column;
  const price = outcome ? formatMoney(outcome.atTill, project.currency) : '';
  return (
    <View role="listitem">
      <Row style={styles.card}>
        <View style={styles.sides}>
          <TouchableRipple
            onPress={onPress}
            role="button"
            aria-expanded={isOpen}
            aria-label={`${letter}, ${name}${price ? `, ${price}` : ''}: ${isOpen ? 'less' : 'all of it'}`}
            style={styles.grow}
          >
            <View style={styles.inside}>
              <View style={styles.head}>
                <Text size="strong" tone="soft" style={styles.letter}>
                  {letter}
                </Text>
                <View style={styles.name}>
                  <Text size="strong">{name}</Text>
                  {isChosen ? <StatusBadge text="chosen" /> : null}
                </View>
              </View>
              <Beneath column={column} chosen={chosen} project={project} />
            </View>
          </TouchableRipple>
          <View style={styles.right}>
            <Text size="strong" align="right">
              {price || (isPlanning ? 'planning' : '')}
            </Text>
            {isChosen || !outcome ? null : (
              <Button
                mode="outlined"
                compact
                accessibilityLabel={`Choose ${name}`}
                onPress={() => onChoose(column)}
              >
                Choose
              </Button>
            )}
          </View>
        </View>
      </Row>
      {isOpen ? <Opened column={column} chosen={chosen} book={book} onRemove={onRemove} /> : null}
    </View>
  );
};

/** Against the choice in a few words, what it brings, and what is wrong with it. */
const Beneath = ({ column, chosen, project }: Pick<CardProps, 'column' | 'chosen' | 'project'>) => {
  const { outcome } = column;
  const problem = problemOf(column);
  if (problem) return <Warning text={problem} />;
  if (!outcome) return null;
  return (
    <View style={styles.beneath}>
      <Text size="small" tone="soft">
        {briefWords(column, project).join(' · ')}
      </Text>
      <Against column={column} chosen={chosen} project={project} />
      <FitWords column={column} />
      <EvenWords column={column} project={project} />
    </View>
  );
};

/** Money against the choice and the target. */
export const Against = ({ column, chosen, project }: Pick<CardProps, 'column' | 'chosen' | 'project'>) => {
  const { outcome, isChosen } = column;
  if (!outcome) return null;
  const difference = chosen?.outcome && !isChosen ? outcome.atTill - chosen.outcome.atTill : 0;
  const over = -(outcome.money.left ?? 0);
  const said = (sum: number) => formatMoney(Math.abs(sum), project.currency);
  if (difference === 0 && over <= 0)
    return isChosen ? null : (
      <Text size="small" tone="soft">
        As much as it is now.
      </Text>
    );
  return (
    <View style={styles.against}>
      {difference !== 0 ? (
        <Text size="small" tone={difference < 0 ? 'good' : 'ink'} style={styles.medium}>
          {said(difference)} {againstWords(difference, outcome, chosen?.outcome ?? null)}
        </Text>
      ) : null}
      {over > 0 ? <Warning text={`${said(over)} over target`} isBad /> : null}
    </View>
  );
};

/** `cheaper`, `dearer`; where more or less is built than in the choice, neither: `less, Lid is not built yet`. */
const againstWords = (difference: number, { notYet }: Outcome, chosen: Outcome | null): string => {
  const missing = notYet.filter((name) => !chosen?.notYet.includes(name));
  const added = (chosen?.notYet ?? []).filter((name) => !notYet.includes(name));
  if (missing.length + added.length === 0) return difference < 0 ? 'cheaper' : 'dearer';
  const words = [
    ...(missing.length > 0 ? [`without ${missing.join(' and ')}`] : []),
    ...(added.length > 0 ? [`with ${added.join(' and ')}`] : []),
  ];
  return `${difference < 0 ? 'less' : 'more'}, ${words.join(', ')}`;
};

/** What it is made of and where, that is not fit, or wants something. */
export const FitWords = ({ column: { outcome } }: { column: Column }) => {
  if (!outcome || outcome.fit.verdict === 'fit') return null;
  const isBad = outcome.fit.verdict === 'unfit';
  return <Warning text={`${isBad ? 'Not fit. ' : ''}${outcome.fit.sentence}`} isBad={isBad} />;
};

/** Below so small a share of today's price nobody need wait for the break-even. */
const HOPELESS = 0.4;

/** The price at which it would cost as little as the choice, or up to which it does. */
export const EvenWords = ({ column: { breakEven }, project }: { column: Column; project: Project }) => {
  if (!breakEven) return null;
  const { price, now, item, store } = breakEven;
  const tag = (sum: number) => formatMoney(sum, project.currency);
  if (price < now * HOPELESS)
    return (
      <Text size="small" tone="soft">
        No price near today’s would make it win.
      </Text>
    );
  return (
    <Text size="small" tone="soft">
      {price < now
        ? `Wins at or below ${tag(price)} for ${item} at ${store}, now ${tag(now)}, all else as it is.`
        : `Wins up to ${tag(price)} for ${item} at ${store}, now ${tag(now)}, all else as it is.`}
    </Text>
  );
};

const briefWords = ({ outcome }: Column, project: Project): string[] => {
  if (!outcome) return [];
  const row = (key: string) =>
    rowsOf(project)
      .find((candidate) => candidate.key === key)
      ?.text(outcome, project) ?? '';
  return [
    row('life'),
    ...(outcome.finish > 0
      ? [`finish ${row('finish')}`]
      : outcome.wants.includes('finish')
        ? []
        : ['no finish']),
    ...(outcome.wants.length > 0 ? [wantWords(outcome.wants)] : []),
    row('weight'),
  ];
};

const Warning = ({ text, isBad = false }: { text: string; isBad?: boolean }) => {
  const colors = useColors();
  return (
    <View style={styles.warning}>
      <Icon name="warning" size={16} color={isBad ? colors.red : colors.soft} />
      <Text size="small" tone={isBad ? 'bad' : 'ink'} style={styles.grow}>
        {text}
      </Text>
    </View>
  );
};

/** Every row, those that differ from the choice marked. */
const Opened = ({
  column,
  chosen,
  book,
  onRemove,
}: Pick<CardProps, 'column' | 'chosen' | 'book' | 'onRemove'>) => {
  const colors = useColors();
  const { outcome, isChosen, name } = column;
  return (
    <View style={[styles.opened, { backgroundColor: colors.card, borderColor: colors.hairline }]}>
      {outcome
        ? rowsOf(column.made).map((row) => (
            <View key={row.key} style={styles.row}>
              <Text size="small" tone="soft" style={styles.label}>
                {row.label}
              </Text>
              <View style={styles.value}>
                {row.key === 'till' ? (
                  <TotalOf column={column} book={book} align="right">
                    <RowValue row={row} column={column} outcome={outcome} chosen={chosen} align="right" />
                  </TotalOf>
                ) : (
                  <RowValue row={row} column={column} outcome={outcome} chosen={chosen} align="right" />
                )}
              </View>
            </View>
          ))
        : null}
      {isChosen ? null : (
        <View style={styles.buttons}>
          <Button mode="text" accessibilityLabel={`Take out ${name}`} onPress={() => onRemove(column)}>
            Take out
          </Button>
        </View>
      )}
    </View>
  );
};

const styles = StyleSheet.create({
  card: { paddingVertical: 0 },
  sides: { flexDirection: 'row' },
  inside: { paddingLeft: 16, paddingVertical: 10, gap: 2 },
  right: {
    alignItems: 'flex-end',
    justifyContent: 'space-between',
    gap: 6,
    paddingVertical: 10,
    paddingRight: 16,
    paddingLeft: 8,
  },
  head: { flexDirection: 'row', alignItems: 'baseline', gap: 10 },
  letter: { width: 18 },
  name: { flex: 1, flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 10, rowGap: 4 },
  beneath: { paddingLeft: 28, gap: 2 },
  against: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, alignItems: 'center' },
  medium: { fontFamily: 'PlexMedium' },
  warning: { flexDirection: 'row', gap: 6, alignItems: 'center', flexShrink: 1 },
  grow: { flex: 1 },
  opened: { borderBottomWidth: 1, paddingHorizontal: 16, paddingVertical: 10, gap: 6 },
  row: { flexDirection: 'row', gap: 12, alignItems: 'baseline', paddingLeft: 28 },
  label: { width: 128 },
  value: { flex: 1, alignItems: 'flex-end' },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingLeft: 28, paddingTop: 6 },
});
