import { type Intent, type Reading, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import type { Page } from '@playwright/test';
import { middleOf, restingBox } from '../finger';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

const ledger = (page: Page, name: RegExp) => page.getByLabel('Ledger of rooms').getByRole('button', { name });
const total = (page: Page) => page.getByTestId('job-total');
const wall = (page: Page, name: RegExp) => page.getByLabel('Walls of the room').getByRole('button', { name });

/** Tabs to a button and presses it with the keyboard. */
async function press(page: Page, name: RegExp | string, key = 'Enter'): Promise<void> {
  await page.getByRole('button', { name, ...(typeof name === 'string' && { exact: true }) }).focus();
  await page.keyboard.press(key);
}

test('a job in feet and inches is measured with keyboard and mouse', async ({ page }) => {
  await page.goto('/new');
  await page.getByText('Feet and inches').click();
  await page.getByLabel('Ceiling height').fill('nine feet');
  await page.getByText('Start measuring').click();
  await expect(page.getByRole('alert')).toContainText('not a length');
  await page.getByLabel('Ceiling height').fill("9'");
  await page.keyboard.press('Enter');
  await page.getByText('Start measuring').click();

  // the mouse draws, Escape backs out of a drag
  const sheet = (await page.getByTestId('sheet').boundingBox())!;
  const at = (x: number, y: number) => [sheet.x + x, sheet.y + y] as const;
  await page.mouse.move(...at(150, 100));
  await page.mouse.down();
  await page.mouse.move(...at(300, 250), { steps: 4 });
  await expect(ledger(page, /^Unnamed room, ≈/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(page.getByText('No rooms yet.')).toBeVisible();
  await page.mouse.move(...at(150, 100));
  await page.mouse.down();
  await page.mouse.move(...at(430, 330), { steps: 4 });
  await page.mouse.up();
  await page.getByLabel('Another name').fill('Loft & store');
  await page.keyboard.press('Enter');
  await expect(ledger(page, /^Loft & store, ≈ .* ft²/)).toBeVisible();

  // round the walls by keyboard: 12′ 6″ × 9′ 8″ is 120.8 ft² (exact: 120.83)
  await press(page, /^Wall 1: ≈/);
  await page.keyboard.type('12\'6"');
  await expect(page.getByText('= 12′ 6″')).toBeVisible();
  await expect(page.getByTestId('moving-corner')).toHaveCount(2);
  await page.keyboard.press('Enter');
  await expect(wall(page, /^Wall 1: 12′ 6″, taped/)).toBeVisible();
  await page.keyboard.type('9ft 8in');
  await page.keyboard.press('Enter');
  await expect(wall(page, /^Wall 4: 9′ 8″, worked out/)).toBeVisible();
  await expect(total(page)).toHaveText('120.8 ft²');

  // a door on the bottom wall by keyboard, placed from the other end, moved by arrows
  await page.keyboard.press('d');
  await expect(page.getByTestId('strip-door')).toBeVisible();
  await page.keyboard.type('1 6');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('strip-gap-0')).toHaveText('1′ 6″');
  await page.keyboard.press('h');
  await page.keyboard.press('s');
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await page.keyboard.press('w');
  await expect(page.getByTestId('strip-window')).toBeVisible();

  // the mouse drags it along the strip; both distances follow, before it is let go
  const [x, y] = await middleOf(page.getByTestId('strip-window'));
  const gap = await page.getByTestId('strip-gap-0').textContent();
  const rest = await page.getByTestId('strip-gap-1').textContent();
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 90, y, { steps: 5 });
  await expect(page.getByTestId('strip-gap-0')).not.toHaveText(gap!);
  await expect(page.getByTestId('strip-gap-1')).not.toHaveText(rest!);
  await page.mouse.up();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  // a second room by mouse, one wall shared
  await page.keyboard.press('b');
  const right = await restingBox(page.getByTestId(/^length/).getByText('9′ 8″'));
  const top = await restingBox(page.getByTestId(/^length/).getByText('12′ 6″'));
  await page.mouse.move(right.x + right.width + 12, top.y - 2);
  await page.mouse.down();
  await page.mouse.move(right.x + right.width + 110, top.y + 120, { steps: 6 });
  await page.mouse.up();
  await page.getByText('Later').click();
  await expect(ledger(page, /^Loft & store, 120\.8 ft²/)).toBeVisible();
  await expect(ledger(page, /^Unnamed room, ≈/)).toBeVisible();
  await expect(total(page)).toHaveText(/^≈ /);

  // everything undoes and redoes by key
  const after = await total(page).textContent();
  await page.keyboard.press('Control+z');
  await expect(total(page)).toHaveText('120.8 ft²');
  for (let i = 0; i < 12; i += 1) await page.keyboard.press('Control+z');
  await expect(page.getByText('No rooms yet.')).toBeVisible();
  for (let i = 0; i < 14; i += 1) await page.keyboard.press('Control+y');
  await expect(total(page)).toHaveText(after!);

  // zoom, move and fit by key and wheel
  const label = page.getByTestId(/^name/).first();
  const place = async () => Math.round((await label.boundingBox())!.x);
  const start = await place();
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowRight');
  await expect.poll(place).not.toBe(start);
  await page.mouse.move(...at(300, 200));
  await page.mouse.wheel(0, 300);
  await page.keyboard.press('f');
  await expect(label).toBeInViewport();
});

test('two tabs on one job keep what both did', async ({ page, context }) => {
  await page.goto('/job/ferry-house');
  const other = await context.newPage();
  await other.goto('/job/ferry-house');
  await ledger(other, /^Net store/).click();
  await other.getByText('Name', { exact: true }).click();
  await other.getByLabel('Another name').fill('Sail loft');
  await other.getByText('Name it').click();
  await expect(ledger(page, /^Sail loft/)).toBeVisible();
  await ledger(page, /^Waiting room/).click();
  await page.getByRole('button', { name: /^Ceiling: / }).click();
  await page.keyboard.type('2.72');
  await page.keyboard.press('Enter');
  await ledger(other, /^Waiting room/).click();
  await expect(other.getByRole('button', { name: 'Ceiling: 2.72 m' })).toBeVisible();
  await expect(ledger(page, /^Sail loft/)).toBeVisible();
});

test('an unknown job says so, and so does one that is not here while offline', async ({ page, server }) => {
  await page.goto('/job/no-such-job');
  await expect(page.getByText('There is no such job here.')).toBeVisible();
  await page.getByText('Back to the jobs').click();
  await expect(page.getByRole('link', { name: /^Ferry House/ })).toBeVisible();
  await server.stop();
  await page.getByRole('link', { name: /^Ferry House/ }).click();
  await expect(page.getByText(/not on this device/)).toBeVisible();
  await page.getByText('Back to the jobs').click();
  await expect(page.getByText(/Offline. These are the jobs this device knows/)).toBeVisible();
  await expect(page.getByRole('link', { name: /^Quince Cottage/ })).toBeVisible();
});

test('a job that can’t be read is opened as it was when it last could, and is saved again', async ({
  page,
  server,
}) => {
  server.sql(
    `INSERT INTO revisions (job_id, version, mark, schema_version, plan, touched)
       SELECT job_id, 2, 'broken', schema_version, jsonb_set(plan, '{walls}', '{}'), now() FROM revisions WHERE job_id = 'quince-cottage'`,
    `UPDATE jobs SET version = 2, mark = 'broken', whole_version = 2 WHERE id = 'quince-cottage'`,
  );
  await page.goto('/job/quince-cottage');
  await expect(page.getByText(/The stored plan can’t be read/)).toBeVisible();
  await page.getByText('Open the last version that can be read').click();
  await expect(page.getByText('This is the job as it was when it could last be read.')).toBeVisible();
  await expect(ledger(page, /^Sewing room/)).toBeVisible();
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  const stored = await page.request.get('/api/jobs/quince-cottage/plan');
  expect(stored.ok()).toBe(true);
});

test('what is typed on a keyboard is used or refused, sign by sign; unlikely sizes are asked about', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByLabel('Outer wall thickness').fill('250 m');
  await page.getByText('Start measuring').click();
  await expect(page.getByRole('alert')).toContainText('250.00 m? Did you mean 250 mm?');
  await page.getByLabel('Outer wall thickness').fill('250');
  await page.getByText('Start measuring').click();
  const sheet = (await page.getByTestId('sheet').boundingBox())!;
  await page.mouse.move(sheet.x + 150, sheet.y + 100);
  await page.mouse.down();
  await page.mouse.move(sheet.x + 400, sheet.y + 330, { steps: 4 });
  await page.mouse.up();
  await page.keyboard.press('Escape');
  await ledger(page, /room|Unnamed/i)
    .first()
    .click();
  await press(page, /^Wall 1: ≈/);
  for (const [typed, why] of [
    ['1e9', /not a length/],
    ['-3', /can’t be negative/],
    ['3m 420', /Say what 420 is/],
  ] as const) {
    await page.keyboard.type(typed);
    await expect(page.getByTestId('typed')).toHaveText(typed);
    await page.keyboard.press('Enter');
    await expect(page.getByText(why).first()).toBeVisible();
    await expect(wall(page, /^Wall 1: ≈/)).toBeVisible();
    for (const _ of typed) await page.keyboard.press('Backspace');
  }

  // a door's place: 120 is no 120 m of a wall of five
  await page.keyboard.press('d');
  await expect(page.getByTestId('strip-door')).toBeVisible();
  await page.keyboard.type('120');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').getByText('120.00 m? Or 1.20 m? Or 0.12 m?')).toBeVisible();
  await page.getByRole('button', { name: 'No, 0.12 m' }).click();
  await expect(page.getByTestId('strip-gap-0')).toHaveText('0.12 m');
});

