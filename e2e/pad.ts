import type { Page } from '@playwright/test';

export const key = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

/** Presses a key, wherever it stands: in view, on another side of what is chosen, or on the page of tools. */
export async function press(page: Page, name: string | RegExp): Promise<void> {
  const wanted = key(page, name).or(page.getByRole('tab', { name, exact: true }));
  const sides = ['Stands in it', 'Made of', 'Place', 'Type', 'Swing', 'Arrange', 'Figures', 'Size'];
  const ways = [...sides.map((side) => page.getByRole('tab', { name: side, exact: true })), key(page, 'All tools')];
  // what was done last may still be on its way to the screen
  await wanted.or(key(page, 'All tools')).or(page.getByRole('tablist')).first().waitFor();
  const inView = (timeout: number) =>
    wanted
      .first()
      .waitFor({ timeout })
      .then(
        () => true,
        () => false,
      );
  for (const way of [null, ...ways]) {
    if (way && !(await way.isVisible())) continue;
    await way?.tap();
    if (!(await inView(way ? 1500 : 300))) continue;
    await wanted.scrollIntoViewIfNeeded();
    await wanted.tap();
    return;
  }
  // a tool that comes with its first use has its keys later than its page of tools was looked at
  const tools = key(page, 'Close the tools');
  if (await tools.isVisible()) await tools.tap();
  await wanted.tap();
}

const NAMES: Record<string, string> = { '.': 'point', '+': 'plus' };

/** Taps a figure on the number pad. */
export async function tapFigure(page: Page, text: string): Promise<void> {
  for (const c of text) await key(page, NAMES[c] ?? c).tap();
}

/** A figure, and Enter. */
export async function type(page: Page, text: string): Promise<void> {
  await tapFigure(page, text);
  await key(page, 'Enter').tap();
}
