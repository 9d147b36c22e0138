/** What is open for editing beside the list. */
export type Chosen = {
  kind: 'part' | 'group' | 'measure' | 'joint' | 'extra';
  id: string;
} | null;

/** What is open over the list. */
export type Opened = { kind: 'helpers' } | { kind: 'helper'; groupId: string } | { kind: 'paste' } | null;

const KINDS = ['part', 'group', 'measure', 'joint', 'extra'] as const;

/** What is open as it stands in the address. */
export const chosenIn = (text: string): Chosen => {
  const [, word, id = ''] = /^(\w+):(.+)$/.exec(text) ?? [];
  const kind = KINDS.find((one) => one === word);
  return kind ? { kind, id } : null;
};

/** What is open beside the list, as it stands in the address. */
export const writeChosen = (chosen: Chosen): string => (chosen ? `${chosen.kind}:${chosen.id}` : '');

/** What a link asks to be open over the list. */
export const openedIn = (text: string): Opened =>
  text === 'helpers' || text === 'paste' ? { kind: text } : null;
