import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { key } from '../pad';
import { expect, test } from '../server';

/** WCAG 2.2 A and AA, as far as a machine can tell (axe-core). */
async function clean(page: Page, view: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // in the page itself, which has no frames, and without a list of all that is right
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const said = violations.map(
    ({ id, nodes }) => `${view}: ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  );
  expect.soft(said).toEqual([]);
}

test('from the list of jobs to a wall, every view can be used by everybody, as far as axe can tell', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: /^Ferry House/ }).waitFor();
  await clean(page, 'jobs');
  await page.goto('/new');
  await page.getByText('Start measuring').waitFor();
  await clean(page, 'new job');
  await page.goto('/job/ferry-house');
  await page.getByTestId('job-total').waitFor();
  await clean(page, 'plan');
  await key(page, 'All tools').tap();
  await clean(page, 'tools');
  await key(page, 'Close the tools').tap();
  await page.getByTestId(/^name/).first().tap();
  await page.getByRole('tab', { name: 'Figures' }).waitFor();
  await clean(page, 'room');
  await page.getByText(/Tape the walls|Go round the walls/).tap();
  await page.getByRole('tab', { name: 'Stands in it' }).waitFor();
  await clean(page, 'wall');
  await page.getByRole('tab', { name: 'Stands in it' }).tap();
  await clean(page, 'in the wall');
  await key(page, 'More doors and windows').tap();
  await page.getByTestId('kind-tray').waitFor();
  await clean(page, 'tray');
  await page.getByRole('tab', { name: 'Made of' }).tap();
  await clean(page, 'made of');
});

test('and every part of a job, stairs, slopes, sheets and the desk', async ({ page }) => {
  await page.goto('/job/ferry-house');
  await page.getByTestId('job-total').waitFor();
  for (const [part, shown] of [
    ['Floors', 'floors'],
    ['Openings', 'schedule'],
    ['Areas', 'areas'],
    ['Readings', 'readings'],
  ] as const) {
    await page.getByRole('tab', { name: part }).tap();
    await page.getByTestId(shown).getByRole('button').nth(1).waitFor();
    await clean(page, part);
  }
  await page.getByRole('tab', { name: 'Views' }).tap();
  await page.getByTestId('views').getByRole('button').nth(1).waitFor();
  await clean(page, 'views');
  await page.getByRole('tab', { name: 'Sheets' }).tap();
  await key(page, 'Lay out more').tap();
  const sheet = key(page, /^Sheet 1, Listing plan/);
  await sheet.locator('img').waitFor();
  await clean(page, 'sheets');
  await sheet.tap();
  await page.getByTestId('frame Ground floor').waitFor();
  await clean(page, 'a sheet');
  await key(page, 'Words').tap();
  await clean(page, 'words of a sheet');
  await page.getByRole('tab', { name: 'Plan' }).tap();
  await key(page, /^Ferry House: name, address/).tap();
  await page.getByLabel('Name (can wait)').waitFor();
  await clean(page, 'this job');
  await key(page, 'History').tap();
  await page.getByTestId('history').getByRole('button').nth(1).waitFor();
  await clean(page, 'history');
  await page.goBack();
  await key(page, /^Ferry House: name, address/).tap();
  await key(page, 'Back to the plan').tap();
  const stairs = await page
    .getByTestId(/^stairs .* treads$/)
    .last()
    .boundingBox();
  await page.touchscreen.tap(stairs!.x + stairs!.width / 2, stairs!.y + stairs!.height / 2);
  await page.getByTestId('stairs-checks').waitFor();
  await clean(page, 'stairs');
  await page.getByRole('tab', { name: 'Form' }).tap();
  await key(page, 'Spiral').waitFor();
  await clean(page, 'form of stairs');
  await key(page, 'Done').tap();
  // under the roof: the ceiling of a room, a slope, what counts, a section
  await key(page, /^Floor: /).tap();
  await page.getByRole('menuitem', { name: 'Upper floor' }).tap();
  const area = await page.getByTestId(/^area/).getByText('15.31').boundingBox();
  await page.touchscreen.tap(area!.x + area!.width / 2, area!.y + area!.height / 2);
  await page.getByRole('tab', { name: 'Ceiling' }).tap();
  await page.getByTestId('headroom').waitFor();
  await clean(page, 'ceiling');
  await page.getByRole('button', { name: /^From the top: / }).tap();
  await page.getByTestId('slope-words').waitFor();
  await clean(page, 'slope');
  await key(page, 'Done').tap();
  await page.getByRole('tab', { name: 'Areas' }).tap();
  await key(page, 'Show on the plan what counts').tap();
  await page.getByTestId('areas-on-plan').waitFor();
  await clean(page, 'areas on the plan');
  await key(page, 'Done').tap();
  // a desk at 200 %
  await page.setViewportSize({ width: 640, height: 400 });
  await page.getByRole('tab', { name: 'Plan' }).waitFor();
  await clean(page, 'enlarged');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByLabel('Ledger of rooms').waitFor();
  await clean(page, 'desk');
  await page
    .getByLabel('Ledger of rooms')
    .getByRole('button', { name: /^Landing/ })
    .click();
  await page.getByLabel('Walls of the room').waitFor();
  await clean(page, 'desk with a room');
  await page.keyboard.press('?');
  await page.getByTestId('keys').waitFor();
  await clean(page, 'keys');
});

test('lettering twice as large, as a person has chosen it in the browser, loses no figure and nothing beside the screen', async ({
  page,
}) => {
  await page.addInitScript(() =>
    document.addEventListener('DOMContentLoaded', () => {
      document.documentElement.style.fontSize = '32px';
    }),
  );
  /** What is written and not seen: figures cut short, anything beyond the sides of the screen. */
  const lost = () =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('#root [dir=auto]')]
        .filter((it) => it.childElementCount === 0 && it.getClientRects().length > 0)
        .filter((it) => {
          const { left, right, width } = it.getBoundingClientRect();
          const cut = it.scrollWidth > it.clientWidth + 1 && /\d/.test(it.textContent ?? '');
          return width > 1 && (cut || left < -1 || right > innerWidth + 1);
        })
        .map((it) => it.textContent),
    );
  await page.goto('/');
  await page.getByRole('link', { name: /^Quince Cottage/ }).waitFor();
  expect.soft(await lost(), 'jobs').toEqual([]);
  await page.goto('/job/ferry-house');
  await page.getByTestId('job-total').waitFor();
  expect.soft(await lost(), 'plan').toEqual([]);
  await page.getByTestId(/^name/).first().tap();
  await page.getByRole('tab', { name: 'Figures' }).waitFor();
  expect.soft(await lost(), 'room').toEqual([]);
  await page.getByText(/Tape the walls|Go round the walls/).tap();
  await page.getByRole('tab', { name: 'Stands in it' }).waitFor();
  expect.soft(await lost(), 'wall').toEqual([]);
  await expect(page.getByRole('button', { name: 'Enter', exact: true })).toBeInViewport({ ratio: 1 });
  await page.getByRole('tab', { name: 'Stands in it' }).tap();
  expect.soft(await lost(), 'in the wall').toEqual([]);
});
