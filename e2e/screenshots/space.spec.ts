import type { Page } from '@playwright/test';
import { IN_SPACE, PHONE, WIDE } from '../browser';
import { key } from '../pad';
import { test } from '../server';

test.use(IN_SPACE);

/** Once what is in space has been drawn with all that came for it. */
async function picture(page: Page, name: string): Promise<void> {
  await page.locator('canvas').waitFor();
  await page.evaluate(() => document.fonts.ready.then(() => new Promise((drawn) => setTimeout(drawn, 9000))));
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

  test('a floor that is being laid', async ({ page }) => {
    await page.goto('/job/ferry-house/views');
    await key(page, 'Step inside').tap();
    await key(page, 'Stand in Waiting room').tap();
    await key(page, 'Finish: paint, floors, trims').tap();
    await key(page, 'Choose what is finished by name').tap();
    await page.getByRole('menuitem', { name: 'Walls of the room' }).tap();
    await page.getByTestId('stock').waitFor();
    await picture(page, 'phone-finish');
  });

  test('a floor in lines', async ({ page }) => {
    await page.goto('/job/ferry-house/views');
    await key(page, 'Pictures and files').tap();
    await page.getByRole('menuitem', { name: 'Draw it in lines' }).tap();
    await key(page, 'Planometric').tap();
    await key(page, 'See it from the next corner').tap();
    await page.getByTestId('lines').waitFor();
    await page.waitForTimeout(3000);
    await page.screenshot({ path: '../docs/screenshots/phone-lines.png', animations: 'disabled' });
  });
});

test.describe('at a desk', () => {
  test.use(WIDE);

  test('the house with its near side open', async ({ page }) => {
    await page.goto('/job/ferry-house/views');
    await picture(page, 'wide-views');
  });

  test('the plan with the small view beside it', async ({ page }) => {
    await page.goto('/job/ferry-house');
    await key(page, 'Small view of the house').click();
    await page.getByTestId('camera-mark').waitFor();
    await picture(page, 'wide-small-view');
  });
});
