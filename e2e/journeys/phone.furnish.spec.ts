import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { type Plan, deriveFloor } from '@velvet-tape/core';
import { piecesOn } from '@velvet-tape/core/pieces';
import { attic, openPlan } from '../attics';
import { Finger, middleOf } from '../finger';
import { ofHouse } from '../mill-house';
import { key, press, type } from '../pad';
import { type Server, expect, test } from '../server';

const look = (page: Page, name: string) =>
  process.env['LOOK'] ? page.screenshot({ path: `/tmp/look/${name}.png` }) : Promise.resolve();

/** A phone with a room of 5 × 4 m on it, and pieces in hand. */
async function atHand(page: Page, server: Server, id: string) {
  await openPlan(page, server, id, attic());
  await key(page, 'All tools').tap();
  await key(page, 'Pieces').tap();
  const finger = new Finger(page);
  const floor = page.getByTestId(/^floor /);
  const at = (x: number, y: number) => ofHouse(floor, { x, y });
  const put = async (words: string, name: string, x: number, y: number) => {
    await page.getByLabel('Find a piece').fill(words);
    const tile = page.getByTestId('pieces-tray').getByRole('button', { name, exact: true });
    await finger.drag(await middleOf(tile), await at(x, y));
    await expect(page.getByTestId('piece-tiles')).toBeVisible();
  };
  const saved = async () => {
    await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
    const { plan } = (await (await page.request.get(`${server.url}/api/jobs/${id}/plan`)).json()) as { plan: Plan };
    return { plan, all: piecesOn(plan.pieces, deriveFloor(plan, 'ground')) };
  };
  /** Types into a figure of the chosen piece. */
  const figure = async (name: RegExp, text: string) => {
    await key(page, name).tap();
    await type(page, text);
  };
  return { finger, at, put, saved, figure };
}

test('a wall is filled with cupboards, parted and read; four chairs stand round a table, all looking at it', async ({
  page,
  server,
}) => {
  const { finger, at, put, saved } = await atHand(page, server, 'fitted-room');
  // drawn along the wall, from corner to corner
  await page.getByLabel('Find a piece').fill('built-in');
  await page.getByTestId('pieces-tray').getByRole('button', { name: 'Built-in along a wall', exact: true }).tap();
  await expect(page.getByText('Drag along its wall, or tap where it goes: Built-in along a wall.')).toBeVisible();
  await finger.drag(await at(150, 250), await at(3000, 300), 12);
  await page.getByRole('tab', { name: 'Made of' }).tap();
  const made = page.getByTestId('piece-modules');
  await expect(made.getByText(/^Of its wall 0\.00 m are left at its left, 2\.00 m at its right\.$/)).toBeVisible();
  await look(page, 'f1-built-in');
  await key(page, 'From wall to wall, or to what stands there').tap();
  await expect(made.getByText(/at its right: it is in the middle\.$/)).toBeVisible();
  await key(page, 'The part to the right').tap();
  await made.getByLabel('Its width').fill('900');
  await made.getByLabel('Its width').press('Enter');
  await expect(made.getByText('Part 2 of 5: 0.90 m')).toBeVisible();
  await key(page, 'What fills it').tap();
  await page.getByRole('menuitem', { name: 'Drawers' }).tap();
  await look(page, 'f2-drawers');
  await key(page, 'Done').tap();

  // a table with four chairs round it, as one group
  await put('table', 'Table', 2500, 2600);
  await key(page, 'Done').tap();
  await put('chair', 'Chair', 2500, 3250);
  await page.getByRole('tab', { name: 'Copies' }).tap();
  await key(page, 'Round what is nearest').tap();
  await key(page, 'Make it 4 pieces').tap();
  await look(page, 'f3-round');
  const { all } = await saved();
  const chairs = all.filter(({ piece }) => piece.form === 'chair');
  expect(chairs).toHaveLength(4);
  // two along each long side, their fronts to it
  expect(chairs.map(({ piece: { stand } }) => (stand.kind === 'free' ? stand.turn : null)).sort()).toEqual([
    0, 0, 180, 180,
  ]);
  await key(page, 'Done').tap();

  // the wall it is built along, from inside the room: its front beside the strip, all five parts of it
  await key(page, 'All tools').tap();
  await key(page, 'Choose').tap();
  await finger.tap(await at(2500, -100));
  await look(page, 'f4-wall');
  await press(page, 'Show the elevation');
  const elevation = page.getByTestId('elevation');
  await expect(elevation).toBeVisible();
  await look(page, 'f4-front');
  const marks = () => elevation.locator('svg path').count();
  const built = await marks();
  expect(built).toBeGreaterThan(3);
  await key(page, 'Next wall').tap();
  await expect.poll(marks).toBeLessThan(3);
});

