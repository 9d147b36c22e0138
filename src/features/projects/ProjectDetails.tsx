import { useState } from 'react';
import { useRouter } from 'expo-router';
import { emptyGroup, FIRST_GROUP, emptyProject, type Project } from '@/core/project';
import { addProject, newId, useProjects, useSettings, type OpenProject } from '@/hooks';
import { Button, Sheet } from '@/ui';
import { DetailsForm, NewProjectForm } from './DetailsForm';
import { draftOf, readDraft, type Details } from './detailsDraft';

interface Props {
  title: string;
  verb: string;
  /** Which fields are asked. */
  Form: typeof DetailsForm;
  initial: Project;
  onTake: (details: Details) => void;
  onClose: () => void;
}

const DetailsSheet = ({ title, verb, Form, initial, onTake, onClose }: Props) => {
  const [draft, setDraft] = useState(() => draftOf(initial));
  const fields = readDraft(draft, initial.settings);
  const take = () => {
    if (!fields.ok) return;
    onTake(fields.value);
    onClose();
  };
  return (
    <Sheet
      title={title}
      onClose={onClose}
      foot={
        <>
          <Button onPress={onClose}>Cancel</Button>
          <Button mode="contained" onPress={take} disabled={!fields.ok}>
            {verb}
          </Button>
        </>
      }
    >
      <Form draft={draft} onChange={setDraft} onSubmit={take} />
    </Sheet>
  );
};

/** Name, unit, currency, target, count, tax and saw of a project. */
export const ProjectDetails = ({
  open: { project, dispatch },
  onClose,
}: {
  open: OpenProject;
  onClose: () => void;
}) => (
  <DetailsSheet
    title="Project details"
    verb="Save details"
    Form={DetailsForm}
    initial={project}
    onTake={(fields) => dispatch({ type: 'editProject', fields })}
    onClose={onClose}
  />
);

/** A project that is not there yet: opens its parts when it is made. */
export const NewProject = ({ onClose }: { onClose: () => void }) => {
  const router = useRouter();
  const { settings, change } = useSettings();
  const isFirst = !useProjects()?.records.some(({ project }) => !project.isSample);
  const [blank] = useState(() => {
    const project = emptyProject(newId(), '', settings.unit, settings.currency);
    const { tax, taxIncluded, kerf } = settings;
    return {
      ...project,
      settings: { ...project.settings, tax, taxIncluded, kerf },
      groups: [emptyGroup(newId(), newId(), FIRST_GROUP)],
    };
  });
  const make = (details: Details) => {
    addProject({ ...blank, ...details });
    // What is answered once holds for the next ones and for the price book.
    const { tax, taxIncluded, kerf } = details.settings;
    if (isFirst) change({ unit: details.unit, currency: details.currency, tax, taxIncluded, kerf });
    router.push(`/project/${blank.id}/parts`);
  };
  return (
    <DetailsSheet
      title="New project"
      verb="Make the project"
      Form={NewProjectForm}
      initial={blank}
      onTake={make}
      onClose={onClose}
    />
  );
};
