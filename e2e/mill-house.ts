import { type Intent, type Plan, applyEdit, newPlan } from '@velvet-tape/core';
import type { Locator, Page } from '@playwright/test';
import { openPlan } from './attics';
import type { Server } from './server';

/** A house of one floor, 8 × 5 m, with a bay in its upper wall and a lean-to at its right side; what is where, mm. */
export function millHouse(): Plan {
  let plan = newPlan({ name: 'Mill house' });
  const go = (intent: Intent) => {
    const result = applyEdit(plan, intent, `mill${Object.keys(plan.walls).length}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
    return result.made!;
  };
  const room = go({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 8000, y: 5000 } });
  go({ kind: 'nameRoom', room, name: 'Mill room' });
  const lean = go({ kind: 'drawBox', floor: 'ground', a: { x: 8250, y: 1500 }, b: { x: 10_750, y: 4500 } });
  go({ kind: 'nameRoom', room: lean, name: 'Lean-to' });
  const top = Object.values(plan.walls).find(({ start, end }) =>
    [start, end].every((id) => plan.corners[id]!.y === 0 && plan.corners[id]!.x <= 8000),
  )!;
  const face = `${top.start}>${top.end}`;
  const bump = { shape: 'slanted' as const, from: 2500, width: 2500, depth: 800, splay: 500 };
  go({ kind: 'bump', floor: 'ground', face, ...bump });
  return plan;
}

/** Puts it on the server, and opens it. */
export async function openMillHouse(page: Page, server: Server): Promise<void> {
  await openPlan(page, server, 'mill-house', millHouse());
}

/** Where a point of the house, mm, is on the screen once the sheet is at rest: by something that is drawn of it. */
export const ofHouse = (drawn: Locator, p: { x: number; y: number }): Promise<[number, number]> =>
  drawn.first().evaluate(async (element, { x, y }) => {
    const now = () => new DOMPoint(x, y).matrixTransform((element as unknown as SVGGraphicsElement).getScreenCTM()!);
    let at = now();
    for (let same = 0; same < 3;) {
      await new Promise((frame) => requestAnimationFrame(frame));
      const next = now();
      same = next.x === at.x && next.y === at.y ? same + 1 : 0;
      at = next;
    }
    return [at.x, at.y] as [number, number];
  }, p);
