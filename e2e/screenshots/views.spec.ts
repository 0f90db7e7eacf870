import { execFileSync } from 'node:child_process';
import { type Page, expect, test as plain } from '@playwright/test';
import { PHONE, WIDE } from '../browser';
import { onSketch } from '../../apps/server/src/demo/boat-shed';
import { Finger, middleOf, restingBox } from '../finger';
import { ofHouse } from '../mill-house';
import { press } from '../pad';
import { onScreen, pictureOn } from '../picture';
import { test } from '../server';

const picture = async (page: Page, name: string) => {
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.screenshot({ path: `../docs/screenshots/${name}.png`, animations: 'disabled' });
};

/** A sketch on its way to a plan gets its true scale. */
async function overSketch(page: Page, finger: Finger): Promise<void> {
  await page.goto('/job/boat-shed');
  await restingBox(pictureOn(page));
  await press(page, 'Underlay Sketch of the shed');
  await press(page, 'True scale');
  await finger.tap(await onScreen(page, onSketch({ x: 0, y: 0 })));
  const end = await onScreen(page, onSketch({ x: 6400, y: 0 }));
  await finger.down([[end[0] - 20, end[1] + 14]]);
  await finger.rest(end);
  await page.getByTestId('magnifier').waitFor();
  await picture(page, 'phone-true-scale');
  await finger.up();
}

/** Under the roof: lines of equal headroom, and what of it counts by two rules. */
async function underTheRoof(page: Page, finger: Finger): Promise<void> {
  await page.getByRole('button', { name: /^Floor: / }).tap();
  await page.getByRole('menuitem', { name: 'Upper floor' }).tap();
  await finger.tap(await middleOf(page.getByTestId(/^area/).getByText('15.31')));
  await page.getByRole('tab', { name: 'Ceiling' }).tap();
  await page.getByTestId('headroom').waitFor();
  await picture(page, 'phone-attic');
  await page.getByRole('button', { name: 'Done', exact: true }).tap();
  await page.getByRole('tab', { name: 'Areas' }).tap();
  await page.getByRole('button', { name: /^Counted by / }).tap();
  await page.getByRole('menuitem', { name: 'WoFlV' }).tap();
  await page.getByRole('button', { name: /^Another rule|^Beside it / }).tap();
  await page.getByRole('menuitem', { name: 'Carrez' }).tap();
  await page.getByTestId('total Carrez').waitFor();
  await page.getByRole('button', { name: 'Show on the plan what counts' }).tap();
  await page.getByText('50 %').first().waitFor();
  const sheet = await restingBox(page.getByTestId(/^floor/).last());
  await finger.tap([sheet.x + 20, sheet.y + 6]);
  await picture(page, 'phone-areas');
  for (let i = 0; i < 2; i += 1) await page.keyboard.press('Control+z');
}

/** A sofa on its way in, as it plays on the plan. */
async function gettingIn(page: Page, finger: Finger): Promise<void> {
  await page.goto('/job/ferry-house');
  await press(page, 'Pieces');
  await page.getByTestId('pieces-tray').waitFor();
  await finger.tap(await ofHouse(page.getByTestId(/^floor /), { x: 2650, y: 2250 }));
  await page.getByRole('tab', { name: 'Gets in?' }).tap();
  await page.getByRole('button', { name: /^Comes through D0/ }).tap();
  await page.getByRole('menuitem', { name: /^D0\.1/ }).tap();
  await page.getByRole('button', { name: 'Will it get in?', exact: true }).tap();
  await page.getByText(/ gets in, carried | does not get in/).waitFor({ timeout: 60_000 });
  await picture(page, 'phone-pieces');
  await page.getByRole('button', { name: 'Done', exact: true }).tap();
}

