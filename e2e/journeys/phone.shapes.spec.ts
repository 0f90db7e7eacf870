import type { Page } from '@playwright/test';
import { Finger, middleOf, restingBox } from '../finger';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

const total = (page: Page) => page.getByTestId('job-total');
const areas = (page: Page) => page.getByTestId(/^area/);
const square = (text: string | null) => Number((text ?? '').replace(/[^\d.]/g, ''));

test('a shape is turned, mirrored, sized and dropped; a column and a chimney breast are taken off its floor', async ({
  page,
}) => {
  const finger = new Finger(page);
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await press(page, 'Shapes');
  await key(page, 'L').tap();
  await finger.tap([190, 300]);
  await type(page, '6');
  await type(page, '4');
  // an L is three quarters of the box round it, however it is turned and mirrored: 18 m² (exact)
  await key(page, 'Turn').tap();
  await press(page, 'Mirror');
  await expect(total(page)).toHaveText('0.00 m²');
  await key(page, 'Keep').tap();
  await expect(total(page)).toHaveText('≈ 18.00 m²');
  await key(page, 'Later').tap();
  await key(page, 'Done').tap();

  // a round column of 0.50 m: π · 0.25² = 0.196 m² less (exact)
  await press(page, 'Column');
  await key(page, 'Round column').tap();
  const label = await middleOf(areas(page));
  await finger.tap([label[0], label[1] + 22]);
  await type(page, '0.50');
  await expect(total(page)).toHaveText('≈ 17.80 m²');
  await key(page, 'Done').tap();
  await key(page, 'Undo change column').tap();
  await key(page, 'Undo add column').tap();
  await expect(total(page)).toHaveText('≈ 18.00 m²');

  // a chimney breast, pushed into the room from its longest wall: 1.40 × 0.40 (exact)
  await press(page, 'Bump');
  await key(page, 'Chimney breast').tap();
  const floor = await restingBox(page.getByTestId(/^floor/));
  // turned by a quarter, the box is 4 wide and 6 deep: one long side is whole
  const sides = [floor.x - 3, floor.x + floor.width + 3];
  for (const x of sides) {
    const y = floor.y + floor.height * 0.5;
    const into = x < floor.x ? 1 : -1;
    await finger.down([[x, y]]);
    for (let i = 1; i <= 5; i += 1) await finger.move([[x + into * 4 * i, y]]);
    await finger.rest([x + into * 20, y]);
    await finger.up();
    if (await key(page, 'Keep').isVisible()) break;
  }
  await type(page, '1.40');
  await type(page, '0.40');
  await key(page, 'Keep').tap();
  await expect(total(page)).toHaveText('≈ 17.44 m²');
});

test('rooms are chosen with a loop of the finger and moved together', async ({ page }) => {
  const finger = new Finger(page);
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await finger.drag([60, 150], [170, 260]);
  await key(page, 'Later').tap();
  await key(page, 'Done').tap();
  await press(page, 'Box');
  const first = await restingBox(page.getByTestId(/^floor/));
  await finger.drag([first.x + first.width + 5, first.y + 1], [first.x + first.width + 60, first.y + first.height - 1]);
  await key(page, 'Later').tap();
  await key(page, 'Done').tap();
  await expect(areas(page)).toHaveCount(2);

  await press(page, 'Several');
  const sheet = await restingBox(page.getByTestId('sheet'));
  const ring = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((i): [number, number] => [
    sheet.x + sheet.width / 2 + (sheet.width / 2 - 12) * Math.cos(i / 1.7),
    sheet.y + sheet.height / 2 + (sheet.height / 2 - 12) * Math.sin(i / 1.7),
  ]);
  await finger.down([ring[0]!]);
  for (const at of ring.slice(1)) await finger.move([at]);
  await finger.rest(ring.at(-1)!);
  await finger.up();
  await expect(key(page, 'Copy')).toBeVisible();
  const sizes = (await areas(page).allTextContents()).map(square);
  await press(page, 'Turn a quarter');
  await expect(key(page, 'Undo turn rooms')).toBeVisible();
  const floors = page.getByTestId(/^floor/);
  const boxes = [await restingBox(floors.nth(0)), await restingBox(floors.nth(1))];
  // side by side before, one above the other now, and as large as they were
  expect(Math.abs(boxes[0]!.y - boxes[1]!.y)).toBeGreaterThan(Math.abs(boxes[0]!.x - boxes[1]!.x));
  expect((await areas(page).allTextContents()).map(square)).toEqual(sizes);

  // a tap takes one off the choice; the other is moved by itself
  const apart = async () => (await middleOf(areas(page).nth(1)))[0] - (await middleOf(areas(page).nth(0)))[0];
  await finger.tap(await middleOf(areas(page).nth(0)));
  const before = await apart();
  const [x, y] = await middleOf(areas(page).nth(1));
  await finger.drag([x, y], [x + 40, y]);
  await expect(key(page, 'Undo move rooms')).toBeVisible();
  expect((await apart()) - before).toBeGreaterThan(25);
});
