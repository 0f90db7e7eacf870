/** What the threads do. */
export { composed, judgeChange, judgeWhole, openPlan, pictureOf, tellRevisions } from './plan-tasks';
export { judgePicture } from './picture-tasks';
export { packJob, unpackJob } from './job-file-tasks';
/** They have read what they need. */
export const ready = () => true;
