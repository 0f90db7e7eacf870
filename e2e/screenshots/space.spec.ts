import type { Page } from '@playwright/test';
import { IN_SPACE, PHONE, WIDE } from '../browser';
import { key } from '../pad';
import { test } from '../server';

test.use(IN_SPACE);

/** Once what is in space has been drawn with all that came for it. */
async function picture(page: Page, name: string): Promise<void> {
  await page.locator('canvas').waitFor();
  await page.evaluate(() => document.fonts.ready.then(() => new Promise((drawn) => setTimeout(drawn, 1500))));
  await page.screenshot({ path: `../docs/screenshots/${name}.png`, animations: 'disabled' });
}

test.describe('on a phone', () => {
  test.use(PHONE);

  test('a floor cut open, and a room at eye height in the evening sun', async ({ page }) => {
    await page.goto('/job/ferry-house/views');
    await page.getByRole('button', { name: 'Which floor is shown. Change.' }).tap();
    await page.getByRole('menuitem', { name: 'Ground floor' }).tap();
    await page.getByLabel('Cut at').fill('1.35');
    await page.getByLabel('Cut at').press('Enter');
    await picture(page, 'phone-views');
    await key(page, 'Vantages').tap();
    await picture(page, 'phone-inside');
  });
});

test.describe('at a desk', () => {
  test.use(WIDE);

  test('the house with its near side open', async ({ page }) => {
    await page.goto('/job/ferry-house/views');
    await picture(page, 'wide-views');
  });
});
