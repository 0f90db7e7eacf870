import { intersection, ringsArea } from '@velvet-tape/core';
import type { Page } from '@playwright/test';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

interface Overlap {
  readonly texts: readonly [string, string];
  /** px² */
  readonly by: number;
}

/** The texts on the sheet: their boxes in the real font, px, turned as they stand, a little less high as no letter fills its box. */
const boxesOf = (page: Page) =>
  page.evaluate(() => {
    type P = { x: number; y: number };
    const svg = document.querySelector<SVGSVGElement>('[data-testid=sheet] svg')!;
    const shown = svg.getBoundingClientRect();
    const boxes = [...svg.querySelectorAll<SVGTextElement>('text')].flatMap((text) => {
      const { x, y, width, height } = text.getBBox();
      const m = text.getScreenCTM()!;
      const [top, foot] = [y + 0.2 * height, y + 0.8 * height];
      const at = (px: number, py: number): P => ({ x: m.a * px + m.c * py + m.e, y: m.b * px + m.d * py + m.f });
      const ring = [at(x, top), at(x + width, top), at(x + width, foot), at(x, foot)];
      const inside = ring.some((p) => p.x > shown.left && p.x < shown.right && p.y > shown.top && p.y < shown.bottom);
      return inside && text.textContent ? [{ words: text.textContent, ring }] : [];
    });
    return boxes;
  });

/** Pairs of texts that lie over each other. */
async function overlaps(page: Page): Promise<{ count: number; over: Overlap[] }> {
  const texts = await boxesOf(page);
  const over = texts.flatMap((one, i) =>
    texts.slice(i + 1).flatMap((two) => {
      const by = Math.abs(ringsArea(intersection([one.ring], [two.ring])));
      return by > 2 ? [{ texts: [one.words, two.words] as const, by: Math.round(by) }] : [];
    }),
  );
  return { count: texts.length, over };
}

for (const [width, height] of [
  [390, 844],
  [844, 390],
  [1280, 800],
] as const)
  test(`at ${width} × ${height} no two texts of the demo lie over each other, from the whole floor to one room`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await page.goto('/job/ferry-house');
    await expect(page.getByTestId('job-total')).toBeVisible();
    let most = 0;
    for (let step = 0; step < 9; step += 1) {
      await page.waitForTimeout(150);
      const { count, over } = await overlaps(page);
      most = Math.max(most, count);
      expect.soft(over, `zoom step ${step}`).toEqual([]);
      await page.keyboard.press('+');
    }
    expect(most).toBeGreaterThan(8);
  });
