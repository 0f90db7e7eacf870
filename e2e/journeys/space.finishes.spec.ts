import { type Intent, applyEdit } from '@velvet-tape/core';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { attic, openPlan } from '../attics';
import { key } from '../pad';
import { expect, test } from '../server';

const look = (page: Page, name: string) =>
  process.env['LOOK']
    ? page.waitForTimeout(2500).then(() => page.screenshot({ path: `/tmp/look/${name}.png` }))
    : Promise.resolve();

const menu = async (page: Page, opens: string | RegExp, title: string | RegExp) => {
  await page.getByRole('button', { name: opens }).tap();
  await page.getByRole('menuitem', { name: title, exact: typeof title === 'string' }).tap();
};
const byName = (page: Page, title: string) => menu(page, 'Choose what is finished by name', title);

test('a room is dressed: its floor tapped and laid with boards, walls painted, a skirting and a cornice put up, and a look that is there is picked', async ({
  page,
}) => {
  await page.goto('/job/ferry-house/views');
  await key(page, 'Step inside').tap();
  await key(page, 'Stand in Ticket hall').tap();
  await key(page, 'With what stands loose in the rooms').tap();
  await key(page, 'Finish: paint, floors, trims').tap();
  const subject = page.getByTestId('finish-subject');
  const now = page.getByTestId('finish-now');
  await expect(subject).toHaveText('Tap what is to be finished');
  const glass = (await page.locator('canvas').boundingBox())!;
  await page.touchscreen.tap(glass.x + glass.width / 2, glass.y + glass.height - 12);
  await expect(subject).toHaveText('Floor, Ticket hall');
  await expect(now).toHaveText('Harbour slate');
  await menu(page, 'What it is finished with. Change.', 'Boards');
  await look(page, 'f1-boards-stock');
  await key(page, 'Smoked boards').tap();
  await expect(now).toHaveText('Smoked boards');
  await look(page, 'f2-boards');
  await key(page, 'Sizes, joints and how it is laid').tap();
  await page.getByLabel('Width').fill('30 cm');
  await page.getByLabel('Width').press('Enter');
  await expect(page.getByLabel('Width')).toHaveValue('0.30 m');
  await look(page, 'f3-sizes');
  await page.getByLabel('Width').fill('0');
  await page.getByLabel('Width').press('Enter');
  await expect(page.getByText('A length must be more than 0.')).toBeVisible();

  await byName(page, 'Walls of the room');
  await expect(subject).toHaveText('Walls, Ticket hall');
  await menu(page, 'What it is finished with. Change.', 'Paint');
  await key(page, /^Moss Step, reflects 2\d of 100/).tap();
  await expect(now).toHaveText(/^Moss Step, LRV 2\d$/);
  await byName(page, 'Skirting');
  await menu(page, 'Profile. Change.', 'Ogee');
  await page.getByLabel('High').fill('14 cm');
  await page.getByLabel('High').press('Enter');
  await expect(page.getByLabel('High')).toHaveValue('0.14 m');
  await byName(page, 'Cornice');
  await menu(page, 'Profile. Change.', 'Cove');
  await look(page, 'f4-trims');

  // the ceiling as the wall that is tapped
  await byName(page, 'Ceiling');
  await expect(now).toHaveText(/^Slack Water/);
  await key(page, 'Pick a look that is in the house already').tap();
  const wall = (await page.locator('canvas').boundingBox())!;
  await page.touchscreen.tap(wall.x + 70, wall.y + 0.4 * wall.height);
  await expect(now).toHaveText(/^Moss Step/);
  await page.keyboard.press('Control+z');
  await expect(now).toHaveText(/^Slack Water/);
  await key(page, 'Close the finishes').tap();
  await look(page, 'f5-dressed');
});

