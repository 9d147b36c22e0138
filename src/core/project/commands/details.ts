import { assertNever } from '../../assertNever';
import { parseLength, writeLength, type LengthUnit } from '../../units';
import { pinUnits, renameVariable, replaceVariable } from '../rewrite';
import type { Measure, Project } from '../types';
import { measuresOf } from '../partMeasures';
import { isFormula } from '../values';
import { assign, optionsOf, takeOut, type ProjectDraft } from './draft';
import type { DetailCommand } from './types';

/** Changes a project as a whole, its measures, its settings, and what is not cut. */
export const reduceDetails = (draft: ProjectDraft, command: DetailCommand, before: Project): void => {
  switch (command.type) {
    case 'editProject':
      if (command.fields.unit && command.fields.unit !== draft.unit) {
        pinUnits(draft, draft.unit);
        keepMeasures(draft, command.fields.unit);
      }
      assign(draft, command.fields);
      // One sum, written anew, takes the place of sums by category.
      if (draft.target !== before.target && draft.budget) delete draft.budget.byCategory;
      return;
    case 'addVariable':
      draft.variables.push(command.variable);
      return;
    case 'editVariable': {
      const variable = draft.variables.find(({ id }) => id === command.variableId);
      if (variable && command.fields.name !== undefined && command.fields.name !== variable.name)
        renameVariable(draft, variable.name, command.fields.name);
      assign(variable, command.fields);
      return;
    }
    case 'removeVariable':
      replaceVariable(draft, command.variableId);
      takeOut(draft.variables, ({ id }) => id === command.variableId);
      return;
    case 'addExtra':
      if (!draft.extras.some(({ id }) => id === command.extra.id)) draft.extras.push(command.extra);
      return;
    case 'editExtra':
      assign(
        draft.extras.find(({ id }) => id === command.extraId),
        command.fields,
      );
      return;
    case 'removeExtra':
      takeOut(draft.extras, ({ id }) => id === command.extraId);
      return;
    case 'editSettings':
      assign(draft.settings, command.fields);
      return;
    case 'excludeStore':
      if (draft.excludedStores.includes(command.storeId) === command.excluded) return;
      draft.excludedStores = command.excluded
        ? [...draft.excludedStores, command.storeId]
        : draft.excludedStores.filter((id) => id !== command.storeId);
      return;
    default:
      assertNever(command);
  }
};

/** Before the unit of bare numbers changes, texts that would then mean another length are given their unit. */
const keepMeasures = (draft: ProjectDraft, unit: LengthUnit): void => {
  const keep = (measure: Measure | null) => {
    if (!measure || isFormula(measure.text, draft.unit)) return;
    const read = parseLength(measure.text, unit);
    if (!read.ok || read.value !== measure.ticks) measure.text = writeLength(measure.ticks, draft.unit);
  };
  for (const { parts } of optionsOf(draft))
    for (const part of parts) for (const { measure } of measuresOf(part)) keep(measure);
  for (const variable of draft.variables) {
    if (variable.kind !== 'length' || isFormula(variable.formula, draft.unit)) continue;
    const ticks = parseLength(variable.formula, draft.unit);
    if (ticks.ok) variable.formula = writeLength(ticks.value, draft.unit);
  }
  const { kerf, endTrim, sheetTrim, shortOk } = draft.settings;
  [kerf, endTrim, sheetTrim, shortOk].forEach(keep);
};
