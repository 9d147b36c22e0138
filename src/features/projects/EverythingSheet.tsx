import { useMemo } from 'react';
import type { Book, Project } from '@/core/project';
import {
  addProject,
  changeBook,
  isSameProject,
  notify,
  useBook,
  useProjects,
  type Everything,
} from '@/hooks';
import { Button, Row, Sheet, Text } from '@/ui';
import { mergeBook, withStoreIds } from './mergeBook';

interface Props {
  name: string;
  found: Everything;
  onClose: () => void;
}

/** What a file of everything holds, beside what is here: what is missing is taken in, what is here otherwise only when asked. */
export const EverythingSheet = ({ name, found, onClose }: Props) => {
  const book = useBook();
  const records = useProjects()?.records;
  const states = useMemo(() => {
    const here = new Map((records ?? []).map(({ project }) => [project.id, project]));
    return found.projects.map((project) => ({ project, state: stateOf(project, here, book) }));
  }, [found, records, book]);
  const missing = states.filter(({ state }) => state === 'missing').map(({ project }) => project);
  const other = states.filter(({ state }) => state === 'other').map(({ project }) => project);
  const take = (projects: Project[]) => {
    const storeIds = takeBook(book, found);
    for (const project of projects) addProject(withStoreIds(project, storeIds));
    notify({ text: takenWords(projects.length) });
    onClose();
  };
  return (
    <Sheet
      title={`Everything in ${name}`}
      onClose={onClose}
      foot={
        <>
          <Button onPress={onClose}>Cancel</Button>
          {other.length > 0 ? (
            <Button onPress={() => take([...missing, ...other])}>Take the others too</Button>
          ) : null}
          <Button mode="contained" onPress={() => take(missing)}>
            {missing.length > 0
              ? `Take ${missing.length} that ${missing.length === 1 ? 'is' : 'are'} missing`
              : 'Take the prices'}
          </Button>
        </>
      }
    >
      <Text>
        Prices, stores, the rack and tools that are not here come in beside those that are. A project that is
        here otherwise is left as it is, unless you take it too: then undo in it brings back what was here.
      </Text>
      {states.map(({ project, state }) => (
        <Row key={project.id}>
          <Text>{project.name}</Text>
          <Text size="small" tone="soft">
            {STATES[state]}
          </Text>
        </Row>
      ))}
      {found.lost > 0 ? (
        <Text tone="bad">
          {`${found.lost} ${found.lost === 1 ? 'record' : 'records'} in the file cannot be read. They stay in it as they are: keep the file.`}
        </Text>
      ) : null}
    </Sheet>
  );
};

type State = 'missing' | 'same' | 'other';
const STATES: Record<State, string> = {
  missing: 'not here',
  same: 'here, the same',
  other: 'here, but otherwise',
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
