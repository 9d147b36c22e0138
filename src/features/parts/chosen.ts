/** What is open for editing beside the list. */
export type Chosen = { kind: 'part' | 'group'; id: string } | null;
