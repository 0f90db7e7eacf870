import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { key } from '../pad';
import { expect, test } from '../server';

/** WCAG 2.2 A and AA, as far as a machine can tell (axe-core). */
async function clean(page: Page, view: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const said = violations.map(
    ({ id, nodes }) => `${view}: ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  );
  expect.soft(said).toEqual([]);
}

test('every main view can be used by everybody, as far as axe can tell', async ({ page }) => {
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
  await page.getByRole('tab', { name: 'Made of' }).tap();
  await clean(page, 'made of');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByLabel('Ledger of rooms').waitFor();
  await clean(page, 'desk');
});
