import type { Page } from '@playwright/test';
import { millHouse } from '../mill-house';
import { WIDE } from '../browser';
import { expect, test } from '../server';

// what comes over the wire to a browser that has nothing of it yet
test.use({ ...WIDE, fresh: true });

/** Nothing on the wire for so long, ms: all has come. */
const QUIET = 1500;

/** Bytes that came over the wire while something was done, as the browser counts them; what is asked again and again counts once. */
async function overTheWire(page: Page, work: () => Promise<void>): Promise<number> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  const addresses = new Map<string, string>();
  const bytes = new Map<string, number>();
  let last = Date.now();
  session.on('Network.requestWillBeSent', ({ requestId, request }) => {
    addresses.set(requestId, `${request.method} ${request.url}`);
    last = Date.now();
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const address = addresses.get(requestId) ?? requestId;
    bytes.set(address, Math.max(encodedDataLength, bytes.get(address) ?? 0));
    last = Date.now();
  });
  await work();
  // what is fetched when the page is there already has no load state of its own
  await expect.poll(() => Date.now() - last, { intervals: [200] }).toBeGreaterThan(QUIET);
  await session.detach();
  return [...bytes.values()].reduce((sum, each) => sum + each, 0);
}

test('what comes over the wire for the list of jobs and for a plan keeps its limits', async ({ page, server }) => {
  await page.request.put(`${server.url}/api/jobs/mill-house/plan`, { data: { version: 0, plan: millHouse() } });
  const list = await overTheWire(page, async () => {
    await page.goto('/');
    await expect(page.getByRole('link', { name: /^Quince Cottage/ })).toBeVisible();
  });
  const opened = (job: RegExp) =>
    overTheWire(page, async () => {
      await page.getByRole('link', { name: job }).click();
      await expect(page.getByTestId('job-total')).toBeVisible();
    });
  const plan = await opened(/^Mill house/);
  await page.goBack();
  // what stands in rooms comes after the plan is there, where there is some
  const pieces = await opened(/^Quince Cottage/);
  const kB = (bytes: number) => Math.round(bytes / 1000);
  console.log(`Over the wire: list of jobs ${kB(list)} kB, a plan ${kB(plan)} kB more, with pieces ${kB(pieces)} kB`);
  expect(list).toBeLessThan(450_000);
  expect(plan).toBeLessThan(256_000);
  expect(pieces).toBeLessThan(120_000);
});
