import { readFile } from 'node:fs/promises';
import { attic, loft, openPlan } from '../attics';
import { Finger } from '../finger';
import { ofHouse } from '../mill-house';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

test('roofs of each form by eaves and ridge; a room taken out from under one, its floor lowered, a beam and a step put in it', async ({
  page,
  server,
}) => {
  const finger = new Finger(page);
  await openPlan(page, server, 'loft', loft());
  const tapped = async (x: number, y: number) => finger.tap(await ofHouse(page.getByTestId(/^wall /), { x, y }));
  const over = page.getByTestId('headroom');

  for (const form of ['Mono', 'Mansard', 'Hip'] as const) {
    await press(page, 'Ceiling');
    await press(page, form);
    await tapped(2000, -60);
    await key(page, /^Eaves: /).tap();
    await type(page, '1.10');
    await key(page, /^Ridge: /).tap();
    await type(page, '3.10');
    await key(page, 'Keep').tap();
    if (form === 'Mansard') {
      await expect(page.getByText('How high does its steep part reach?').first()).toBeVisible();
      await key(page, /^Steep up to: /).tap();
      await type(page, '2.00');
      await key(page, 'Keep').tap();
    }
    await press(page, 'Choose');
    await tapped(6500, 2000);
    await page.getByRole('tab', { name: 'Ceiling' }).tap();
    await expect(over).toHaveText('Headroom from 1.10 m to 2.40 m.');
    await key(page, 'The slopes go up to their ridge').tap();
    await expect(over).toHaveText('Headroom from 1.10 m to 3.10 m.');
    if (form === 'Hip') break;
    await key(page, /^Undo/).tap();
    await key(page, /^Undo/).tap();
    await expect(over).toHaveText('Flat, 2.40 m high.');
    await key(page, 'Done').tap();
  }

  // the middle room lies under a flat ceiling after all, and its floor 20 cm lower
  await key(page, 'Its ceiling is flat whatever the roof').tap();
  await expect(over).toHaveText('Flat, 2.40 m high.');
  await key(page, 'How much its floor lies higher').tap();
  await type(page, '0.20');
  await page.getByRole('tab', { name: 'Ceiling' }).tap();
  await key(page, 'Its floor lies lower instead').tap();
  await expect(key(page, 'Its floor lies higher instead')).toBeVisible();
  await expect(page.getByTestId(/^step /).first()).toBeAttached();

  // a beam and a step in its floor
  await key(page, 'Beam').tap();
  await tapped(6000, 3000);
  await type(page, '2.10');
  await expect(key(page, 'Underside: 2.10 m')).toBeVisible();
  await key(page, 'Done').tap();
  await press(page, 'Ceiling');
  await press(page, 'Step');
  await tapped(5200, 5200);
  await type(page, '0.15');
  await expect(key(page, 'Up: 0.15 m')).toBeVisible();
  await key(page, 'Down instead').tap();
  await expect(key(page, 'Down: −0.15 m')).toBeVisible();
});

test('a slope through three heights over the floor, and what a room is used for: one tap, and why where it is not counted; taken away as CSV', async ({
  page,
  server,
}) => {
  const finger = new Finger(page);
  await openPlan(page, server, 'attic', attic());
  const tapped = async (x: number, y: number) => finger.tap(await ofHouse(page.getByTestId(/^wall /), { x, y }));

  await press(page, 'Measure');
  for (const [x, y, height] of [
    [800, 800, '2.30'],
    [4200, 800, '2.30'],
    [2500, 3200, '1.40'],
  ] as const) {
    await tapped(x, y);
    await type(page, height);
    await expect(page.getByTestId('height-point')).toHaveCount(0);
  }
  await press(page, 'Choose');
  await tapped(1400, 2600);
  await page.getByRole('tab', { name: 'Ceiling' }).tap();
  await key(page, 'Slope through 3 heights').tap();
  // 0.90 m down over 2.40 m: arctan 0.375
  await expect(page.getByTestId('slope-words')).toHaveText('20.6°, as its heights say');
  await key(page, 'Done').tap();

  await page.getByRole('tab', { name: 'Areas' }).tap();
  await expect(page.getByTestId('total net')).toContainText('20.00 m²');
  await key(page, 'What each room is used for').tap();
  await key(page, /: storage$/).tap();
  await expect(key(page, /: storage$/)).toHaveAttribute('aria-pressed', 'true');
  await key(page, /: not counted$/).tap();
  await key(page, 'Set').tap();
  await expect(page.getByText('Say why the room is not counted.').first()).toBeVisible();
  await page.getByLabel('Why is it not counted?').fill('Behind a hatch');
  await key(page, 'Set').tap();
  await expect(page.getByTestId('total net')).toContainText('0.00 m²');
  const [file] = await Promise.all([page.waitForEvent('download'), key(page, 'Areas as CSV').tap()]);
  const rows = await readFile(await file.path(), 'utf8');
  expect(rows).toContain('not counted');
  expect(rows).toContain('Not counted: Behind a hatch.');
  // a figure of the listing in another unit counts as that
  await page.getByLabel('The listing says, m²').fill('990 sq ft');
  await key(page, 'Compare').tap();
  await expect(page.getByLabel('The listing says, m²')).toHaveValue('91.97');
});
