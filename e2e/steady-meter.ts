import type { Page } from '@playwright/test';

/**
 * The laser meter's luck is the same in every run: no slips, no drop-outs, a little noise. The meter takes it along when the page is loaded. Names made of it stay
 * names: what repeats after a few calls is one screen taken for another.
 */
export async function withSteadyMeter(page: Page): Promise<void> {
  await page.addInitScript(() => {
    let at = 7;
    Math.random = () => {
      at = (Math.imul(at, 1_664_525) + 1_013_904_223) >>> 0;
      return 0.5 + 0.02 * (at / 2 ** 32);
    };
  });
}
