// where a thread begins that is not built: it reads TypeScript like the process it belongs to, whatever that was started by
import { register } from 'tsx/esm/api';

register();
const tasks = await import('./tasks.ts');
export const { composed, judgeWhole, judgeChange, openPlan, pictureOf, tellRevisions } = tasks;
export const { judgePicture, packJob, unpackJob, ready } = tasks;
