import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { key } from '../pad';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

const run = (command: string, ...args: string[]) => execFileSync(command, args, { encoding: 'utf8' });

test('strings round the house on a wide screen: other ends for all of them, a figure written over, a point more; on the sheet and in DXF as on the screen', async ({
  page,
}, info) => {
  await page.goto('/job/ferry-house');
  await page
    .getByTestId(/^floor /)
    .first()
    .waitFor();
  // what the demo has: a text with a line to what it is about, and a sign
  await expect(page.getByTestId('sheet').getByText('Damp to 0.60 m')).toBeAttached();
  await page.keyboard.press('p');
  await key(page, 'Lay strings').click();
  await page.getByRole('menuitem', { name: 'Round the house' }).click();
  const figures = page.getByTestId(/^dimension-line .* figure \d+$/);
  await expect(figures.filter({ hasText: '11.7' }).first()).toBeVisible();
  if (process.env['LOOK']) await page.screenshot({ path: '/tmp/look/wide-1.png' });

  // clear of what lies over the sheet
  await key(page, 'Zoom out (−)').click();
  // one is chosen by its figure: all that were laid with it change their ends
  const whole = figures.filter({ hasText: '11.7' }).first();
  await whole.click();
  await expect(page.getByTestId('dimension-tiles')).toBeVisible();
  const id = /^dimension-line (\S+)/.exec((await whole.getAttribute('data-testid'))!)![1]!;
  await key(page, 'Ends: tick').click();
  await page.getByRole('menuitem', { name: 'Dot', exact: true }).click();
  await expect(page.getByTestId(/^dimension-line .* ends$/)).toHaveCount(0);
  await expect(page.getByTestId(/^dimension-line .* heads$/).first()).toBeAttached();
  await page.getByLabel('Write instead of the figure').fill('11.75 as agreed');
  await key(page, 'Keep what is written instead').click();
  await expect(page.getByTestId(`dimension-line ${id} figure 0`)).toHaveText('11.75 as agreed');
  await expect(page.getByTestId(`dimension-line ${id} said 0`)).toBeAttached();
  if (process.env['LOOK']) await page.screenshot({ path: '/tmp/look/wide-2.png' });
  await page.keyboard.press('Escape');

  // found without a pointer
  await key(page, 'Note: double socket').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('annotation-tiles')).toBeVisible();
  await page.keyboard.press('Escape');

  // what is on the screen is in the file
  await page.getByRole('tab', { name: 'Sheets' }).click();
  await key(page, 'Lay out more').click();
  await key(page, 'Paper A3').click();
  await key(page, /^Builder’s set/).click();
  const [pdf] = await Promise.all([page.waitForEvent('download'), key(page, 'All sheets as PDF').click()]);
  const text = run('pdftotext', '-layout', await pdf.path(), '-');
  for (const words of ['11.75 as agreed', 'Damp to 0.60 m', 'underlined: as told']) expect(text).toContain(words);
  if (process.env['LOOK']) run('pdftoppm', '-r', '110', '-png', await pdf.path(), '/tmp/look/builder');
  // a picture of the job beside it, and a logo in every title block
  await key(page, /^Sheet 8, Sections/).click();
  await key(page, 'Put on it').click();
  await key(page, 'A picture').click();
  await page.getByRole('menuitem', { name: 'Old drawing of the cellar' }).click();
  await expect(page.getByTestId('frame Picture')).toBeVisible();
  await key(page, 'Scale 30 mm wide').click();
  await key(page, 'Done').click();
  const sheet = page.getByTestId('page');
  await expect(sheet.locator('svg image')).toHaveCount(1);
  await key(page, 'Words').click();
  const logo = await sharp({ create: { width: 300, height: 150, channels: 3, background: '#7a2e4d' } })
    .png()
    .toBuffer();
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), key(page, 'Logo of all sheets').click()]);
  await chooser.setFiles({ name: 'logo.png', mimeType: 'image/png', buffer: logo });
  await expect(sheet.locator('svg image')).toHaveCount(2);
  if (process.env['LOOK']) await page.screenshot({ path: '/tmp/look/wide-3.png' });
  await key(page, 'All sheets').click();

  // a new job of the workspace begins with the logo
  await expect(async () => {
    const { logo } = (await (await page.request.get('/api/logo')).json()) as { logo: { width: number } | null };
    expect(logo?.width).toBe(300);
  }).toPass();

  const [dxf] = await Promise.all([page.waitForEvent('download'), key(page, 'Plans of all floors as DXF').click()]);
  const drawn = readFileSync(await dxf.path(), 'utf8');
  expect(drawn).toContain('11.75 as agreed');
  expect(drawn).toContain('Damp to 0.60 m');

  // all in one file, the builder's set among it
  await key(page, 'Hand over: all in one file').click();
  await key(page, 'Make one file').click();
  const [zip] = await Promise.all([page.waitForEvent('download'), key(page, 'Download').click()]);
  const handed = unzipSync(new Uint8Array(readFileSync(await zip.path())));
  const set = info.outputPath('set.pdf');
  writeFileSync(set, handed['Ferry-House-sheets.pdf']!);
  expect(run('pdfinfo', set)).toMatch(/Pages: +8/);
  expect(run('pdftotext', '-layout', set, '-')).toContain('Ground floor, 1:50');
});
