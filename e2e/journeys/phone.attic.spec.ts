import { attic, openPlan } from '../attics';
import { Finger } from '../finger';
import { ofHouse } from '../mill-house';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

test('an attic: a slope by four heights, one of them a slip, a dormer; two rules side by side with the reason under the finger, and what the listing says', async ({
  page,
  server,
}) => {
  const finger = new Finger(page);
  await openPlan(page, server, 'attic', attic());
  const at = (x: number, y: number) => ofHouse(page.getByTestId(/^wall /), { x, y });
  const tapped = async (x: number, y: number) => finger.tap(await at(x, y));

  // the slope rises from the lower wall: its foot, and a height farther up
  await press(page, 'Ceiling');
  await tapped(2500, 4080);
  const words = page.getByTestId('slope-words');
  await expect(words).toHaveText('Not known yet: it needs a height, best at its foot.');
  await type(page, '1.00');
  await expect(words).toHaveText('Not known yet: it needs its pitch, or a height farther up.');
  await key(page, /^Read at: /).tap();
  await type(page, '1.40');
  await key(page, /^Higher up: /).tap();
  await type(page, '2.40');
  await expect(words).toHaveText('From the bottom: 45.0°, 1.00 m at its foot');
  // a pitch no ceiling has is refused in words, and what was typed stays
  await key(page, /^Pitch: /).tap();
  await type(page, '90');
  await expect(page.getByText(/at 90° it is a wall/).first()).toBeVisible();
  await expect(page.getByTestId('typed')).toHaveText('90');
  await key(page, 'Done').tap();

  // two more, over points of the floor: the second one with its digits swapped
  await press(page, 'Measure');
  for (const [x, y, height] of [
    [1500, 3300, '1.70'],
    [3500, 3650, '1.53'],
  ] as const) {
    await tapped(x, y);
    await expect(page.getByTestId('typed')).toHaveText('Height of the slope');
    await type(page, height);
    await expect(page.getByTestId('height-point')).toHaveCount(0);
  }
  await press(page, 'Choose');
  await tapped(1000, 1200);
  await page.getByRole('tab', { name: 'Ceiling' }).tap();
  await page.getByRole('button', { name: /^From the bottom: / }).tap();
  await expect(
    page.getByText(/Most likely 1.53 m is a slip: digits swapped\? The others say about 1.35 m/),
  ).toBeVisible();
  await key(page, 'It is 1.35 m').tap();
  await expect(page.getByText(/is a slip/)).toHaveCount(0);
  await expect(words).toHaveText('From the bottom: 45.0°, 1.00 m at its foot');
  await key(page, 'Done').tap();

  // a dormer at that wall
  await press(page, 'Ceiling');
  await key(page, 'Dormer').tap();
  await tapped(2500, 3800);
  await type(page, '2.10');
  await expect(key(page, 'Ceiling: 2.10 m')).toBeVisible();
  await key(page, 'Done').tap();

  // two rules side by side: 17.5 m² and 16 m² without the dormer, which raises 1.5 × 1.0 m over 2 m, and 1.5 × 0.8 m over 1.80 m
  await page.getByRole('tab', { name: 'Areas' }).tap();
  await key(page, /^Counted by net\. /).tap();
  await page.getByRole('menuitem', { name: 'WoFlV' }).tap();
  await key(page, 'Another rule beside it').tap();
  await page.getByRole('menuitem', { name: 'Carrez' }).tap();
  await expect(page.getByTestId('total WoFlV')).toContainText('18.25 m²');
  await expect(page.getByTestId('total Carrez')).toContainText('17.20 m²');
  await key(page, /^A room without a name: why/).tap();
  await expect(page.getByText(/× 50 %: Between 1\.00 m and 2\.00 m high: counts half\./)).toBeVisible();

  // the listing says 18 m²
  await page.getByLabel('The listing says, m²').fill('18 rooms');
  await key(page, 'Compare').tap();
  await expect(page.getByText('An area is a number of m², like 92.')).toBeVisible();
  await page.getByLabel('The listing says, m²').fill('18,0 m²');
  await key(page, 'Compare').tap();
  await expect(page.getByTestId('nearest')).toHaveText('WoFlV comes nearest: +0.25 m².');

  // on the plan: why here, why not there
  await key(page, 'Show on the plan what counts').tap();
  await expect(page.getByTestId('areas-on-plan')).toBeVisible();
  await expect(page.getByTestId('why WoFlV')).toHaveText('Tap the floor: why does it count?');
  await tapped(4500, 3600);
  await expect(page.getByTestId('why WoFlV')).toContainText('counts half');
  await expect(page.getByTestId('why Carrez')).toContainText('× 0 %: Lower than 1.80 m.');
  await tapped(4500, 1000);
  await expect(page.getByTestId('why WoFlV')).toContainText('in full');
  await tapped(2500, 4100);
  await expect(page.getByTestId('why Carrez')).toContainText('Walls and partitions are taken off.');
});
