import { randomPlan } from '../tests/service';
import { packJob, unpackJob } from '../src/work/job-file-tasks';
import { judgeWhole } from '../src/work/plan-tasks';

/** Random plans out as a job file and in again: the same to the last digit. */
export async function files(count: number, seed: number): Promise<object> {
  let [differ, refused, rooms] = [0, 0, 0];
  for (let i = 0; i < count; i += 1) {
    const plan = randomPlan(seed + i);
    rooms += Object.keys(plan.rooms).length;
    const text = JSON.stringify(plan);
    const back = unpackJob({ bytes: packJob({ id: `job-${i}`, plan: text, named: [], pictures: [] }) });
    if (!back.ok) {
      refused += 1;
      continue;
    }
    const judged = judgeWhole({ body: Buffer.from(`{"version":0,"plan":${back.plan}}`), next: `n${i}` });
    if (!judged.ok) refused += 1;
    else if (sorted(judged.whole!) !== sorted(text)) differ += 1;
  }
  return { plans: count, rooms, differ, refused };
}

const sorted = (text: string): string =>
  JSON.stringify(JSON.parse(text), (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
