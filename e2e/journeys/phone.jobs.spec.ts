import { key, tapFigure } from '../pad';
import { expect, test } from '../server';

test.describe('in a browser that has nothing of the application yet', () => {
  test.use({ fresh: true });
  test('jobs are found, put in order, renamed without a signal, copied, and come back from the bin', async ({
    page,
    context,
    server,
  }) => {
    await page.goto('/');
    const job = (name: RegExp) => page.getByRole('link', { name });
    await expect(job(/^Ferry House/)).toBeVisible();
    await page.getByLabel('Find by name or address').fill('quince');
    await expect(job(/^Ferry House/)).toHaveCount(0);
    await expect(job(/^Quince Cottage/)).toBeVisible();
    await page.getByLabel('Find by name or address').fill('nobody lives here');
    await expect(page.getByText('No job has “nobody lives here” in its name or address.')).toBeVisible();
    await page.getByLabel('Find by name or address').fill('');
    await key(page, 'In order as last touched. Change.').tap();
    await expect(page.getByRole('link').first()).toHaveAccessibleName(/^Ferry House/);

    // into the bin and back
    await key(page, 'More about Plot 9 boat shed').tap();
    await key(page, 'Plot 9 boat shed into the bin').tap();
    await expect(job(/^Plot 9 boat shed/)).toHaveCount(0);
    await key(page, 'Bin').tap();
    await key(page, 'Give Plot 9 boat shed back').tap();
    await expect(page.getByText('The bin is empty.')).toBeVisible();
    await key(page, 'Bin').tap();
    await expect(job(/^Plot 9 boat shed/)).toBeVisible();

    // how far it has come, and a copy
    await key(page, 'More about Plot 9 boat shed').tap();
    await key(page, 'Done').tap();
    await expect(page.getByText(/ · done$/)).toBeVisible();
    await key(page, 'Copy Plot 9 boat shed').tap();
    await expect(job(/^Plot 9 boat shed, copy,/)).toBeVisible();

    // renamed and turned to another north without a signal; other units change how it reads, not what was read
    await job(/^Quince Cottage/).tap();
    await expect(page.getByTestId('job-total')).toContainText('ft²');
    await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
    // the form comes when it is first wanted; without a signal it can't, which is said, and the plan is still there
    await context.setOffline(true);
    await key(page, /^Quince Cottage sewing room: name/).tap();
    await expect(page.getByText(/it may not be on the device yet/)).toBeVisible();
    await key(page, 'Back to the plan').tap();
    await expect(page.getByTestId('job-total')).toContainText('ft²');
    await context.setOffline(false);
    await page.reload();
    await key(page, /^Quince Cottage sewing room: name/).tap();
    await expect(page.getByLabel('Name (can wait)')).toBeVisible();
    await key(page, 'Back to the plan').tap();
    await context.setOffline(true);
    await key(page, /^Quince Cottage sewing room: name/).tap();
    await page.getByLabel('Name (can wait)').fill('Quince Cottage, upstairs');
    await page.getByText('Metres', { exact: true }).tap();
    await page.getByLabel('North, degrees clockwise from straight up').fill('725');
    await key(page, 'Keep').tap();
    await expect(page.getByText(/North is 0 to 360 degrees/)).toBeVisible();
    await page.getByLabel('North, degrees clockwise from straight up').fill('30');
    await key(page, 'Keep').tap();
    await expect(page.getByTestId('job-total')).toContainText('m²');
    await expect(page.getByText('Quince Cottage, upstairs')).toBeVisible();
    await expect(page.getByTestId('sync')).toHaveAccessibleName(/^Offline\. Kept on this device/);
    await context.setOffline(false);
    await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved', { timeout: 40_000 });
    const { plan } = (await (await page.request.get(`${server.url}/api/jobs/quince-cottage/plan`)).json()) as {
      plan: { job: { name: string; north: number; units: string } };
    };
    expect(plan.job).toMatchObject({ name: 'Quince Cottage, upstairs', north: 30, units: 'metric' });

    // what was done can still be undone after the job was left and come back to
    // the list without a signal; when that is back it is asked for again by itself
    await context.setOffline(true);
    await key(page, 'Jobs').tap();
    const offline = page.getByText('Offline. These are the jobs this device knows.');
    await expect(offline).toBeVisible();
    await context.setOffline(false);
    await expect(offline).toHaveCount(0);
    await job(/^Quince Cottage, upstairs/).tap();
    await key(page, 'Undo job details').tap();
    await expect(page.getByTestId('job-total')).toContainText('ft²');
  });
});

test('someone who reads in millimetres says so once', async ({ page }) => {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await page.touchscreen.tap(90, 200);
  await key(page, 'Numbers without a unit are metres. Change.').tap();
  await key(page, 'Numbers without a unit are centimetres. Change.').tap();
  await tapFigure(page, '4200');
  await expect(page.getByText('= 4.20 m')).toBeVisible();
  // of two units in a row the later holds
  await key(page, 'metres').tap();
  await key(page, 'millimetres').tap();
  await expect(page.getByTestId('typed')).toHaveText('4200 mm');
  await key(page, 'Enter').tap();
  await tapFigure(page, '3100');
  await key(page, 'Enter').tap();
  await expect(page.getByTestId('job-total')).toHaveText('13.02 m²');
  await key(page, 'Later').tap();
  await page.reload();
  await page.getByTestId('job-total').waitFor();
  await page
    .getByTestId(/^length/)
    .first()
    .tap();
  await expect(key(page, 'Numbers without a unit are millimetres. Change.')).toBeVisible();
});
