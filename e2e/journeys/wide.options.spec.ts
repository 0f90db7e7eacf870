import { key } from '../pad';
import { WIDE } from '../browser';
import { expect, test } from '../server';

test.use(WIDE);

test('four options of a sewing room side by side, moving together; one copied, renamed, chosen, discarded and back', async ({
  page,
}) => {
  await page.goto('/job/quince-cottage/options');
  const options = page.getByTestId('options');
  const pictures = page.getByTestId(/^option-picture /);
  await expect(pictures).toHaveCount(4);
  const compared = page.getByTestId('options-compared');
  for (const what of ['Free floor', 'Storage', 'Shelf', 'Worktop', 'Seats', 'Price', 'Narrowest way', 'To check'])
    await expect(compared.getByText(what, { exact: true })).toBeVisible();
  await expect(compared.getByText('…')).toHaveCount(0);

  // one is moved, all move
  const lies = () =>
    page
      .locator('[data-testid^="option-picture"] svg > g')
      .evaluateAll((all) => all.map((each) => /^translate\(([^)]*)\)/.exec(each.getAttribute('transform')!)![1]!));
  const before = await lies();
  const box = (await pictures.first().boundingBox())!;
  await page.mouse.move(box.x + 60, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 100, box.y + 90, { steps: 4 });
  await page.mouse.up();
  const after = await lies();
  after.forEach((lie, i) => expect(lie).not.toBe(before[i]));

  // three of them, then all again
  await key(page, 'Show With the closet beside the others').click();
  await expect(pictures).toHaveCount(3);
  await key(page, 'Show With the closet beside the others').click();
  await expect(pictures).toHaveCount(4);

  await key(page, 'More of Wall of doors').click();
  await page.getByRole('menuitem', { name: 'Choose it' }).click();
  await expect(page.getByTestId('option Wall of doors').getByLabel('Chosen')).toBeVisible();
  await key(page, 'More of Wall of doors').click();
  await page.getByRole('menuitem', { name: 'Discard it' }).click();
  await expect(pictures).toHaveCount(3);
  await key(page, /^Undo/).first().click();
  await expect(pictures).toHaveCount(4);
  await expect(options.getByText('Chosen').first()).toBeAttached();
});
