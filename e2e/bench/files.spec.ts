import { statSync } from 'node:fs';
import { key } from '../pad';
import { expect, test } from '../server';

/** How long files of a sheet take in the browser, and what the screen does meanwhile. */
test('A3 at 300 dots to the inch, and all sheets as PDF', async ({ page }) => {
  await page.goto('/job/ferry-house/sheets');
  await key(page, 'Lay out more').click();
  await key(page, 'Paper A3').click();
  await key(page, /^Builder’s set/).click();
  await key(page, /^Sheet 3, Ground floor/).click();
  await expect(page.getByTestId('frame Ground floor')).toBeVisible();
  await page.evaluate(() => {
    const times: number[] = ((globalThis as { drawn?: number[] }).drawn = []);
    let last = performance.now();
    const frame = (now: number) => {
      times.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  const timed = async (what: string, name: string | RegExp) => {
    await page.evaluate(() => ((globalThis as { drawn?: number[] }).drawn!.length = 0));
    const start = Date.now();
    const [file] = await Promise.all([page.waitForEvent('download'), key(page, name).click()]);
    const took = Date.now() - start;
    const frames = await page.evaluate(() => (globalThis as { drawn?: number[] }).drawn!);
    const slow = frames.filter((each) => each > 50).length;
    const kB = Math.round(statSync(await file.path()).size / 1000);
    console.log(
      `${what}: ${took} ms, ${kB} kB; ${frames.length} frames, ${slow} over 50 ms, longest ${Math.round(Math.max(...frames))} ms`,
    );
  };
  for (let round = 0; round < 2; round += 1) {
    await timed('A3 as PNG, 300 dpi', /^This sheet as PNG/);
    await timed('A3 as PDF', 'This sheet as PDF');
  }
});
