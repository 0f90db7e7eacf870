// where a thread begins: it reads TypeScript like the process it belongs to, whatever that was started by
import { register } from 'tsx/esm/api';

register();
const { composed, judgeWhole, judgeChange, openPlan, pictureOf, tellRevisions } = await import('./plan-tasks.ts');
const { judgePicture } = await import('./picture-tasks.ts');
const { packJob, unpackJob } = await import('./job-file-tasks.ts');
export { composed, judgeWhole, judgeChange, openPlan, pictureOf, tellRevisions, judgePicture, packJob, unpackJob };
/** It has read what it needs. */
export const ready = () => true;
