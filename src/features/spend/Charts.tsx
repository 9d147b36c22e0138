import { useMemo } from 'react';
import { View } from 'react-native';
import {
  againstTargets,
  byCategory,
  plannedByCategory,
  spentOverTime,
  targetOf,
  type TypedPriceLine,
  type CategoryMoney,
  type Entry,
  type ProjectMoney,
} from '@/core/budget';
import { capital } from '@/core/capital';
import { formatDay, formatMoney } from '@/core/units';
import type { Plan } from '@/core/plan';
import { letterOf, type Book, type Project } from '@/core/project';
import { SectionHeader, Bars, FigureTable, SpentLine, useColors, Text } from '@/ui';
import { Sums } from './Sums';

interface Props {
  project: Project;
  book: Book;
  plan: Plan | null;
  money: ProjectMoney;
  entries: Entry[];
  beside: TypedPriceLine[];
  today: string;
}

/** The money drawn: over time, by category planned and paid, and where the target went; the figures under each. */
export const Charts = (props: Props) => {
  const { project, plan, entries, beside } = props;
  const rows = useMemo(() => byCategory(entries, plan, beside), [entries, plan, beside]);
  const categories = againstTargets(project, rows);
  return (
    <>
      <OverTime {...props} />
      <PlannedAndPaid {...props} categories={categories} />
      <WhereItWent {...props} categories={categories} />
      <SectionHeader title="Paid, by other sides" />
      <Sums entries={entries} currency={project.currency} />
    </>
  );
};

const OverTime = ({ project, money, entries, today }: Props) => {
  const { currency, budget } = project;
  const days = useMemo(
    () => spentOverTime(entries, money.forecast, today, budget?.date ?? null),
    [entries, money.forecast, today, budget],
  );
  const said = (sum: number | null) => (sum === null ? '' : formatMoney(sum, currency));
  const told = days.filter(
    ({ spent, date }, index) =>
      index === 0 ||
      index === days.length - 1 ||
      (spent !== null && spent !== days[index - 1]?.spent) ||
      date === today,
  );
  return (
    <View role="region" aria-label="Spent over time">
      <SectionHeader
        title="Spent over time"
        note={targetOf(project) === null ? '' : 'against the target and the forecast'}
      />
      {days.length < 2 ? (
        <Text style={{ padding: 16 }}>
          There is a line to draw as soon as something is paid and something is still to buy.
        </Text>
      ) : (
        <>
          <SpentLine days={days} target={money.target} currency={currency} />
          <FigureTable
            about="Spent over time, figures"
            columns={['Day', 'Spent', 'Forecast']}
            rows={told.map(({ date, spent, forecast }) => ({
              key: date,
              cells: [formatDay(date), said(spent), said(forecast)],
            }))}
          />
        </>
      )}
    </View>
  );
};

type CategoryProps = Props & { categories: CategoryMoney[] };

const PlannedAndPaid = ({ project, categories }: CategoryProps) => {
  const colors = useColors();
  const said = (sum: number) => formatMoney(sum, project.currency);
  const planned = plannedByCategory(project);
  const of = (row: CategoryMoney) =>
    planned.get(row.category) ?? (project.baseline ? 0 : row.spent + row.toBuy);
  const bars = categories.flatMap((row, index) => {
    const { category, spent, toBuy } = row;
    const name = `${category}, planned ${said(of(row))}, spent and to buy`;
    return [
      {
        letter: letterOf(index),
        name: '',
        isStrong: false,
        sum: of(row),
        isPaired: true,
        stacks: [{ sum: of(row), color: colors.faint }],
      },
      {
        letter: '',
        name,
        isStrong: false,
        sum: spent + toBuy,
        stacks: [
          { sum: spent, color: colors.spruce },
          { sum: toBuy, color: colors.wood.softwood },
        ].filter(({ sum }) => sum > 0),
      },
    ];
  });
  const legend = [
    { color: colors.faint, word: 'planned' },
    { color: colors.spruce, word: 'spent' },
    { color: colors.wood.softwood, word: 'to buy' },
  ];
  return (
    <View role="region" aria-label="By category">
      <SectionHeader title="By category" note="planned and paid" />
      {bars.length > 0 ? (
        <Bars
          about="Planned and paid"
          bars={bars}
          legend={legend}
          currency={project.currency}
          target={null}
        />
      ) : null}
      <FigureTable
        about="By category, figures"
        columns={['', 'Planned', 'Spent', 'To buy']}
        rows={categories.map((row, index) => ({
          key: row.category,
          cells: [
            `${letterOf(index)}  ${capital(row.category)}`,
            said(of(row)),
            said(row.spent),
            said(row.toBuy),
          ],
        }))}
      />
    </View>
  );
};

