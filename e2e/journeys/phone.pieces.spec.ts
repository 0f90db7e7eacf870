import type { Page } from '@playwright/test';
import { Finger, middleOf } from '../finger';
import { ofHouse, openMillHouse } from '../mill-house';
import { key } from '../pad';
import { expect, test } from '../server';

const look = (page: Page, name: string) =>
  process.env['LOOK'] ? page.screenshot({ path: `/tmp/look/${name}.png` }) : Promise.resolve();
const takeTool = async (page: Page, name: string) => {
  await key(page, 'All tools').tap();
  await key(page, name).tap();
};

test('pieces', async ({ page, server }) => {
  page.on('console', (m) => m.type() === 'error' && console.log('ERR', m.text()));
  const finger = new Finger(page);
  await openMillHouse(page, server);
  const floor = page.getByTestId(/^floor /);
  const at = (x: number, y: number) => ofHouse(floor, { x, y });
  await takeTool(page, 'Pieces');
  const put = async (words: string, name: string, x: number, y: number) => {
    await page.getByLabel('Find a piece').fill(words);
    const tile = page.getByTestId('pieces-tray').getByRole('button', { name, exact: true });
    await finger.drag(await middleOf(tile), await at(x, y));
    await expect(page.getByTestId('piece-tiles')).toBeVisible();
  };
  await put('base unit', 'Base unit', 900, 4700);
  await look(page, 'p3-put');
  await page.getByRole('tab', { name: 'Copies' }).tap();
  await expect(page.getByTestId('piece-copies')).toBeVisible();
  await look(page, 'p4-copies');
  await key(page, 'Make it 4 pieces').tap();
  await look(page, 'p5-made');
  await key(page, 'Done').tap();
  await put('hob', 'Hob', 900, 4700);
  await look(page, 'p6-hob');
  await page.getByRole('tab', { name: 'About it' }).tap();
  await expect(page.getByTestId('piece-about')).toBeVisible();
  await look(page, 'p7-about');
  await key(page, 'Done').tap();
  await put('built', 'Built-in along a wall', 300, 1700);
  await page.getByRole('tab', { name: 'Made of' }).tap();
  await expect(page.getByTestId('piece-modules')).toBeVisible();
  await look(page, 'p8-made');
  await key(page, 'Done').tap();
  await put('table with', 'Table with chairs', 5000, 2500);
  await look(page, 'p9-table');
  await key(page, 'Done').tap();
  await key(page, 'All pieces').tap();
  await expect(page.getByTestId('catalogue')).toBeVisible();
  await look(page, 'p10-all');
  await key(page, 'Close pieces to put down').tap();
  await key(page, 'The list of pieces').tap();
  await page.getByRole('button', { name: /^To check|^Checks/ }).tap();
  await look(page, 'p11-checks');
  await key(page, 'Space left').tap();
  await look(page, 'p12-space');
});
