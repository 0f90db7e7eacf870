import type { Page } from '@playwright/test';
import { key, press, tapFigure, type } from '../pad';
import { Finger, middleOf } from '../finger';
import { expect, test } from '../server';
import { withSteadyMeter } from '../steady-meter';

/** On a phone it is behind the name of the job. */
async function toHistory(page: Page): Promise<void> {
  await key(page, /: name, address/).tap();
  await key(page, 'History').tap();
}

test('what was saved is looked at, named, brought back and undone; the way back is that of the device', async ({
  page,
}) => {
  const finger = new Finger(page);
  await page.goto('/job/quince-cottage');
  const total = page.getByTestId('job-total');
  await expect(total).toHaveText(/144\.8 ft²/);
  await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Sewing room')));
  await press(page, 'Remove room');
  await expect(total).not.toHaveText(/144\.8 ft²/);
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  await toHistory(page);
  const history = page.getByTestId('history');
  await expect(history.getByRole('button', { name: /: .*Sewing room removed.*Look at it$/ })).toBeVisible();
  await history.getByRole('button', { name: /The job was begun/ }).tap();
  const revision = page.getByTestId('revision');
  await expect(revision.getByText('2 rooms, ≈ 144.8 ft²')).toBeVisible();
  await expect(revision.getByText(/^Changed since: .*removed/)).toBeVisible();
  await expect(revision.getByRole('img', { name: 'Plan as it was' }).getByText('Sewing room')).toBeVisible();
  await key(page, 'Give it a name, which keeps it').tap();
  await page.getByLabel('Note', { exact: true }).fill('As first seen');
  await key(page, 'Keep the note').tap();
  await key(page, 'Bring it back').tap();
  await expect(total).toHaveText(/144\.8 ft²/);
  await expect(page).toHaveURL(/\/job\/quince-cottage$/);
  await key(page, /^Undo what was brought back/).tap();
  await expect(total).not.toHaveText(/144\.8 ft²/);
  await key(page, /^Redo what was brought back/).tap();
  await expect(total).toHaveText(/144\.8 ft²/);
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  await toHistory(page);
  await expect(history.getByText('As first seen')).toBeVisible();
  // the button of the device closes it, and the plan is as it was
  await page.goBack();
  await expect(history).toHaveCount(0);
  await expect(total).toHaveText(/144\.8 ft²/);
});

test.describe('on a device that writes figures with a comma', () => {
  test.use({ locale: 'de-DE' });

  test('a newcomer is led from the empty sheet, once; in the practice house the slip is shot again, and figures read as they are written there', async ({
    page,
  }) => {
    const finger = new Finger(page);
    await withSteadyMeter(page);
    await page.goto('/new');
    await page.getByText('Start measuring').tap();
    await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
    await finger.drag([70, 200], [280, 360]);
    const told = page.getByTestId('first-step');
    await expect(told).toContainText('A room wants a name');
    await key(page, 'Kitchen').tap();
    await key(page, 'Done').tap();
    await expect(told).toContainText('Now the tape');
    await finger.tap(await middleOf(page.getByTestId(/^name/)));
    await page.getByText(/^Tape the walls/).tap();
    await tapFigure(page, '4');
    await key(page, 'point').tap();
    await type(page, '2');
    await expect(page.getByLabel('Number pad').getByText(',', { exact: true })).toBeVisible();
    await expect(page.getByTestId('tape-strip')).toBeVisible();
    await key(page, 'Done').tap();
    await expect(page.getByTestId('sheet').getByText('4,20 m', { exact: true }).first()).toBeVisible();
    await expect(told).toContainText('A door or window');
    await key(page, 'I know').tap();
    await expect(told).toHaveCount(0);

    await key(page, 'Jobs').tap();
    await page.getByText('Practice house').tap();
    await expect(page.getByTestId('misclosure').first()).toBeVisible();
    await expect(told).toHaveCount(0);
    await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Parlour')));
    await expect(page.getByTestId('contradiction')).toContainText('4,23 m: digits swapped? 4,32 m would fit.');
    await key(page, 'Measure again').tap();
    await key(page, 'Connect the laser meter').tap();
    await page.getByRole('button', { name: /^Measure with the laser, battery \d+ %/ }).tap();
    await expect(page.getByTestId('typed')).toHaveText(/^4\.3[12]\d m$/);
    await key(page, 'Enter').tap();
    await expect(page.getByTestId('misclosure')).toHaveCount(0);
  });
});
