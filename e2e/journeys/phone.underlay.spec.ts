import { type Page } from '@playwright/test';
import { BOAT_SHED, SKETCH, boatShedSketch, onSketch } from '../../apps/server/src/demo/boat-shed';
import { Finger, restingBox } from '../finger';
import { giveFile, onScreen, pictureOn } from '../picture';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

/** A point of the shed, mm, on the screen. */
const shedOnScreen = (page: Page, x: number, y: number) => onScreen(page, onSketch({ x, y }));

/** A room traced with the finger from inner corner to inner corner, as nearly as a finger does: lines of the picture catch. */
async function trace(page: Page, finger: Finger, name: keyof (typeof BOAT_SHED)['rooms']): Promise<void> {
  const { x, y, width, height } = BOAT_SHED.rooms[name];
  // what stands at the foot may still be on its way
  await restingBox(pictureOn(page));
  const from = await shedOnScreen(page, x, y);
  const to = await shedOnScreen(page, x + width, y + height);
  await finger.drag([from[0] + 2, from[1] + 2], [to[0] - 2, to[1] - 1]);
  await page.getByRole('textbox', { name: 'Another name' }).fill(name);
  await press(page, 'Name it');
  // the room is chosen; the next one is drawn beside it
  await press(page, 'Done');
  await press(page, 'Box');
}

test('a sketch is brought in scaled and levelled, three rooms are traced, one wall taped', async ({ page, server }) => {
  test.setTimeout(300_000);
  const finger = new Finger(page);
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await press(page, 'Underlay');
  await expect(page.getByText(/Bring in an old plan/)).toBeVisible();
  const sketch = { name: 'shed.jpg', mimeType: 'image/jpeg', buffer: await boatShedSketch() };
  await giveFile(page, () => press(page, 'Bring in a picture or PDF'), sketch);
  await expect(page.getByTestId('underlay-words')).toContainText('No true scale yet');
  await restingBox(pictureOn(page));

  // true scale: the two ends of what is written 6.40; a slip of the unit is asked about first
  await press(page, 'True scale');
  await expect(page.getByTestId('marks-next')).toHaveText('Mark one end of something whose length you know.');
  await finger.tap(await shedOnScreen(page, 0, 0));
  await expect(page.getByTestId('mark-1')).toBeVisible();
  const wanted = await shedOnScreen(page, 6400, 0);
  // the second is dragged, with what the finger covers shown beside it
  await finger.down([[wanted[0] - 30, wanted[1] + 20]]);
  await finger.move([[wanted[0] - 10, wanted[1] + 5]]);
  await expect(page.getByTestId('magnifier')).toBeVisible();
  await finger.rest(wanted);
  await finger.up();
  // a key nudges it by a pixel of the picture, and back
  const before = (await restingBox(page.getByTestId('mark-2'))).x;
  await press(page, 'Nudge the mark to the right');
  await press(page, 'Nudge the mark to the right');
  expect((await restingBox(page.getByTestId('mark-2'))).x).toBeGreaterThan(before);
  await press(page, 'Nudge the mark to the left');
  await press(page, 'Nudge the mark to the left');
  await type(page, '640');
  await expect(page.getByTestId('marks-mean')).toContainText('This makes the picture 1276');
  await press(page, 'Keep');
  await expect(page.getByRole('alert')).toContainText(/wide\? Or 12\.7\d m/);
  await page.getByRole('button', { name: /^No, 12\.7\d m wide$/ }).tap();
  await expect(page.getByTestId('marks-mean')).toContainText('This makes the picture 12.7');

  // a second length, and how well they agree
  await finger.tap(await shedOnScreen(page, 9360, 0));
  await finger.tap(await shedOnScreen(page, 9360, 3100));
  await type(page, '3.10');
  await expect(page.getByTestId('marks-mean')).toContainText('2 distances agree to 0.');
  await press(page, 'Keep');
  await expect(page.getByTestId('underlay-words')).toContainText('Scale from 2 distances · 12.7');

  // level: along the upper wall
  await press(page, 'Level by a marked line');
  await finger.tap(await shedOnScreen(page, 200, 0));
  await finger.tap(await shedOnScreen(page, 9200, 0));
  await press(page, 'Keep');
  const [a, b] = [await shedOnScreen(page, 0, 0), await shedOnScreen(page, 9360, 0)];
  expect(Math.abs(a[1] - b[1])).toBeLessThan(1.5);

  // traced along inner faces; how thick walls are comes along
  await press(page, 'Done');
  await press(page, 'Box');
  await expect(key(page, 'Trace along the inner face')).toBeVisible();
  for (const name of ['Workshop', 'Store', 'Office'] as const) await trace(page, finger, name);
  await press(page, 'Choose');
  for (const [name, { width, height }] of Object.entries(BOAT_SHED.rooms)) {
    const label = await page
      .getByText(new RegExp(`^${name}$`))
      .first()
      .textContent();
    expect(label).toBe(name);
    const area = await roomArea(page, name);
    expect(Math.abs(area / ((width * height) / 1e6) - 1)).toBeLessThan(0.01);
  }
  await expect(page.getByTestId(/^length/).filter({ hasText: '≈' })).toHaveCount(0);

  // one wall taped where the picture has it a little longer: what is only scaled follows when it is told to
  await finger.tap(await shedOnScreen(page, 3200, 0));
  await expect(page.getByTestId('strip-length')).toContainText('scaled');
  await type(page, '6.30');
  await expect(
    page.getByText(/Taped 6\.30 m where the picture says 6\.40 m\. Rescale what is only scaled\?/),
  ).toBeVisible();
  await press(page, 'Rescale');
  const truth = 8.68 * (6.3 / 6.4) ** 2;
  await expect.poll(async () => Math.abs((await roomArea(page, 'Store')) / truth - 1)).toBeLessThan(0.012);

  // it is on the server, and taking it away leaves the plan as it is
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  const total = await page.getByTestId('job-total').textContent();
  const listed = (await (await page.request.get(`${server.url}/api/jobs`)).json()) as {
    jobs: { id: string; name: string }[];
  };
  const { id } = listed.jobs.find(({ name }) => /^\d+ \w+, \d/.test(name))!;
  const { plan } = (await (await page.request.get(`${server.url}/api/jobs/${id}/plan`)).json()) as {
    plan: { underlays: Record<string, { picture: string; width: number }> };
  };
  const [underlay] = Object.values(plan.underlays);
  expect(underlay!.width).toBe(SKETCH.width);
  const kept = await page.request.get(`${server.url}/api/pictures/${underlay!.picture}`);
  expect(kept.headers()['content-type']).toBe('image/jpeg');
  await press(page, 'Done');
  await press(page, 'Underlay');
  await press(page, 'Underlay shed');
  await press(page, 'More about this underlay');
  await page.getByRole('menuitem', { name: 'Take it away' }).tap();
  await expect(pictureOn(page)).toHaveCount(0);
  await expect(page.getByTestId('job-total')).toHaveText(total!);
});

/** The area on the label of a room, m². */
async function roomArea(page: Page, name: string): Promise<number> {
  const texts = await page.getByTestId('sheet').locator('text').allTextContents();
  const at = texts.findIndex((text) => text === name);
  const area = texts.slice(at + 1).find((text) => /m²/.test(text)) ?? '';
  return Number(/[\d.]+/.exec(area)?.[0]);
}
