import type { Page } from '@playwright/test';
import { middleOf, restingBox } from '../finger';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

const ledger = (page: Page, name: RegExp) => page.getByLabel('Ledger of rooms').getByRole('button', { name });
const total = (page: Page) => page.getByTestId('job-total');
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

async function newJob(page: Page): Promise<void> {
  await page.goto('/new');
  await page.getByText('Start measuring').click();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
}

async function drag(page: Page, from: readonly [number, number], to: readonly [number, number]): Promise<void> {
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 3 });
  await page.mouse.move(...to, { steps: 3 });
  await page.mouse.up();
}

/** With the box tool in hand: a room of 4.20 × 3 m by its two sizes. */
async function typeStudio(page: Page): Promise<void> {
  await page.keyboard.press('Enter');
  await page.keyboard.type('4.20');
  await page.keyboard.press('Enter');
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await page.getByLabel('Another name').fill('Studio');
  await page.keyboard.press('Enter');
}

test('a plan is drawn without a pointer, corrected with the mouse, and named to whoever listens', async ({ page }) => {
  await newJob(page);
  for (const tool of ['Choose', 'Box', 'Corners', 'Loop', 'Shapes', 'Divide', 'Bump', 'Column', 'Several'])
    await expect(button(page, tool)).toBeVisible();

  // keyboard only: a room by its two sizes
  await page.keyboard.press('b');
  await expect(page.getByTestId('crosshair')).toBeVisible();
  await typeStudio(page);
  await expect(ledger(page, /^Studio, 12\.60 m²/)).toBeVisible();

  // and one by lengths and turns, begun at a corner of it
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await page.keyboard.press('k');
  for (let i = 0; i < 5; i += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  for (const [arrow, length] of [
    ['ArrowRight', '2.5'],
    ['ArrowDown', '2'],
    ['ArrowLeft', '2.5'],
  ] as const) {
    await page.keyboard.press(arrow);
    await page.keyboard.type(length);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Enter');
  await page.getByLabel('Another name').fill('Shed');
  await page.keyboard.press('Enter');
  await expect(ledger(page, /^Shed, 5\.00 m²/)).toBeVisible();
  await page.keyboard.press('f');

  // walls are named in the list; arrows move the chosen one by a centimetre, with Shift by ten
  await ledger(page, /^Studio/).click();
  const walls = page.getByLabel('Walls of the room').getByRole('button');
  await expect(walls).toHaveCount(4);
  await expect(walls.first()).toHaveAccessibleName('Wall 1: 4.20 m, taped');
  await walls.nth(2).click();
  const foot = page.getByTestId('face-grip');
  const before = await middleOf(foot);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('alert')).toContainText('you taped stands in the way');
  await walls.nth(1).click();
  await page.getByText('Loosen').click();
  await walls.nth(2).click();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('button', { name: /^Wall 2: .*3\.10/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => Math.abs((await middleOf(foot))[1] - before[1])).toBeLessThan(0.5);

  // Escape backs out one step at a time
  await page.keyboard.type('4.1');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('typed')).not.toHaveText('4.1');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('tape-strip')).toHaveCount(0);
});

test('walls and corners are dragged, several rooms moved and copied, with guides that say what they caught', async ({
  page,
}) => {
  await newJob(page);
  const sheet = (await page.getByTestId('sheet').boundingBox())!;
  const at = (x: number, y: number) => [sheet.x + x, sheet.y + y] as const;
  await drag(page, at(120, 120), at(300, 260));
  await page.getByText('Later').click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  // the second room is caught by the corner of the first, and says so
  const area = await restingBox(page.getByTestId(/^area/));
  const room = await restingBox(page.getByTestId(/^floor/));
  await page.mouse.move(room.x + room.width + 3, room.y + 2);
  await expect(page.getByTestId('guide-corner')).toHaveCount(1);
  await drag(page, [room.x + room.width + 3, room.y + 2], [room.x + room.width + 90, room.y + room.height - 2]);
  await page.getByText('Later').click();
  await page.keyboard.press('Escape');
  await expect(ledger(page, /^Unnamed room/)).toHaveCount(2);
  expect(area.width).toBeGreaterThan(0);

  // a rectangle with Shift chooses both; they move by key and come back
  const all = await restingBox(page.getByRole('img', { name: 'Plan' }));
  await page.keyboard.down('Shift');
  await drag(page, [all.x + 8, all.y + 8], [all.x + all.width - 8, all.y + all.height - 60]);
  await page.keyboard.up('Shift');
  await expect(button(page, 'Turn a quarter')).toBeVisible();
  const start = await middleOf(page.getByTestId(/^area/).first());
  await page.keyboard.press('Shift+ArrowDown');
  await expect.poll(async () => (await middleOf(page.getByTestId(/^area/).first()))[1]).toBeGreaterThan(start[1]);
  await button(page, 'Copy').click();
  await expect(ledger(page, /^Unnamed room/)).toHaveCount(4);
  await button(page, 'Mirror').click();
  await button(page, 'Turn a quarter').click();
  await expect(ledger(page, /^Unnamed room/)).toHaveCount(4);
  for (const name of ['turn rooms', 'mirror rooms', 'copy rooms', 'move rooms'])
    await page.getByRole('button', { name: `Undo ${name} (Ctrl Z)` }).click();
  await expect(ledger(page, /^Unnamed room/)).toHaveCount(2);

  // a corner of a chosen room is dragged: the area follows, live
  await ledger(page, /^Unnamed room/)
    .last()
    .click();
  const figure = await ledger(page, /^Unnamed room/)
    .last()
    .textContent();
  const corner = await middleOf(page.getByTestId('room-corner').nth(2));
  await page.mouse.move(...corner);
  await page.mouse.down();
  await page.mouse.move(corner[0] + 20, corner[1] + 25, { steps: 4 });
  await expect(ledger(page, /^Unnamed room/).last()).not.toHaveText(figure!);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(ledger(page, /^Unnamed room/).last()).toHaveText(figure!);

  // the wall between the rooms goes: one room, and it says so
  const shared = page.getByLabel('Walls of the room').getByRole('button').last();
  await shared.click();
  await button(page, 'Remove wall').click();
  await expect(total(page)).toHaveText(/^≈/);
  await page.keyboard.press('Control+z');
  await expect(ledger(page, /^Unnamed room/)).toHaveCount(2);
});

