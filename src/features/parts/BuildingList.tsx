import { memo, useEffect, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { emptyProject, identifier, type Part } from '@/core/project';
import {
  buildTemplate,
  HELPERS,
  previewMade,
  sizesOf,
  TEMPLATES,
  usualAnswers,
  type Helper,
  type Template,
  type View as Side,
} from '@/core/takeoff';
import type { LengthUnit } from '@/core/units';
import { afterPaint } from '@/hooks';
import { Sheet, SectionHeader, SidePicture, Text, TOUCH, useColors } from '@/ui';
import { partTone } from './partTone';

/** A kind of thing that can be picked: a whole one, or a part of one. */
export type Building = { kind: 'template'; template: Template } | { kind: 'helper'; helper: Helper };

const WHOLE: Building[] = TEMPLATES.map((template) => ({ kind: 'template', template }));
const PARTS_OF: Building[] = HELPERS.map((helper) => ({ kind: 'helper', helper }));
const titled = (building: Building) => (building.kind === 'template' ? building.template : building.helper);

/** Picks what is being built. */
export const BuildingList = ({
  unit,
  onPick,
  onClose,
}: {
  unit: LengthUnit;
  onPick: (building: Building) => void;
  onClose: () => void;
}) => {
  const drawn = useGrowing(WHOLE.length + PARTS_OF.length);
  const cards = (buildings: Building[], from: number) => (
    <View style={styles.grid}>
      {buildings.map((building, at) => (
        <Card
          key={titled(building).id}
          building={building}
          unit={unit}
          isDrawn={from + at < drawn}
          onPick={onPick}
        />
      ))}
    </View>
  );
  return (
    <Sheet title="What are you building?" onClose={onClose}>
      <Text tone="soft">
        A few measures give the parts, their fasteners and a drawing. All of it can be changed afterwards.
      </Text>
      <SectionHeader title="A whole thing" />
      {cards(WHOLE, 0)}
      <SectionHeader title="A part of one" />
      {cards(PARTS_OF, WHOLE.length)}
    </Sheet>
  );
};

/** Counts up to `most`, some after each paint: what is drawn takes turns with what is touched. */
const useGrowing = (most: number): number => {
  const [count, setCount] = useState(0);
  useEffect(() => {
    if (count < most) afterPaint(() => setCount((now) => now + 3));
  }, [count, most]);
  return count;
};

const PICTURE = { width: 132, height: 76 };

const Card = memo(function Card({
  building,
  unit,
  isDrawn,
  onPick,
}: {
  building: Building;
  unit: LengthUnit;
  isDrawn: boolean;
  onPick: (building: Building) => void;
}) {
  const colors = useColors();
  const { title, about } = titled(building);
  return (
    <Pressable
      role="button"
      aria-label={title}
      onPress={() => onPick(building)}
      style={({ pressed }) => [
        styles.card,
        { borderColor: colors.hairline, backgroundColor: pressed ? colors.pale : colors.paper },
      ]}
    >
      <View style={styles.picture}>{isDrawn ? <Picture building={building} unit={unit} /> : null}</View>
      <Text size="strong">{title}</Text>
      <Text size="small" tone="soft">
        {about}
      </Text>
    </Pressable>
  );
});

/** What it makes of its usual answers. */
const Picture = ({ building, unit }: { building: Building; unit: LengthUnit }) => {
  const colors = useColors();
  const sight = sightOf(building, unit);
  return sight ? (
    <SidePicture
      side={sight.side}
      colorOf={(role) => {
        const part = sight.partOf(role);
        return part ? colors.wood[partTone(part)] : null;
      }}
      {...PICTURE}
    />
  ) : null;
};

/** The first view of what it makes of its usual answers, and the parts that are seen there. */
const sightOf = (
  building: Building,
  unit: LengthUnit,
): { side: Side; partOf: (role: string) => Part | undefined } | null => {
  let last = 0;
  const newId = () => `new-${++last}`;
  const project = emptyProject('p', '', unit, 'USD');
  if (building.kind === 'template') {
    const { template } = building;
    const built = buildTemplate(template, usualAnswers(template, unit), {
      project,
      materials: [],
      newId,
    });
    const [side] = built.ok ? template.draw(built.value.sizes) : [];
    return built.ok && side ? { side, partOf: built.value.partOf } : null;
  }
  const { helper } = building;
  const made = previewMade(helper, usualAnswers(helper, unit), {
    project,
    groupName: helper.title,
    materials: [],
    newId,
  });
  if (!made.ok) return null;
  const { option, group } = made.value;
  const [side] = helper.draw(sizesOf(made.value.project, group, option));
  const partOf = (role: string) => option.parts.find(({ name }) => identifier(name) === role);
  return side ? { side, partOf } : null;
};

const styles = StyleSheet.create({
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  card: { borderWidth: 1, padding: 10, minHeight: TOUCH, gap: 2, flexGrow: 1, flexBasis: 150 },
  picture: { ...PICTURE, alignSelf: 'center' },
});
