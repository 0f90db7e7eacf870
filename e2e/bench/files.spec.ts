import { statSync } from 'node:fs';
import { key } from '../pad';
import { expect, test } from '../server';
import { framesWhile } from './frames';

/** How long files of a sheet take in the browser, and what the screen does meanwhile. */
test('A3 at 300 dots to the inch, and all sheets as PDF', async ({ page }) => {
  await page.goto('/job/ferry-house/sheets');
  await key(page, 'Lay out more').click();
  await key(page, 'Paper A3').click();
  await key(page, /^Builder’s set/).click();
  await key(page, /^Sheet 3, Ground floor/).click();
  await expect(page.getByTestId('frame Ground floor')).toBeVisible();
  const timed = async (what: string, name: string | RegExp) => {
    const start = Date.now();
    let [path, took] = ['', 0];
    const frames = await framesWhile(page, async () => {
      const [file] = await Promise.all([page.waitForEvent('download'), key(page, name).click()]);
      took = Date.now() - start;
      path = await file.path();
    });
    const slow = frames.filter((each) => each > 50).length;
    const kB = Math.round(statSync(path).size / 1000);
    console.log(
      `${what}: ${took} ms, ${kB} kB; ${frames.length} frames, ${slow} over 50 ms, longest ${Math.round(Math.max(...frames))} ms`,
    );
  };
  for (let round = 0; round < 2; round += 1) {
    await timed('A3 as PNG, 300 dpi', /^This sheet as PNG/);
    await timed('A3 as PDF', 'This sheet as PDF');
  }
});
