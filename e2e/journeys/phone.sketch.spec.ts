import type { Page } from '@playwright/test';
import { Finger, middleOf, restingBox } from '../finger';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

const field = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}: `) });
const total = (page: Page) => page.getByTestId('job-total');
const areas = (page: Page) => page.getByTestId(/^area/);

async function newJob(page: Page): Promise<void> {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
}

/** Leaves the naming, and the room, for later. */
async function later(page: Page): Promise<void> {
  await key(page, 'Later').tap();
  await key(page, 'Done').tap();
}

test('corner by corner with typed lengths: an L is 58 m², and one left open is closed', async ({ page }) => {
  const finger = new Finger(page);
  await newJob(page);
  await press(page, 'Corners');
  await finger.tap([60, 130]);
  // 10 × 7 m less 4 × 3 m (exact): down and right at right angles, lengths typed one after the other
  for (const [way, length] of [
    ['to the right', '10'],
    ['down the sheet', '4'],
    ['to the left', '4'],
    ['down the sheet', '3'],
    ['to the left', '6'],
  ] as const) {
    await key(page, `Next leg ${way}`).tap();
    await expect(page.getByTestId('leg')).toHaveCount(1);
    await type(page, length);
  }
  await expect(field(page, 'Length')).toContainText('6.00 m');
  await key(page, 'Back one corner').tap();
  await key(page, 'Next leg to the left').tap();
  await type(page, '6.00');
  await key(page, 'Close').tap();
  await expect(total(page)).toHaveText('58.00 m²');
  await later(page);

  // an outline left open: its ends are counted, said and closed with one tap
  await key(page, 'Undo draw walls').tap();
  await press(page, 'Corners');
  await finger.tap([100, 200]);
  await finger.tap([240, 204]);
  await finger.tap([243, 330]);
  await key(page, 'Leave open').tap();
  await page.getByRole('button', { name: /^2 open ends/ }).tap();
  await expect(page.getByText(/End 1: a wall ends at nothing/)).toBeVisible();
  await key(page, 'Close it squared').first().tap();
  await expect(areas(page)).toHaveCount(1);
  await expect(page.getByText(/open end/)).toHaveCount(0);
  await key(page, 'Undo close outline').tap();
  await expect(page.getByRole('button', { name: /^2 open ends/ })).toBeVisible();
});

test('a loop is straightened at once; a room inside it is taken off', async ({ page }) => {
  const finger = new Finger(page);
  await newJob(page);
  await press(page, 'Loop');
  const corners = [
    [70, 180],
    [320, 192],
    [316, 470],
    [64, 462],
  ] as const;
  const stroke = async () => {
    await finger.down([[72, 184]]);
    for (let i = 0; i < 4; i += 1) {
      const [a, b] = [corners[i]!, corners[(i + 1) % 4]!];
      for (let k = 0.06; k <= 0.95; k += 0.06) {
        const shake = 3 * Math.sin(40 * k + i);
        await finger.move([[a[0] + (b[0] - a[0]) * k + shake, a[1] + (b[1] - a[1]) * k + shake]]);
      }
    }
    await expect(page.getByTestId('magnifier')).toBeVisible();
    await finger.rest([70, 198]);
    await finger.up();
  };
  await stroke();
  await expect(page.getByText(/^≈ .* m$/)).toHaveCount(4);
  await key(page, 'Again').tap();
  await expect(areas(page)).toHaveCount(0);
  await stroke();
  await key(page, 'Less straight').tap();
  await key(page, 'Straighter').tap();
  await key(page, 'Keep').tap();
  await key(page, 'Living room').tap();
  await key(page, 'Done').tap();
  const before = Number((await total(page).textContent())!.replace(/[^\d.]/g, ''));

  await press(page, 'Box');
  const label = await middleOf(page.getByTestId(/^name/));
  await finger.drag([label[0] - 70, label[1] + 40], [label[0] - 10, label[1] + 100]);
  await page.getByRole('button', { name: 'Bathroom', exact: true }).tap();
  await expect(areas(page)).toHaveCount(2);
  const after = (await areas(page).allTextContents()).map((text) => Number(text.replace(/[^\d.]/g, '')));
  // the outer room lost the inner one and its walls
  expect(Math.max(...after) + Math.min(...after)).toBeLessThan(before - 0.3);
});

test('a wall is pushed, bent and divided, and everything is undone by name', async ({ page }) => {
  const finger = new Finger(page);
  await newJob(page);
  // a box with both sizes typed: 5 × 4 m
  await finger.tap([90, 200]);
  await type(page, '5');
  await type(page, '4');
  await expect(total(page)).toHaveText('20.00 m²');
  await later(page);

  // a bay, pushed out with the finger, its sizes typed: a trapezium of 2.00 and 1.20 by 0.60
  await press(page, 'Bump');
  await press(page, 'Slanted');
  const top = async () => {
    const length = await restingBox(
      page
        .getByTestId(/^length/)
        .getByText('5.00 m')
        .first(),
    );
    return [length.x + length.width / 2, length.y - 3] as const;
  };
  const pressed = await top();
  await finger.down([pressed]);
  for (let i = 1; i <= 6; i += 1) await finger.move([[pressed[0], pressed[1] - 5 * i]]);
  await finger.rest([pressed[0], pressed[1] - 30]);
  await expect(page.getByTestId('magnifier')).toBeVisible();
  await finger.up();
  await type(page, '2');
  await type(page, '0.60');
  await type(page, '1.50');
  await type(page, '0.40');
  await key(page, 'Keep').tap();
  await expect(total(page)).toHaveText(/20\.96 m²/);
  await key(page, 'Undo bump').tap();
  await expect(total(page)).toHaveText('20.00 m²');

  // a curved wall, by its handle and then by a typed bow; the arc over 4.00 with 1.00: segment 2.796 m² (exact)
  const side = page
    .getByTestId(/^length/)
    .getByText('4.00 m')
    .first();
  await finger.tap(await middleOf(side));
  const grip = await middleOf(page.getByTestId('bend-grip'));
  await finger.drag(grip, [grip[0] + 25, grip[1]]);
  await expect(field(page, 'Radius')).toBeVisible();
  await field(page, 'Bow').tap();
  await type(page, '1.00');
  await expect(field(page, 'Radius')).toContainText('2.50 m');
  await expect(total(page)).toHaveText(/22\.80 m²/);
  await field(page, 'Along arc').scrollIntoViewIfNeeded();
  await expect(field(page, 'Along arc')).toContainText('4.636 m');
  await key(page, 'Done').tap();
  await key(page, 'Undo bend wall').tap();
  await key(page, 'Undo bend wall').tap();

  // a chalk line from edge to edge: two rooms, no wall, no floor lost
  await press(page, 'Divide');
  await key(page, 'Chalk line').tap();
  const [x, y] = await top();
  const inside = await restingBox(page.getByTestId(/^floor/));
  const foot = inside.y + inside.height;
  await finger.down([[x + 30, y]]);
  for (let i = 1; i <= 10; i += 1) await finger.move([[x + 31, y + ((foot - y) * i) / 10]]);
  await finger.rest([x + 31, foot + 3]);
  await finger.up();
  await later(page);
  await expect(areas(page)).toHaveCount(2);
  const parts = (await areas(page).allTextContents()).map((text) => Number(text.replace(/[^\d.]/g, '')));
  expect(parts[0]! + parts[1]!).toBeCloseTo(20, 1);
  await key(page, 'Undo chalk line').tap();
  await expect(total(page)).toHaveText('20.00 m²');
});
