import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { chosenOption, partLetters, withLetter, type Group, type Option, type Project } from '@/core/project';
import { isAsMade, sizesOf, type Helper } from '@/core/takeoff';
import { formatLength } from '@/core/units';
import { SidesDrawing, Text, useColors } from '@/ui';
import { partTone } from './partTone';

/** What a helper made, and nobody changed by hand, to scale from its sides, with the letters of its parts. `height`: the most it takes of the screen. */
export const HelperDrawing = ({
  project,
  group,
  option,
  helper,
  height,
}: {
  project: Project;
  group: Group;
  option: Option;
  helper: Helper;
  height: number;
}) => {
  const colors = useColors();
  const tone = (role: string) => {
    const part = option.parts.find((candidate) => candidate.role === role);
    return part ? colors.wood[partTone(part, group)] : null;
  };
  const letters = partLetters(project);
  const letter = (role: string) => letters[option.parts.find((part) => part.role === role)?.id ?? ''] ?? '';
  const named = option.parts.map(({ id, name }) => withLetter(letters, id, name));
  return (
    <View style={styles.drawn}>
      <SidesDrawing
        views={helper.draw(sizesOf(project, group, option))}
        colorOf={tone}
        letterOf={letter}
        say={(ticks) => formatLength(Math.max(0, ticks), project.unit)}
        height={height}
        label={`${helper.title}, drawn to scale: ${named.join(', ')}`}
      />
      <Text size="small" tone="soft" align="center">
        {named.join(' · ')}
      </Text>
    </View>
  );
};

/** What a helper made of a group, where it is still so: a drawing of parts that were changed by hand would be false, and they are told. */
export const GroupDrawing = ({
  project,
  group,
  helper,
  height,
}: {
  project: Project;
  group: Group;
  helper: Helper;
  height: number;
}) => {
  const isTrue = useMemo(() => isAsMade(helper, project, group), [helper, project, group]);
  const option = chosenOption(group);
  return option && isTrue ? (
    <HelperDrawing project={project} group={group} option={option} helper={helper} height={height} />
  ) : (
    <Text size="small" tone="soft">
      Its parts were changed by hand: what its measures alone would draw is not shown.
    </Text>
  );
};

const styles = StyleSheet.create({
  drawn: { paddingHorizontal: 8, paddingVertical: 6, flexGrow: 1, justifyContent: 'center' },
});
