import type { Page } from '@playwright/test';
import { Finger, middleOf, restingBox } from '../finger';
import { expect, test } from '../server';

/** Taps on site, counted: what is tapped must be in view. */
class Thumb {
  taps = 0;
  private readonly finger: Finger;
  constructor(private readonly page: Page) {
    this.finger = new Finger(page);
  }

  async drag(from: readonly [number, number], to: readonly [number, number]): Promise<void> {
    this.taps += 1;
    await this.finger.drag(from, to);
  }

  async at(at: readonly [number, number]): Promise<void> {
    this.taps += 1;
    await this.finger.tap(at);
  }

  async on(role: 'button' | 'tab', ...names: (string | RegExp)[]): Promise<void> {
    for (const name of names) {
      this.taps += 1;
      const key = this.page.getByRole(role, { name, exact: true });
      await expect(key).toBeInViewport({ ratio: 1 });
      await key.tap();
      await this.nothingHidesSideways();
    }
  }

  /** Nowhere is there a row of which a part has to be pushed into view. */
  async nothingHidesSideways(): Promise<void> {
    const hidden = await this.page.evaluate(() =>
      [...document.querySelectorAll('body *')]
        .filter((it) => /auto|scroll/.test(getComputedStyle(it).overflowX) && it.scrollWidth > it.clientWidth + 1)
        .map((it) => `${it.textContent?.slice(0, 60)}`),
    );
    expect(hidden).toEqual([]);
  }
}

for (const [width, height] of [
  [390, 844],
  [360, 640],
] as const)
  test(`at ${width} × ${height}: box, name, four walls, door, window and ceiling in 32 taps, nothing pushed sideways`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    // reads in centimetres, as was said for an earlier job
    await page.addInitScript(() => localStorage.setItem('entry.last', 'cm'));
    await page.goto('/new');
    await page.getByText('Start measuring').tap();
    await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
    const thumb = new Thumb(page);
    await thumb.drag([70, 180], [260, 330]);
    await thumb.on('button', 'Kitchen');
    await thumb.on('button', 'Tape the walls (4 still rough)');
    for (const figures of ['420', '310', '420', '310']) await thumb.on('button', ...figures, 'Enter');
    await expect(page.getByTestId('job-total')).toHaveText('13.02 m²');

    // the room is chosen; the ceiling is one of its figures
    await thumb.on('button', /^Ceiling: /);
    await thumb.on('button', ...'245', 'Enter');
    await expect(page.getByRole('button', { name: 'Ceiling: 2.45 m' })).toBeVisible();

    // a door in one wall, a window in another: the finger goes to the wall itself
    const floor = page.locator('[data-testid^="floor "]').first();
    const { x, y, width: wide } = await restingBox(floor);
    await thumb.at([x + wide / 2, y - 2]);
    await thumb.on('tab', 'Stands in it');
    await thumb.on('button', 'Add door');
    await expect(page.getByTestId('strip-door')).toBeVisible();
    const box = await restingBox(floor);
    await thumb.at([box.x + 1, box.y + box.height / 2]);
    await thumb.on('tab', 'Stands in it');
    await thumb.on('button', 'Add window');
    await expect(page.getByTestId('strip-window')).toBeVisible();
    expect(await middleOf(page.getByTestId('strip-window'))).toBeTruthy();
    console.log(`Stopwatch at ${width} × ${height}: ${thumb.taps} taps`);
    expect(thumb.taps).toBeLessThanOrEqual(32);
  });
