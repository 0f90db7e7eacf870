import type { Page } from '@playwright/test';

export const key = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

/** Presses a key of a bar that may have to be pushed along first. */
export async function press(page: Page, name: string | RegExp): Promise<void> {
  await key(page, name).scrollIntoViewIfNeeded();
  await key(page, name).tap();
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
