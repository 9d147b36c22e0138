import { fullLengths, type RunLine } from '@/core/budget';
import { capital } from '@/core/capital';
import { unfitInPlan } from '@/core/compare/fit';
import { choosingNotes, materialOf, nameKey } from '@/core/lumber';
import { shownPlan, type Plan } from '@/core/plan';
import type { Book, Project } from '@/core/project';
import { formatLength, type LengthUnit } from '@/core/units';

/** What is said of a line beside its price. */
export interface LineNotes {
  /** Why its wood is not fit for what it is for; blank: it is. */
  warning: string;
  /** How many of it must have all of their length; blank: none. */
  measure: string;
  /** How such wood is picked; blank where a line above has said it. */
  advice: string;
}

/** What is said of each line, by its key; what holds for several stands at the first of them alone. */
export const notesOf = (
  lines: RunLine[],
  project: Project,
  book: Book,
  plan: Plan,
  storeId: string,
): Map<string, LineNotes> => {
  const unfit = unfitWords(project, book, plan);
  const full = fullLengths(plan, storeId);
  const said = new Set<string>();
  const once = (text: string): string => {
    if (said.has(text)) return '';
    said.add(text);
    return text;
  };
  return new Map(
    lines.map((line) => {
      const { item } = line;
      const [advice = ''] =
        item.kind === 'hardware' ? [] : choosingNotes(materialOf(item.material, book.materials));
      return [
        line.key,
        {
          warning: once(unfit.get(nameKey(item.material)) ?? ''),
          measure: measureWords(line, full.get(line.name) ?? 0, project.unit),
          advice: once(advice),
        },
      ];
    }),
  );
};

/** `5 of these 6 must measure a full 144″: measure before you pay.` */
const measureWords = ({ item, quantity, pack }: RunLine, count: number, unit: LengthUnit): string => {
  const all = quantity * pack;
  const which = count >= all ? (all === 1 ? 'It' : 'Each') : `${count} of these ${all}`;
  return count === 0 || !item.length
    ? ''
    : `${which} must measure a full ${formatLength(item.length.ticks, unit)}: measure before you pay.`;
};

/** Why a wood of the plan is not fit for what it is for, by its name. */
const unfitWords = (project: Project, book: Book, plan: Plan): Map<string, string> => {
  const shown = shownPlan(plan);
  const unfit = shown ? unfitInPlan(project, book, shown) : [];
  return new Map(
    unfit.map(({ material, group, sentence }) => [
      nameKey(material),
      `${capital(material)} is not fit for ${group}: ${sentence}`,
    ]),
  );
};
