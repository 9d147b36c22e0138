import { useState } from 'react';
import { useRouter } from 'expo-router';
import { useQueryClient } from '@tanstack/react-query';
import { emptyGroup, emptyProject } from '@/core/project';
import { addProject, newId, useSettings, type OpenProject } from '@/data';
import { Button, Sheet } from '@/ui';
import { draftOf, DetailsForm, readDraft } from './DetailsForm';

/** Name, unit, currency, target, count, tax and saw of a project. */
export const ProjectDetails = ({
  open: { project, run },
  onClose,
}: {
  open: OpenProject;
  onClose: () => void;
}) => {
  const [draft, setDraft] = useState(() => draftOf(project));
  const fields = readDraft(draft, project.settings);
  const save = () => {
    if (!fields.ok) return;
    run({ type: 'editProject', fields: fields.value });
    onClose();
  };
  return (
    <Sheet
      title="Project details"
      onClose={onClose}
      foot={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={save} disabled={!fields.ok}>
            Save details
          </Button>
        </>
      }
    >
      <DetailsForm draft={draft} onChange={setDraft} onSubmit={save} />
    </Sheet>
  );
};

/** A project that is not there yet: opens its parts when it is made. */
export const NewProject = ({ onClose }: { onClose: () => void }) => {
  const client = useQueryClient();
  const router = useRouter();
  const { settings } = useSettings();
  const [blank] = useState(() => {
    const project = emptyProject(newId(), '', settings.unit, settings.currency);
    const { tax, taxIncluded, kerf } = settings;
    return {
      ...project,
      settings: { ...project.settings, tax, taxIncluded, kerf },
      groups: [emptyGroup(newId(), newId(), 'main')],
    };
  });
  const [draft, setDraft] = useState(() => draftOf(blank));
  const fields = readDraft(draft, blank.settings);
  const make = () => {
    if (!fields.ok) return;
    addProject(client, { ...blank, ...fields.value });
    onClose();
    router.push(`/project/${blank.id}/parts`);
  };
  return (
    <Sheet
      title="New project"
      onClose={onClose}
      foot={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={make} disabled={!fields.ok}>
            Make the project
          </Button>
        </>
      }
    >
      <DetailsForm draft={draft} onChange={setDraft} onSubmit={make} />
    </Sheet>
  );
};
