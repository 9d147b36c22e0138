import { formatAngle, formatLength } from '@/core/units';
import { parseEnds, parseSection, parseThickness, thicknessName, writeEnds, type Ends } from '@/core/lumber';
import type { Part, Project } from '@/core/project';
import { Choice, LengthField, ReadField } from '@/ui';
import { angleReader, measureReader } from './reading';

const SHAPES: { value: Ends['shape']; label: string }[] = [
  { value: 'square', label: 'Square' },
  { value: 'mitre', label: 'Both inward' },
  { value: 'parallel', label: 'Both the same way' },
  { value: 'one', label: 'One slanted' },
];

/** A part's formulas with one of them set, or taken away. */
export const withFormula = (
  part: Part,
  field: 'quantity' | 'angle',
  formula: string | undefined,
): Part['formulas'] => {
  const { [field]: _, ...others } = part.formulas ?? {};
  const next = formula === undefined ? others : { ...others, [field]: formula };
  return Object.keys(next).length > 0 ? next : undefined;
};

/** Section, length and ends of a board; thickness, sides and grain of a sheet. */
export const SizeFields = ({
  part,
  project,
  groupId,
  edit,
}: {
  part: Part;
  project: Project;
  groupId: string;
  edit: (fields: Partial<Omit<Part, 'id'>>) => void;
}) => {
  const { unit } = project;
  const read = measureReader(project, groupId);
  return (
    <>
      {part.kind === 'board' ? (
        <ReadField
          label="Section"
          text={part.section}
          read={(text) => parseSection(text, unit)}
          onRead={({ name }) => edit({ section: name })}
        />
      ) : (
        <ReadField
          label="Thickness"
          text={part.section}
          read={(text) => parseThickness(text, unit)}
          onRead={(ticks) => edit({ section: thicknessName(ticks) })}
        />
      )}
      <LengthField
        label={part.kind === 'sheet' ? 'Length, along the grain' : 'Length, along the longest edge'}
        value={part.length}
        unit={unit}
        read={read}
        onChange={(length) => edit({ length })}
      />
      {part.kind === 'sheet' ? (
        <>
          <LengthField
            label="Width"
            value={part.width}
            unit={unit}
            read={read}
            onChange={(width) => edit({ width })}
          />
          <Choice
            label="Grain"
            value={part.grain}
            options={[
              { value: 'any', label: 'May be turned' },
              { value: 'length', label: 'Along the length' },
            ]}
            onChange={(grain) => edit({ grain })}
          />
        </>
      ) : (
        <EndsFields part={part} project={project} groupId={groupId} edit={edit} />
      )}
      <LengthField
        label="May come out short by"
        value={part.shortOk}
        unit={unit}
        zero="allowed"
        read={read}
        blank={`Blank: as the project, ${formatLength(project.settings.shortOk.ticks, unit)}`}
        onChange={(shortOk) => edit({ shortOk })}
      />
    </>
  );
};

const EndsFields = ({
  part,
  project,
  groupId,
  edit,
}: {
  part: Part;
  project: Project;
  groupId: string;
  edit: (fields: Partial<Omit<Part, 'id'>>) => void;
}) => {
  const onChange = (ends: string) => edit({ ends });
  const read = parseEnds(part.ends);
  const ends: Ends = read.ok ? read.value : { shape: 'square' };
  const shaped = (shape: Ends['shape']): Ends =>
    shape === 'square'
      ? { shape }
      : {
          shape,
          angle: ends.shape === 'square' ? 45 : ends.angle,
          across: ends.shape === 'square' ? 'face' : ends.across,
        };
  return (
    <>
      <Choice
        label="Ends"
        value={ends.shape}
        options={SHAPES}
        onChange={(shape) => onChange(writeEnds(shaped(shape)))}
      />
      {ends.shape === 'square' ? null : (
        <>
          <ReadField
            label="Degrees off square"
            text={part.formulas?.angle ?? String(ends.angle)}
            read={angleReader(project, groupId)}
            onRead={({ value: angle, formula }) =>
              edit({ ends: writeEnds({ ...ends, angle }), formulas: withFormula(part, 'angle', formula) })
            }
            help={part.formulas?.angle === undefined ? null : `= ${formatAngle(ends.angle)}`}
          />
          <Choice
            label="Slanted across"
            value={ends.across}
            options={[
              { value: 'face', label: 'The face' },
              { value: 'edge', label: 'The thickness' },
            ]}
            onChange={(across) => onChange(writeEnds({ ...ends, across }))}
          />
        </>
      )}
    </>
  );
};
