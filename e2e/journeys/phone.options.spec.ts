import type { Page } from '@playwright/test';
import { Finger } from '../finger';
import { ofHouse } from '../mill-house';
import { key } from '../pad';
import { expect, test } from '../server';

const look = (page: Page, name: string) =>
  process.env['LOOK'] ? page.screenshot({ path: `/tmp/look/${name}.png` }) : Promise.resolve();

test('options of a sewing room are swiped through, one after the other; one is worked on, and only its own pieces stand there', async ({
  page,
}) => {
  await page.goto('/job/quince-cottage/options');
  const options = page.getByTestId('options');
  const picture = page.getByTestId(/^option-picture /);
  await expect(picture).toHaveCount(1);
  const finger = new Finger(page);
  const swipe = async (by: number) => {
    const box = (await picture.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await finger.drag([x, y], [x + by, y + 6]);
  };
  const page1 = (await options.getByRole('textbox').first().inputValue()) || '';
  await look(page, 'o1-first');
  await expect(options.getByText('1 of 4')).toBeVisible();
  await swipe(-140);
  await expect(options.getByText('2 of 4')).toBeVisible();
  expect(await options.getByRole('textbox').first().inputValue()).not.toBe(page1);
  await swipe(-140);
  await swipe(-140);
  await expect(options.getByText('4 of 4')).toBeVisible();
  // there is none after the last
  await swipe(-140);
  await expect(options.getByText('4 of 4')).toBeVisible();
  await swipe(140);
  await expect(options.getByText('3 of 4')).toBeVisible();
  await look(page, 'o2-third');
  await expect(page.getByTestId('options-compared').getByText('Worktop', { exact: true })).toBeAttached();
  await options
    .getByRole('button', { name: /^Work on / })
    .first()
    .tap();
  await expect(page.getByTestId(/^floor /).first()).toBeVisible();
  await look(page, 'o3-worked-on');
});

test('a wardrobe is tried from the next room, doors off their hinges and taken apart; a size that is none is said, and nothing is tried', async ({
  page,
}) => {
  await page.goto('/job/ferry-house');
  await key(page, 'All tools').tap();
  await key(page, 'Pieces').tap();
  await page.getByLabel('Find a piece').fill('wardrobe');
  await page.getByTestId('pieces-tray').getByRole('button', { name: 'Wardrobe', exact: true }).tap();
  const at = await ofHouse(page.getByTestId(/^floor /), { x: 7200, y: 5900 });
  await new Finger(page).tap(at);
  await page.getByRole('tab', { name: 'Gets in?' }).tap();
  const asking = page.getByTestId('piece-get-in');
  await asking.getByRole('button', { name: /Change\.$/ }).tap();
  await look(page, 'o4-entrances');
  await page.getByRole('menuitem', { name: /^From Net store/ }).tap();
  await expect(asking.getByRole('button', { name: /^Comes from Net store/ })).toBeVisible();
  await key(page, 'Doors off their hinges').tap();
  await key(page, 'Legs off, or taken apart: sizes typed').tap();
  await asking.getByLabel('Height as it is carried').fill('1.2 furlongs');
  await key(page, 'Will it get in?').tap();
  // what is no length is said, and nothing is tried
  await expect(
    page
      .getByRole('alert')
      .or(page.getByRole('status'))
      .filter({ hasText: /furlongs|length/i })
      .first(),
  ).toBeVisible();
  await look(page, 'o5-refused');
  await asking.getByLabel('Height as it is carried').fill('1.2');
  await key(page, 'Will it get in?').tap();
  await expect(page.getByText(/^0\.001 m is too little/)).toBeVisible();
  await asking.getByLabel('Height as it is carried').fill('1.2 m');
  await asking.getByLabel('Width as it is carried').fill('600');
  await asking.getByLabel('Depth as it is carried').fill('600');
  await key(page, 'Will it get in?').tap();
  await expect(asking.getByRole('status')).toHaveText(/get(s)? in/);
  await look(page, 'o6-answer');
});
