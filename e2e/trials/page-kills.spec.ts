import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, type Page, chromium } from '@playwright/test';
import { dice } from '../../packages/core/tests/random-floors';
import { CHROMIUM } from '../browser';
import { expect, test } from '../server';

const ROUNDS = Number(process.env['TRIAL_COUNT'] ?? 30);
const SEED = Number(process.env['TRIAL_SEED'] ?? Math.floor(Math.random() * 2 ** 31));

/** A browser with a home of its own that can be killed with all its processes, as a phone does when its battery is empty. */
class Phone {
  private child: ChildProcess | null = null;
  private browser: Browser | null = null;
  constructor(private readonly home: string) {}

  async open(url: string): Promise<Page> {
    const { executablePath, args } = CHROMIUM.launchOptions;
    this.child = spawn(
      executablePath,
      [...args, '--headless', '--remote-debugging-port=0', `--user-data-dir=${this.home}`, 'about:blank'],
      { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
    );
    const address = await new Promise<string>((found, none) => {
      let heard = '';
      this.child!.stderr!.on('data', (data: Buffer) => {
        heard += data.toString();
        const at = /DevTools listening on (ws:\S+)/.exec(heard)?.[1];
        if (at) found(at);
      });
      this.child!.once('exit', () => none(new Error(`The browser did not start: ${heard.slice(0, 500)}`)));
    });
    this.browser = await chromium.connectOverCDP(address);
    const page = this.browser.contexts()[0]!.pages()[0]!;
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(url);
    return page;
  }

  async kill(): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child) return;
    const gone = once(child, 'exit');
    process.kill(-child.pid!, 'SIGKILL');
    await gone;
    await this.browser?.close().catch(() => undefined);
  }
}

const rooms = (page: Page) => page.getByLabel('Ledger of rooms').getByRole('button');

/** The number in the name of the room that is renamed. */
async function numberShown(page: Page): Promise<number> {
  const room = rooms(page).filter({ hasText: /Closet \d+/ });
  await expect(room).toBeVisible();
  return Number(/Closet (\d+)/.exec((await room.textContent())!)![1]);
}

test('what the page says it has kept is there after the page was killed at any moment', async ({ server }) => {
  const random = dice(SEED);
  const home = mkdtempSync(join(tmpdir(), 'velvet-page-'));
  const phone = new Phone(home);
  let said = 0; // the last that was called kept
  let done = 0; // the last that was entered
  let lost = 0;
  let further = 0;
  try {
    let page = await phone.open(`${server.url}/job/quince-cottage`);
    await rooms(page)
      .filter({ hasText: /^.*Closet/ })
      .click();
    const rename = async (n: number) => {
      await page.getByRole('button', { name: 'Name', exact: true }).click();
      await page.getByLabel('Another name').fill(`Closet ${n}`);
      await page.keyboard.press('Enter');
    };
    for (let round = 1; round <= ROUNDS; round += 1) {
      const offline = random() < 0.5;
      if (offline) await server.stop();
      for (let edits = 1 + Math.floor(random() * 4); edits > 0; edits -= 1) {
        await rename((done += 1));
        // what is called kept counts; the last may be killed while it is written
        const kept = page.getByTestId('sync').and(page.getByLabel(/^Saved$|^Offline\. Kept on this device/));
        if (edits > 1 || random() < 0.5) {
          await expect(kept).toBeVisible({ timeout: 20_000 });
          expect(await numberShown(page)).toBe(done);
          said = done;
        } else await page.waitForTimeout(random() * 80);
      }
      await phone.kill();
      await server.resume();
      page = await phone.open(`${server.url}/job/quince-cottage`);
      const shown = await numberShown(page);
      if (shown < said) lost += 1;
      if (shown > said) further += 1;
      said = Math.max(said, shown);
      await rooms(page)
        .filter({ hasText: /Closet \d+/ })
        .click();
    }
    console.log(
      'pagekills',
      JSON.stringify({ seed: SEED, kills: ROUNDS, edits: done, lost, notSaidYetButKept: further }),
    );
    expect(lost).toBe(0);
  } finally {
    await phone.kill();
    rmSync(home, { recursive: true, force: true });
  }
});
