import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { Finger, middleOf } from '../finger';
import { key, tapFigure, press } from '../pad';
import { expect, test } from '../server';

const enter = (page: Page) => key(page, 'Enter').tap();
const strip = (page: Page) => page.getByTestId('tape-strip');
const field = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}: `) });
const figure = (page: Page, name: string) => page.getByLabel(new RegExp(`^${name}: `));

test('a room and the room beside it are measured by touch, from first tap to file', async ({
  page,
  server,
  browser,
}) => {
  const finger = new Finger(page);

  // 1 jobs
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Ferry House, 12 rooms/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Quince Cottage sewing room, 2 rooms, .* ft²/ })).toBeVisible();
  await page.getByText('New job').tap();
  await page.getByLabel('Name (can wait)').fill('Tollgate 🏠');
  await page.getByText('Start measuring').tap();

  // 2 a first room
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await finger.drag([80, 220], [260, 400]);
  await expect(page.getByText('What is this room?')).toBeVisible();
  await expect(page.getByText(/^≈ .* m$/)).toHaveCount(4);
  await page.getByRole('button', { name: 'Kitchen', exact: true }).tap();
  await expect(figure(page, 'Net internal floor area')).toContainText('≈');

  // 3 tape it
  await page.getByText('Tape the walls (4 still rough)').tap();
  await expect(strip(page)).toBeVisible();
  await expect(page.getByTestId('moves-to')).toBeVisible();
  await tapFigure(page, '4.20');
  await expect(page.getByText('= 4.20 m')).toBeVisible();
  const right = await middleOf(page.getByTestId('moving-corner').first());
  await page.getByRole('button', { name: 'The right corner moves. Swap.' }).tap();
  const left = await middleOf(page.getByTestId('moving-corner').first());
  expect(left[0]).toBeLessThan(right[0]);
  await page.getByRole('button', { name: 'The left corner moves. Swap.' }).tap();
  await enter(page);
  await expect(page.getByTestId(/^length/).getByText('4.20 m')).toHaveCount(1);
  await expect(strip(page)).toHaveAccessibleName(/rough/);
  for (const [text, reason] of [
    ['0', /more than 0/],
    ['9999999', /more than a kilometre/],
    ['3.4.5', /two decimal points/],
  ] as const) {
    await tapFigure(page, text);
    await enter(page);
    await expect(page.getByText(reason).first()).toBeVisible();
    await expect(page.getByTestId('typed')).toHaveText(text);
    for (const _ of text) await key(page, 'Backspace').tap();
  }
  await tapFigure(page, '3.15');
  await enter(page);
  await expect(strip(page)).toHaveAccessibleName(/4\.20 m, worked out/);
  await expect(page.getByTestId('job-total')).toHaveText('13.23 m²');

  // 4 thickness and ceiling
  await field(page, 'Thickness').tap();
  await tapFigure(page, '300');
  await enter(page);
  await expect(field(page, 'Thickness')).toContainText('300 mm');
  await page.getByRole('button', { name: 'All outer walls' }).tap();
  await tapFigure(page, '280');
  await enter(page);
  await expect(field(page, 'Thickness')).toContainText('280 mm');
  await expect(page.getByTestId('job-total')).toHaveText('13.23 m²');
  await field(page, 'Ceiling').tap();
  await tapFigure(page, '2.50');
  await enter(page);
  await expect(field(page, 'Ceiling')).toContainText('2.50 m');
  await key(page, 'Done').tap();

  // 5 the room beside it
  await key(page, 'Box').tap();
  const top = await middleOf(page.getByTestId(/^length/).getByText('4.20 m'));
  const side = await middleOf(page.getByTestId(/^length/).getByText('3.15 m'));
  await finger.drag([side[0] + 16, top[1] - 14], [side[0] + 100, top[1] + 65]);
  await page.getByText('Later').tap();
  await expect(figure(page, 'Net internal floor area')).toContainText('≈');
  await page.getByText(/Tape the walls/).tap();
  await tapFigure(page, '2.50');
  await enter(page);
  await tapFigure(page, '2.40');
  await enter(page);
  await expect(page.getByTestId('job-total')).toHaveText('19.23 m²');
  await expect(page.getByTestId(/^area/)).toHaveText(['13.23 m²', '6.00 m²']);

  // a taped wall does not give way to a drag; once loosened it does
  await key(page, 'Wall before').tap();
  await expect(strip(page)).toHaveAccessibleName(/2\.40 m, taped/);
  const grip = await middleOf(page.getByTestId('face-grip'));
  await finger.drag(grip, [grip[0], grip[1] + 30]);
  await expect(page.getByText(/2\.50 m you taped stands in the way/)).toBeVisible();
  await expect(page.getByTestId('job-total')).toHaveText('19.23 m²');
  await key(page, 'Wall before').tap();
  await press(page, 'Loosen');
  await key(page, 'Next wall').tap();
  await finger.drag(await middleOf(page.getByTestId('face-grip')), [grip[0], grip[1] + 30]);
  await expect(page.getByTestId('job-total')).not.toHaveText('19.23 m²');
  await key(page, 'Undo move wall').tap();
  await key(page, 'Undo loosen reading').tap();
  await expect(page.getByTestId('job-total')).toHaveText('19.23 m²');
  await key(page, 'Done').tap();

  // 6 a door and a window
  await page
    .getByTestId(/^length/)
    .getByText('4.20 m')
    .tap();
  await press(page, 'Add door');
  await expect(page.getByTestId('strip-door')).toBeVisible();
  await tapFigure(page, '0.60');
  await enter(page);
  await expect(page.getByTestId('strip-gap-0')).toHaveText('0.60 m');
  await field(page, 'Width').tap();
  await tapFigure(page, '0.90');
  await enter(page);
  await expect(page.getByTestId('strip-gap-1')).toHaveText('2.70 m');
  await field(page, 'From right').tap();
  await tapFigure(page, '9');
  await enter(page);
  await expect(page.getByRole('alert').getByText('9.00 m? Or 0.90 m?')).toBeVisible();
  await key(page, 'Yes, 9.00 m').tap();
  await expect(page.getByText(/hang over the end of its wall/).first()).toBeVisible();
  await key(page, 'Backspace').tap();
  const door = await middleOf(page.getByTestId('strip-door'));
  await finger.down([door]);
  await finger.move([[door[0] + 40, door[1]]]);
  await finger.move([[door[0] + 80, door[1]]]);
  await finger.rest([door[0] + 80, door[1]]);
  await expect(page.getByTestId('strip-gap-0')).not.toHaveText('0.60 m');
  await finger.up();
  await press(page, 'Flip hinge side');
  await press(page, 'Flip swing');
  await key(page, 'Undo flip door').tap();
  await key(page, 'Undo flip door').tap();
  await key(page, 'Undo change opening').tap();
  await expect(page.getByTestId('strip-gap-0')).toHaveText('0.60 m');
  await key(page, 'Done').tap();
  await page
    .getByTestId(/^length/)
    .getByText('3.15 m')
    .tap();
  await key(page, 'Wall before').tap();
  await key(page, 'Wall before').tap();
  await press(page, 'Add window');
  await field(page, 'Sill').tap();
  await tapFigure(page, '1.00');
  await enter(page);
  await expect(field(page, 'Sill')).toContainText('1.00 m');
  await key(page, 'Done').tap();

  // 7 the figures: 2 × (4.20 + 3.15) × 2.50 − 0.90 × 2.04 − 1.20 × 1.14
  await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Kitchen')));
  await expect(figure(page, 'Perimeter')).toContainText('14.70 m');
  await expect(figure(page, 'Wall area less openings')).toContainText('33.55 m²');
  await expect(figure(page, 'Volume')).toContainText('33.1 m³');
  await key(page, 'Done').tap();

  // 8 look closer, and back
  const before = (await page.getByTestId(/^name/).getByText('Kitchen').boundingBox())!;
  await finger.pinch([195, 300], 60, 200);
  await expect
    .poll(async () => (await page.getByTestId(/^name/).getByText('Kitchen').boundingBox())!.x)
    .not.toBeCloseTo(before.x, 0);
  await key(page, 'Fit').tap();

  // 9 nothing is lost: reload, offline, another device
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  await page.reload();
  await expect(page.getByTestId('job-total')).toHaveText('19.23 m²');
  await server.stop();
  await finger.tap(await middleOf(page.getByTestId(/^name/).getByText('Unnamed')));
  await page.getByText('Name', { exact: true }).tap();
  await page.getByLabel('Another name').fill('x'.repeat(10_000));
  await page.getByText('Name it').tap();
  await expect(page.getByText(/120 characters at most/).first()).toBeVisible();
  await page.getByLabel('Another name').fill('Scullery');
  await page.getByText('Name it').tap();
  await expect(page.getByTestId('sync')).toHaveAccessibleName(/Offline/);
  await server.resume();
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved', { timeout: 25_000 });

  const other = await browser.newContext({
    baseURL: server.url,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const desk = await other.newPage();
  await desk.goto(page.url());
  await expect(desk.getByLabel('Ledger of rooms').getByRole('button', { name: /^Scullery/ })).toBeVisible();
  await page.context().setOffline(true);
  await desk
    .getByLabel('Ledger of rooms')
    .getByRole('button', { name: /^Kitchen/ })
    .click();
  await desk.getByText('Name', { exact: true }).click();
  await desk.getByLabel('Another name').fill('Cookhouse');
  await desk.getByText('Name it').click();
  await expect(desk.getByTestId('sync')).toHaveAccessibleName('Saved');
  await field(page, 'Ceiling').tap();
  await tapFigure(page, '2.35');
  await enter(page);
  await page.context().setOffline(false);
  await expect(page.getByTestId(/^name/).getByText('Cookhouse')).toBeVisible({ timeout: 15_000 });
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  await desk
    .getByLabel('Ledger of rooms')
    .getByRole('button', { name: /^Scullery/ })
    .click();
  await expect(field(desk, 'Ceiling')).toContainText('2.35 m');
  await other.close();

  // 10 leave with something
  const svg = await downloaded(page, 'Plan as SVG, 1:50');
  const line = /data-role="dimension\.taped"[^>]*d="M ([\d.]+) ([\d.]+) L [\d. ]+ M [\d. ]+ L ([\d.]+) ([\d.]+)"/g;
  const lengths = [...svg.matchAll(line)].map((m) =>
    Math.hypot(Number(m[3]) - Number(m[1]), Number(m[4]) - Number(m[2])),
  );
  expect(lengths.some((length) => Math.abs(length - 84) < 0.005)).toBe(true);
  expect(svg).toContain('>Tollgate 🏠, Ground floor<');
  expect(svg).toContain('id="scale-bar"');
  expect(svg).toContain('id="north"');
  const csv = await downloaded(page, 'Rooms as CSV');
  expect(csv).toContain('Cookhouse,13.230,14.700,2.500,33.546,13.800,33.075,all taped or worked out');
});

async function downloaded(page: Page, what: string): Promise<string> {
  await page.getByRole('button', { name: 'Leave with something' }).tap();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: what }).tap(),
  ]);
  await expect(page.getByRole('menuitem', { name: what })).toBeHidden();
  return readFileSync(await download.path(), 'utf8');
}
