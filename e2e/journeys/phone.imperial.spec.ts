import type { Page } from '@playwright/test';
import { Finger, middleOf, restingBox } from '../finger';
import { key } from '../pad';
import { expect, test } from '../server';

const strip = (page: Page) => page.getByTestId('tape-strip');

/** The door in the middle of the wall was under the finger; the bare tape beside it is the wall. */
async function tapTapeEnd(page: Page, finger: Finger): Promise<void> {
  const tape = await restingBox(strip(page));
  await finger.tap([tape.x + 30, tape.y + 64]);
}

test('feet inches and fractions are typed with the thumb', async ({ page }) => {
  const finger = new Finger(page);
  await page.goto('/job/quince-cottage');
  await finger.tap(await middleOf(page.getByTestId(/^length/).getByText('9′ 8 1/2″')));
  await expect(page.getByRole('button', { name: /^From left: / })).toBeVisible();
  await tapTapeEnd(page, finger);
  await expect(strip(page)).toHaveAccessibleName(/9′ 8 1\/2″, taped/);

  // 9 ft 8 3/4 in, read again; the older reading gives way
  for (const name of ['9', 'feet', '8', '3/4', 'inches']) await key(page, name).tap();
  await expect(page.getByText('= 9′ 8 3/4″')).toBeVisible();
  await key(page, 'Enter').tap();
  await expect(page.getByTestId(/^length/).getByText('9′ 8 3/4″')).toHaveCount(1);
  await expect(page.getByTestId(/^length/).getByText('12′ 6″')).toHaveCount(1);

  // 11 inches and 16/16 carry to a whole foot
  await key(page, 'Done').tap();
  await finger.tap(await middleOf(page.getByTestId(/^length/).getByText('12′ 6″')));
  await page.getByRole('button', { name: /^From left: / }).tap();
  for (const name of ['1', 'feet', '1', '1', '7/8', '+', '1', 'over', '8'])
    await key(page, name === '+' ? 'plus' : name).tap();
  await expect(page.getByText('= 2′ 0″')).toBeVisible();
  await key(page, 'Enter').tap();
  await expect(page.getByTestId('strip-gap-0')).toHaveText('2′ 0″');
  await expect(page.getByTestId('strip-gap-1')).toHaveText('6′ 0″');

  // the chosen window is dragged on the plan itself, both distances live, and Undo brings it back
  const window = await middleOf(page.getByTestId('chosen-opening'));
  await finger.down([window]);
  for (const dx of [10, 20, 30, 40]) await finger.move([[window[0] + dx, window[1]]]);
  await expect(page.getByTestId('strip-gap-0')).not.toHaveText('2′ 0″');
  await expect(page.getByTestId('strip-gap-1')).not.toHaveText('6′ 0″');
  await finger.rest([window[0] + 40, window[1]]);
  await finger.up();
  await expect(page.getByTestId('strip-gap-0')).not.toHaveText('2′ 0″');
  await key(page, 'Undo change opening').tap();
  await expect(page.getByTestId('strip-gap-0')).toHaveText('2′ 0″');

  // thickness in inches; what was taped stays
  await key(page, 'Done').tap();
  await finger.tap(await middleOf(page.getByTestId(/^length/).getByText('9′ 8 3/4″')));
  await tapTapeEnd(page, finger);
  await page.getByRole('button', { name: /^Thickness: / }).tap();
  for (const name of ['6']) await key(page, name).tap();
  await key(page, 'Enter').tap();
  await expect(page.getByRole('button', { name: 'Thickness: 6″' })).toBeVisible();
  await expect(page.getByTestId(/^length/).getByText('12′ 6″')).toHaveCount(1);
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
});
