import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { inThePiece } from '@/core/budget';
import { emptyGroup } from '@/core/project';
import { newId, useProject, type OpenProject } from '@/data';
import { shownPlan, usePlan } from '@/planning';
import { Button, Columns, useIsWide, Words } from '@/ui';
import { GroupForm } from './GroupForm';
import { GroupList } from './GroupList';
import { PartForm } from './PartForm';
import { QuickLine } from './QuickLine';
import type { Chosen } from './chosen';

/** What a project is made of: the quick line, and the parts by group. */
export const PartsPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Parts open={open} /> : null;
};

const Parts = ({ open }: { open: OpenProject }) => {
  const { project, book, run } = open;
  const isWide = useIsWide();
  const plan = shownPlan(usePlan(project, book).plan);
  const [chosen, setChosen] = useState<Chosen>(null);
  const [groupId, setGroupId] = useState<string | null>(null);
  const close = () => setChosen(null);
  const addGroup = () => {
    const names = new Set(project.groups.map(({ name }) => name));
    let number = project.groups.length + 1;
    while (names.has(`Group ${number}`)) number++;
    const group = emptyGroup(newId(), newId(), `Group ${number}`);
    run({ type: 'addGroup', group });
    setGroupId(group.id);
    setChosen({ kind: 'group', id: group.id });
  };
  const form =
    chosen?.kind === 'part' ? (
      <PartForm key={chosen.id} open={open} partId={chosen.id} onClose={close} onChoose={setChosen} />
    ) : chosen?.kind === 'group' ? (
      <GroupForm key={chosen.id} open={open} groupId={chosen.id} onClose={close} />
    ) : null;
  return (
    <Columns detail={form}>
      <QuickLine open={open} groupId={groupId} setGroupId={setGroupId} />
      <GroupList
        open={open}
        costs={plan ? inThePiece(project, plan) : {}}
        chosen={chosen}
        onChoose={setChosen}
      />
      <View style={styles.after}>
        <Button mode="outlined" icon="add" onPress={addGroup}>
          Add a group
        </Button>
        {plan ? (
          <Words size="small" tone="soft">
            Beside each part: what it uses up of what is bought for it, with tax. Whole boards and boxes are
            under Buy.
          </Words>
        ) : null}
      </View>
      {isWide ? null : form}
    </Columns>
  );
};

const styles = StyleSheet.create({
  after: { padding: 16, gap: 12, alignItems: 'flex-start' },
});
