import { loft, openPlan } from '../attics';
import { ofHouse } from '../mill-house';
import { key } from '../pad';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

test('a roof over three rooms from eaves and ridge, a section drawn through it, a roof light put in; areas taken away as a workbook', async ({
  page,
  server,
}) => {
  await openPlan(page, server, 'loft', loft());
  const click = async (x: number, y: number) => {
    const [px, py] = await ofHouse(page.getByTestId(/^wall /), { x, y });
    await page.mouse.click(px, py);
  };
  const enter = async (field: RegExp, text: string) => {
    await key(page, field).click();
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  };

  await expect(page.getByTestId('job-total')).toBeVisible();
  // a ridge lower than the eaves is refused before it is kept, and what was typed stays
  await page.keyboard.press('e');
  await key(page, 'Gable').click();
  await click(2000, -100);
  await enter(/^Eaves: /, '1.10');
  await enter(/^Ridge: /, '0.90');
  await expect(page.getByText(/The eaves would be as high as the ridge/).first()).toBeVisible();
  await enter(/^Ridge: /, '3.10');
  await key(page, 'Keep').click();

  // every room takes its ceiling from it; one is open to the ridge
  await page.keyboard.press('c');
  for (const x of [1500, 6500, 10_500]) {
    await click(x, 1600);
    await expect(page.getByLabel('Headroom: 1.10 m to 2.40 m')).toBeVisible();
  }
  await page.getByRole('tab', { name: 'Ceiling' }).click();
  await key(page, 'The slopes go up to their ridge').click();
  await expect(page.getByTestId('headroom')).toHaveText('Headroom from 1.10 m to 3.10 m.');
  await expect(page.getByTestId(/^meet /).first()).toBeAttached();

  // the wall seen from inside has its true top edge: up to the ridge and down again
  await click(12_060, 3000);
  await key(page, /elevation|from inside/i)
    .first()
    .click();
  const outline = page.getByTestId('elevation').locator('path').first();
  await expect(outline).toHaveAttribute('d', /-3100/);
  await page.keyboard.press('Escape');

  // a section across
  await page.keyboard.press('q');
  const [from, to] = [
    await ofHouse(page.getByTestId(/^wall /), { x: 10_000, y: -700 }),
    await ofHouse(page.getByTestId(/^wall /), { x: 10_060, y: 6700 }),
  ];
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move(...to, { steps: 6 });
  await page.mouse.up();
  const section = page.getByTestId('section');
  await expect(section.getByText('3.10 m').first()).toBeVisible();
  await expect(section.getByText('1.10 m')).toHaveCount(2);
  // it goes on a sheet of its own, to scale
  await key(page, 'To a sheet').click();
  await page.getByRole('menuitem', { name: 'A new sheet' }).click();
  await expect(page.getByText('The section is on the sheet, to scale.')).toBeVisible();
  await page.keyboard.press('Escape');

  // a roof light lies in the slope, as far up as its sill is high
  await page.keyboard.press('c');
  await click(2000, 6100);
  await key(page, 'More doors and windows').click();
  await key(page, 'Windows').click();
  await page
    .getByRole('button', { name: /roof light/i })
    .first()
    .click();
  const light = page.getByTestId(/^frame /).first();
  await expect(light).toBeAttached();
  const top = await light.evaluate((element) => (element as unknown as SVGGraphicsElement).getBBox().y);
  expect(top).toBeLessThan(5900);

  // as a workbook
  await page.getByRole('tab', { name: 'Areas' }).click();
  await expect(page.getByTestId('total net')).toContainText('70.80 m²');
  const [file] = await Promise.all([page.waitForEvent('download'), key(page, 'Areas as a workbook (XLSX)').click()]);
  expect(file.suggestedFilename()).toBe('Loft-areas.xlsx');

  await page.getByRole('tab', { name: 'Sheets' }).click();
  await key(page, /^Sheet 1, Section, /).click();
  await expect(page.getByTestId('page').locator('svg').getByText('3.10 m').first()).toBeAttached();
});
