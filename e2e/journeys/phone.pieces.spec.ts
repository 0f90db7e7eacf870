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
  await expect(page.getByTestId('pieces-tray')).toBeVisible();
  await look(page, 'p1-tray');
  await page.getByLabel('Find a piece').fill('sofaa');
  await look(page, 'p2-find');
  const tile = page.getByTestId('pieces-tray').getByRole('button', { name: 'Sofa, 3 seats' });
  await finger.drag(await middleOf(tile), await at(4000, 700));
  await expect(page.getByTestId('piece-tiles')).toBeVisible();
  await look(page, 'p3-put');
  await page.getByRole('tab', { name: 'Copies' }).tap();
  await look(page, 'p4-copies');
  await page.getByRole('tab', { name: 'About it' }).tap();
  await look(page, 'p5-about');
  await key(page, 'Done').tap();
  await key(page, 'All pieces').tap();
  await look(page, 'p6-all');
});
