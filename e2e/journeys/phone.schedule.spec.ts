import { text } from 'node:stream/consumers';
import type { Page } from '@playwright/test';
import { key, press } from '../pad';
import { expect, test } from '../server';

const schedule = (page: Page) => page.getByTestId('schedule');

async function openSchedule(page: Page): Promise<void> {
  const openings = page.getByRole('tab', { name: 'Openings' });
  await openings.or(key(page, 'Done')).first().waitFor();
  if (!(await openings.isVisible())) await key(page, 'Done').tap();
  await openings.tap();
  await expect(schedule(page)).toBeVisible();
}

test('doors and windows by their numbers; what is wrong is said, shown on the plan and mended', async ({ page }) => {
  await page.goto('/job/ferry-house');
  await openSchedule(page);
  await expect(schedule(page).getByRole('button', { name: /^[DW]0\.\d, / })).toHaveCount(9);
  await schedule(page).getByText('Windows', { exact: true }).tap();
  await expect(schedule(page).getByRole('button', { name: /^[DW]0\.\d, / })).toHaveCount(4);
  const download = page.waitForEvent('download');
  await key(page, 'Doors and windows as CSV').tap();
  const csv = await (await download).createReadStream().then(text);
  expect(csv).toMatch(
    /Ground floor,D0\.2,door,Hinged door [^,]*,0\.83,2\.04,0,2\.04,0\.795,0\.9,2\.075,0\.1,left,Waiting room,Waiting room \/ Ticket hall,0,/,
  );
  expect(csv).toMatch(
    /Ground floor,W0\.1,window,[^,]*,1\.2,1\.35,0\.85,2\.2,,1\.2,1\.35,0\.3,,,Ticket hall \/ Outside,1\.134,/,
  );

  // nobody could get into the porch
  await schedule(page).getByText('To check (1)').tap();
  await schedule(page)
    .getByRole('button', { name: /^No door leads into Porch\./ })
    .tap();
  await expect(page.getByText('Tape the walls (5 still rough)')).toBeVisible();
  await page.getByText('Tape the walls (5 still rough)').tap();
  await key(page, 'Wall before').tap();
  await press(page, 'Add door');
  await expect(key(page, 'Undo add opening')).toBeVisible();
  await openSchedule(page);
  await expect(schedule(page).getByRole('button', { name: /^D0\.6, 0\.83 m × 2\.04 m, / })).toBeVisible();
  await expect(schedule(page).getByText('No door leads into Porch.')).toHaveCount(0);

  // a row leads to its door on the plan; pushed into the corner it has no wall beside it
  await schedule(page)
    .getByRole('button', { name: /^D0\.6, / })
    .tap();
  await expect(page.getByTestId('chosen-opening')).toHaveCount(1);
  await page.getByRole('button', { name: /^From left: / }).tap();
  for (const name of ['0', 'point', '0', '2'])
    await page.getByLabel('Number pad').getByRole('button', { name, exact: true }).tap();
  await key(page, 'Enter').tap();
  await openSchedule(page);
  await expect(schedule(page).getByText('D0.6 has only 0.02 m of wall beside it; 0.10 m is wanted.')).toBeVisible();
  await key(page, 'Close doors and windows').tap();
  await key(page, 'Undo change opening').tap();
  await openSchedule(page);
  await expect(schedule(page).getByText(/D0\.6 has only/)).toHaveCount(0);
});
