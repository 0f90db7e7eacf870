import type { Plan } from '@velvet-tape/core';
import { Finger, middleOf } from '../finger';
import { openPlan } from '../attics';
import { ofHouse } from '../mill-house';
import { key } from '../pad';
import { expect, test } from '../server';
import type { Page } from '@playwright/test';

const takeTool = async (page: Page, name: string) => {
  await key(page, 'All tools').tap();
  await key(page, name).tap();
};
const look = (page: Page, name: string) =>
  process.env['LOOK'] ? page.screenshot({ path: `/tmp/look/${name}.png` }) : Promise.resolve();

/** Finds a kind by a word, and drags it onto the plan. */
async function put(page: Page, words: string, name: string, x: number, y: number): Promise<void> {
  await page.getByLabel('Find a piece').fill(words);
  const tile = page.getByTestId('pieces-tray').getByRole('button', { name, exact: true });
  const at = await ofHouse(page.getByTestId(/^floor /), { x, y });
  await new Finger(page).drag(await middleOf(tile), at);
  await expect(page.getByTestId('piece-tiles')).toBeVisible();
}

const stored = async (page: Page, url: string): Promise<Plan> =>
  ((await (await page.request.get(url)).json()) as { plan: Plan }).plan;

test('the keeper’s kitchen is furnished with a thumb: a run of units round the corner, sink and hob in it, a fridge with its gap', async ({
  page,
  server,
}) => {
  const plan = await stored(page, `${server.url}/api/jobs/ferry-house/plan`);
  const bare: Plan = { ...plan, pieces: {}, options: {}, alterations: {}, alterationEnds: {} };
  await openPlan(page, server, 'bare-house', bare);
  await takeTool(page, 'Pieces');
  // the kitchen as large as the screen
  const wall = page.getByTestId(/^floor /);
  const finger = new Finger(page);
  await finger.pinch(await ofHouse(wall, { x: 1500, y: 5800 }), 60, 220);
  await put(page, 'corner', 'Corner base unit', 500, 4600);
  await key(page, 'Done').tap();
  await put(page, 'base unit', 'Base unit', 1300, 4450);
  await page.getByRole('tab', { name: 'Copies' }).tap();
  await look(page, 'k1-copies');
  await key(page, 'Done').tap();
  await put(page, 'sink', 'Sink base unit', 400, 5600);
  await key(page, 'Done').tap();
  await put(page, 'hob', 'Hob', 1300, 4450);
  await key(page, 'Done').tap();
  await put(page, 'fridge', 'Fridge-freezer', 900, 7100);
  await look(page, 'k2-fridge');
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  const saved = await stored(page, `${server.url}/api/jobs/bare-house/plan`);
  console.log(JSON.stringify(Object.values(saved.pieces).map(({ form, stand, width }) => ({ form, stand, width }))));
});
