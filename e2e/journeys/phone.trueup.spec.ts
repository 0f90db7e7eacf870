import { text } from 'node:stream/consumers';
import type { Page } from '@playwright/test';
import { Finger, middleOf, restingBox } from '../finger';
import { key, type, press } from '../pad';
import { expect, test } from '../server';
import { withSteadyMeter } from '../steady-meter';

const strip = (page: Page) => page.getByTestId('tape-strip');
const contradiction = (page: Page) => page.getByTestId('contradiction');

async function newJob(page: Page): Promise<void> {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
}

/** A kitchen dragged out, its first wall waiting to be taped. */
async function roughKitchen(page: Page, finger: Finger): Promise<void> {
  await newJob(page);
  await finger.drag([70, 170], [310, 360]);
  await key(page, 'Kitchen').tap();
  await page.getByText('Tape the walls (4 still rough)').tap();
}

/** Where the inside corners of the only room are on the screen, px. */
async function cornersOf(page: Page): Promise<[number, number][]> {
  await restingBox(page.getByTestId(/^floor/));
  return page.getByTestId(/^floor/).evaluate((element) => {
    const path = element as SVGPathElement;
    const { a, d, e, f } = path.getScreenCTM()!;
    const numbers = path
      .getAttribute('d')!
      .match(/-?\d+(\.\d+)?/g)!
      .map(Number);
    return Array.from({ length: numbers.length / 2 }, (_, i) => [a * numbers[2 * i]! + e, d * numbers[2 * i + 1]! + f]);
  });
}

/** What is being measured is shot with the laser, and taken. */
async function shootAcross(page: Page): Promise<void> {
  await expect(page.getByTestId('measured-line')).toHaveCount(1);
  await page.getByRole('button', { name: /^Measure with the laser/ }).tap();
  await expect(page.getByTestId('typed')).toHaveText(/^\d+\.\d{3} m$/);
  await key(page, 'Enter').tap();
  await expect(page.getByTestId('measured-line')).toHaveCount(0);
}

test('a crooked five-wall room is shot round with the laser; a slip is found and measured again', async ({ page }) => {
  const finger = new Finger(page);
  await withSteadyMeter(page);
  await newJob(page);
  await press(page, 'Corners');
  for (const at of [
    [80, 170],
    [290, 178],
    [310, 330],
    [200, 420],
    [84, 360],
  ] as const)
    await finger.tap(at);
  await key(page, 'Close').tap();
  await key(page, 'Kitchen').tap();
  await page.getByText('Tape the walls (5 still rough)').tap();
  await key(page, 'Connect the laser meter').tap();
  for (let i = 1; i <= 5; i += 1) {
    await expect(page.getByText(`${i - 1} of 5 taped`)).toBeVisible();
    await page.getByRole('button', { name: /^Measure with the laser, battery \d+ %/ }).tap();
    await expect(page.getByTestId('typed')).toHaveText(/^\d+\.\d{3} m$/);
    await key(page, 'Enter').tap();
  }
  // on and on, until it is stopped: what came last waits in the field
  await page.getByText('Go round the walls').tap();
  await press(page, /^How it is read/);
  await page.getByRole('menuitem', { name: 'Keep shooting' }).tap();
  await expect(page.getByTestId('typed')).toHaveText(/^\d+\.\d{3} m$/);
  await key(page, 'Stop measuring with the laser').tap();
  await expect(page.getByRole('button', { name: /^Measure with the laser/ })).toBeVisible();
  await key(page, 'Done').tap();
  await finger.tap(await middleOf(page.getByTestId(/^area/)));
  // five sides do not fix five corners: the application says which diagonal helps most
  await expect(page.getByText(/Would help most: the diagonal [A-E] to [A-E] of/)).toBeVisible();
  await page.getByText('Measure it').tap();
  // its corners are lettered on the plan, and the field says which it is
  await expect(page.getByTestId(/^corner-[A-E]$/)).toHaveCount(5);
  await expect(key(page, /^Diagonal [A-E] to [A-E]: /)).toBeVisible();
  await shootAcross(page);
  // what was asked for is done, and a tap chooses again
  await press(page, 'Measure');
  // with all five diagonals every reading is controlled by the others
  for (const [a, b] of [
    [0, 2],
    [0, 3],
    [1, 3],
    [1, 4],
    [2, 4],
  ] as const) {
    await finger.tap((await cornersOf(page))[a]!);
    await expect(page.getByTestId('measured-from')).toHaveCount(1);
    await finger.tap((await cornersOf(page))[b]!);
    await shootAcross(page);
  }
  await key(page, 'Choose').tap();
  await finger.tap(await middleOf(page.getByTestId(/^area/)));
  await expect(page.getByLabel(/^Net internal floor area: /)).toContainText('±');
  await expect(contradiction(page)).toHaveCount(0);

  // a slip: one wall is typed again with two digits swapped, and is found out at once
  await page.getByText('Go round the walls').tap();
  const length = /wall of ([\d.]+) m/.exec((await strip(page).getAttribute('aria-label'))!)![1]!;
  const digits = Number(length).toFixed(3);
  const swapped = `${digits[0]}.${digits[3]}${digits[2]}${digits[4]}`;
  test.skip(swapped === digits, 'two digits alike');
  await type(page, swapped);
  await expect(contradiction(page)).toContainText('Misses by');
  await expect(page.getByTestId('misclosure').first()).toHaveCount(1);
  await key(page, 'Done').tap();
  await finger.tap(await middleOf(page.getByTestId(/^area/)));
  await expect(contradiction(page)).toContainText('digits swapped');
  await page.getByText('Measure again').tap();
  await type(page, digits);
  await expect(contradiction(page)).toHaveCount(0);
});

