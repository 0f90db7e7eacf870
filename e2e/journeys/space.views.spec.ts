import { readFile, writeFile } from 'node:fs/promises';
import type { Download, Page } from '@playwright/test';
import sharp from 'sharp';
import { openPlan } from '../attics';
import { WIDE } from '../browser';
import { Finger, middleOf } from '../finger';
import { key } from '../pad';
import { expect, test } from '../server';
import { type Intent, type Plan, applyEdit, deriveFloor, newPlan, vantagesInOrder } from '@velvet-tape/core';

const look = (page: Page, name: string) =>
  process.env['LOOK'] ? page.screenshot({ path: `/tmp/look/${name}.png` }) : Promise.resolve();

test('a house is looked at from outside, floor by floor, cut, and left as a file; then from inside, room after room', async ({
  page,
}) => {
  await page.goto('/job/ferry-house');
  await page.getByRole('tab', { name: 'Views' }).tap();
  await expect(page).toHaveURL(/\/views$/);
  const glass = page.locator('canvas');
  await expect(glass).toBeVisible();
  await look(page, 'v1-look');
  const coming = page.waitForEvent('download');
  await key(page, 'Pictures and files').tap();
  await page.getByRole('menuitem', { name: 'The house as glTF' }).tap();
  expect((await coming).suggestedFilename()).toBe('Ferry-House.glb');

  await page.getByRole('button', { name: 'Which floor is shown. Change.' }).tap();
  await page.getByRole('menuitem', { name: 'Ground floor' }).tap();
  await page.getByLabel('Cut at').fill('1.2');
  await page.getByLabel('Cut at').press('Enter');
  await expect(page.getByLabel('Cut at')).toHaveValue('1.20 m');
  const finger = new Finger(page);
  await finger.drag([200, 300], [120, 330], 4);
  await look(page, 'v2-cut');
  await page.getByRole('button', { name: 'Which room is shown. Change.' }).tap();
  await page.getByRole('menuitem', { name: 'Waiting room' }).tap();
  await look(page, 'v3-room');

  // inside: in the room that is looked at; by its door into the hall
  await key(page, 'Step inside').tap();
  const here = page.getByTestId('standing-in');
  await expect(here).toHaveText('Waiting room');
  await look(page, 'v4-inside');
  await key(page, 'Stand in Ticket hall').tap();
  await expect(here).toHaveText('Ticket hall');
  await look(page, 'v5-hall');
});

