export { RackPlace as default } from '@/features/rack';
