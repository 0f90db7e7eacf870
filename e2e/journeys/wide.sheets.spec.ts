import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { WIDE } from '../browser';
import { expect, test } from '../server';
import { key } from '../pad';

test.use(WIDE);

const run = (command: string, ...args: string[]) => execFileSync(command, args, { encoding: 'utf8' });

test('a builder’s set on A3: put in order, another paper, a part more; all as PDF, stopped, as pictures in a ZIP, printed', async ({
  page,
}, info) => {
  await page.goto('/job/ferry-house/sheets');
  await key(page, /^Sheet 1, Listing plan/).click();
  await key(page, 'Page').click();
  await key(page, 'Remove sheet Listing plan').click();
  // none: what a sheet is, and the sets
  await expect(page.getByText(/^A sheet is a page at a true scale/)).toBeVisible();
  await key(page, 'Paper A3').click();
  await key(page, /^Builder’s set/).click();
  await expect(key(page, /^Sheet \d, /)).toHaveCount(7);
  const [pdf] = await Promise.all([page.waitForEvent('download'), key(page, 'All sheets as PDF').click()]);
  const path = await pdf.path();
  expect(run('pdfinfo', path)).toMatch(/Pages: +7/);
  const text = run('pdftotext', '-layout', path, '-');
  for (const words of [
    'Ground floor, 1:50',
    'Doors and windows, Ground floor',
    'Opening in the wall',
    'W0.1',
    '7 of 7',
    // the plan has strings round it, each floor is cut
    'Section, Ground floor, 1:50',
  ])
    expect(text).toContain(words);
  expect(text).toMatch(/≈ 11\.7\d\d/);

  // the schedules of the upper floor first; then upright on A2, with the areas of the house
  await key(page, 'Sheet 6, Schedules, Upper floor, A3 across. Open').click();
  await key(page, 'Page').click();
  for (let i = 0; i < 5; i += 1) await key(page, 'Before the sheet that is before it').click();
  await key(page, 'Paper A2').click();
  await key(page, 'Upright').click();
  const sheet = page.getByTestId('page');
  await expect(sheet.locator('svg[viewBox="0 0 420 594"]')).toBeVisible();
  await expect(sheet.locator('svg').getByText('1 of 7')).toBeAttached();
  await key(page, 'Put on it').click();
  await key(page, 'Walls of a room, from inside').click();
  await page.getByRole('menuitem', { name: 'Waiting room' }).click();
  await expect(page.getByTestId('frame Walls of Waiting room')).toBeVisible();
  await expect(sheet.locator('[data-role="elevation.wall"]')).toHaveCount(8);
  await key(page, 'Done').click();
  // a room alone, with nothing of the rooms beside it
  await key(page, 'Plan of one room').click();
  await page.getByRole('menuitem', { name: 'Waiting room' }).click();
  const alone = page.getByTestId('frame Plan of Waiting room');
  await expect(alone).toBeVisible();
  await key(page, 'Take Plan of Waiting room off the sheet').click();
  // a part is found, and moved, without a pointer at it
  await key(page, 'Part: Walls of Waiting room').press('Enter');
  const walls = page.getByTestId('frame Walls of Waiting room');
  const before = await walls.boundingBox();
  await key(page, '5 mm to the right').press('Enter');
  await expect(async () => expect((await walls.boundingBox())!.x).toBeGreaterThan(before!.x)).toPass();
  await key(page, '5 mm to the left').press('Enter');
  await key(page, 'Done').press('Enter');
  await key(page, 'Areas of the house').click();
  await expect(page.getByTestId('frame Areas')).toBeVisible();
  await expect(page.getByTestId('page-says')).toHaveCount(0);
  await key(page, 'Done').click();
  await key(page, 'Page').click();
  await key(page, 'Remove sheet Schedules, Upper floor').click();
  await expect(key(page, /^Sheet \d, /)).toHaveCount(6);

  // pictures take longer: they can be stopped, and made after all
  await key(page, 'All sheets as PNG, 300 dots to the inch').click();
  await key(page, 'Stop').click();
  await expect(key(page, 'All sheets as PDF')).toBeVisible();
  await key(page, /^Pictures have 300/).click();
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    key(page, 'All sheets as JPEG, 150 dots to the inch').click(),
  ]);
  const files = unzipSync(new Uint8Array(readFileSync(await zip.path())));
  expect(Object.keys(files)).toHaveLength(6);
  expect(Object.keys(files)[1]).toBe('Ferry-House-2-Ground-floor.jpg');

  // through the printer: each page has the size of its sheet, and nothing of the application is on it
  await page.evaluate(() => {
    globalThis.print = () => undefined;
    const { remove } = Element.prototype;
    Element.prototype.remove = function (this: Element) {
      if (this.id !== 'printed-sheets') remove.call(this);
    };
  });
  await key(page, 'Print all sheets').click();
  await expect(page.locator('#printed-sheets svg')).toHaveCount(6);
  const printed = info.outputPath('printed.pdf');
  writeFileSync(printed, await page.pdf({ preferCSSPageSize: true }));
  expect(run('pdfinfo', '-l', '9', printed)).toMatch(/Page +2 size: +119[01]\.\d+ x 84[12]\.\d+ pts/);
  const said = run('pdftotext', printed, '-');
  expect(said).toContain('Ticket hall');
  expect(said).not.toContain('Lay out more');
});
