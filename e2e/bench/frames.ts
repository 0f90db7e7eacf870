import type { Page } from '@playwright/test';

/** The times from frame to frame while something is done, ms. */
export async function framesWhile(page: Page, work: () => Promise<unknown>): Promise<number[]> {
  await page.evaluate(() => {
    const drawn: { times: number[]; on: boolean } = { times: [], on: true };
    Object.assign(globalThis, { drawn });
    let last = performance.now();
    const frame = (now: number) => {
      drawn.times.push(now - last);
      last = now;
      if (drawn.on) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  await work();
  return page.evaluate(() => {
    const { drawn } = globalThis as unknown as { drawn: { times: number[]; on: boolean } };
    drawn.on = false;
    return drawn.times;
  });
}
