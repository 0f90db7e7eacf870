import type { Page } from '@playwright/test';
import { openMillHouse } from '../mill-house';
import { key } from '../pad';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

/** Comes to a button by the keyboard's focus, and presses it with Enter. */
async function enter(page: Page, name: string | RegExp): Promise<void> {
  await key(page, name).first().focus();
  await page.keyboard.press('Enter');
}

test('from the keyboard: a floor drawn along the one below, hidden, put in order, copied, taken away and back; all floors side by side', async ({
  page,
  server,
}) => {
  await openMillHouse(page, server);
  const strip = page.getByLabel('Floors of the house');
  await enter(page, 'Add a floor above this one');
  await expect(strip.getByRole('button', { name: /^First floor, \+2\.70/ })).toHaveAttribute('aria-pressed', 'true');

  // along the floor below, corner after corner, till it closes: what is inside is as large as below, walls between and all
  await page.keyboard.press('j');
  await page.keyboard.press('Shift+J');
  await page.keyboard.press('Shift+J');
  for (let i = 0; i < 20; i += 1) {
    await page.keyboard.press('j');
    if (await page.getByText('What is this room?').isVisible()) break;
  }
  await expect(page.getByText('What is this room?')).toBeVisible();
  await page.keyboard.type('Loft');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Loft, / }).first()).toBeVisible();
  const loft = await page
    .getByRole('button', { name: /^Loft, / })
    .first()
    .getAttribute('aria-label');
  // 8 × 5 m, the bay of 1.6 m², the lean-to of 2.5 × 3 m and the wall between
  expect(Number(/([\d.]+) m²/.exec(loft!)![1])).toBeGreaterThan(49.1);

  // stairs from the ground floor, put down in the middle, typed and moved by the arrows
  await strip.getByRole('button', { name: /^Ground floor/ }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('t');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('stairs-checks')).toBeVisible();
  await key(page, /^Width: /).focus();
  await page.keyboard.type('0.95');
  await page.keyboard.press('Enter');
  await expect(key(page, 'Width: 0.95 m')).toBeVisible();
  const where = await page.getByTestId('chosen-stairs').getAttribute('d');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByTestId('chosen-stairs')).not.toHaveAttribute('d', where!);
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('stairs-checks')).toHaveCount(0);
  await enter(page, /^First floor, /);

  // hidden: it shines through no more, and comes back
  await strip.getByRole('button', { name: /^Ground floor/ }).focus();
  await page.keyboard.press('Enter');
  await enter(page, 'Hide First floor');
  await expect(key(page, 'Show First floor')).toBeVisible();
  await expect(page.getByTestId('other-floor')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(key(page, 'Hide First floor')).toBeVisible();

  // copied, put in order, taken away, each taken back
  await enter(page, 'All floors');
  const floors = page.getByTestId('floors');
  await enter(page, 'More about First floor');
  await enter(page, 'Copy First floor above itself');
  await expect(floors.getByRole('button', { name: /^First floor, copy, .* 1 room/ })).toBeVisible();
  await enter(page, 'First floor one up');
  await expect(floors.getByRole('button', { name: /^First floor, \+5\.40/ })).toBeVisible();
  await enter(page, 'Take First floor away, with all that is on it');
  await expect(floors.getByRole('button', { name: /^First floor, \+/ })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(floors.getByRole('button', { name: /^First floor, \+5\.40/ })).toBeVisible();

  // a height that can't be is said in words, and what was there stays
  await enter(page, 'More about Ground floor');
  await page.getByLabel('Floor to floor; empty: from its ceiling').fill('40');
  await page.getByLabel('Called').focus();
  await expect(page.getByRole('alert').first()).toContainText(
    'From floor to floor it is 1 to 12 m; 40.00 m can’t be right.',
  );
  await expect(floors.getByText('2.70 m floor to floor, from its ceiling').first()).toBeVisible();

  await enter(page, 'Side by side');
  await expect(floors.getByTestId('floor-picture')).toHaveCount(3);
  await enter(page, 'Show Ground floor');
  await expect(floors.getByTestId('floor-picture')).toHaveCount(2);
  await enter(page, 'Over each other');
  await expect(floors.getByTestId(/^over /)).toHaveCount(2);
});

test('a window is put in line with the one on the floor below, and a room is open to below', async ({ page }) => {
  await page.goto('/job/ferry-house');
  const strip = page.getByLabel('Floors of the house');
  await strip.getByRole('button', { name: /^Upper floor, / }).click();
  await page.getByRole('tab', { name: 'Openings' }).click();
  await key(page, /^W1\.1, /).click();
  const left = page.getByRole('button', { name: /^From left: / });
  await expect(left).toBeVisible();
  const before = await left.getAttribute('aria-label');
  await key(page, 'Centre, space out or align it').click();
  await page.getByRole('menuitem', { name: /^In line with W0\.\d, on the floor below/ }).click();
  await expect(left).not.toHaveAttribute('aria-label', before!);

  const total = page.getByTestId('job-total');
  const all = Number(/([\d.]+)/.exec((await total.textContent())!)![1]);
  await page
    .getByRole('button', { name: /^Linen room, / })
    .first()
    .click();
  await key(page, 'Open to below').click();
  await expect(page.getByLabel('Net internal floor area: open to below')).toBeVisible();
  await expect.poll(async () => Number(/([\d.]+)/.exec((await total.textContent())!)![1])).toBeLessThan(all - 5);
  await strip.getByRole('button', { name: /^Ground floor/ }).click();
  await page
    .getByRole('button', { name: /^Ticket hall, / })
    .first()
    .click();
  // 2.95 and 0.30 m to the floor above, and 2.35 m there
  await expect(page.getByLabel('Open above, so high: 5.60 m')).toBeVisible();
});