test('sizes typed in the middle of a drag hold; a party wall and a flush face are one press away', async ({ page }) => {
  await newJob(page);
  const sheet = (await page.getByTestId('sheet').boundingBox())!;
  const [x, y] = [sheet.x + 150, sheet.y + 150];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 90, y + 60, { steps: 4 });
  await page.keyboard.type('4.50');
  await page.keyboard.press('Enter');
  await page.keyboard.type('3.20');
  await page.keyboard.press('Enter');
  // the mouse goes on, the sizes stay
  await page.mouse.move(x + 160, y + 130, { steps: 4 });
  await page.mouse.up();
  await expect(total(page)).toHaveText('14.40 m²');
  await page.getByText('Later').click();
  await page.keyboard.press('Escape');

  // a second room in line with the first
  await page.keyboard.press('f');
  await page.keyboard.press('b');
  const room = await restingBox(page.getByTestId(/^floor/));
  await drag(page, [room.x + room.width + 3, room.y + 1], [room.x + room.width + 120, room.y + room.height - 1]);
  await page.getByText('Later').click();
  await page.keyboard.press('Escape');
  await ledger(page, /^Unnamed room, 14\.40/).click();
  const walls = page.getByLabel('Walls of the room').getByRole('button');
  await walls.first().click();

  // the party wall takes the usual thickness of its kind; what was taped inside stays
  await button(page, 'Party wall').click();
  await expect(button(page, 'Undo kind of wall (Ctrl Z)')).toBeVisible();
  const thickness = page.getByRole('button', { name: /^Thickness: / });
  await expect(thickness).toContainText('200 mm');
  await expect(walls.first()).toHaveAccessibleName('Wall 1: 4.50 m, taped');

  // twice as thick as the wall it goes on in: the outer faces are brought into line
  await thickness.click();
  await page.keyboard.type('400');
  await page.keyboard.press('Enter');
  const top = () =>
    page
      .locator('[data-testid^="wall "]')
      .evaluateAll((all) => all.map((it) => (it as SVGGraphicsElement).getBBox().y));
  const steps = async () => new Set((await top()).map((at) => Math.round(at / 10))).size;
  const before = await steps();
  await button(page, 'Keep flush outside').click();
  await expect(button(page, 'Undo keep flush (Ctrl Z)')).toBeVisible();
  expect(await steps()).toBeLessThan(before);
});

test('a wall with a taped length resists, in words, and is loosened where it says so', async ({ page }) => {
  await newJob(page);
  await page.keyboard.press('b');
  await typeStudio(page);
  await page.keyboard.press('Escape');
  await page
    .getByLabel('Ledger of rooms')
    .getByRole('button', { name: /^Studio/ })
    .click();
  await page.getByRole('button', { name: /^Wall 2: 3\.00 m, taped/ }).click();
  // the sheet is lower by it, and the plan higher
  await expect(page.getByTestId('tape-strip')).toBeVisible();
  const floor = await restingBox(page.getByTestId(/^floor/));
  const wall = [floor.x + floor.width, floor.y + floor.height / 4] as const;
  await drag(page, wall, [wall[0] + 40, wall[1]]);
  await expect(page.getByRole('alert')).toContainText('The 4.20 m you taped stands in the way.');
  await expect(page.getByTestId(/^length/).getByText('4.20 m')).toHaveCount(1);
  await button(page, 'Loosen it').click();
  await expect(page.getByTestId(/^length/).getByText('4.20 m')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Wall 1: ≈ 4\.[3-9]\d? m, rough/ })).toBeVisible();
  // both come back, one after the other
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId(/^length/).getByText('4.20 m')).toHaveCount(1);
});
