import type { Locator, Page } from '@playwright/test';

type Px = readonly [number, number];

/** A finger on the glass: real touch events, through the browser's own input. */
export class Finger {
  constructor(private readonly page: Page) {}

  async drag(from: Px, to: Px, steps = 10): Promise<void> {
    await this.down([from]);
    for (let i = 1; i <= steps; i += 1) await this.move([between(from, to, i / steps)]);
    await this.rest(to);
    await this.up();
  }

  /**
   * The finger comes to rest before it is lifted. Lifted in full flight it would be a fling, and the browser takes the
   * next tap for stopping that fling: no click comes of it.
   */
  async rest(...at: Px[]): Promise<void> {
    for (let frame = 0; frame < 12; frame += 1) {
      await this.page.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
      await this.move(at);
    }
  }

  /** Two fingers, from one distance apart to another, round a point. */
  async pinch(centre: Px, from: number, to: number, steps = 8): Promise<void> {
    const pair = (spread: number): Px[] => [
      [centre[0] - spread / 2, centre[1]],
      [centre[0] + spread / 2, centre[1]],
    ];
    await this.down(pair(from));
    for (let i = 1; i <= steps; i += 1) await this.move(pair(from + ((to - from) * i) / steps));
    await this.rest(...pair(to));
    await this.up();
  }

  async tap(at: Px): Promise<void> {
    await this.page.touchscreen.tap(at[0], at[1]);
  }

  private session: ReturnType<ReturnType<Page['context']>['newCDPSession']> | null = null;
  private async send(type: 'touchStart' | 'touchMove' | 'touchEnd', points: readonly Px[]): Promise<void> {
    this.session ??= this.page.context().newCDPSession(this.page);
    await (
      await this.session
    ).send('Input.dispatchTouchEvent', { type, touchPoints: points.map(([x, y], id) => ({ x, y, id })) });
  }
  down(points: readonly Px[]): Promise<void> {
    return this.send('touchStart', points);
  }
  move(points: readonly Px[]): Promise<void> {
    return this.send('touchMove', points);
  }
  up(): Promise<void> {
    return this.send('touchEnd', []);
  }
}

const between = (a: Px, b: Px, k: number): Px => [a[0] + (b[0] - a[0]) * k, a[1] + (b[1] - a[1]) * k];

/** Where something on the screen is once it has come to rest: the same in three frames running, px. */
export async function restingBox(locator: Locator): Promise<{ x: number; y: number; width: number; height: number }> {
  let last = '';
  let same = 0;
  for (let tries = 0; tries < 120; tries += 1) {
    const box = await locator.boundingBox();
    const now = JSON.stringify(box);
    same = box && now === last ? same + 1 : 0;
    if (box && same >= 2) return box;
    last = now;
    await locator.page().evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
  }
  throw new Error('It is not on the screen, or does not come to rest.');
}

/** The middle of what is on the screen, px. */
export async function middleOf(locator: Locator): Promise<[number, number]> {
  const box = await restingBox(locator);
  return [box.x + box.width / 2, box.y + box.height / 2];
}
