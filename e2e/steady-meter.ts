import type { Page } from '@playwright/test';

/** The laser meter's luck is the same in every run: no slips, no drop-outs, a little noise. The meter takes it along when the page is loaded. */
export async function withSteadyMeter(page: Page): Promise<void> {
  await page.addInitScript(() => {
    let at = 0;
    Math.random = () => 0.5 + 0.02 * (((at += 7) % 13) / 13);
  });
}
