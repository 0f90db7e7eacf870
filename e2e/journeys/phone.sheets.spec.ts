import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { Finger, restingBox } from '../finger';
import { key } from '../pad';
import { expect, test } from '../server';

const run = (command: string, ...args: string[]) => execFileSync(command, args, { encoding: 'utf8' });
const leaving = async (page: Page, how: () => Promise<void>): Promise<Download> => {
  const [file] = await Promise.all([page.waitForEvent('download'), how()]);
  return file;
};

test('the listing plan of a house: laid out, a part moved, drawn smaller, another look, words; taken away as PDF, SVG and PNG', async ({
  page,
}, info) => {
  const finger = new Finger(page);
  await page.goto('/job/ferry-house');
  await page.getByRole('tab', { name: 'Sheets' }).tap();
  await key(page, 'Lay out more').tap();
  await key(page, 'Paper A3').tap();
  await key(page, /^Listing plan/).tap();
  const line = key(page, 'Sheet 2, Listing plan, A3 across. Open');
  await expect(line).toBeVisible();
  await expect(line.locator('img')).toBeVisible();
  await line.tap();

  // as it will print: names and sizes, no lengths
  const sheet = page.getByTestId('page');
  await expect(sheet.locator('svg').getByText('Ticket hall').first()).toBeAttached();
  await expect(sheet.locator('[data-role="dimension.taped"]')).toHaveCount(0);
  await expect(page.getByTestId('page-says')).toHaveCount(0);

  // a part is taken hold of and moved over another: said; and back
  const cellar = page.getByTestId('frame Cellar');
  const middle = async () => {
    const box = await restingBox(cellar);
    return [box.x + box.width / 2, box.y + box.height / 2] as const;
  };
  const [x, y] = await middle();
  await finger.drag([x, y], [x + 60, y]);
  await expect(page.getByTestId('page-says')).toHaveText(/^Cellar and .* lie over each other\.$/);
  await key(page, /^Undo move on the sheet/).tap();
  await expect(page.getByTestId('page-says')).toHaveCount(0);

  // its scale, its look, off the sheet and back again
  await finger.tap(await middle());
  await expect(page.getByTestId('frame-tiles')).toBeVisible();
  await key(page, 'Scale 1:20, which does not fit').tap();
  await expect(page.getByTestId('page-says').first()).toHaveText(
    /^Cellar at 1:20 does not fit on A3 across: 1:\d+ would\.$/,
  );
  await key(page, 'Scale 1:200').tap();
  await expect(page.getByTestId('page-says')).toHaveCount(0);
  await key(page, 'Look: for the builder').tap();
  await expect(sheet.locator('[data-role="dimension.rough"], [data-role="dimension.taped"]').first()).toBeAttached();
  await key(page, 'Take Cellar off the sheet').tap();
  await expect(cellar).toHaveCount(0);
  await key(page, /^Undo take off the sheet/).tap();
  await expect(cellar).toHaveCount(1);

  // what the title block says
  await key(page, 'Words').tap();
  await page.getByLabel('Shows', { exact: true }).fill('As it is let');
  await page.getByLabel('Revision', { exact: true }).fill('B');
  await page.getByLabel('Drawn by', { exact: true }).fill('M. Ashdown');
  await page.getByLabel('What can be relied on', { exact: true }).fill('Measured in May. Check before you order.');
  // what is typed is kept when one leaves its field
  await page.getByLabel('What can be relied on', { exact: true }).blur();
  for (const words of ['As it is let', 'M. Ashdown', 'Measured in May. Check before you order.'])
    await expect(sheet.locator('svg').getByText(words).first()).toBeAttached();

  // closer, and back
  await key(page, 'Look closer').tap();
  await expect(sheet).toHaveCount(0);
  await key(page, 'All of the page').tap();
  await expect(sheet).toBeVisible();

  await key(page, 'Leave with').tap();
  const pdf = await leaving(page, () => key(page, 'This sheet as PDF').tap());
  expect(pdf.suggestedFilename()).toBe('Ferry-House.pdf');
  const path = await pdf.path();
  const text = run('pdftotext', '-layout', path, '-');
  for (const words of [
    'Ferry House',
    'As it is let',
    'M. Ashdown',
    'Ticket hall',
    'Upper floor, 1:100',
    '2 of 2',
    'All of the house',
  ])
    expect(text).toContain(words);
  const facts = run('pdfinfo', path);
  expect(facts).toMatch(/Page size: +1190\.5\d* x 841\.8\d* pts \(A3\)/);
  expect(facts).toMatch(/Title: +Ferry House/);

  const svg = await leaving(page, () => key(page, 'This sheet as SVG').tap());
  expect(readFileSync(await svg.path(), 'utf8')).toContain('width="420mm" height="297mm"');

  await key(page, /^Pictures have 300 dots to the inch/).tap();
  const png = await leaving(page, () => key(page, 'This sheet as PNG, 150 dots to the inch').tap());
  const { width, height, density } = await sharp(await png.path()).metadata();
  expect({ width, height, density }).toEqual({ width: 2480, height: 1754, density: 150 });

  // all in one file, with a cover that says what it is
  await key(page, 'All sheets').tap();
  const dxf = await leaving(page, () => key(page, 'Plans of all floors as DXF').tap());
  expect(dxf.suggestedFilename()).toBe('Ferry-House.dxf');
  await key(page, 'Hand over: all in one file').tap();
  await page.getByRole('checkbox', { name: 'Readings, as a table' }).tap();
  await key(page, 'Make one file').tap();
  const zip = await leaving(page, () => key(page, 'Download').tap());
  expect(zip.suggestedFilename()).toBe('Ferry-House-hand-over.zip');
  const files = unzipSync(new Uint8Array(readFileSync(await zip.path())));
  expect(Object.keys(files).sort()).toEqual([
    'Ferry-House-areas.csv',
    'Ferry-House-cover.pdf',
    'Ferry-House-openings.csv',
    'Ferry-House-pieces.csv',
    'Ferry-House-rooms.csv',
    'Ferry-House-sheets.pdf',
    'Ferry-House.dxf',
  ]);
  const cover = info.outputPath('cover.pdf');
  writeFileSync(cover, files['Ferry-House-cover.pdf']!);
  const says = run('pdftotext', '-layout', cover, '-');
  for (const words of ['Ferry House', 'M. Ashdown', 'Ferry-House-rooms.csv', 'Print them at 100 %'])
    expect(says).toContain(words);
  expect(Buffer.from(files['Ferry-House-rooms.csv']!).toString('utf8')).toContain('Ticket hall');
});
