import { type Plan, deriveFloor, distance, readPlan } from '@velvet-tape/core';
import { recall, remember } from '../ui/remembered';

/** How the practice house of a job stands in truth: what a meter aimed at one of its walls finds. */
const keyOf = (job: string): string => `practice.${job}`;

export const keepTruth = (job: string, truth: Plan): void => remember(keyOf(job), JSON.stringify(truth));

let last: { job: string; plan: Plan | null } | null = null;

function truthOf(job: string): Plan | null {
  if (last?.job === job) return last.plan;
  const kept = recall(keyOf(job));
  const read = kept ? readPlan(JSON.parse(kept)) : null;
  last = { job, plan: read?.ok ? read.plan : null };
  return last.plan;
}

/** The true length of the wall between two corners, mm; null where the house does not have it, as in any but the practice house. */
export function trueLength(job: string | null, floor: string, from: string, to: string): number | null {
  const truth = job === null ? null : truthOf(job);
  if (!truth || !Object.hasOwn(truth.floors, floor)) return null;
  for (const { faces } of deriveFloor(truth, floor).rooms)
    for (const face of faces) if (face.from === from && face.to === to) return distance(face.a, face.b);
  return null;
}
