import { later } from '@/ui';

/** The place as the routes name it: not among what the first screen loads. */
export const ReportPlace = later(async () => (await import('./ReportPlace')).ReportPlace);
