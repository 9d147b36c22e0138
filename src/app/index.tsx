export { ProjectsPlace as default } from '@/features/projects/ProjectsPlace';
