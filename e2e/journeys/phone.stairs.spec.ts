import { Finger } from '../finger';
import { ofHouse, openMillHouse } from '../mill-house';
import { key, press, type } from '../pad';
import { expect, test } from '../server';

test('a second storey carried up without bay and lean-to, stairs in one stroke, and a third walked round from a corner of the floor below', async ({
  page,
  server,
}) => {
  const finger = new Finger(page);
  await openMillHouse(page, server);
  const total = page.getByTestId('job-total');
  await expect(total).toHaveText(/49\.\d\d m²/);

  // what continues: the bay and the lean-to are left out, the wall between it and the house is taken along
  await page.getByRole('tab', { name: 'Floors' }).tap();
  await key(page, 'More about Ground floor').tap();
  await key(page, 'Carry Ground floor up').tap();
  const carry = page.getByTestId('carry');
  const counted = carry.getByText(/walls continue/);
  const marked = carry.getByTestId('floor-picture').locator('[data-testid=marked]');
  const tapped = async (x: number, y: number) => finger.tap(await ofHouse(marked, { x, y }));
  await expect(counted).toHaveText(/^\d+ of/);
  const count = async () => Number(/^(\d+)/.exec((await counted.textContent())!)![1]);
  for (const [x, y, change] of [
    [3750, -850, -1],
    [2750, -430, -1],
    [4750, -430, -1],
    [10_800, 3000, -1],
    [9600, 1450, -1],
    [9600, 4550, -1],
    [8100, 3000, 1],
  ] as const) {
    const before = await count();
    await tapped(x, y);
    await expect(counted).toHaveText(new RegExp(`^${before + change} of`));
  }
  await key(page, 'To a new floor above').tap();
  await expect(key(page, 'Floor: First floor')).toBeVisible();
  await key(page, /open ends/).tap();
  await key(page, 'Close it straight').first().tap();
  // 8 × 5 m beside what there was
  await expect(total).toHaveText(/89\.\d\d m²/);

  // stairs: drawn on the floor they go up from, crooked, along the lower wall
  await key(page, 'Floor: First floor').tap();
  await page.getByRole('menuitem', { name: 'Ground floor' }).tap();
  await press(page, 'Stairs');
  const walls = page.getByTestId(/^wall /);
  const at = (x: number, y: number) => ofHouse(walls, { x, y });
  await finger.down([await at(900, 4500)]);
  for (let i = 1; i <= 12; i += 1) await finger.move([await at(900 + i * 320, 4500 + 40 * Math.sin(i))]);
  await expect(page.getByTestId(/stairs .* treads/)).toBeVisible();
  await finger.rest(await at(4740, 4500));
  await finger.up();
  const checks = page.getByTestId('stairs-checks');
  await expect(checks.getByText('14 × 192.9 / 244')).toBeVisible();
  await expect(checks.getByText(/^2 × rise \+ going is 629\.7 mm/)).toBeVisible();
  await expect(key(page, 'Risers: 14')).toBeVisible();

  // dragged they move, and catch on the wall again
  const chosen = page.getByTestId('chosen-stairs');
  const before = await chosen.getAttribute('d');
  await finger.drag(await at(2500, 4500), await at(3500, 4470));
  await expect(chosen).not.toHaveAttribute('d', before!);
  await expect(page.getByTestId(/stairs .* treads/)).toHaveCount(1);

  // what can't be is refused in words, and nothing is lost
  await key(page, 'Risers: 14').tap();
  await type(page, '1');
  await expect(page.getByText('Stairs have 2 risers at least', { exact: false }).first()).toBeVisible();
  for (let i = 0; i < 1; i += 1) await key(page, 'Backspace').tap();
  await type(page, '15');
  await expect(key(page, 'Risers: 15')).toBeVisible();
  await key(page, 'Width: 0.90 m').tap();
  await type(page, '0.85');
  await expect(key(page, 'Width: 0.85 m')).toBeVisible();
  await page.getByRole('tab', { name: 'Form' }).tap();
  // whatever leads up can be made of them, and is drawn as what it is
  for (const [form, drawn] of [
    ['Half turn', /stairs .* treads/],
    ['Spiral', /stairs .* treads/],
    ['Ladder', /stairs .* opening/],
    ['Ramp', /stairs .* line/],
    ['Hatch', /^stairs [\w-]+$/],
  ] as const) {
    await key(page, form).tap();
    await expect(key(page, form)).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByTestId(drawn).first()).toBeVisible();
  }
  await key(page, 'Quarter turn').tap();
  await key(page, 'They turn the other way').tap();
  await key(page, 'Winders').tap();
  await page.getByRole('tab', { name: 'Size' }).tap();
  await expect(key(page, /^To the turn: /)).toBeVisible();
  await key(page, 'Done').tap();

  // above, the floor is open where they come up, and that is no floor
  await key(page, 'Floor: Ground floor').tap();
  await page.getByRole('menuitem', { name: 'First floor' }).tap();
  await expect(page.getByTestId(/stairs .* below edge/)).toBeVisible();
  await expect(page.getByTestId(/^level /).getByText('+2.70')).toBeVisible();
  await expect(total).toHaveText(/8[5-8]\.\d\d m²/);

  // one more floor, walked round from a corner of the one below
  await page.getByRole('tab', { name: 'Floors' }).tap();
  await key(page, 'Add a floor above all').tap();
  await page.getByRole('button', { name: /^Second floor, / }).tap();
  await press(page, 'Walk round');
  const ghost = page.getByTestId('other-floor');
  const [x, y] = await ofHouse(ghost, { x: 8000, y: 0 });
  await finger.tap([x + 5, y - 4]);
  for (const length of ['5', '8', '5', '8']) await type(page, length);
  await key(page, 'Close').tap();
  await expect(page.getByTestId('walk-closing')).toContainText('It closes');
  await key(page, 'Keep').tap();
  await key(page, 'Later').tap();
  await expect(page.getByLabel(/^Net internal floor area: 40\.00 m²/)).toBeVisible();
  await page.reload();
  await expect(total).toHaveText(/12[5-8]\.\d\d m²/);
});