/** Two rooms of 4 × 4 m with a door midway in the wall between them. */
function twoRooms(): Plan {
  let plan = newPlan({ name: 'Two rooms' });
  const go = (intent: object) => {
    const result = applyEdit(plan, intent as Intent, `t${Object.keys(plan.walls).length}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
    return result.made!;
  };
  const floor = 'ground';
  const near = go({ kind: 'drawBox', floor, a: { x: 0, y: 0 }, b: { x: 4000, y: 4000 } });
  go({ kind: 'nameRoom', room: near, name: 'Study' });
  const far = go({ kind: 'drawBox', floor, a: { x: 4100, y: 0 }, b: { x: 8100, y: 4000 } });
  go({ kind: 'nameRoom', room: far, name: 'Library' });
  const between = deriveFloor(plan, floor)
    .rooms.find(({ room }) => room.id === near)!
    .faces.find(({ d }) => d.y > 0.9)!;
  go({ kind: 'addOpening', floor, face: between.key, end: 'left', offset: 1585, opening: 'door' });
  return plan;
}

test('a thumb on the ring walks through the door into the next room, up to its wall and not through it; so do the arrow keys', async ({
  page,
  server,
}) => {
  await openPlan(page, server, 'two-rooms', twoRooms());
  await page.getByRole('tab', { name: 'Views' }).tap();
  await key(page, 'Step inside').tap();
  const here = page.getByTestId('standing-in');
  await key(page, 'Stand in Study').tap();
  await expect(here).toHaveText('Study');
  await look(page, 'v6-study');
  const finger = new Finger(page);
  const [x, y] = await middleOf(page.getByTestId('thumb-pad'));
  await finger.down([[x, y]]);
  await finger.move([[x, y - 40]]);
  await expect(here).toHaveText('Library');
  // on and on: the wall holds
  const held = page.getByTestId('plan-mark');
  await expect
    .poll(async () => {
      const before = await held.innerHTML();
      await page.evaluate(() => new Promise((done) => setTimeout(done, 400)));
      return (await held.innerHTML()) === before;
    })
    .toBe(true);
  await expect(here).toHaveText('Library');
  await finger.up();
  await look(page, 'v7-library');
  await page.getByTestId('space').focus();
  await page.keyboard.down('ArrowDown');
  await expect(here).toHaveText('Study');
  await page.keyboard.up('ArrowDown');
});

test('a view is kept, named, its lens typed and stepped through; three vantages become pictures of the size that was asked for', async ({
  page,
  server,
}) => {
  await openPlan(page, server, 'two-rooms', twoRooms());
  await page.getByRole('tab', { name: 'Views' }).tap();
  await key(page, 'Step inside').tap();
  await key(page, 'Stand in Study').tap();
  await key(page, 'Keep this view as a vantage').tap();
  const vantage = page.getByTestId('vantage');
  await expect(vantage).toHaveText('Study');
  const name = page.getByLabel('Name of the vantage');
  await name.fill('From the stove');
  await name.press('Enter');
  await expect(vantage).toHaveText('From the stove');
  await page.getByLabel('Lens, mm').fill('240');
  await page.getByLabel('Lens, mm').press('Enter');
  await expect(page.getByText(/^A lens has 10 to 200 mm/).first()).toBeVisible();
  await page.getByLabel('Lens, mm').fill('24');
  await page.getByLabel('Lens, mm').press('Enter');
  await look(page, 'p1-kept');
  for (const room of ['Library', 'Study']) {
    await key(page, 'Step inside').tap();
    await key(page, `Stand in ${room}`).tap();
    await key(page, 'Keep this view as a vantage').tap();
    await expect(vantage).toHaveText(new RegExp(`^${room}`));
  }
  await key(page, 'The next vantage').tap();
  await expect(vantage).toHaveText('From the stove');
  await expect(page.getByLabel('Lens, mm')).toHaveValue('24');
  await look(page, 'p2-stove');
  await key(page, 'The next vantage').tap();
  await expect(vantage).toHaveText('Library');

  // a picture of each, as JPEG, 1280 px wide
  await key(page, 'Pictures and files').tap();
  await page.getByRole('menuitem', { name: 'Take a picture' }).tap();
  await key(page, '16:9').tap();
  await key(page, 'JPEG').tap();
  await page.getByRole('button', { name: /^Its longer side/ }).tap();
  await page.getByRole('menuitem', { name: '1280 px' }).tap();
  await look(page, 'p6-picture');
  // on an emulated card soft shade takes its time: one picture has it
  await key(page, 'Soft shade where things meet').tap();
  const came: Download[] = [];
  page.on('download', (each) => came.push(each));
  await key(page, 'A picture of each of 3 vantages').tap();
  // a card that is emulated takes seconds for each
  await expect.poll(() => came.length, { timeout: 150_000 }).toBe(3);
  for (const [i, each] of came.entries()) {
    const bytes = await readFile((await each.path())!);
    expect(await sharp(bytes).metadata()).toMatchObject({ width: 1280, height: 720, format: 'jpeg' });
    if (process.env['LOOK']) await writeFile(`/tmp/look/pic${i}.jpg`, bytes);
  }
  expect(came.map((each) => each.suggestedFilename())).toContain('Two-rooms-From-the-stove.jpg');
  // one is kept with the job, and leaves from there
  await key(page, 'They leave as files. Change.').tap();
  await key(page, 'Soft shade where things meet').tap();
  await key(page, 'Take the picture').tap();
  const kept = page.getByTestId('kept-pictures');
  await expect(kept).toContainText('1280 × 720');
  await look(page, 'p7-kept');
  const leaves = page.waitForEvent('download');
  await kept.getByRole('button', { name: /^Leave/ }).tap();
  const bytes = await readFile((await (await leaves).path())!);
  if (process.env['LOOK']) await writeFile('/tmp/look/kept.jpg', bytes);
  expect(await sharp(bytes).metadata()).toMatchObject({ width: 1280, height: 720, format: 'jpeg' });

  // a tap on its mark on the plan offers to look from it again
  await page.getByRole('tab', { name: 'Plan' }).tap();
  const mark = page.getByTestId(/^vantage [^ ]+$/).nth(1);
  await expect(mark).toBeVisible();
  await page.touchscreen.tap(...(await middleOf(mark)));
  await expect(page.getByText('Vantage: Library')).toBeVisible();
  await look(page, 'p8-mark');
  await key(page, 'Look from here').tap();
  await expect(vantage).toHaveText('Library');
});

test('the sun goes through the day and the year on a slider, falls on floors, and is kept with a vantage; a house that is nowhere is asked where it is', async ({
  page,
  server,
}) => {
  await page.goto('/job/ferry-house/views');
  await page.getByRole('button', { name: 'Which floor is shown. Change.' }).tap();
  await page.getByRole('menuitem', { name: 'Ground floor' }).tap();
  await key(page, 'Sun: place, day and time').tap();
  const sun = page.getByTestId('sun');
  const says = sun.getByRole('status');
  await expect(says).toHaveText(/^The sun is /);
  const day = sun.getByLabel('Day of the year');
  const time = sun.getByLabel('Time of day');
  await day.fill('172');
  await time.fill('540');
  await expect(says).toHaveText('The sun is 45° up in the south-east. It falls on no floor.');
  await look(page, 's1-morning');
  await time.fill('1020');
  await expect(says).toHaveText(/up in the (south-)?west\. On the floor: .*Ticket hall \d/);
  await look(page, 's2-evening');
  await day.fill('355');
  await expect(says).toHaveText('The sun is below the horizon.');
  await look(page, 's3-night');
  await sun.getByLabel('Latitude').fill('95');
  await sun.getByLabel('Latitude').press('Enter');
  await expect(page.getByText('Latitude is −90 to 90 degrees, longitude −180 to 180.').first()).toBeVisible();
  await key(page, 'Dismiss').tap();
  await day.fill('100');
  await key(page, 'Close the sun').tap();
  await key(page, 'Step inside').tap();
  await look(page, 's4-inside');
  await key(page, 'Keep this view as a vantage').tap();
  await expect(page.getByTestId('vantage')).toBeVisible();
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  const { plan } = (await (await page.request.get(`${server.url}/api/jobs/ferry-house/plan`)).json()) as { plan: Plan };
  expect(vantagesInOrder(plan).at(-1)!.sun).toEqual({ day: 100, minutes: 1020 });

  await openPlan(page, server, 'two-rooms', twoRooms());
  await page.getByRole('tab', { name: 'Views' }).tap();
  await key(page, 'Sun: place, day and time').tap();
  await expect(page.getByText(/^Where is the house\?/)).toBeVisible();
  await sun.getByLabel('Latitude').fill('48');
  await sun.getByLabel('Latitude').press('Enter');
  await expect(says).toHaveText(/^The sun is /);
});

test.describe('at a desk', () => {
  test.use(WIDE);

  test('the house stands beside the ledger; what is corrected on the plan is corrected there', async ({ page }) => {
    await page.goto('/job/ferry-house');
    await page
      .getByRole('button', { name: /^Porch/ })
      .first()
      .click();
    await page.keyboard.press('Delete');
    await page.getByRole('tab', { name: 'Views' }).click();
    await expect(page.locator('canvas')).toBeVisible();
    const rooms = page.getByRole('button', { name: 'Which room is shown. Change.' });
    const porches = async () => {
      await rooms.click();
      const all = page.getByRole('menuitem', { name: 'All rooms' });
      await page.getByRole('menuitem', { name: 'Ticket hall' }).waitFor();
      const found = await page.getByRole('menuitem', { name: 'Porch' }).count();
      await all.click();
      await all.waitFor({ state: 'detached' });
      return found;
    };
    expect(await porches()).toBe(0);
    // given back while one looks at the house
    await key(page, /^Undo/).first().click();
    await expect.poll(porches).toBe(1);
    await look(page, 'v9-wide');
    await key(page, 'Floors drawn apart').click();
    await key(page, 'See through walls').click();
    await look(page, 'v10-apart');
    await key(page, 'Step inside').click();
    await expect(page.getByTestId('standing-in')).toBeVisible();
    await look(page, 'v11-inside');
  });
});

test('an empty plan says what is to be done, and a browser that draws nothing in space is told so', async ({
  page,
  server,
}) => {
  await openPlan(page, server, 'nothing-yet', newPlan({ name: 'Nothing yet' }));
  await page.getByRole('tab', { name: 'Views' }).tap();
  await expect(page.getByText(/^There is nothing to raise yet/)).toBeVisible();
  await key(page, 'Step inside').tap();
  await expect(page.getByText('There is no room yet that one could stand in.')).toBeVisible();
  await look(page, 'v8-empty');
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null;
  });
  await page.reload();
  await expect(page.getByText(/^This browser draws nothing in space/)).toBeVisible();
});

test.describe('on a wide screen', () => {
  test.use(WIDE);
  test('a small view beside the plan shows the house from a mark, follows that mark and what is dragged; a room that is tapped is stepped into, and back', async ({
    page,
    server,
  }) => {
    await openPlan(page, server, 'two-rooms', twoRooms());
    await key(page, 'Small view of the house').click();
    const panel = page.getByTestId('small-view');
    const mark = page.getByTestId('camera-mark');
    await expect(panel.locator('canvas')).toBeVisible();
    await expect(mark).toBeVisible();
    await look(page, 'w1-small-view');
    const shot = () => panel.screenshot();
    const before = await shot();
    await mark.focus();
    for (let i = 0; i < 6; i += 1) await page.keyboard.press('ArrowRight');
    await expect.poll(async () => (await shot()).equals(before)).toBe(false);
    const [x, y] = await middleOf(mark);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 60, y + 20, { steps: 4 });
    await page.mouse.up();
    await look(page, 'w2-mark');
    await expect.poll(async () => Math.round((await middleOf(mark))[0] - x)).toBe(60);
    // from the plan into a room, and back to the plan
    await page
      .getByRole('button', { name: /^Library/ })
      .first()
      .click();
    await key(page, 'Step inside this room').click();
    await expect(page.getByTestId('standing-in')).toHaveText('Library');
    await page.getByRole('tab', { name: 'Plan' }).click();
    await expect(panel).toBeVisible();
  });
});
