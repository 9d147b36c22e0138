import { variableNameFault } from '@/core/project';
import { fail, ok, type Result } from '@/core/result';
import { notify, type OpenProject } from '@/hooks';
import { Choice, Detail, ReadField, Text } from '@/ui';
import { EditFoot } from './EditFoot';
import { changeMeasure, VariableField } from './MeasuresBand';
import { measureWords } from './words';

/** One measure: its name, which every formula follows, and what it is. */
export const MeasureForm = ({
  open,
  variableId,
  onClose,
}: {
  open: OpenProject;
  variableId: string;
  onClose: () => void;
}) => {
  const { project, dispatch, undo } = open;
  const variable = project.variables.find(({ id }) => id === variableId);
  if (!variable) return null;
  const readName = (text: string): Result<string> => {
    const fault = variableNameFault(
      text,
      project.variables.filter(({ id }) => id !== variableId).map(({ name }) => name),
    );
    return fault === null ? ok(text.trim()) : fail('name', fault);
  };
  const remove = () => {
    dispatch({ type: 'removeVariable', variableId });
    onClose();
    notify({
      text: `${measureWords(variable)} is deleted. What followed from it keeps its value.`,
      action: { label: 'Undo', run: undo },
    });
  };
  return (
    <Detail
      title={measureWords(variable)}
      onClose={onClose}
      foot={<EditFoot onRemove={remove} onDone={onClose} />}
    >
      <ReadField
        label="Name of the measure"
        text={variable.name}
        read={readName}
        onRead={(name) => dispatch({ type: 'editVariable', variableId, fields: { name } })}
        help="A new name goes into every formula that has the old one."
      />
      <Choice
        label="It is"
        value={variable.kind}
        options={[
          { value: 'length', label: 'A length' },
          { value: 'number', label: 'A number or an angle' },
        ]}
        onChange={(kind) => dispatch({ type: 'editVariable', variableId, fields: { kind } })}
      />
      <VariableField
        project={project}
        variable={variable}
        label="What it is, or follows from"
        onChange={(formula) => changeMeasure(open, variable, formula)}
      />
      <Text size="small" tone="soft">
        Formulas take measures by name, parts as leg.length, leg.width, leg.thickness or leg.count, sections
        as 2x4.width, and + − * / ( ), min, max, ceil, floor, round, sqrt, sin, cos, tan, atan.
      </Text>
    </Detail>
  );
};
