import { lazyScreen } from '@/ui';

/** The place as the routes name it: not among what the first screen loads. */
export const SettingsPlace = lazyScreen(async () => (await import('./SettingsPlace')).SettingsPlace);
