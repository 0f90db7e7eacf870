import type { Page } from '@playwright/test';
import { IN_SPACE } from '../browser';
import { middleOf } from '../finger';
import { framesWhile } from './frames';
import { key } from '../pad';
import { test } from '../server';

// graphics are emulated here: only ratios say something
test.use(IN_SPACE);

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

async function drag(page: Page, from: readonly [number, number], steps: number): Promise<void> {
  const [x, y] = from;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < steps; i += 1) {
    await page.mouse.move(x + 8 * Math.sin(i / 4), y + 10 * Math.cos(i / 5));
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
  }
  await page.keyboard.press('Escape');
  await page.mouse.up();
}

test('frames of Ferry House: at rest, turned round, and while a wall is dragged beside the small view', async ({
  page,
}) => {
  await page.goto('/job/ferry-house/views');
  const glass = page.getByTestId('space');
  await page.locator('canvas').waitFor();
  const middle = await middleOf(glass);
  const rest = median(await framesWhile(page, () => page.waitForTimeout(1500)));
  const round = median(await framesWhile(page, () => drag(page, middle, 60)));
  console.log(`turned round: ${(round / rest).toFixed(1)} × a frame at rest (${rest.toFixed(1)} ms)`);
  await page.goto('/job/ferry-house');
  const dragged = async (): Promise<number> => {
    await page
      .getByRole('button', { name: /^Waiting room/ })
      .first()
      .click();
    await page.getByLabel('Walls of the room').getByRole('button').nth(2).click();
    const grip = await middleOf(page.getByTestId('face-grip'));
    return median(await framesWhile(page, () => drag(page, grip, 60)));
  };
  const alone = await dragged();
  await key(page, 'Small view of the house').click();
  await page.getByTestId('small-view').locator('canvas').waitFor();
  await page.waitForTimeout(2000);
  const beside = await dragged();
  console.log(`a wall dragged: ${(alone / rest).toFixed(1)} ×, beside the small view ${(beside / rest).toFixed(1)} ×`);
});
