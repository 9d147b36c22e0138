import { resolve } from './resolve';
import type { ResolvedPart } from './resolvedPart';
import type { Book, Project } from './types';

/** Names of the parts that are of another size or number than they were, each once, in their order. */
export const movedParts = (before: Project, after: Project, own?: Book['materials']): string[] => {
  const held = new Map(resolve(before, own).parts.map((part) => [part.id, part]));
  const moved = resolve(after, own).parts.filter((part) => {
    const was = held.get(part.id);
    return !was || sizesOf(was) !== sizesOf(part);
  });
  return [...new Set(moved.map(({ name }) => name))];
};

const sizesOf = ({ count, length, width, thickness, section, ends }: ResolvedPart): string =>
  JSON.stringify([count, length, width, thickness, section?.name, ends]);

/** `Rail, Leg and 3 more moved with it.` Blank: none did. */
export const movedWords = (names: string[]): string => {
  const [first, second, ...rest] = names;
  if (first === undefined) return '';
  if (second === undefined) return `${first} moved with it.`;
  return rest.length === 0
    ? `${first} and ${second} moved with it.`
    : `${first}, ${second} and ${rest.length} more moved with it.`;
};
