import { useRouter } from 'expo-router';
import { copyGroup, renewedIds, type Group, type Project } from '@/core/project';
import { newId, notify, useOtherProjects } from '@/hooks';
import { ActionMenu, Button } from '@/ui';

/** Copies a group into another project, or once more into its own. */
export const CopyGroup = ({ project, group }: { project: Project; group: Group }) => {
  const { projects, dispatchIn, undoIn } = useOtherProjects(project.id);
  const router = useRouter();
  const copyTo = (into: Project) => {
    const copied = copyGroup(project, group.id, into, renewedIds(newId));
    if (!copied) return;
    const isHere = into.id === project.id;
    dispatchIn(into.id, { type: 'addMade', ...copied });
    notify({
      text: isHere
        ? `${copied.group.name} is a copy of ${group.name}, with measures of its own.`
        : `${into.name} has ${copied.group.name} now, with measures of its own.`,
      action: { label: 'Undo', run: () => undoIn(into.id) },
    });
    if (!isHere) router.push(`/project/${into.id}/parts`);
  };
  return (
    <ActionMenu
      label={`Where ${group.name} is copied to`}
      anchor={(show) => (
        <Button mode="outlined" icon="copy" onPress={show}>
          Copy the group
        </Button>
      )}
      actions={[
        { title: 'Into this project', run: () => copyTo(project) },
        ...projects.map((other) => ({ title: `Into ${other.name}`, run: () => copyTo(other) })),
      ]}
    />
  );
};
