import { Finger, middleOf, restingBox } from '../finger';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

test('for the left hand what the thumb needs stands at the left, on this device from then on; a card is drawn down; pages have titles; a reading is felt', async ({
  page,
}) => {
  const finger = new Finger(page);
  await page.addInitScript(() => {
    const felt: unknown[] = [];
    Object.assign(globalThis, { felt });
    Object.defineProperty(navigator, 'vibrate', { value: (ms: unknown) => felt.push(ms) > 0 });
  });
  await page.goto('/');
  await expect(page).toHaveTitle('Velvet Tape');
  await page.goto('/job/quince-cottage');
  await expect(page).toHaveTitle('Quince Cottage sewing room · Velvet Tape');
  expect((await restingBox(key(page, 'Fit'))).x).toBeGreaterThan(195);
  await key(page, 'All tools').tap();
  await key(page, 'Left hand').tap();
  await key(page, 'Close the tools').tap();
  expect((await restingBox(key(page, 'Fit'))).x).toBeLessThan(195);
  await page.reload();
  await expect(key(page, 'Fit')).toBeVisible();
  expect((await restingBox(key(page, 'Fit'))).x).toBeLessThan(195);

  await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Sewing room')));
  await expect(page.getByLabel(/^Perimeter: /)).toBeVisible();
  expect((await restingBox(key(page, 'Done'))).x).toBeLessThan(195);
  await key(page, 'Draw down to one line').tap();
  await expect(page.getByLabel(/^Perimeter: /)).toHaveCount(0);
  await expect(page.getByText('121.4 ft²').last()).toBeVisible();
  await key(page, 'All figures').tap();
  await page.getByText(/^Tape the walls|^Go round/).tap();
  const enter = await restingBox(key(page, 'Enter'));
  expect(enter.x).toBeLessThan((await restingBox(key(page, '7'))).x);
  await press(page, /^Length: /);
  await type(page, '12');
  await expect.poll(() => page.evaluate(() => (globalThis as unknown as { felt: unknown[] }).felt)).toEqual([15]);
});