plain.describe('on a phone', () => {
  test.use(PHONE);

  test('phone views', async ({ page }) => {
    const finger = new Finger(page);
    await page.goto('/');
    await page.getByText('Ferry House').waitFor();
    await picture(page, 'phone-jobs');
    await page.goto('/new');
    await page.getByText('Start measuring').waitFor();
    await page.getByText('Start measuring').tap();
    await page.getByText(/Drag across the sheet/).waitFor();
    await finger.drag([80, 220], [300, 400]);
    await page.getByText('What is this room?').waitFor();
    await page.getByText('Later').tap();
    await page.getByText(/Tape the walls/).tap();
    for (const key of ['4', 'point', '2', '0']) await page.getByRole('button', { name: key, exact: true }).tap();
    await page.getByTestId('moving-corner').first().waitFor();
    await picture(page, 'phone-tape');
    await page.goto('/job/ferry-house');
    await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Ticket hall')));
    await page.getByText('Volume').waitFor();
    // a slip waiting to be found, and the diagonal that was taken to find it
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await finger.tap(await middleOf(page.getByTestId(/^area/).getByText('16.96')));
    await page.getByTestId('contradiction').waitFor();
    await picture(page, 'phone-misclosure');
    await page.getByText('Measure again').tap();
    await page.getByTestId('tape-strip').waitFor();
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await page.getByRole('tab', { name: 'Openings' }).tap();
    await page.getByText('To check (1)').waitFor();
    await page.getByRole('button', { name: /^W0\.4, / }).tap();
    await press(page, 'Show the elevation');
    await page.getByTestId('elevation').waitFor();
    await page.getByRole('button', { name: /^Sill of the wall/ }).tap();
    await press(page, 'Hide the elevation');
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await underTheRoof(page, finger);
    await gettingIn(page, finger);
    await overSketch(page, finger);
  });
});

plain.describe('on a wide screen', () => {
  test.use(WIDE);

  test('wide view', async ({ page }) => {
    await page.goto('/job/ferry-house');
    await page
      .getByRole('button', { name: /^Ticket hall/ })
      .first()
      .click();
    await page.getByRole('button', { name: /^Wall 4: / }).click();
    await page.getByTestId('tape-strip').waitFor();
    await picture(page, 'wide-plan');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await page.getByRole('tab', { name: 'Floors' }).click();
    await page.getByRole('button', { name: 'Side by side', exact: true }).click();
    await page.getByTestId('floor-picture').nth(2).waitFor();
    await picture(page, 'wide-floors');
    await page.getByRole('button', { name: 'Close floors', exact: true }).click();
    await page.getByRole('button', { name: /^Floor: / }).click();
    await page.getByRole('menuitem', { name: 'Upper floor' }).click();
    await page.keyboard.press('q');
    const sheet = await restingBox(page.getByTestId('sheet'));
    await page.mouse.move(sheet.x + 0.33 * sheet.width, sheet.y + 30);
    await page.mouse.down();
    await page.mouse.move(sheet.x + 0.335 * sheet.width, sheet.y + 0.97 * sheet.height, { steps: 5 });
    await page.mouse.up();
    await page.getByTestId('section').waitFor();
    await picture(page, 'wide-section');
    await page.keyboard.press('Escape');
    await page.keyboard.press('c');
    await page.getByRole('tab', { name: 'Areas' }).click();
    await page.getByTestId('total net').waitFor();
    await page.getByRole('button', { name: /^Another rule|^Beside it / }).click();
    await page.getByRole('menuitem', { name: 'Gross external' }).click();
    await page.getByTestId('total gross external').waitFor();
    await page.getByRole('textbox', { name: /The listing says/ }).fill('130');
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await page.getByTestId('nearest').waitFor();
    await page.getByRole('button', { name: 'Close areas', exact: true }).click();
    await page.getByRole('tab', { name: 'Sheets' }).click();
    await page.getByRole('button', { name: /^Sheet 1, Listing plan/ }).click();
    await page.getByRole('button', { name: 'Put on it', exact: true }).click();
    await page.getByTestId('frame Ground floor').waitFor();
    await picture(page, 'wide-sheet');
    // the builder's page of the ground floor, as it leaves
    await page.getByRole('button', { name: 'All sheets', exact: true }).click();
    await page.getByRole('button', { name: 'Lay out more', exact: true }).click();
    await page.getByRole('button', { name: 'Paper A3', exact: true }).click();
    await page.getByRole('button', { name: /^Builder’s set/ }).click();
    await page.getByRole('button', { name: /^Sheet \d, Ground floor/ }).click();
    await page.getByTestId('frame Ground floor').waitFor();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'This sheet as PDF', exact: true }).click(),
    ]);
    execFileSync('pdftoppm', [
      '-r',
      '80',
      '-png',
      '-singlefile',
      await file.path(),
      '../docs/screenshots/page-builder',
    ]);
    await page.keyboard.press('Control+z');
    await page.goto('/job/quince-cottage/options');
    await page
      .getByTestId(/^option-picture /)
      .nth(3)
      .waitFor();
    await page.getByTestId('options-compared').getByText('…').first().waitFor({ state: 'detached' });
    await expect(page.getByTestId('options-compared').getByText('…')).toHaveCount(0);
    await picture(page, 'wide-options');
  });
});
