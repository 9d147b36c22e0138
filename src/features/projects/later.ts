import { lazyScreen } from '@/ui';

/** What is opened from the projects and their head, and not among what the first screen loads. */

export const NewProject = lazyScreen(async () => (await import('./ProjectDetails')).NewProject);
/** The details of a project, fetched when first opened. */
export const ProjectDetails = lazyScreen(async () => (await import('./ProjectDetails')).ProjectDetails);
/** Where the sums come from, fetched when first opened. */
export const SumsExplained = lazyScreen(async () => (await import('./SumsExplained')).SumsExplained);
