import { buffer } from 'node:stream/consumers';
import type { Page } from '@playwright/test';
import ExcelJS from 'exceljs';
import { Finger, middleOf, restingBox } from '../finger';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

/** A room dragged out, and its first wall, which is 4.20 m long, chosen. */
async function kitchen(page: Page, finger: Finger): Promise<void> {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await finger.drag([70, 170], [310, 360]);
  await key(page, 'Kitchen').tap();
  await page.getByText('Tape the walls (4 still rough)').tap();
  await type(page, '4.20');
  await press(page, 'Wall before');
  await expect(page.getByTestId('strip-length')).toHaveText('4.20 m · taped');
}

/** The gaps and widths along the wall, from left to right. */
const along = (page: Page) => page.getByTestId(/^strip-(gap|width)-/).allTextContents();
const marks = (page: Page) => page.getByTestId('check-mark');

/** The wall itself instead of what stands in it: the bare end of the tape. */
async function chooseWall(page: Page): Promise<void> {
  const box = await restingBox(page.getByTestId('tape-strip'));
  await page.touchscreen.tap(box.x + box.width - 22, box.y + box.height - 28);
  await expect(page.getByRole('tab', { name: 'Stands in it' })).toHaveCount(1);
}

test('a door is placed by running readings, its slip found; it is flipped, and changed for all of its type', async ({
  page,
}) => {
  const finger = new Finger(page);
  await kitchen(page, finger);
  await press(page, 'Add door');
  await key(page, /^From left: /).tap();
  await type(page, '0.50');
  await press(page, 'Copy beside');
  await expect(page.getByText('0.60 m between them, 1.44 m left on the right.')).toBeVisible();

  // jamb, jamb, jamb, jamb, end: the tape hooked on the left corner; at the third the digits are swapped
  await press(page, 'Read along this wall');
  await page.getByRole('menuitem', { name: 'Running from the left' }).tap();
  await expect(key(page, /^Left corner to left jamb of D1: /)).toBeVisible();
  await type(page, '0.45');
  await type(page, '1.28');
  await type(page, '2.09'); // it was 2.90
  await type(page, '3.73');
  await press(page, 'Leave this one out');
  const slip = page
    .getByTestId('opening-words')
    .getByText(/2\.09 m to the left jamb of D2: digits swapped\? 2\.90 m would fit/);
  await expect(slip).toBeVisible();
  await press(page, 'Read again');
  await type(page, '2.90');
  await expect(slip).toHaveCount(0);
  await press(page, 'Stop reading along');
  await expect.poll(() => along(page)).toEqual(['0.45 m', '0.83 m', '1.62 m', '0.83 m', '0.47 m']);

  // what was read to resists being put elsewhere
  await finger.tap(await middleOf(page.getByTestId('strip-door').first()));
  await key(page, /^From left: /).tap();
  await type(page, '0.90');
  const refused = page.getByRole('alert').getByText(/The 0\.45 you read to its jamb stands in the way/);
  await expect(refused).toBeVisible();
  await expect(key(page, 'Loosen it')).toBeVisible();
  await page.getByRole('button', { name: 'Dismiss' }).tap();

  // four ways to open, as small plans
  await press(page, 'Swing');
  await expect(page.getByTestId('swing-control').getByRole('button')).toHaveCount(4);
  await key(page, 'Hinges right, opens out of the room').tap();
  await expect(key(page, 'Undo swing')).toBeVisible();
  await expect(key(page, 'Hinges right, opens out of the room')).toHaveAttribute('aria-pressed', 'true');

  // narrower, both of them: that is not what was read between the jambs, which is said
  await press(page, /^Width: /);
  await key(page, 'All 2').tap();
  await type(page, '0.73');
  await expect.poll(async () => (await along(page)).filter((_, i) => i % 2 === 1)).toEqual(['0.73 m', '0.73 m']);
  await expect(page.getByTestId('opening-words').getByText(/Does not add up along this wall/)).toBeVisible();
});