const WhereItWent = ({ project, money, categories }: CategoryProps) => {
  const colors = useColors();
  const { target, left, reserve } = money;
  const said = (sum: number) => formatMoney(sum, project.currency);
  if (target === null || left === null)
    return (
      <View role="region" aria-label="Where the target went">
        <SectionHeader title="Where the target went" />
        <Text style={{ padding: 16 }}>
          No target is set. Set one above, and it is drawn here how much of it each category takes.
        </Text>
      </View>
    );
  const used = categories.filter(({ spent, toBuy }) => spent + toBuy > 0);
  const taken = (index: number) =>
    used.slice(0, index).reduce((sum, { spent, toBuy }) => sum + spent + toBuy, 0);
  const hanging = (from: number, sum: number, stacks: { sum: number; color: string }[]) =>
    [{ sum: Math.max(0, Math.min(from, from - sum)), color: 'transparent' }, ...stacks].filter(
      (stack) => stack.sum > 0,
    );
  const bars = [
    {
      letter: 'target',
      name: 'target',
      isStrong: true,
      sum: target,
      stacks: [{ sum: target, color: colors.wood.softwood }],
    },
    ...used.map(({ category, spent, toBuy }, index) => {
      const sum = spent + toBuy;
      const from = target - taken(index);
      // What the target does not cover hangs from nothing: it is drawn red, from the foot.
      const covered = Math.max(0, Math.min(sum, from));
      return {
        letter: letterOf(index),
        name: category,
        isStrong: false,
        sum,
        stacks: hanging(Math.max(0, from), covered, [
          { sum: covered, color: colors.spruce },
          { sum: sum - covered, color: colors.red },
        ]),
      };
    }),
    {
      letter: left < 0 ? 'over' : 'left',
      name: left < 0 ? 'over target' : 'left',
      isStrong: true,
      sum: Math.abs(left),
      stacks: [{ sum: Math.abs(left), color: left < 0 ? colors.red : colors.wood.softwood }],
    },
  ];
  return (
    <View role="region" aria-label="Where the target went">
      <SectionHeader
        title="Where the target went"
        note={left < 0 ? `${said(-left)} over` : `${said(left)} left`}
        tone={left < 0 ? 'bad' : undefined}
      />
      <Bars
        about="Where the target went"
        bars={bars}
        legend={[
          { color: colors.spruce, word: 'taken' },
          { color: colors.wood.softwood, word: 'the target, and what is left' },
          ...(left < 0 ? [{ color: colors.red, word: 'over' }] : []),
        ]}
        currency={project.currency}
        target={null}
      />
      <FigureTable
        about="Where the target went, figures"
        columns={['', 'Takes', 'Of its own']}
        rows={[
          { key: 'target', cells: ['Target', said(target), ''], isSum: true },
          ...used.map((row, index) => ({
            key: row.category,
            cells: [
              `${letterOf(index)}  ${capital(row.category)}`,
              said(row.spent + row.toBuy),
              ownWords(row, said),
            ],
          })),
          ...(reserve > 0 ? [{ key: 'reserve', cells: ['Held back', said(reserve), ''] }] : []),
          { key: 'left', cells: [left < 0 ? 'Over' : 'Left', said(Math.abs(left)), ''], isSum: true },
        ]}
      />
    </View>
  );
};

/** How a category stands against a target of its own. */
const ownWords = ({ target, left }: CategoryMoney, said: (sum: number) => string): string =>
  target === null || left === null
    ? ''
    : left < 0
      ? `${said(-left)} over ${said(target)}`
      : `${said(left)} left of ${said(target)}`;
