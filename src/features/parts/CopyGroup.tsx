import { useRouter } from 'expo-router';
import { copyGroup, type Group, type Project } from '@/core/project';
import { newId, notify, useOtherProjects, type OpenProject } from '@/hooks';
import { ActionMenu, Button } from '@/ui';

/** Copies a group into another project, or once more into its own. */
export const CopyGroup = ({ open, group }: { open: OpenProject; group: Group }) => {
  const { project, dispatch, undo } = open;
  const { projects, dispatchIn, undoIn } = useOtherProjects(project.id);
  const router = useRouter();
  const copyTo = (into: Project) => {
    const ids = new Map<string, string>();
    const idOf = (id: string): string => {
      const held = ids.get(id) ?? newId();
      ids.set(id, held);
      return held;
    };
    const copied = copyGroup(project, group.id, into, idOf);
    if (!copied) return;
    const isHere = into.id === project.id;
    if (isHere) dispatch({ type: 'addMade', ...copied });
    else dispatchIn(into.id, { type: 'addMade', ...copied });
    notify({
      text: isHere
        ? `${copied.group.name} is a copy of ${group.name}, with measures of its own.`
        : `${into.name} has ${copied.group.name} now, with measures of its own.`,
      action: { label: 'Undo', run: isHere ? undo : () => undoIn(into.id) },
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
