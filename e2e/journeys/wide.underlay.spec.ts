import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { restingBox } from '../finger';
import { giveFile, onScreen, pictureOn } from '../picture';
import { key } from '../pad';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

const marking = (page: Page) => page.getByTestId('marks-next');

/** A plan of one room of 4.00 × 3.00 m between its inner faces, 5 mm to a pixel, on a picture of 1200 × 900 px. */
const drawn = (stretch = 1) => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="${900 * stretch}" viewBox="0 0 1200 900" preserveAspectRatio="none"><rect width="1200" height="900" fill="#fff"/><path d="M 160 110 H 1040 V 790 H 160 Z M 200 150 V 750 H 1000 V 150 Z" fill="#222" fill-rule="evenodd"/></svg>`;
  return sharp(Buffer.from(svg)).png().toBuffer();
};

async function clickAt(page: Page, x: number, y: number): Promise<void> {
  const [sx, sy] = await onScreen(page, { x, y });
  await page.mouse.click(sx, sy);
}

test('a stretched scan is scaled both ways by keys, placed on the plan by two points, cropped, replaced, printed', async ({
  page,
}) => {
  await page.goto('/job/quince-cottage');
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  const file = { name: 'scan.png', mimeType: 'image/png', buffer: await drawn(1.1) };
  await giveFile(page, () => key(page, 'Bring in an underlay').click(), file);
  await restingBox(pictureOn(page));
  await expect(page.getByTestId('underlay-words')).toContainText('No true scale yet');

  // two distances; the second end of the first is set by keys, ten pixels at a time and one by one
  await key(page, 'True scale').click();
  await clickAt(page, 200, 150 * 1.1);
  await clickAt(page, 987, 150 * 1.1);
  await page.keyboard.press('Shift+ArrowRight');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.type('4 m');
  await page.keyboard.press('Enter');
  await expect(marking(page)).toHaveText('Mark another known length, or keep this scale.');
  await clickAt(page, 200, 150 * 1.1);
  await clickAt(page, 200, 750 * 1.1);
  await page.keyboard.type('3 m');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('marks-mean')).toContainText('They do not agree');
  await expect(page.getByText(/The picture looks stretched: 9\.\d % too narrow/)).toBeVisible();
  await key(page, 'Scale both ways').click();
  await expect(page.getByTestId('marks-mean')).toContainText('2 distances agree to 0.0 %');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('underlay-words')).toContainText('Scale from 2 distances');
  const box = await restingBox(pictureOn(page));
  expect(box.width / box.height).toBeCloseTo(1200 / 900, 1);

  // placed: its inner corner comes to lie on a corner of the sewing room, and a second point on another
  await key(page, 'Place by two points').click();
  await clickAt(page, 200, 165);
  await expect(marking(page)).toHaveText('Now the same point on the plan.');
  const sheet = (await page.getByTestId('sheet').boundingBox())!;
  const [x, y] = [sheet.x + sheet.width * 0.3, sheet.y + sheet.height * 0.3];
  await page.mouse.click(x, y);
  await clickAt(page, 1000, 165);
  await page.mouse.click(x + 150, y + 150);
  await expect(page.getByText(/On the picture it is .* than on the plan|The distances match/)).toBeVisible();
  await page.keyboard.press('Enter');
  const turned = await pictureOn(page).evaluate((element) => {
    const { a, b } = (element as unknown as SVGGraphicsElement).getScreenCTM()!;
    return (Math.atan2(b, a) * 180) / Math.PI;
  });
  expect(Math.abs(turned - 45)).toBeLessThan(6);
  await page.keyboard.press('Control+z');

  // cropped to its inside, and all of it again
  await key(page, 'Crop').click();
  await clickAt(page, 100, 60);
  await clickAt(page, 1100, 900);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('underlay-outline')).toBeVisible();
  await key(page, 'More about this underlay').click();
  await page.getByRole('menuitem', { name: 'Show all of it' }).click();

  // a better scan in its place: it lies where the old one lay, and keeps its scale
  const lies = await restingBox(pictureOn(page));
  const words = await page.getByTestId('underlay-words').textContent();
  await key(page, 'More about this underlay').click();
  const better = {
    ...file,
    buffer: await sharp(await drawn(1.1))
      .resize({ width: 2400 })
      .png()
      .toBuffer(),
  };
  await giveFile(page, () => page.getByRole('menuitem', { name: 'Replace the picture' }).click(), better);
  await expect.poll(async () => pictureOn(page).getAttribute('width')).toBe('2400');
  await expect(page.getByTestId('underlay-words')).toHaveText(words!);
  const now = await restingBox(pictureOn(page));
  expect(Math.abs(now.x - lies.x) + Math.abs(now.width - lies.width)).toBeLessThan(1);

  // on the sheet only when it is told to be
  const sheetSvg = async () => {
    await key(page, 'Leave with something').click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: 'Plan as SVG, 1:50' }).click(),
    ]);
    return readFileSync(await download.path(), 'utf8');
  };
  expect(await sheetSvg()).not.toContain('<image');
  await key(page, 'More about this underlay').click();
  await page.getByRole('menuitem', { name: 'Print it on sheets' }).click();
  await expect(page.getByText('It prints on sheets.')).toBeVisible();
  expect(await sheetSvg()).toContain('<image href="data:image/png;base64,');

  // one picture lies over another, and they change places
  await giveFile(page, () => key(page, 'Bring in an underlay').click(), { ...file, name: 'second.png' });
  await expect(pictureOn(page)).toHaveCount(2);
  const order = () => page.getByRole('button', { name: /^Underlay (scan|second)$/ }).allTextContents();
  const [first] = await order();
  await key(page, 'More about this underlay').click();
  await page.getByRole('menuitem', { name: 'Send back' }).click();
  await expect.poll(async () => (await order())[0]).not.toBe(first);
  await page.keyboard.press('Delete');
  await expect(pictureOn(page)).toHaveCount(1);
});