test('a picture of one’s own is laid by its true width, tiles are kept for later jobs, and in one option a room is painted otherwise', async ({
  page,
  server,
}) => {
  const named = (name: string): Intent => ({ kind: 'addOption', like: null, name }) as Intent;
  const plan = [named('Plain'), named('Bold')].reduce((before, intent, i) => {
    const result = applyEdit(before, intent, `o${i}`);
    if (!result.ok) throw new Error(result.reason);
    return result.plan;
  }, attic());
  await openPlan(page, server, 'own-finish', plan);
  const inside = async () => {
    await page.getByRole('tab', { name: 'Views' }).tap();
    await key(page, 'Step inside').tap();
    await key(page, 'Finish: paint, floors, trims').tap();
  };
  await inside();
  const now = page.getByTestId('finish-now');
  await byName(page, 'Floor');
  // what is laid belongs to the option that is shown, till one says otherwise
  await key(page, 'It is laid only in Plain. Change.').tap();
  await expect(key(page, 'It is laid in all options. Change.')).toBeVisible();
  const chooser = page.waitForEvent('filechooser');
  await menu(page, 'What it is finished with. Change.', 'A picture of my own');
  const rug = await sharp({ create: { width: 300, height: 150, channels: 3, background: '#884455' } })
    .png()
    .toBuffer();
  await (await chooser).setFiles({ name: 'old rug.png', mimeType: 'image/png', buffer: rug });
  await expect(now).toHaveText('old rug');
  // on the plan it is the colour it is on the whole
  await expect(page.getByLabel('Colour', { exact: true })).toHaveValue('#884455');
  await expect(page.getByLabel('True width')).toHaveValue('1.00 m');
  await expect(page.getByLabel('True height')).toHaveValue('0.50 m');
  await page.getByLabel('True width').fill('2.4');
  await page.getByLabel('True width').press('Enter');
  await expect(page.getByLabel('True width')).toHaveValue('2.40 m');
  // as high as it is wide in the picture
  await expect(page.getByLabel('True height')).toHaveValue('1.20 m');
  await look(page, 'g1-own');

  await byName(page, 'Walls of the room');
  await menu(page, 'What it is finished with. Change.', 'Tiles');
  await page.getByTestId('stock').getByRole('button').first().tap();
  const tile = await now.innerText();
  await key(page, 'Sizes, joints and how it is laid').tap();
  await page.getByLabel('Joint', { exact: true }).fill('7 mm');
  await page.getByLabel('Joint', { exact: true }).press('Enter');
  await menu(page, 'More of this finish', 'Keep for later jobs');
  await expect(page.getByText('Kept for later jobs. It is first among the finishes.')).toBeVisible();
  await look(page, 'g2-kept');

  // in one option otherwise
  const workOn = async (option: string, nth: number) => {
    await page.goto('/job/own-finish/options');
    await key(page, nth === 1 ? 'The option before' : 'The next option').tap();
    await key(page, `Work on ${option}`).tap();
    await inside();
  };
  await workOn('Bold', 2);
  await byName(page, 'Walls of the room');
  await expect(now).toHaveText(tile);
  await menu(page, 'What it is finished with. Change.', 'Paint');
  await key(page, /^Moss Step, reflects 2\d of 100/).tap();
  await expect(now).toHaveText(/^Moss Step/);
  // what is laid in all of them meanwhile lies under it, which is said
  await key(page, 'It is laid only in Bold. Change.').tap();
  await page.getByTestId('stock').getByRole('button').nth(3).tap();
  await expect(
    page.getByText('Laid in all options. Here Bold has a look of its own, and keeps it.').first(),
  ).toBeVisible();
  await page.keyboard.press('Control+z');
  await menu(page, 'More of this finish', 'Take off');
  await expect(
    page.getByText('Taken off in all options. Here Bold has a look of its own, and keeps it.').first(),
  ).toBeVisible();
  await page.keyboard.press('Control+z');
  await look(page, 'g3-bold');
  await workOn('Plain', 1);
  await byName(page, 'Walls of the room');
  await expect(now).toHaveText(tile);

  // in the next job it lies ready
  await openPlan(page, server, 'next-job', attic());
  await inside();
  await byName(page, 'Floor');
  await menu(page, 'What it is finished with. Change.', 'Tiles');
  const kept = page.getByTestId('stock').getByRole('group', { name: 'kept' });
  await kept.getByRole('button', { name: tile }).tap();
  await expect(now).toHaveText(tile);
  await key(page, 'Sizes, joints and how it is laid').tap();
  await expect(page.getByLabel('Joint', { exact: true })).toHaveValue(/^(7 mm|0\.007 m|0\.01 m)$/);
  await look(page, 'g4-next');
});

test('the house is drawn in lines: isometric, from the next corner, planometric, cut higher; it leaves as SVG, and stands on a sheet', async ({
  page,
}) => {
  await page.goto('/job/ferry-house/views');
  await menu(page, 'Pictures and files', 'Draw it in lines');
  const lines = page.getByTestId('lines').locator('img');
  await expect(lines).toBeVisible();
  await look(page, 'l1-isometric');
  const first = await lines.getAttribute('src');
  await key(page, 'See it from the next corner').tap();
  await expect(lines).not.toHaveAttribute('src', first!);
  await key(page, 'Planometric').tap();
  await page.getByLabel('Cut at').fill('2');
  await page.getByLabel('Cut at').press('Enter');
  await expect(page.getByLabel('Cut at')).toHaveValue('2.00 m');
  await look(page, 'l2-planometric');
  const coming = page.waitForEvent('download');
  await key(page, 'Leave it as SVG, 1:50').tap();
  expect((await coming).suggestedFilename()).toBe('Ferry-House in space.svg');
  await menu(page, 'What is drawn. Change.', 'The house, with its roofs');
  await look(page, 'l3-house');

  await page.getByRole('tab', { name: 'Sheets' }).tap();
  await page
    .getByRole('button', { name: /^Sheet 1/ })
    .first()
    .tap();
  await key(page, 'Put on it').tap();
  await key(page, 'Ground floor in space').tap();
  await expect(page.getByTestId('frame Ground floor in space')).toBeVisible();
  await key(page, 'Planometric').tap();
  await expect(key(page, 'Planometric')).toHaveAttribute('aria-pressed', 'true');
  await look(page, 'l4-sheet');
});
