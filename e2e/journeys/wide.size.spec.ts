import type { Page } from '@playwright/test';
import { expect, test } from '../server';

/** Bytes that came over the wire while something was done, as the browser counts them. */
async function overTheWire(page: Page, work: () => Promise<void>): Promise<number> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  let bytes = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  await work();
  await page.waitForLoadState('networkidle');
  await session.detach();
  return bytes;
}

test('what comes over the wire for the list of jobs and for a plan keeps its limits', async ({ page }) => {
  const list = await overTheWire(page, async () => {
    await page.goto('/');
    await expect(page.getByRole('link', { name: /^Quince Cottage/ })).toBeVisible();
  });
  const plan = await overTheWire(page, async () => {
    await page.getByRole('link', { name: /^Quince Cottage/ }).click();
    await expect(page.getByTestId('job-total')).toBeVisible();
  });
  console.log(`Over the wire: list of jobs ${Math.round(list / 1000)} kB, a plan ${Math.round(plan / 1000)} kB more`);
  expect(list).toBeLessThan(450_000);
  expect(plan).toBeLessThan(250_000);
});
