import { StyleSheet, View } from 'react-native';
import { partLetters, withLetter, type Group, type Option, type Project } from '@/core/project';
import { sizesOf, type Helper } from '@/core/takeoff';
import { formatLength } from '@/core/units';
import { SidesDrawing, Text, useColors } from '@/ui';
import { partTone } from './partTone';

/** What a helper made, to scale from its sides, with the letters of its parts. `height`: the most it takes of the screen. */
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
  const views = helper.draw(sizesOf(project, group, option));
  // A group that was changed by hand may have nothing left that could be drawn.
  const isDrawn = views.every(({ shapes }) =>
    shapes.every(({ corners }) => corners.flat().every(Number.isFinite)),
  );
  if (!isDrawn) return null;
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
        views={views}
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

const styles = StyleSheet.create({
  drawn: { paddingHorizontal: 8, paddingVertical: 6, flexGrow: 1, justifyContent: 'center' },
});
