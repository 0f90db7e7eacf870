import type { Page } from '@playwright/test';
import { expect, test } from '../server';

interface Overlap {
  readonly texts: readonly [string, string];
  /** px² */
  readonly by: number;
}

/** Pairs of texts on the sheet that lie over each other: their boxes in the real font, turned as they stand, a little less high as no letter fills its box. */
const overlaps = (page: Page): Promise<{ count: number; over: Overlap[] }> =>
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
    /** Sutherland and Hodgman: what two convex rings share. */
    const shared = (a: P[], b: P[]): number => {
      const area = (ring: P[]) =>
        ring.reduce((sum, p, i) => {
          const q = ring[(i + 1) % ring.length]!;
          return sum + (p.x * q.y - q.x * p.y) / 2;
        }, 0);
      const way = Math.sign(area(b)) || 1;
      let left = a;
      b.forEach((p, i) => {
        const q = b[(i + 1) % b.length]!;
        const side = (r: P) => way * ((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
        left = left.flatMap((r, k) => {
          const s = left[(k + 1) % left.length]!;
          const [u, v] = [side(r), side(s)];
          const cut = { x: r.x + ((s.x - r.x) * u) / (u - v), y: r.y + ((s.y - r.y) * u) / (u - v) };
          return [...(u >= 0 ? [r] : []), ...(u * v < 0 ? [cut] : [])];
        });
      });
      return Math.abs(area(left));
    };
    const over: { texts: [string, string]; by: number }[] = [];
    boxes.forEach((one, i) =>
      boxes.slice(i + 1).forEach((two) => {
        const by = shared(one.ring, two.ring);
        if (by > 2) over.push({ texts: [one.words, two.words], by: Math.round(by) });
      }),
    );
    return { count: boxes.length, over };
  });

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
