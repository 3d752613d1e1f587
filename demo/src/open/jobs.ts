import { larkJobs } from './lark-jobs';
import type { OpenJob } from './open-job';
import { otherJobs } from './other-jobs';
import { rounds } from './rounds';

/** The jobs that are written out by hand. */
export const openJobs: readonly OpenJob[] = [...larkJobs, ...otherJobs, ...rounds];
