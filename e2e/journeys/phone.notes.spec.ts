import type { Page } from '@playwright/test';
import { Finger } from '../finger';
import { ofHouse, openMillHouse } from '../mill-house';
import { key, type } from '../pad';
import { expect, test } from '../server';

const look = (page: Page, name: string) =>
  process.env['LOOK'] ? page.screenshot({ path: `/tmp/look/${name}.png` }) : Promise.resolve();
const figures = (page: Page) => page.getByTestId(/^dimension-line .* figure \d+$/);
const takeTool = async (page: Page, name: string) => {
  await key(page, 'All tools').tap();
  await key(page, name).tap();
};

test('strings round the house, a dimension line drawn and moved, a figure written over, a text with a line to what it is about, a sign; all undone', async ({
  page,
  server,
}) => {
  const finger = new Finger(page);
  await openMillHouse(page, server);
  const floor = page.getByTestId(/^floor /);
  const at = (x: number, y: number) => ofHouse(floor, { x, y });
  await takeTool(page, 'Notes');
  await look(page, 'notes-1-tool');

  // strings lay themselves round the house, and say what they are
  await key(page, 'Lay strings').tap();
  await look(page, 'notes-2-strings-menu');
  await page.getByRole('menuitem', { name: 'Round the house' }).tap();
  await expect(page.getByText(/^Strings are laid\./)).toBeVisible();
  // 0.25 + 8.00 + 0.25 and the lean-to with its walls
  await expect(figures(page).getByText('≈ 11.25').first()).toBeAttached();
  await key(page, 'Fit').tap();
  await look(page, 'notes-3-strings');
  await key(page, /^Undo lay strings/).tap();
  await expect(figures(page)).toHaveCount(0);

  // a line from an inside corner to the one across, a little off both: caught by the faces
  await finger.drag(await at(120, 2900), await at(7900, 2800));
  await expect(page.getByTestId('dimension-tiles')).toBeVisible();
  await look(page, 'notes-4-line');
  await expect(figures(page)).toHaveCount(1);
  await expect(figures(page).first()).toHaveText('≈ 8.00');

  // moved sideways by a finger, and by a typed figure
  await page.waitForTimeout(300);
  await finger.drag(await at(4000, 2880), await at(4000, 3600));
  await key(page, /^Undo change dimension line/).tap();
  await key(page, /^Redo change dimension line/).tap();

  // another figure in its place: marked, and the true one is said
  await page.getByLabel('Write instead of the figure').fill('8.05');
  await key(page, 'Keep what is written instead').tap();
  await expect(figures(page).first()).toHaveText('8.05');
  await expect(page.getByText(/^Written by hand, and underlined\. Truly 8\.0/)).toBeVisible();
  await look(page, 'notes-5-said');
  await key(page, 'The true figure').tap();
  await expect(figures(page).first()).toHaveText(/^≈ 8\.0/);
  await key(page, 'Ends: tick').tap();
  await page.getByRole('menuitem', { name: 'Arrow', exact: true }).tap();
  await key(page, 'Done').tap();

  // a text with a line to what it is about
  await key(page, 'Text').tap();
  await finger.drag(await at(1500, 4200), await at(3200, 3900));
  await page.getByRole('textbox', { name: 'Text' }).fill('Damp here');
  await key(page, 'Keep the text').tap();
  await expect(page.getByTestId('sheet').getByText('Damp here')).toBeAttached();
  await look(page, 'notes-6-text');
  await key(page, /^Letters on paper/).tap();
  await type(page, '1');
  await key(page, 'Enter').tap();
  await expect(page.getByText(/^Lettering is 1\.8 to 20 mm high/).first()).toBeVisible();
  await key(page, 'Done').tap();

  // a sign where it is tapped
  await key(page, 'Sign').tap();
  await page.getByRole('menuitem', { name: 'Double socket' }).tap();
  await finger.tap(await at(6000, 700));
  await expect(page.getByTestId('annotation-tiles')).toBeVisible();
  await look(page, 'notes-7-sign');
  await key(page, 'Remove this note').tap();
});

test('what shows: a look of one’s own that leaves names out and locks walls; a room’s label and floor as it is wanted', async ({
  page,
  server,
}) => {
  const finger = new Finger(page);
  await openMillHouse(page, server);
  const floor = page.getByTestId(/^floor /);
  const at = (x: number, y: number) => ofHouse(floor, { x, y });
  await key(page, 'What shows').tap();
  await look(page, 'looks-1');
  await key(page, 'Names: off').tap();
  await key(page, 'Walls: locked').tap();
  await page.getByLabel('Name of the look').fill('For Ada');
  await key(page, 'Look: My look').tap();
  await expect(key(page, 'Look: For Ada')).toBeVisible();
  await look(page, 'looks-2-own');
  await key(page, 'Close what shows').tap();
  await expect(page.getByTestId('sheet').getByText('Mill room')).toHaveCount(0);
  // a locked wall is not caught: the room under the finger is
  await finger.tap(await at(100, 2500));
  await expect(page.getByRole('tab', { name: 'Label' })).toBeVisible();
  await key(page, 'Done').tap();

  await key(page, 'What shows').tap();
  await key(page, 'Look: on site').tap();
  await key(page, 'Close what shows').tap();
  await expect(page.getByTestId('sheet').getByText('Mill room').first()).toBeAttached();

  // the label of a room: what it says, its floor
  await finger.tap(await at(2000, 2500));
  await page.getByRole('tab', { name: 'Label' }).or(key(page, 'Label')).first().tap();
  await look(page, 'label-1');
  await key(page, 'This room').tap();
  await key(page, 'Ceiling height').tap();
  await expect(page.getByTestId('sheet').getByText('h 2.40 m')).toBeAttached();
  await key(page, 'Floor drawn as: plain').tap();
  await page.getByRole('menuitem', { name: 'Boards' }).tap();
  await expect(page.getByTestId(/^hatch of /).first()).toBeAttached();
  await look(page, 'label-2-boards');
  await key(page, 'Label as all have it').tap();
  await expect(page.getByTestId('sheet').getByText('h 2.40 m')).toHaveCount(0);
});

test.describe('in a browser that has nothing of the application yet', () => {
  test.use({ fresh: true });

  test('a line drawn before its tool has come is there when it comes; where it can’t come, that is said', async ({
    page,
    server,
  }) => {
    const finger = new Finger(page);
    let [comes, fails] = [() => {}, true];
    const signal = new Promise<void>((resolve) => (comes = resolve));
    await page.route(/\/room-\w+\.js/, async (route) => {
      if (fails) return route.abort();
      await signal;
      await route.continue();
    });
    await openMillHouse(page, server);
    const floor = page.getByTestId(/^floor /);
    const at = (x: number, y: number) => ofHouse(floor, { x, y });
    const draws = async () => finger.drag(await at(120, 2900), await at(7900, 2800));
    await takeTool(page, 'Notes');
    await draws();
    await expect(page.getByText(/^What is written on the plan could not be fetched/).first()).toBeVisible();
    fails = false;
    await draws();
    await look(page, 'notes-waiting');
    await expect(page.getByTestId('dimension-tiles')).toHaveCount(0);
    comes();
    await expect(page.getByTestId('dimension-tiles')).toBeVisible();
    await look(page, 'notes-come');
    await expect(figures(page)).toHaveCount(1);
  });
});
