import { assertNever } from '../../assertNever';
import type { Extra, Option } from '../types';
import { assign, type ProjectDraft } from './draft';
import type { OptionCommand } from './types';

/** Changes the ways to make a group, and what a helper made of one. */
export const reduceOptions = (draft: ProjectDraft, command: OptionCommand): void => {
  const group = draft.groups.find(({ id }) => 'groupId' in command && id === command.groupId);
  const option = group?.options.find(({ id }) => 'optionId' in command && id === command.optionId);
  switch (command.type) {
    case 'putOption': {
      if (!group) return;
      const index = group.options.findIndex(({ id }) => id === command.option.id);
      // A copy: what comes after it in one step may change it, and the command stays as it was.
      const copy = JSON.parse(JSON.stringify(command.option)) as Option;
      if (index < 0) group.options.push(copy);
      else group.options[index] = copy;
      return;
    }
    case 'chooseOption':
      if (group && option) group.chosen = option.id;
      return;
    case 'renameOption':
      if (option) option.name = command.name;
      return;
    case 'removeOption':
      if (group && option && group.chosen !== option.id)
        group.options = group.options.filter(({ id }) => id !== option.id);
      return;
    case 'addMade':
      draft.variables.push(...command.variables);
      draft.groups.push(command.group);
      draft.extras.push(...command.extras);
      return;
    case 'remake': {
      if (!group) return;
      group.options = group.options.map((one) => (one.id === command.option.id ? command.option : one));
      for (const variable of command.variables) {
        const held = draft.variables.find(({ id }) => id === variable.id);
        if (held) assign(held, variable);
        else draft.variables.push(variable);
      }
      const isTheHelpers = (extra: Extra) => extra.groupId === command.groupId && extra.role !== undefined;
      draft.extras = [...draft.extras.filter((extra) => !isTheHelpers(extra)), ...command.extras];
      return;
    }
    default:
      assertNever(command);
  }
};