test.describe('with the application kept on the device', () => {
  test.use({ serviceWorkers: 'allow', fresh: true });

  test('it opens, and a job with it, without the server', async ({ page, server }) => {
    await page.goto('/job/ferry-house');
    await expect(total(page)).toBeVisible();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await server.stop();
    await page.reload();
    await expect(ledger(page, /^Ticket hall, ≈ 23/)).toBeVisible();
    await expect(page.getByTestId('sync')).toHaveAccessibleName(/Offline/);
  });
});

/** Forty rooms with every wall read, one of them with its digits swapped. */
function readFloor() {
  let plan = newPlan({ name: 'Old school' });
  const edit = (intent: Intent, seed: string) => {
    const result = applyEdit(plan, intent, seed);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
  };
  for (let i = 0; i < 40; i += 1) {
    const [x, y] = [(i % 8) * 3640, Math.floor(i / 8) * 2750];
    edit({ kind: 'drawBox', floor: 'ground', a: { x, y }, b: { x: x + 3540, y: y + 2650 } }, `r${i}`);
  }
  const time = '2026-05-04T09:20:00Z';
  const readings = deriveFloor(plan, 'ground').rooms.flatMap(({ faces }, room) =>
    faces.map(({ from, to, length }, i): Reading => {
      const value = room === 20 && i === 0 ? 3450 : Math.round(length);
      const place = { kind: 'length', face: 'inside', from, to, via: [] } as const;
      const read = { value, text: `${value} mm`, unit: 'mm', instrument: 'laser', time } as const;
      return {
        id: `t${room}.${i}`,
        floor: 'ground',
        ...place,
        ...read,
        note: '',
        held: false,
        spread: false,
        history: [],
      };
    }),
  );
  return { ...plan, readings: Object.fromEntries(readings.map((reading) => [reading.id, reading])) };
}

test('on a floor with many readings the one that contradicts is found beside the screen', async ({ page, server }) => {
  const plan = readFloor();
  const put = await page.request.put(`${server.url}/api/jobs/old-school/plan`, { data: { version: 0, plan } });
  expect(put.ok()).toBe(true);
  const workers: string[] = [];
  page.on('worker', (worker) => workers.push(worker.url()));
  await page.goto('/job/old-school');
  await expect(page.getByTestId('contradiction')).toContainText('3.45 m: digits swapped? 3.54 m would fit.');
  expect(workers).toHaveLength(1);
  // and gone when it is measured again
  await page.getByRole('button', { name: 'Measure again', exact: true }).click();
  await page.keyboard.type('3.54');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('contradiction')).toHaveCount(0);
});