test('doors that hit each other are marked, said and mended; openings come out of the tray onto the strip and the plan; heights are typed in the elevation', async ({
  page,
}) => {
  const finger = new Finger(page);
  await kitchen(page, finger);
  await press(page, 'Add door');
  await key(page, /^From left: /).tap();
  await type(page, '0.10');
  await chooseWall(page);
  await press(page, 'Wall before');
  await press(page, 'Add door');
  await press(page, /^From right: /);
  await type(page, '0.10');
  // both swing over the same corner
  await expect(
    page.getByTestId('opening-words').getByText('D1 and D2 hit each other when both are opened.'),
  ).toBeVisible();
  await expect(marks(page)).toHaveCount(2);
  await press(page, 'Flip swing');
  await expect(marks(page)).toHaveCount(0);

  // a window out of the tray onto the strip: it comes under the finger
  await page.getByRole('button', { name: 'Done' }).tap();
  const floor = await restingBox(page.getByTestId(/^floor/));
  await page.touchscreen.tap(floor.x + floor.width / 2, floor.y + floor.height * 0.7);
  await page.getByText(/^Tape the walls|^Go round/).tap();
  await press(page, 'More doors and windows');
  await key(page, 'Windows').tap();
  const tile = key(page, 'Add sash window');
  const strip = await restingBox(page.getByTestId('tape-strip'));
  await finger.drag(await middleOf(tile), [strip.x + strip.width / 2, strip.y + 60]);
  await expect(page.getByTestId('strip-window')).toHaveCount(1);
  await expect(key(page, /^Sill: 0\.60 m$/)).toBeVisible();

  // its sill, where it is seen
  await press(page, 'Show the elevation');
  await key(page, 'Sill of the wall: 0.60 m').tap();
  await type(page, '0.75');
  await expect(key(page, 'Sill of the wall: 0.75 m')).toBeVisible();
  await expect(key(page, 'Head of the wall: 2.19 m')).toBeVisible();
  await key(page, 'Head of the wall: 2.19 m').tap();
  await type(page, '2.10');
  await expect(key(page, 'Head of the wall: 2.10 m')).toBeVisible();
  await press(page, 'Hide the elevation');

  // its type is kept for the next job, and another comes out of the tray onto the plan
  await press(page, 'Type');
  await expect(page.getByTestId('type-panel').getByText('Sash window 1.05 m × 1.35 m')).toHaveCount(0);
  await press(page, 'Keep for later jobs');
  await chooseWall(page);
  await press(page, 'More doors and windows');
  await key(page, 'Kept').tap();
  await expect(key(page, /^Add Sash window .*, kept$/)).toBeVisible();
  await key(page, 'Doors').tap();
  const glazed = key(page, 'Add bi-fold door');
  const room = await restingBox(page.getByTestId(/^floor/));
  await finger.drag(await middleOf(glazed), [room.x + room.width / 2, room.y + room.height + 3]);
  await expect(page.getByTestId('chosen-opening')).toHaveCount(1);
  await expect(page.getByTestId('strip-door')).toHaveCount(1);

  // the schedule as a workbook, read back
  await key(page, 'Done').tap();
  await page.getByRole('tab', { name: 'Openings' }).tap();
  await expect(page.getByTestId('schedule').getByRole('button', { name: /^[DW]\d, / })).toHaveCount(4);
  const download = page.waitForEvent('download');
  await key(page, 'Doors and windows as a workbook (XLSX)').tap();
  const book = new ExcelJS.Workbook();
  await book.xlsx.load((await buffer(await (await download).createReadStream())).buffer as ArrayBuffer);
  const sheet = book.getWorksheet('Doors and windows')!;
  const column = (n: number) => [2, 3, 4, 5].map((row) => sheet.getRow(row).getCell(n).value);
  expect(column(1)).toEqual(Array(4).fill('Ground floor'));
  expect(column(2)).toEqual(['D1', 'D2', 'D3', 'W1']);
  expect(column(5)).toEqual([0.83, 0.83, 2.4, 0.9]);
  expect(sheet.getRow(5).getCell(7).value).toBe(0.75);
});
