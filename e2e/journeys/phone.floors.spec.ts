import { key } from '../pad';
import { Finger, restingBox } from '../finger';
import { expect, test } from '../server';

test('the floor above begins with what continues from below: the lean-to is left out, its side closed; floors are named, read, put in order, taken away and back', async ({
  page,
}) => {
  const finger = new Finger(page);
  await page.goto('/job/quince-cottage');
  const total = page.getByTestId('job-total');
  await expect(total).toHaveText(/144\.8 ft²/);
  await page.getByRole('tab', { name: 'Floors' }).tap();
  await expect(page).toHaveURL(/\/floors$/);
  const floors = page.getByTestId('floors');
  await key(page, 'More about Ground floor').tap();
  await page.getByLabel('Floor to floor; empty: from its ceiling').fill('9 bananas');
  await page.getByLabel('Called').tap();
  await expect(page.getByRole('alert').first()).toContainText('That is not a length.');
  await expect(page.getByRole('alert').first()).toBeInViewport();
  await page.getByLabel('Floor to floor; empty: from its ceiling').fill(`8' 10"`);
  await page.getByLabel('Called').tap();
  await expect(floors.getByText('8′ 10″ floor to floor, as read')).toBeVisible();

  await key(page, 'Carry Ground floor up').tap();
  const carry = page.getByTestId('carry');
  await expect(carry.getByText(/^\d+ of \d+ walls continue/)).toBeVisible();
  // the closet stays below: its three outer walls are left out by a tap
  const picture = await restingBox(carry.getByTestId('floor-picture').locator('[data-testid=marked]'));
  const { x, y, width, height } = picture;
  const before = Number(/^(\d+)/.exec((await carry.getByText(/walls continue/).textContent())!)![1]);
  await finger.tap([x + width - 4, y + 0.3 * height]);
  await expect(carry.getByText(new RegExp(`^${before - 1} of`))).toBeVisible();
  await finger.tap([x + 0.9 * width, y + 3]);
  await expect(carry.getByText(new RegExp(`^${before - 2} of`))).toBeVisible();
  await finger.tap([x + 0.9 * width, y + 0.7 * height]);
  await expect(carry.getByText(new RegExp(`^${before - 3} of`))).toBeVisible();
  await key(page, 'To a new floor above').tap();

  await expect(page.getByTestId('other-floor')).toHaveCount(1);
  await expect(key(page, 'Floor: First floor')).toBeVisible();
  await key(page, /open ends/).tap();
  await key(page, 'Close it straight').first().tap();
  await expect(total).toHaveText(/26\d\.\d ft²/);

  // a room of its own that begins at a corner of the floor below
  await page.getByRole('tab', { name: 'Floors' }).tap();
  await key(page, 'More about First floor').tap();
  await page.getByLabel('Called').fill('Loft');
  await page.getByLabel('Floor to floor; empty: from its ceiling').tap();
  await expect(floors.getByRole('button', { name: /^Loft, \+8′ 10″, 1 room/ })).toBeVisible();
  // the house from outside itself: its floors at one scale, or over each other, any left out
  await key(page, 'Side by side').tap();
  await expect(floors.getByTestId('floor-picture')).toHaveCount(2);
  await key(page, 'Over each other').tap();
  await expect(floors.getByTestId(/^over /)).toHaveCount(2);
  await key(page, 'Show Loft').tap();
  await expect(floors.getByTestId(/^over /)).toHaveCount(1);
  await key(page, 'As a list').tap();
  await key(page, 'More about Loft').tap();
  await key(page, 'Copy Loft above itself').tap();
  await expect(floors.getByRole('button', { name: /^Loft, copy, .* 1 room/ })).toBeVisible();
  for (let i = 0; i < 2; i += 1) await key(page, /^Undo (carry|add)/).tap();
  await expect(floors.getByRole('button', { name: /^Loft, copy/ })).toHaveCount(0);
  if (!(await key(page, 'Loft one down').isVisible())) await key(page, 'More about Loft').tap();
  await key(page, 'Loft one down').tap();
  await expect(floors.getByRole('button', { name: /^Loft, ±0/ })).toBeVisible();
  await key(page, 'Loft one up').tap();
  await key(page, 'Take Loft away, with all that is on it').tap();
  await expect(floors.getByRole('button', { name: /^Loft/ })).toHaveCount(0);
  await expect(total).toHaveText(/144\.8 ft²/);
  await key(page, /^Undo remove floor/).tap();
  await expect(floors.getByRole('button', { name: /^Loft/ })).toHaveCount(1);
  await key(page, 'More about Ground floor').tap();
  await key(page, 'Take Ground floor away, with all that is on it').tap();
  await expect(floors.getByRole('button', { name: /^Loft/ })).toHaveCount(1);
  await key(page, 'More about Loft').tap();
  await key(page, 'Take Loft away, with all that is on it').tap();
  await expect(page.getByRole('alert').first()).toContainText('A house has at least one floor.');
});
