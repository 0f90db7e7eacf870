import { type Page, test as plain } from '@playwright/test';
import { PHONE, WIDE } from '../browser';
import { onSketch } from '../../apps/server/src/demo/boat-shed';
import { Finger, middleOf, restingBox } from '../finger';
import { press } from '../pad';
import { onScreen, pictureOn } from '../picture';
import { test } from '../server';

const picture = async (page: Page, name: string) => {
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.screenshot({ path: `../docs/screenshots/${name}.png`, animations: 'disabled' });
};
const length = (page: Page, text: string) => page.getByTestId(/^length/).getByText(text, { exact: true });

/** The ways to sketch, each on a sheet of its own. */
async function sketching(page: Page, finger: Finger): Promise<void> {
  const key = (name: string) => page.getByRole('button', { name, exact: true });
  const sheet = async (tool: string) => {
    await page.goto('/new');
    await page.getByText('Start measuring').tap();
    await page.getByText(/Drag across the sheet/).waitFor();
    await press(page, tool);
  };
  await sheet('Loop');
  const corners = [
    [70, 240],
    [250, 232],
    [325, 330],
    [318, 520],
    [64, 512],
  ] as const;
  await finger.down([corners[0]]);
  for (let i = 0; i < corners.length; i += 1) {
    const [a, b] = [corners[i]!, corners[(i + 1) % corners.length]!];
    for (let k = 0.06; k < 0.97; k += 0.06) {
      const shake = 3 * Math.sin(37 * k + i);
      await finger.move([[a[0] + (b[0] - a[0]) * k + shake, a[1] + (b[1] - a[1]) * k - shake]]);
    }
  }
  await finger.rest([68, 256]);
  await finger.up();
  await key('Less straight').waitFor();
  await picture(page, 'phone-loop');

  await sheet('Walk round');
  const type = async (text: string) => {
    for (const digit of text) await key(digit === '.' ? 'point' : digit).tap();
    await key('Enter').tap();
  };
  await type('4.2');
  await type('3.1');
  await key('Left').tap();
  for (const wall of ['1.25', '2.4', '5.54', '5.5']) await type(wall);
  await key('Close').tap();
  await page.getByTestId('walk-closing').waitFor();
  await picture(page, 'phone-walk');
}

/** A sketch on its way to a plan: its true scale, and the walls that are seen on it. */
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
  for (const digit of ['6', 'point', '4', 'Enter']) await page.getByRole('button', { name: digit, exact: true }).tap();
  await press(page, 'Keep');
  await press(page, 'Find walls');
  await page.getByTestId('found-walls').waitFor();
  await restingBox(pictureOn(page));
  await picture(page, 'phone-found-walls');
}

/** The floors of a house, and the stairs between two of them, close up. */
async function storeys(page: Page, finger: Finger): Promise<void> {
  await page.getByRole('tab', { name: 'Floors' }).tap();
  await page.getByTestId('floors').waitFor();
  await picture(page, 'phone-floors');
  await page.getByRole('button', { name: /^Ground floor, / }).tap();
  const treads = page.getByTestId(/^stairs .* treads$/).last();
  const stairs = await restingBox(treads);
  await finger.pinch([stairs.x + stairs.width, stairs.y + 40], 60, 200);
  const near = await restingBox(treads);
  await finger.tap([near.x + near.width / 2, near.y + near.height / 2]);
  await page.getByTestId('stairs-checks').waitFor();
  await picture(page, 'phone-stairs');
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
    await sketching(page, finger);
    await page.goto('/job/quince-cottage');
    await length(page, '12′ 6″').waitFor();
    await finger.tap(await middleOf(length(page, '12′ 6″')));
    await finger.tap(await middleOf(page.getByTestId('strip-window')));
    await picture(page, 'phone-window-imperial');
    for (const step of ['Delete', 'Control+z']) {
      await page.keyboard.press(step);
      await page.locator('[data-testid=sync][aria-label=Saving]').waitFor();
      await page.locator('[data-testid=sync][aria-label=Saved]').waitFor();
    }
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await page.getByRole('tab', { name: 'History' }).tap();
    await page.getByText('The job was begun').waitFor();
    await picture(page, 'phone-history');
    await page.goto('/job/ferry-house');
    await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Ticket hall')));
    await page.getByText('Volume').waitFor();
    await picture(page, 'phone-room');
    // a slip waiting to be found, and the diagonal that was taken to find it
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await finger.tap(await middleOf(page.getByTestId(/^area/).getByText('16.97')));
    await page.getByTestId('contradiction').waitFor();
    await picture(page, 'phone-misclosure');
    await page.getByText('Measure again').tap();
    await page.getByTestId('tape-strip').waitFor();
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await page.getByRole('button', { name: 'Measure', exact: true }).tap();
    await page.getByText(/^Readings \(/).tap();
    await page.getByText('Furthest off').tap();
    await picture(page, 'phone-readings');
    await page.getByRole('button', { name: 'Close readings', exact: true }).tap();
    await page.getByRole('tab', { name: 'Openings' }).tap();
    await page.getByText('To check (1)').waitFor();
    await picture(page, 'phone-schedule');
    await page.getByRole('button', { name: /^W0\.4, / }).tap();
    await press(page, 'Show the elevation');
    await page.getByTestId('elevation').waitFor();
    await page.getByRole('button', { name: /^Sill of the wall/ }).tap();
    await picture(page, 'phone-elevation');
    await press(page, 'Hide the elevation');
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await storeys(page, finger);
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
    await page.getByRole('menuitem', { name: 'Cellar' }).click();
    await page.getByRole('button', { name: 'Underlay Old drawing of the cellar' }).first().click();
    await restingBox(pictureOn(page));
    await picture(page, 'wide-underlay');
  });

  test.describe('in the dark', () => {
    test.use({ colorScheme: 'dark' });

    test('wide view in the dark', async ({ page }) => {
      await page.goto('/job/ferry-house');
      await page
        .getByRole('button', { name: /^Net store/ })
        .first()
        .click();
      await page.getByText('Volume').waitFor();
      await picture(page, 'wide-plan-dark');
    });
  });
});