test('two boxes are put down, and five made from the one to the other; a rug goes under a table, and each has its number', async ({
  page,
  server,
}) => {
  const { finger, at, put, saved } = await atHand(page, server, 'in-between');
  await put('box', 'Box', 700, 2000);
  await key(page, 'Done').tap();
  await put('box', 'Box', 4300, 2000);
  await key(page, 'And another: what is tapped is chosen too').tap();
  await finger.tap(await at(700, 2000));
  await page.getByRole('tab', { name: 'Copies' }).tap();
  await expect(page.getByText('From the one to the other, both of them counted.')).toBeVisible();
  await key(page, 'In all: more').tap();
  await look(page, 'f9-between');
  await key(page, 'Make it 5 pieces').tap();
  const { all } = await saved();
  const middles = all.map(({ ring }) => ring.reduce((sum, { x }) => sum + x / ring.length, 0)).sort((a, b) => a - b);
  expect(middles).toHaveLength(5);
  const steps = middles.slice(1).map((x, i) => x - middles[i]!);
  for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 6);
  await key(page, 'Done').tap();

  // what was put down last lies over the others, till it is told not to
  await put('rug', 'Rug', 2500, 2200);
  const isUnder = async () => {
    const pieces = Object.values((await saved()).plan.pieces);
    const rug = pieces.find(({ form }) => form === 'rug')!;
    return pieces.every((piece) => piece === rug || rug.order < piece.order);
  };
  expect(await isUnder()).toBe(false);
  await key(page, 'Which lies over the other').tap();
  await page.getByRole('menuitem', { name: 'Under the others' }).tap();
  await expect.poll(isUnder).toBe(true);
  await key(page, 'Done').tap();
  await key(page, 'Choose').tap();
  await key(page, 'What shows').tap();
  await key(page, 'Numbers of pieces: on').tap();
  await key(page, 'Close what shows').tap();
  for (const number of ['1', '2', '3', '4', '5', '6'])
    await expect(page.locator('svg text').getByText(number, { exact: true })).toBeVisible();
  await look(page, 'f10-numbers');
});

test('a piece of one’s own is sized, described and kept, and put down in another job; the list of pieces leaves as files', async ({
  page,
  server,
}) => {
  const { put, saved, figure } = await atHand(page, server, 'own-pieces');
  await put('box', 'Box', 2000, 2000);
  await figure(/^Width/, '1.23');
  await figure(/^Depth/, '.4');
  await page.getByRole('tab', { name: 'About it' }).tap();
  const about = page.getByTestId('piece-about');
  for (const [label, text] of [
    ['Name', 'Organ of the parish'],
    ['Price', '1 250,50'],
    ['Note', 'pipes go first'],
  ] as const) {
    await about.getByLabel(label).fill(text);
    await about.getByLabel(label).press('Enter');
  }
  await look(page, 'f4-about');
  await key(page, 'Keep it for later jobs').tap();
  await key(page, 'Done').tap();
  const { all } = await saved();
  expect(all[0]!.piece).toMatchObject({ name: 'Organ of the parish', width: 1230, depth: 400, price: 1250.5 });

  await key(page, 'The list of pieces').tap();
  const list = page.getByTestId('pieces');
  await expect(list.getByText('1 piece, 1250.50 in all.')).toBeVisible();
  await look(page, 'f5-list');
  const coming = page.waitForEvent('download');
  await key(page, 'Pieces as CSV').tap();
  const csv = await readFile((await (await coming).path())!, 'utf8');
  expect(csv).toContain('Organ of the parish');

  const other = await atHand(page, server, 'another-job');
  await key(page, 'Kept: Organ of the parish').tap();
  await other.finger.tap(await other.at(2500, 2500));
  expect((await other.saved()).all[0]!.piece).toMatchObject({ width: 1230, note: 'pipes go first' });
});

test('what is wrong is said and heard, distances are typed, and what space is left is drawn', async ({
  page,
  server,
}) => {
  const { put, saved, figure } = await atHand(page, server, 'too-much');
  await put('wardrobe', 'Wardrobe', 1000, 300);
  await figure(/^Left/, '.35');
  await key(page, 'Done').tap();
  await put('bed', 'Double bed', 1100, 1500);
  await look(page, 'f6-bed');
  const says = page.getByTestId('piece-tiles');
  await expect(says.getByText(/wanted|stand in each other/).first()).toBeVisible();
  await says
    .getByRole('button', { name: /^Heard:/ })
    .first()
    .tap();
  await look(page, 'f7-heard');
  await key(page, 'Done').tap();
  await key(page, 'The list of pieces').tap();
  await key(page, 'Space left').tap();
  await look(page, 'f8-space');
  await expect(
    page
      .getByTestId('pieces')
      .getByText(/1\.50 m/)
      .first(),
  ).toBeVisible();
  const { all } = await saved();
  const wardrobe = all.find(({ piece }) => piece.form === 'wardrobe')!;
  expect(Math.min(...wardrobe.ring.map(({ x }) => x))).toBeCloseTo(350, 6);
});
