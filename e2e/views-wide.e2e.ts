import { WIDE } from '../harness/browser';
import { lookAtEveryView } from './everyView';

lookAtEveryView('wide', WIDE, 'dark');
