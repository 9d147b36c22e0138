import { useState } from 'react';
import { useRouter } from 'expo-router';
import { duplicateProject, numbered } from '@/core/project';
import {
  addProject,
  DAYS_KEPT,
  newId,
  notify,
  openFinder,
  pickFile,
  setDeleted,
  useProjectNames,
  type OpenProject,
} from '@/hooks';
import { ImportDialog, type ImportFile } from '@/imports';
import { ActionMenu, Confirm, IconAction, useIsNarrow } from '@/ui';
import { ProjectDetails } from './later';

type Opened = 'details' | 'delete' | null;

/** What is done with a project as a whole: its details, its files, its end. */
export const ProjectMenu = ({ open }: { open: OpenProject }) => {
  const { project, undo, redo, undoLabel, redoLabel } = open;
  // Without room for them in the line at the top they are here.
  const isNarrow = useIsNarrow();
  const [opened, setOpened] = useState<Opened>(null);
  const [file, setFile] = useState<ImportFile | null>(null);
  const router = useRouter();
  const save = (what: keyof typeof import('./saveFiles')) =>
    void import('./saveFiles').then((files) => files[what](open));
  const names = useProjectNames();
  const duplicate = () => {
    const taken = new Set(names.values());
    const copy = duplicateProject(
      project,
      newId(),
      numbered(project.name, (name) => taken.has(name)),
    );
    addProject(copy);
    router.push(`/project/${copy.id}/parts`);
    notify({
      text: `${copy.name} has the parts of ${project.name}, and nothing bought.`,
      action: { label: 'Undo', run: () => setDeleted(copy.id, Date.now()) },
    });
  };
  const remove = () => {
    setDeleted(project.id, Date.now());
    router.replace('/');
    notify({
      text: `${project.name} is deleted. It can be had back for ${DAYS_KEPT} days, under Settings.`,
      action: { label: 'Undo', run: () => setDeleted(project.id, null) },
    });
  };
  return (
    <>
      <ActionMenu
        label={`More for ${project.name}`}
        anchor={(show) => <IconAction icon="more" label="More for this project" onPress={show} />}
        actions={[
          ...(isNarrow && undoLabel ? [{ title: `Undo: ${undoLabel}`, run: undo }] : []),
          ...(isNarrow && redoLabel ? [{ title: `Redo: ${redoLabel}`, run: redo }] : []),
          { title: 'Find', run: openFinder },
          { title: 'Project details', run: () => setOpened('details') },
          { title: 'Duplicate', run: duplicate },
          { title: 'Save to a file', run: () => save('saveProject') },
          { title: 'One page to print or keep', run: () => router.push(`/project/${project.id}/report`) },
          { title: 'Import parts.csv', run: () => void pickFile('.csv,text/csv').then(setFile) },
          { title: 'Export parts.csv', run: () => save('exportParts') },
          {
            title: 'Import prices.csv',
            run: () => router.push(`/project/${project.id}/prices?take=file`),
          },
          { title: 'Export prices.csv', run: () => save('exportPrices') },
          { title: 'Delete project', run: () => setOpened('delete') },
        ]}
      />
      {opened === 'details' ? <ProjectDetails open={open} onClose={() => setOpened(null)} /> : null}
      {file ? <ImportDialog wanted="parts" open={open} file={file} onClose={() => setFile(null)} /> : null}
      {opened === 'delete' ? (
        <Confirm
          title={`Delete ${project.name}?`}
          text={`Its parts and its ${project.purchases.length} purchases go with it; stores and prices stay. It can be had back for ${DAYS_KEPT} days, under Settings.`}
          verb="Delete"
          onConfirm={remove}
          onClose={() => setOpened(null)}
        />
      ) : null}
    </>
  );
};