test('a size no wall has is asked about; a diagonal un-squares a room; what contradicts is spread or held', async ({
  page,
}) => {
  const finger = new Finger(page);
  await roughKitchen(page, finger);
  // 42 m? 4.20 m
  await type(page, '42');
  await expect(page.getByText('42.00 m? Or 4.20 m?')).toBeVisible();
  await key(page, 'No, 4.20 m').tap();
  await expect(page.getByTestId(/^length/).getByText('4.20 m')).toHaveCount(1);
  await type(page, '3.15');
  await type(page, '4.25');
  await expect(contradiction(page)).toContainText('Misses by 50 mm left to right');
  // the last reading is one tap away
  await key(page, 'The last reading, 4.25').tap();
  await expect(page.getByTestId('typed')).toHaveText('4.25');
  for (let i = 0; i < 4; i += 1) await key(page, 'Backspace').tap();
  await type(page, '3.15');
  await expect(contradiction(page)).toContainText('a diagonal would tell');
  await page.getByText('Spread it').tap();
  await expect(contradiction(page)).toHaveCount(0);
  await key(page, 'Undo change reading').tap();
  await expect(contradiction(page)).toBeVisible();
  await key(page, 'Done').tap();

  // from corner to corner, then what the tape says
  await press(page, 'Measure');
  const floor = await restingBox(page.getByTestId(/^floor/));
  await finger.tap([floor.x + 3, floor.y + 3]);
  await expect(page.getByText('Now tap the second corner or wall.')).toBeVisible();
  const again = await restingBox(page.getByTestId(/^floor/));
  await finger.tap([again.x + again.width - 3, again.y + again.height - 3]);
  await expect(page.getByTestId('measured-line')).toHaveCount(1);
  await type(page, '5.32');
  await expect(page.getByText(/out of square by 0\.9°: the other diagonal would tell/)).toBeVisible();
  // the true angles stand in the corners now: 4.2 and 3.15 with 5.32 make 91.6° (law of cosines)
  await expect(page.getByText('91.6°')).toHaveCount(1);
  await expect(page.getByTestId(/^check length/)).toHaveText('5.32 m');

  // every reading in a list; one is deleted and comes back
  await page.getByText('Readings (5)').tap();
  const list = page.getByTestId('readings');
  await expect(list.getByText(/^5\.32 m/)).toBeVisible();
  await expect(list.getByText(/controlled/).first()).toBeVisible();
  await list.getByText('Least controlled').tap();
  await list.getByRole('button', { name: 'Delete reading' }).first().tap();
  await expect(list.getByRole('button', { name: 'Delete reading' })).toHaveCount(4);
  await key(page, 'Undo loosen reading').tap();
  await expect(list.getByRole('button', { name: 'Delete reading' })).toHaveCount(5);
  await key(page, 'Close readings').tap();

  // a pinned room stays where it is
  await key(page, 'Choose').tap();
  await finger.tap(await middleOf(page.getByTestId(/^area/)));
  await press(page, 'This stays');
  await expect(page.getByTestId('pin')).toHaveCount(4);
  await press(page, 'Let it move again');
  await expect(page.getByTestId('pin')).toHaveCount(0);
});

