import { StyleSheet, View } from 'react-native';
import type { Book, Project } from '@/core/project';
import { map } from '@/core/result';
import {
  addProject,
  changeBook,
  isEverything,
  isSameProject,
  isSameSettings,
  notify,
  readEverything,
  type Everything,
} from '@/hooks';
import { Checkbox, Row, Text } from '@/ui';
import { keepingLast } from './keepingLast';
import { mergeBook, withStoreIds } from './mergeBook';
import type { ImportContext, ImportFormat, ImportPreview } from './types';

/** Everything of a browser in one file: what is missing here is taken in, what is here otherwise only when asked. */
export const everythingFormat: ImportFormat = {
  id: 'everything',
  title: 'Open a file',
  hint: () => 'Everything that was saved in one file, here or in another browser.',
  accept: '.json,application/json',
  detect: ({ text }) => isEverything(text),
  read: async ({ name, text }) =>
    map(readEverything(text), (found) => {
      // Every project of the file is held against the one that is here: not at each drawing.
      const states = keepingLast((projects: Project[], whole: Book) => statesOf(found, projects, whole));
      return previewOf(name, found, states, false);
    }),
};

/** `withSettings`: those of the file take the place of those here. */
const previewOf = (
  name: string,
  found: Everything,
  states: States,
  withSettings: boolean,
): ImportPreview => ({
  title: `Everything in ${name}`,
  body: (context, { show }) => (
    <>
      <Text>
        Prices, stores, the rack and tools that are not here come in beside those that are. A project that is
        here otherwise is left as it is, unless you take it too: then undo in it brings back what was here.
      </Text>
      {states(context.projects, context.whole).map(({ project, state }) => (
        <Row key={project.id}>
          <Text>{project.name}</Text>
          <Text size="small" tone="soft">
            {STATES[state]}
          </Text>
        </Row>
      ))}
      {hasOtherSettings(found, context) ? (
        <Row style={styles.settings}>
          <Checkbox
            isTicked={withSettings}
            label="Take its settings too"
            onPress={() => show(previewOf(name, found, states, !withSettings))}
          />
          <View style={styles.grow}>
            <Text>Settings</Text>
            <Text size="small" tone="soft">
              {`${STATES.other}; ticked, those of the file hold`}
            </Text>
          </View>
        </Row>
      ) : null}
      {found.lost > 0 ? (
        <Text tone="bad">
          {`${found.lost} ${found.lost === 1 ? 'record' : 'records'} in the file cannot be read. They stay in it as they are: keep the file.`}
        </Text>
      ) : null}
    </>
  ),
  actions: (context, { close }) => {
    const of = (wanted: State) =>
      states(context.projects, context.whole)
        .filter(({ state }) => state === wanted)
        .map(({ project }) => project);
    const [missing, other] = [of('missing'), of('other')];
    const take = (projects: Project[]) => {
      const storeIds = takeBook(context.whole, found);
      for (const project of projects) addProject(withStoreIds(project, storeIds));
      if (withSettings && found.settings) context.changeSettings(found.settings);
      notify({ text: takenWords(projects.length) });
      close();
    };
    const main =
      missing.length > 0
        ? `Take ${missing.length} that ${missing.length === 1 ? 'is' : 'are'} missing`
        : 'Take the prices';
    return [
      { label: 'Cancel', run: close },
      ...(other.length > 0
        ? [{ label: 'Take the others too', run: () => take([...missing, ...other]) }]
        : []),
      { label: main, isMain: true, run: () => take(missing) },
    ];
  },
});

/** Whether the file has settings that differ from those here. */
const hasOtherSettings = ({ settings }: Everything, context: ImportContext): boolean =>
  settings !== null && !isSameSettings(settings, context.settings);

type State = 'missing' | 'same' | 'other';
const STATES: Record<State, string> = {
  missing: 'not here',
  same: 'here, the same',
  other: 'here, but otherwise',
};

/** What becomes of each project of a file, beside those that are here. */
type States = (projects: Project[], whole: Book) => { project: Project; state: State }[];

const statesOf = (found: Everything, projects: Project[], whole: Book): ReturnType<States> => {
  const here = new Map(projects.map((project) => [project.id, project]));
  return found.projects.map((project) => ({ project, state: stateOf(project, here, whole) }));
};

const stateOf = (project: Project, here: Map<string, Project>, book: Book): State => {
  const own = here.get(project.id);
  if (!own) return 'missing';
  return isSameProject(own, project, book) ? 'same' : 'other';
};

/** Takes in what of a file's book is not here, in as few steps as there are kinds. Returns the ids that its stores have here. */
const takeBook = (held: Book, { book }: Everything): Record<string, string> => {
  if (!book) return {};
  const { prices, stores, materials, storeIds } = mergeBook(held, book);
  if (prices.length + stores.length + materials.length > 0)
    changeBook({ type: 'putPrices', prices, stores, materials });
  const entries = Object.values(book.rack ?? {}).filter(({ id }) => !held.rack?.[id]);
  if (entries.length > 0) changeBook({ type: 'putOnRack', entries });
  for (const tool of Object.values(book.tools ?? {}))
    if (!held.tools?.[tool.id]) changeBook({ type: 'putTool', tool });
  return storeIds;
};

const takenWords = (count: number): string =>
  count === 0 ? 'What was missing is here.' : `${count} ${count === 1 ? 'project is' : 'projects are'} here.`;

const styles = StyleSheet.create({
  settings: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  grow: { flex: 1 },
});
