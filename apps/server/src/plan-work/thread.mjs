// where a thread begins: it reads TypeScript like the process it belongs to, whatever that was started by
import { register } from 'tsx/esm/api';

register();
const tasks = await import('./tasks.ts');
export const { judgeWhole, judgeChange, openPlan } = tasks;
