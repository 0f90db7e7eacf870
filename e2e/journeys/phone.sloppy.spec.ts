import type { Page } from '@playwright/test';
import { Finger, restingBox } from '../finger';
import { key, type } from '../pad';
import { expect, test } from '../server';

const floors = (page: Page) => page.getByTestId(/^floor/);

/** How far the worst edge of any floor is from level or upright, px. */
const slant = (page: Page): Promise<number> =>
  floors(page).evaluateAll((elements) =>
    Math.max(
      ...elements.flatMap((element) => {
        const numbers = element
          .getAttribute('d')!
          .match(/-?\d+(\.\d+)?/g)!
          .map(Number);
        const points = Array.from({ length: numbers.length / 2 }, (_, i) => [numbers[2 * i]!, numbers[2 * i + 1]!]);
        const { a } = (element as SVGPathElement).getScreenCTM()!;
        return points.map(([x, y], i) => {
          const [u, v] = points[(i + 1) % points.length]!;
          return a * Math.min(Math.abs(u! - x!), Math.abs(v! - y!));
        });
      }),
    ),
  );

async function firstRoom(page: Page, finger: Finger): Promise<void> {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await expect(page.getByText(/Drag across the sheet/)).toBeVisible();
  await finger.drag([90, 190], [210, 330]);
  await key(page, 'Kitchen').tap();
  await key(page, 'Done').tap();
}

test('a second room begun beside the first, a little off and past its end, is there, square and named, twelve times', async ({
  page,
}) => {
  const finger = new Finger(page);
  await firstRoom(page, finger);
  // how far off the wall and how far past its end a thumb begins, px; and on which side
  const starts = [
    [0, 0],
    [4, -6],
    [8, 8],
    [12, 8],
    [15, 8],
    [20, 14],
    [-5, -10],
    [10, 20],
    [14, -15],
    [18, 3],
    [6, 17],
    [11, -20],
  ] as const;
  for (const [i, [off, past]] of starts.entries()) {
    await key(page, 'Box').tap();
    const { x, y, width, height } = await restingBox(floors(page).first());
    // to the right of it, or below it
    const [from, to] =
      i % 2 === 0
        ? ([
            [x + width + off, y - past],
            [x + width + off + 90, y - past + 110],
          ] as const)
        : ([
            [x - past, y + height + off],
            [x - past + 100, y + height + off + 90],
          ] as const);
    await finger.drag(from, to, 6);
    await key(page, 'Bathroom').tap();
    await expect(floors(page)).toHaveCount(2);
    await expect(page.getByTestId(/^area/)).toHaveCount(2);
    expect(await slant(page)).toBeLessThan(0.2);
    await key(page, 'Done').tap();
    // the name, and the room
    await key(page, 'Undo room name').tap();
    await page.getByRole('button', { name: /^Undo / }).tap();
    await expect(floors(page)).toHaveCount(1);
  }
});

test('a slip stays said when the diagonal that is asked for is read, and the area is that of the true room', async ({
  page,
}) => {
  const finger = new Finger(page);
  await firstRoom(page, finger);
  const { x, y, width, height } = await restingBox(floors(page).first());
  await finger.tap([x + width / 2, y + height / 4]);
  await page.getByText('Tape the walls (4 still rough)').tap();
  for (const wall of ['4.20', '3.10', '5.20', '3.10']) await type(page, wall);
  await expect(page.getByTestId('contradiction')).toContainText('5.20 m');
  await page.getByText('Measure it').tap();
  await expect(page.getByTestId('measured-line')).toHaveCount(1);
  await type(page, '5.22');
  await key(page, 'Choose').tap();
  const room = await restingBox(floors(page).first());
  await finger.tap([room.x + room.width / 2, room.y + room.height / 4]);
  await expect(page.getByTestId('contradiction')).toContainText('5.20 m');
  await expect(page.getByLabel(/^Net internal floor area: /)).toContainText('13.02 m²');
});

test('a wall that is not chosen is dragged by a finger that rests on it; on the chosen one it parts it', async ({
  page,
}) => {
  const finger = new Finger(page);
  await firstRoom(page, finger);
  const top = async () => {
    const { x, y, width } = await restingBox(floors(page).first());
    return [x + width / 2, y - 5] as const;
  };
  const pull = async (from: readonly [number, number], by: number) => {
    await finger.down([from]);
    await page.waitForTimeout(400);
    for (let i = 1; i <= 6; i += 1) await finger.move([[from[0], from[1] + (by * i) / 6]]);
    await finger.rest([from[0], from[1] + by]);
    await finger.up();
  };
  const before = await restingBox(floors(page).first());
  await pull(await top(), -40);
  await expect(page.getByRole('button', { name: 'Undo move wall' })).toBeVisible();
  await expect(page.getByTestId('tape-strip')).toBeVisible();
  await page.getByRole('button', { name: 'Undo move wall' }).tap();
  await expect.poll(async () => Math.round((await restingBox(floors(page).first())).height / before.height)).toBe(1);

  // the wall is chosen now: it parts where the finger rests, and the part to the nearer end is pushed in
  const { x, y, width } = await restingBox(floors(page).first());
  await pull([x + width / 3, y - 4], 40);
  await expect(page.getByRole('button', { name: /^Depth: / })).toBeVisible();
  await type(page, '1.20');
  await type(page, '0.80');
  await key(page, 'Keep').tap();
  await expect(page.getByText(/open end/)).toHaveCount(0);
  await expect(page.getByTestId(/^length/).getByText('0.80 m')).toHaveCount(1);
});