test('thickness, ceiling, a height under the slope, an outer face off a drawing: all are readings, with notes', async ({
  page,
}) => {
  const finger = new Finger(page);
  await roughKitchen(page, finger);
  await type(page, '4.20');
  await type(page, '3.15');
  // off a drawing that gives lengths on outer faces; it stays so until it is changed
  await press(page, /^How it is read: tape/);
  await page.getByRole('menuitem', { name: 'Off a drawing' }).tap();
  await press(page, /^How it is read: drawing/);
  await page.getByRole('menuitem', { name: 'On the outer face' }).tap();
  await type(page, '4.70');
  await expect(page.getByText('3 of 4 taped')).toBeVisible();
  await press(page, /^How it is read: drawing, outer face/);
  await page.getByRole('menuitem', { name: 'By tape' }).tap();
  await press(page, /^How it is read/);
  await page.getByRole('menuitem', { name: 'On the inner face' }).tap();
  // what was not measured is what is usual, and says so
  await page.getByRole('button', { name: 'Thickness: ≈ 250 mm' }).tap();
  await type(page, '305');
  await expect(page.getByRole('button', { name: 'Thickness: 305 mm' })).toBeVisible();
  await page.getByRole('button', { name: 'Ceiling: ≈ 2.40 m' }).tap();
  await type(page, '2.48');
  await expect(page.getByRole('button', { name: 'Ceiling: 2.48 m' })).toBeVisible();
  await key(page, 'Done').tap();

  await press(page, 'Measure');
  const floor = await restingBox(page.getByTestId(/^floor/));
  await finger.tap([floor.x + 0.3 * floor.width, floor.y + 0.7 * floor.height]);
  await expect(page.getByTestId('height-point')).toHaveCount(1);
  await type(page, '1.85');
  await expect(page.getByTestId(/^height value/)).toHaveText('1.85 m');

  await page.getByText('Readings (6)').tap();
  const list = page.getByTestId('readings');
  for (const what of [
    'Kitchen · wall · tape',
    'Kitchen · wall, outside · scaled',
    'Kitchen · wall thickness · tape',
    'Kitchen · ceiling height · tape',
    'Kitchen · height under the slope · tape',
  ])
    await expect(list.getByText(what).first()).toBeVisible();
  await list.getByRole('button', { name: 'Add a note' }).last().tap();
  await page.getByLabel('Note', { exact: true }).fill('to the purlin');
  await key(page, 'Keep the note').tap();
  await expect(list.getByText('to the purlin')).toBeVisible();
  const download = page.waitForEvent('download');
  await list.getByRole('button', { name: 'Readings as CSV' }).tap();
  const csv = await (await download).createReadStream().then(text);
  expect(csv).toMatch(/Kitchen,height under the slope,1\.85,1\.85,1\.85,0,0,tape,[^,]+,to the purlin,/);

  // measured again from the list; the older one is its history
  await list.getByRole('button', { name: /ceiling height 2\.48 m.*Measure again/ }).tap();
  await type(page, '2.47');
  await key(page, 'Done').tap();
  await press(page, 'Measure');
  await page.getByText('Readings (6)').tap();
  await expect(list.getByText(/before: 2\.48/)).toBeVisible();
});
