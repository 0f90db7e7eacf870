import type { Page } from '@playwright/test';
import { Finger, middleOf } from '../finger';
import { key, press } from '../pad';
import { expect, test } from '../server';

const SAID: Record<string, string> = { '.': 'point', ft: 'feet', in: 'inches', '+': 'plus', ' ': 'space' };
/** On the keys of the pad, one after the other, then Enter. */
async function type(page: Page, ...keys: string[]): Promise<void> {
  const pad = page.getByLabel('Number pad');
  for (const name of keys) await pad.getByRole('button', { name: SAID[name] ?? name, exact: true }).tap();
  await key(page, 'Enter').tap();
}
const walls = (page: Page) => page.getByTestId('walk').getByRole('button', { name: /^Wall / });
const closing = (page: Page) => page.getByTestId('walk-closing');

test('a room is walked round by lengths and turns; a slip is found when it closes, and the room keeps every reading', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await press(page, 'Walk round');
  await type(page, ...'4.2');
  await type(page, ...'3.1');
  // most corners turn right; this one does not
  await key(page, 'Left').tap();
  await type(page, ...'1.25');
  await expect(walls(page)).toHaveText([/1\s*4\.20 m/, /3\.10 m/, /1\.25 m/]);
  await expect(page.getByRole('button', { name: 'Wall 3: left, 1.25 m' })).toBeVisible();

  // nothing typed is lost: the page is closed and opened again
  await page.reload();
  await expect(walls(page)).toHaveCount(3);
  await type(page, ...'2.4');
  await type(page, ...'5.54');
  await type(page, ...'5.5');

  // it does not close, and the application knows why: 5.45 was typed as 5.54
  await key(page, 'Close').tap();
  await expect(closing(page)).toContainText('Misses by 90 mm left to right, 1 in 244.');
  await expect(closing(page)).toContainText('Wall 5, 5.54 m: digits swapped? 5.45 m would close it.');
  await expect(closing(page)).toContainText('Spread, no wall changes by more than 23 mm.');
  await key(page, 'Wall 5 again').tap();
  await expect(page.getByRole('button', { name: 'Wall 5: right, 5.54 m' })).toHaveAttribute('aria-pressed', 'true');
  await type(page, ...'5.46');
  await key(page, 'Close').tap();
  await expect(closing(page)).toContainText(/It closes: 10 mm off over [\d.]+ m, as a tape does/);
  await key(page, 'Keep').tap();
  await key(page, 'Kitchen').tap();

  // six readings, each a wall's; the area is that of the true room to a centimetre's worth
  await expect(page.getByLabel(/^Net internal floor area: 26\.[01]\d m²/)).toBeVisible();
  await expect(page.getByText('Go round the walls')).toBeVisible();
  await key(page, 'Done').tap();
  await press(page, 'Measure');
  await expect(page.getByText('Readings (6)')).toBeVisible();
});

test('angles, a curved wall, a line taken out, the last wall worked out; a dropped walk comes back', async ({
  page,
}) => {
  const finger = new Finger(page);
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await press(page, 'Walk round');
  await type(page, ...'2.4');
  await page.getByRole('button', { name: /^Bow: / }).scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: /^Bow: / }).tap();
  await type(page, ...'0.6');
  await expect(page.getByRole('button', { name: 'Wall 1: 2.40 m, bows out 0.60 m' })).toBeVisible();
  await type(page, ...'3');
  // a measured corner
  await page.getByRole('button', { name: /^Turn: / }).scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: /^Turn: / }).tap();
  await type(page, '8', '8', '.', '5');
  await type(page, ...'9');
  await expect(page.getByRole('button', { name: 'Wall 3: 88.5° right, 9.00 m' })).toBeVisible();
  await key(page, 'Back one wall').tap();
  await expect(walls(page)).toHaveCount(2);

  // dropped by a slip of the thumb, and taken up again
  await key(page, 'Drop it').tap();
  await expect(page.getByText('The walk of 2 walls was dropped.')).toBeVisible();
  await page.getByText('Take it up again').tap();
  await expect(walls(page)).toHaveCount(2);
  await type(page, '2', '.', '4');
  await key(page, 'Close').tap();
  await expect(closing(page)).toContainText('One wall is missing: 3.00 m straight back to the beginning.');
  await key(page, 'Keep').tap();
  await key(page, 'Study').tap();
  // a rectangle and the segment of the curved wall: 7.20 and 1.006 m² (exact); a chord says hardly anything of the wall beside it
  await expect(page.getByLabel(/^Net internal floor area: ≈ 8\.21 m²/)).toBeVisible();
  await key(page, 'Done').tap();
  await finger.tap(
    await middleOf(
      page
        .getByTestId(/^length/)
        .getByText('3.00 m')
        .first(),
    ),
  );
  await expect(page.getByRole('button', { name: 'Length: 3.00 m' })).toBeVisible();
});

test('in feet, inches and fractions: a walk that closes to the sixteenth, and one that does not', async ({ page }) => {
  await page.goto('/job/quince-cottage');
  await expect(page.getByTestId(/^length/).getByText('12′ 6″')).toHaveCount(1);
  await press(page, 'Walk round');
  // 11′ 7/8″ and 11 1/8″ make a whole foot more
  await type(page, '1', '1', 'ft', '7/8', 'in', '+', '1', '1', ' ', '1/8', 'in');
  await expect(page.getByRole('button', { name: 'Wall 1: 12′ 0″' })).toBeVisible();
  await type(page, '8', 'ft', '6', '1/2', 'in');
  await type(page, '1', '2', 'ft', '3', 'in');
  await type(page, '8', 'ft', '6', '1/2', 'in');
  await key(page, 'Close').tap();
  await expect(closing(page)).toContainText('Misses by 3″ left to right, 1 in 165.');
  await expect(closing(page)).toContainText(
    'Either wall 3, 12′ 3″: 12′ 0″ would close it, or wall 1, 12′ 0″: 12′ 3″ would close it.',
  );
  await key(page, 'Wall 3 again').tap();
  await type(page, '1', '2', 'ft');
  await key(page, 'Close').tap();
  await expect(closing(page)).toContainText('It closes: 0″ off over 41′ 1″');
  await key(page, 'Keep').tap();
  await page.getByLabel('Another name').fill('Cutting room');
  await key(page, 'Name it').tap();
  await expect(page.getByLabel(/^Net internal floor area: 102\.5 ft²/)).toBeVisible();
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
});
