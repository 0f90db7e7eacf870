import { applyEdit, newPlan } from '@velvet-tape/core';
import { storeys } from '../../packages/core/bench/storeys';
import { expect, test } from '../server';

/** 8 × 5 rooms, each drawn beside the last. */
function floorOfForty() {
  let plan = newPlan({ name: 'Four floors' });
  for (let i = 0; i < 40; i += 1) {
    const a = { x: (i % 8) * 3500, y: Math.floor(i / 8) * 3000 };
    const result = applyEdit(
      plan,
      { kind: 'drawBox', floor: 'ground', a, b: { x: a.x + 3500, y: a.y + 3000 } },
      `r${i}`,
    );
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
  }
  return plan;
}

test('to another floor of a house of 4 floors with 40 rooms each', async ({ page, server }) => {
  const plan = storeys(floorOfForty(), 4);
  const put = await page.request.put(`${server.url}/api/jobs/four/plan`, { data: { version: 0, plan } });
  expect(await put.text()).toContain('version');
  await page.goto('/job/four');
  await expect(page.getByTestId(/^floor/)).toHaveCount(40);
  const strip = page.getByLabel('Floors of the house');
  for (const round of ['the first time', 'again', 'once more'])
    for (const name of ['First floor', 'Second floor', 'Third floor', 'Ground floor']) {
      const button = strip.getByRole('button', { name: new RegExp(`^${name}`) });
      const took = await button.evaluate((element) => {
        const shown = () => document.querySelector('[data-testid^="floor "]')?.getAttribute('data-testid');
        const before = shown();
        return new Promise<number>((done) => {
          const start = performance.now();
          (element as HTMLElement).click();
          const look = () =>
            requestAnimationFrame(() => (shown() === before ? look() : done(performance.now() - start)));
          look();
        });
      });
      console.log(`${name} ${round}: ${took.toFixed(0)} ms`);
      await page.waitForTimeout(400);
    }
});
