import { type Intent, type Plan, applyEdit, newPlan } from '@velvet-tape/core';
import type { Page } from '@playwright/test';
import type { Server } from './server';

function made(name: string, intents: readonly Intent[]): Plan {
  let plan = newPlan({ name });
  intents.forEach((intent, i) => {
    const result = applyEdit(plan, intent, `a${i}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
  });
  return plan;
}

const wall = (x: number, depth: number): Intent => ({
  ...{ kind: 'drawPath', floor: 'ground', closed: false },
  points: [
    { x, y: 0 },
    { x, y: depth },
  ],
});

/** One room of 5 × 4 m under a flat ceiling of 2.40 m; what is where, mm. */
export const attic = (): Plan =>
  made('Attic', [{ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 5000, y: 4000 } }]);

/** Three rooms side by side in 12 × 6 m. */
export const loft = (): Plan =>
  made('Loft', [
    { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 12_000, y: 6000 } },
    wall(4000, 6000),
    wall(8000, 6000),
  ]);

/** Puts a plan on the server, and opens it. */
export async function openPlan(page: Page, server: Server, id: string, plan: Plan): Promise<void> {
  const put = await page.request.put(`${server.url}/api/jobs/${id}/plan`, { data: { version: 0, plan } });
  if (!put.ok()) throw new Error(await put.text());
  await page.goto(`/job/${id}`);
}
