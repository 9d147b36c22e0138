import type { Alternative, Group, Option } from './types';

/** A copy of an option, to be changed without changing the first: every id of its own by `idOf`. */
export const copyOption = (option: Option, name: string, idOf: (id: string) => string): Option => ({
  ...option,
  id: idOf(option.id),
  name,
  parts: option.parts.map((part) => ({
    ...part,
    id: idOf(part.id),
    ...(part.mirrorOf === undefined ? {} : { mirrorOf: idOf(part.mirrorOf) }),
  })),
  ...(option.joints
    ? {
        joints: option.joints.map((joint) => ({
          ...joint,
          id: idOf(joint.id),
          first: idOf(joint.first),
          second: idOf(joint.second),
        })),
      }
    : {}),
});

/** The choice of an option of a group, as a proposal and a column of the comparison have it: one id for both. */
export const choiceOf = (group: Group, { id }: Option): Pick<Alternative, 'id' | 'changes'> => ({
  id: `${group.id}:option:${id}`,
  changes: [{ type: 'chooseOption', groupId: group.id, optionId: id }],
});

/** Gives each id of old a new one, the same for the same: `newId` makes it. */
export const renewedIds = (newId: () => string): ((id: string) => string) => {
  const known = new Map<string, string>();
  return (id) => {
    const renewed = known.get(id) ?? newId();
    known.set(id, renewed);
    return renewed;
  };
};

/** The id of the measure that an answer to a helper stands for: its own (`=`) or that of another (`@`); null: it is itself. */
export const measureAnswered = (answer: string): string | null =>
  /^[=@]/.test(answer) ? answer.slice(1) : null;

/** An option of which what its helper was told names measures by other ids: `ids` gives the new one for the old. */
export const withOwnAnswers = (option: Option, ids: Map<string, string>): Option => {
  if (!option.made) return option;
  const answers = Object.fromEntries(
    Object.entries(option.made.answers).map(([key, answer]) => {
      const id = ids.get(measureAnswered(answer) ?? '');
      return [key, id === undefined ? answer : `${answer.charAt(0)}${id}`];
    }),
  );
  return { ...option, made: { ...option.made, answers } };
};
