import { useState } from 'react';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import type { Book, Project } from '@/core/project';
import type { Problem } from '@/core/result';
import {
  addProject,
  changeBook,
  isEverything,
  newId,
  notify,
  pickFile,
  readEverything,
  useBook,
  useProjects,
  type Everything,
} from '@/hooks';
import { remoteReader, stopReading } from '@/state/reading';
import { Button, Faults, Sheet, Text } from '@/ui';
import { EverythingSheet } from './EverythingSheet';
import { mergeBook, withStoreIds } from './mergeBook';

type Read =
  | { name: string; isReading: true }
  | { name: string; problems: Problem[] }
  | { name: string; everything: Everything }
  | { name: string; project: Project; book: Book };

/** Whether an id can stand in an address and as a key; a file may have any. */
const isUsableId = (id: string): boolean => /^[\w-]{1,64}$/.test(id) && !(id in {});

/** Opens a project file: what is wrong in it is listed; a project that is here already is replaced or kept beside. */
export const OpenFile = () => {
  const [read, setRead] = useState<Read | null>(null);
  const router = useRouter();
  const book = useBook();
  const records = useProjects()?.records ?? [];
  const close = () => setRead(null);

  const take = (project: Project, own: Book) => {
    const merged = mergeBook(book, own);
    const { prices, stores, materials } = merged;
    if (prices.length + stores.length + materials.length > 0)
      changeBook({ type: 'putPrices', prices, stores, materials });
    addProject(withStoreIds(project, merged.storeIds));
    notify({ text: `${project.name} is open.` });
    close();
    router.push(`/project/${project.id}/parts`);
  };

  const pick = async () => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    setRead({ name: file.name, isReading: true });
    if (isEverything(file.text)) {
      const all = readEverything(file.text);
      return setRead({
        name: file.name,
        ...(all.ok ? { everything: all.value } : { problems: all.problems }),
      });
    }
    const result = await remoteReader().project(file.text, file.name);
    if (!result.ok) return setRead({ name: file.name, problems: result.problems });
    const given = result.value.project;
    const project = isUsableId(given.id) ? given : { ...given, id: newId() };
    const isHere = records.some((record) => record.project.id === project.id);
    if (isHere) setRead({ name: file.name, ...result.value, project });
    else take(project, result.value.book);
  };
  const stop = () => {
    stopReading();
    close();
  };

  return (
    <>
      <Button mode="outlined" onPress={() => void pick()}>
        Open a file
      </Button>
      {read && 'isReading' in read ? (
        <Sheet title={`Reading ${read.name}`} onClose={stop} foot={<Button onPress={stop}>Stop</Button>}>
          <ActivityIndicator aria-label="Reading the file" />
        </Sheet>
      ) : null}
      {read && 'problems' in read ? (
        <Sheet title="The file was not opened" onClose={close} foot={<Button onPress={close}>Close</Button>}>
          <Faults file={read.name} problems={read.problems} />
        </Sheet>
      ) : null}
      {read && 'everything' in read ? (
        <EverythingSheet name={read.name} found={read.everything} onClose={close} />
      ) : null}
      {read && 'project' in read ? (
        <Sheet
          title={`${read.project.name} is here already`}
          onClose={close}
          foot={
            <>
              <Button onPress={close}>Cancel</Button>
              <Button
                onPress={() =>
                  take({ ...read.project, id: newId(), name: `${read.project.name} (from file)` }, read.book)
                }
              >
                Keep both
              </Button>
              <Button mode="contained" onPress={() => take(read.project, read.book)}>
                Replace it
              </Button>
            </>
          }
        >
          <Text>
            Replace the project in this browser by the one in {read.name}, or keep both side by side?
          </Text>
        </Sheet>
      ) : null}
    </>
  );
};
