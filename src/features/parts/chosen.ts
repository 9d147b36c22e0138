/** What is open for editing beside the list. */
export type Chosen = {
  kind: 'part' | 'group' | 'measure' | 'joint' | 'extra';
  id: string;
} | null;

/** What is open over the list. */
export type Opened = { kind: 'helpers' } | { kind: 'helper'; groupId: string } | { kind: 'paste' } | null;
