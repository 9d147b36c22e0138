export { SettingsPlace as default } from '@/features/settings';
