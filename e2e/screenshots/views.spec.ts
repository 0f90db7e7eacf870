import { type Page, test as plain } from '@playwright/test';
import { PHONE, WIDE } from '../browser';
import { Finger, middleOf } from '../finger';
import { test } from '../server';

const picture = async (page: Page, name: string) => {
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.screenshot({ path: `../docs/screenshots/${name}.png`, animations: 'disabled' });
};
const length = (page: Page, text: string) => page.getByTestId(/^length/).getByText(text, { exact: true });

plain.describe('on a phone', () => {
  test.use(PHONE);

  test('phone views', async ({ page }) => {
    const finger = new Finger(page);
    await page.goto('/');
    await page.getByText('Ferry House').waitFor();
    await picture(page, 'phone-jobs');
    await page.goto('/new');
    await page.getByText('Start measuring').waitFor();
    await picture(page, 'phone-new-job');
    await page.getByText('Start measuring').tap();
    await page.getByText(/Drag across the sheet/).waitFor();
    await finger.drag([80, 220], [300, 400]);
    await page.getByText('What is this room?').waitFor();
    await picture(page, 'phone-first-room');
    await page.getByText('Later').tap();
    await page.getByText(/Tape the walls/).tap();
    for (const key of ['4', 'point', '2', '0']) await page.getByRole('button', { name: key, exact: true }).tap();
    await page.getByTestId('moving-corner').first().waitFor();
    await picture(page, 'phone-tape');
    await page.goto('/job/quince-cottage');
    await length(page, '12′ 6″').waitFor();
    await finger.tap(await middleOf(length(page, '12′ 6″')));
    await finger.tap(await middleOf(page.getByTestId('strip-window')));
    await picture(page, 'phone-window-imperial');
    await page.goto('/job/ferry-house');
    await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Ticket hall')));
    await page.getByText('Volume').waitFor();
    await picture(page, 'phone-room');
  });
});

plain.describe('on a wide screen', () => {
  test.use(WIDE);

  test('wide view', async ({ page }) => {
    await page.goto('/job/ferry-house');
    await page.getByRole('button', { name: /^Ticket hall/ }).click();
    await page.getByRole('button', { name: /^Wall 1/ }).click();
    await page.getByTestId('tape-strip').waitFor();
    await picture(page, 'wide-plan');
  });

  test.describe('in the dark', () => {
    test.use({ colorScheme: 'dark' });

    test('wide view in the dark', async ({ page }) => {
      await page.goto('/job/ferry-house');
      await page.getByRole('button', { name: /^Net store/ }).click();
      await page.getByText('Volume').waitFor();
      await picture(page, 'wide-plan-dark');
    });
  });
});
