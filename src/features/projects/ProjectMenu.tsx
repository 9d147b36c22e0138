import { useState } from 'react';
import { Menu } from 'react-native-paper';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { projectFileName, writeParts, writePrices, writeProjectFile } from '@/core/formats';
import { notify, saveFile, setDeleted, type OpenProject } from '@/data';
import { DAYS_KEPT } from '@/data';
import { Confirm, IconAction } from '@/ui';
import { ImportParts, ImportPrices } from './Imports';
import { ProjectDetails } from './ProjectDetails';

type Opened = 'details' | 'parts' | 'prices' | 'delete' | null;

/** What is done with a project as a whole: its details, its files, its end. */
export const ProjectMenu = ({
  open,
  isOpen,
  setOpen,
}: {
  open: OpenProject;
  isOpen: boolean;
  setOpen: (isOpen: boolean) => void;
}) => {
  const { project, book } = open;
  const [opened, setOpened] = useState<Opened>(null);
  const client = useQueryClient();
  const router = useRouter();
  const item = (title: string, run: () => void) => (
    <Menu.Item
      key={title}
      title={title}
      onPress={() => {
        setOpen(false);
        run();
      }}
    />
  );
  const base = projectFileName(project).replace('.billet.json', '');
  const remove = () => {
    setDeleted(client, project.id, Date.now());
    router.replace('/');
    notify({
      text: `${project.name} is deleted. It can be had back for ${DAYS_KEPT} days, under Settings.`,
      action: { label: 'Undo', run: () => setDeleted(client, project.id, null) },
    });
  };
  return (
    <>
      <Menu
        visible={isOpen}
        onDismiss={() => setOpen(false)}
        anchor={<IconAction icon="more" label="More for this project" onPress={() => setOpen(true)} />}
        anchorPosition="bottom"
      >
        {item('Project details', () => setOpened('details'))}
        {item('Save to a file', () =>
          saveFile(projectFileName(project), writeProjectFile(project, book), 'application/json'),
        )}
        {item('Import parts.csv', () => setOpened('parts'))}
        {item('Export parts.csv', () => saveFile(`${base}-parts.csv`, writeParts(project), 'text/csv'))}
        {item('Import prices.csv', () => setOpened('prices'))}
        {item('Export prices.csv', () =>
          saveFile(`${base}-prices.csv`, writePrices(book, project.currency, project.unit), 'text/csv'),
        )}
        {item('Delete project', () => setOpened('delete'))}
      </Menu>
      {opened === 'details' ? <ProjectDetails open={open} onClose={() => setOpened(null)} /> : null}
      {opened === 'parts' ? <ImportParts open={open} onClose={() => setOpened(null)} /> : null}
      {opened === 'prices' ? <ImportPrices open={open} onClose={() => setOpened(null)} /> : null}
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
