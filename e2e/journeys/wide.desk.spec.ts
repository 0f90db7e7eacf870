import { buffer } from 'node:stream/consumers';
import type { Page } from '@playwright/test';
import { restingBox } from '../finger';
import { boatShedSketch } from '../../apps/server/src/demo/boat-shed';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

const total = (page: Page) => page.getByTestId('job-total');
const wall = (page: Page, name: RegExp) => page.getByLabel('Walls of the room').getByRole('button', { name });
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

test('a room, its name, four walls, a door, a window, the ceiling and a file: from the keyboard only', async ({
  page,
}) => {
  await page.goto('/new');
  // nothing is clicked from here on
  await page.getByRole('textbox', { name: 'Name (can wait)' }).focus();
  await page.keyboard.type('Toll house');
  await page.keyboard.press('Enter');
  await button(page, 'Start measuring').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await page.keyboard.press('b');
  await page.keyboard.press('Enter');
  await page.keyboard.type('4.20');
  await page.keyboard.press('Enter');
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Another name')).toBeFocused();
  await page.keyboard.type('Studio');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');

  // the plan in words: few steps from the sheet to a room, from there to its walls
  const outline = page.getByRole('navigation', { name: 'What is on Ground floor' });
  await outline.getByRole('button', { name: /^Studio, .* 4 walls\. Choose$/ }).focus();
  await expect(outline.getByText(/^Studio/)).toBeVisible();
  await page.keyboard.press('Enter');
  await outline.getByRole('button', { name: /^Wall 1 of Studio: / }).focus();
  await page.keyboard.press('Enter');
  for (const [i, length] of ['4.21', '3.02', '4.21', '3.02'].entries()) {
    await wall(page, new RegExp(`^Wall ${i + 1}: `)).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.type(length);
    await page.keyboard.press('Enter');
  }
  await expect(total(page)).toHaveText(/^12\.71 m²$/);
  await wall(page, /^Wall 1: 4\.21 m, taped/).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('d');
  await expect(page.getByTestId('strip-door')).toHaveCount(1);
  await page.keyboard.type('0.4');
  await page.keyboard.press('Enter');
  await wall(page, /^Wall 2: 3\.02 m, taped/).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('w');
  await expect(page.getByTestId('strip-window')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await wall(page, /^Wall 1: 4\.21 m, taped, in it D1$/).focus();
  await page.keyboard.press('Enter');
  await button(page, /^Ceiling: /).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('2.55');
  await page.keyboard.press('Enter');
  await expect(button(page, /^Ceiling: 2\.55 m/)).toBeVisible();
  // the figures of what stands in the wall are in the table too
  await expect(page.getByLabel('Walls of the room').getByText('D1', { exact: true })).toBeVisible();

  // a file leaves by the menu, gone through with the arrows
  await button(page, 'Leave with something').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem').first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  for (let i = 0; i < 5; i += 1) {
    if (await page.getByRole('menuitem', { name: 'Rooms as CSV' }).evaluate((it) => it === document.activeElement))
      break;
    await page.keyboard.press('ArrowDown');
  }
  const download = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const csv = (await buffer(await (await download).createReadStream())).toString();
  expect(csv).toContain('Studio');
});

test('panels are made wider and folded, and remember it; the keys are called by ?; parts have addresses', async ({
  page,
}) => {
  await page.goto('/job/ferry-house');
  const ledger = page.getByRole('complementary', { name: 'Ledger' });
  await expect(ledger).toBeVisible();
  const edge = page.getByRole('separator', { name: 'Edge of the ledger' });
  const before = (await restingBox(ledger)).width;
  const at = await restingBox(edge);
  await page.mouse.move(at.x + 5, at.y + 200);
  await page.mouse.down();
  await page.mouse.move(at.x + 65, at.y + 200, { steps: 3 });
  await page.mouse.up();
  expect((await restingBox(ledger)).width).toBeCloseTo(before + 60, -1);
  await edge.focus();
  await page.keyboard.press('ArrowRight');
  await expect(edge).toHaveAttribute('aria-valuenow', String(before + 80));
  await button(page, 'Fold away the inspector').click();
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toHaveCount(0);
  await page.reload();
  await expect(edge).toHaveAttribute('aria-valuenow', String(before + 80));
  await button(page, 'Unfold the inspector').click();
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toBeVisible();

  await page.keyboard.press('?');
  await expect(page.getByTestId('keys').getByText('zoom, fit')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('keys')).toHaveCount(0);

  await page.getByRole('tab', { name: 'Openings' }).click();
  await expect(page).toHaveURL(/\/job\/ferry-house\/openings$/);
  await page.goBack();
  await expect(page.getByTestId('schedule')).toHaveCount(0);
  await page.goto('/job/ferry-house/history');
  await expect(page.getByTestId('history').getByText('The job was begun')).toBeVisible();
  await button(page, 'Close history').click();
  await expect(page).toHaveURL(/\/job\/ferry-house$/);
  await page.goto('/job/ferry-house/no-such-part');
  await expect(total(page)).toBeVisible();
});

test('the other button of the mouse takes hold of a wall, the wheel pressed moves the sheet; a picture is dropped or pasted; the page prints as the plan', async ({
  page,
}) => {
  await page.goto('/job/quince-cottage');
  await expect(page.getByText('Sewing room').first()).toBeVisible();
  await page.keyboard.press('Escape');
  const floor = await restingBox(page.getByTestId(/^floor/).first());
  const [x, y] = [floor.x + floor.width / 3, floor.y + floor.height + 3];
  const area = await total(page).textContent();
  // the first button would move the sheet
  await page.mouse.move(x, y);
  await page.mouse.down({ button: 'right' });
  await page.mouse.move(x, y + 20, { steps: 3 });
  await page.mouse.move(x, y + 40, { steps: 3 });
  await page.mouse.up({ button: 'right' });
  const said = page.getByRole('alert').or(page.getByRole('button', { name: /^Undo .*wall/ }));
  await expect(said.first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(total(page)).toHaveText(area!);

  const was = await restingBox(page.getByTestId(/^floor/).first());
  await page.mouse.move(x, y - 60);
  await page.mouse.down({ button: 'middle' });
  await page.mouse.move(x + 50, y - 30, { steps: 3 });
  await page.mouse.up({ button: 'middle' });
  const now = await restingBox(page.getByTestId(/^floor/).first());
  expect(Math.round(now.x - was.x)).toBe(50);
  expect(Math.round(now.y - was.y)).toBe(30);

  // a page that is printed
  await page.evaluate(() => globalThis.dispatchEvent(new Event('beforeprint')));
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('#printed-plan svg')).toBeVisible();
  await expect(page.getByTestId('sheet')).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => globalThis.dispatchEvent(new Event('afterprint')));
  await expect(page.locator('#printed-plan')).toHaveCount(0);

  // dropped on the page, then pasted
  const bytes = [...(await boatShedSketch())];
  for (const way of ['drop', 'paste'] as const) {
    await page.evaluate(
      ([way, bytes]) => {
        const data = new DataTransfer();
        data.items.add(new File([new Uint8Array(bytes)], `${way}ped.jpg`, { type: 'image/jpeg' }));
        globalThis.dispatchEvent(
          way === 'drop'
            ? new DragEvent('drop', { dataTransfer: data, cancelable: true })
            : new ClipboardEvent('paste', { clipboardData: data, cancelable: true }),
        );
      },
      [way, bytes] as const,
    );
    await expect(page.getByLabel('Ledger of rooms').getByText(`${way}ped`)).toBeVisible();
  }
});
