import { readFileSync, readdirSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import type { Page } from '@playwright/test';
import PDFDocument from 'pdfkit';
import sharp from 'sharp';
import { Finger, restingBox } from '../finger';
import { giveFile, onScreen, pictureOn, storedAs } from '../picture';
import { press } from '../pad';
import { type Server, expect, test } from '../server';

async function emptyJob(page: Page): Promise<void> {
  await page.goto('/new');
  await page.getByText('Start measuring').tap();
  await press(page, 'Or trace a picture');
}
const bringIn = (page: Page, ...files: { name: string; mimeType: string; buffer: Buffer }[]) =>
  giveFile(page, () => press(page, 'Bring in a picture or PDF'), ...files);
const refusal = (page: Page) => page.getByRole('alert');

/** The underlays of the one new job, as the server has them. */
async function underlaysOn(page: Page, server: Server) {
  await expect(page.getByTestId('sync')).toHaveAccessibleName('Saved');
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const { plan } = (await (await page.request.get(`${server.url}/api/jobs/${id}/plan`)).json()) as {
    plan: {
      underlays: Record<string, { name: string; picture: string; width: number; height: number; order: number }>;
    };
  };
  return Object.values(plan.underlays).sort((a, b) => a.order - b.order);
}

/** A picture whose four quarters tell which way up it is. */
const quartered = (width: number, height: number) => {
  const part = (left: number, top: number, colour: string) =>
    `<rect x="${left * width}" y="${top * height}" width="${width / 2}" height="${height / 2}" fill="${colour}"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${part(0, 0, '#e00')}${part(0.5, 0, '#0c0')}${part(0, 0.5, '#00e')}${part(0.5, 0.5, '#ee0')}</svg>`;
  return sharp(Buffer.from(svg));
};

test('pictures come in upright whichever way the camera was held', async ({ page, server }) => {
  await emptyJob(page);
  const files = await Promise.all(
    [1, 2, 3, 4, 5, 6, 7, 8].map(async (orientation) => ({
      name: `held ${orientation}.jpg`,
      mimeType: 'image/jpeg',
      buffer: await storedAs(quartered(96, 64), orientation),
    })),
  );
  await bringIn(page, ...files);
  await expect(pictureOn(page)).toHaveCount(8, { timeout: 30_000 });
  const underlays = await underlaysOn(page, server);
  expect(underlays.map(({ name }) => name)).toEqual(files.map(({ name }) => name.replace('.jpg', '')));
  for (const { picture, width, height } of underlays) {
    expect([width, height]).toEqual([96, 64]);
    const bytes = await (await page.request.get(`${server.url}/api/pictures/${picture}`)).body();
    const { data } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) =>
      [...data.subarray(3 * (y * 96 + x), 3 * (y * 96 + x) + 3)].map((c) => (c > 128 ? 1 : 0));
    expect([at(10, 10), at(86, 10), at(10, 54), at(86, 54)]).toEqual([
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
      [1, 1, 0],
    ]);
  }
});

/** A PDF of pages; what is written on each. */
async function pdf(pages: readonly string[], userPassword?: string): Promise<Buffer> {
  const document = new PDFDocument({ size: 'A4', layout: 'landscape', ...(userPassword && { userPassword }) });
  pages.forEach((text, i) => {
    if (i > 0) document.addPage();
    document.fontSize(16).text(text, 100, 500);
    document.lineWidth(12).rect(200, 100, 340, 283).stroke();
  });
  document.end();
  return buffer(document);
}

test('one page of a PDF with the scale that is written on it; what can’t be brought in is said in plain words', async ({
  page,
  server,
}) => {
  await emptyJob(page);
  const file = (name: string, bytes: Buffer, mimeType = 'application/pdf') => ({ name, mimeType, buffer: bytes });

  await bringIn(page, file('locked.pdf', await pdf(['Secret'], 'sesame')));
  await expect(refusal(page)).toContainText('protected with a password');
  await bringIn(page, file('broken.pdf', Buffer.from('%PDF-1.7 and then nothing that makes sense')));
  await expect(refusal(page)).toContainText('broken');
  await bringIn(page, file('notes.jpg', Buffer.from('milk, eggs, tape'), 'image/jpeg'));
  await expect(refusal(page)).toContainText('not a picture that can be brought in');
  const whole = await quartered(400, 300).jpeg().toBuffer();
  await bringIn(page, file('half.jpg', whole.subarray(0, 200), 'image/jpeg'));
  await expect(refusal(page)).toContainText(/broken|not a picture/);
  // a header that says 9000 × 6000
  const large = await sharp({ create: { width: 9000, height: 6000, channels: 3, background: '#eee' } })
    .png()
    .toBuffer();
  await bringIn(page, file('large.png', large, 'image/png'));
  await expect(refusal(page)).toContainText('it has 54 million pixels, and up to 40 can be brought in');
  await expect(pictureOn(page)).toHaveCount(0);

  await bringIn(page, file('shed.pdf', await pdf(['Roof plan', 'Ground floor M 1:50', 'Details 1:5 and 1:20'])));
  await expect(page.getByTestId('pdf-pages')).toContainText('Which page of “shed”?');
  await page.getByRole('button', { name: /^Page 2, 297 × 210 mm, 1:50$/ }).tap();
  await expect(page.getByText('1:50 is written on it.')).toBeVisible();
  // A4 at 1:50 is 14.85 m of the house
  await expect(page.getByTestId('printed-means')).toHaveText('This makes the picture 14.85 m wide.');
  await press(page, 'Use this scale');
  await expect(page.getByTestId('underlay-words')).toHaveText(/^Drawn at 1:50 · 14\.85/);
  const [underlay] = await underlaysOn(page, server);
  expect(underlay!.name).toBe('shed, page 2');

  // the rectangle of 340 × 283 pt is 6.00 × 4.99 m: its walls are found, and taken by tapping inside
  await press(page, 'Find walls');
  await expect(page.getByTestId('found-walls')).toContainText('4 walls found');
  const [width, height] = [underlay!.width, underlay!.height];
  await new Finger(page).tap(await onScreen(page, { x: (370 / 842) * width, y: (240 / 595) * height }));
  await expect(page.getByTestId('found-walls')).toHaveCount(0);
  const inside = ((340 - 12) * (283 - 12) * (25.4 / 72) ** 2 * 2500) / 1e6;
  const total = Number(/[\d.]+/.exec((await page.getByTestId('job-total').textContent())!)![0]);
  expect(Math.abs(total / inside - 1)).toBeLessThan(0.01);
});

/** The most memory that this browser’s processes have held so far, MB: what the kernel counted. */
function peakMemory(): number {
  let most = 0;
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
      if (!command.includes('chromium') || !command.includes('--type=renderer')) continue;
      const peak = /VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
      most = Math.max(most, Number(peak ?? 0) / 1024);
    } catch {
      // it ended meanwhile
    }
  }
  return most;
}

test('a picture of 40 megapixels comes in smaller, beside the screen, within a ceiling of memory', async ({
  page,
  server,
}) => {
  await emptyJob(page);
  // waves, so that it is no easy picture
  const [width, height] = [7300, 5470];
  const row = Buffer.alloc(width * 3);
  for (let x = 0; x < row.length; x += 1) row[x] = 128 + 100 * Math.sin(x / 37);
  const raw = Buffer.concat(Array.from({ length: height }, () => row));
  const bytes = await sharp(raw, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 80 })
    .toBuffer();
  const file = { name: 'large.jpg', mimeType: 'image/jpeg', buffer: bytes };
  await bringIn(page, file);
  await expect(page.getByTestId('picture-work')).toContainText('Making the picture ready');
  // it can be stopped, and begun again: at once, as it may be done before a finger has come there
  await page.getByRole('button', { name: 'Stop', exact: true }).dispatchEvent('click');
  await expect(page.getByTestId('picture-work')).toHaveCount(0);
  await expect(refusal(page)).toHaveCount(0);
  await expect(pictureOn(page)).toHaveCount(0);
  await bringIn(page, file);
  await expect(page.getByTestId('picture-work')).toBeVisible();
  await expect(pictureOn(page)).toHaveCount(1, { timeout: 60_000 });
  const [underlay] = await underlaysOn(page, server);
  expect([underlay!.width, underlay!.height]).toEqual([4096, Math.round((4096 * height) / width)]);
  // decoded it is 160 MB, what it is shrunk to 50; with all that the page holds besides
  const peak = peakMemory();
  console.log(`Most memory of a page: ${Math.round(peak)} MB`);
  expect(peak).toBeLessThan(700);
});

test.describe('with the application kept on the device', () => {
  test.use({ serviceWorkers: 'allow', fresh: true });

  test('a photo is flattened by its sheet; brought in without a signal it goes up when that is back', async ({
    page,
    server,
    context,
  }) => {
    const finger = new Finger(page);
    await emptyJob(page);
    // a sheet of A4 on a table, with a rectangle of 200 × 120 mm on it, seen at an angle
    const corners = [
      { x: 180, y: 160 },
      { x: 1020, y: 120 },
      { x: 1130, y: 810 },
      { x: 90, y: 760 },
    ];
    const outline = corners.map(({ x, y }) => `${x},${y}`).join(' ');
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900"><rect width="1200" height="900" fill="#765"/><polygon points="${outline}" fill="#f6f3ea"/></svg>`;
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await server.stop();
    await bringIn(page, {
      name: 'sheet.jpg',
      mimeType: 'image/jpeg',
      buffer: await sharp(Buffer.from(svg)).jpeg().toBuffer(),
    });
    await expect(pictureOn(page)).toHaveCount(1);
    await expect(page.getByTestId('sync')).toHaveAccessibleName(/Offline/, { timeout: 30_000 });
    await press(page, 'Flatten');
    for (const corner of corners) await finger.tap(await onScreen(page, corner));
    await expect(page.getByTestId('marks-next')).toHaveText('What are its sides?');
    await press(page, 'A4 lying');
    await press(page, 'Flatten');
    await expect(page.getByText('The scale that is printed on it:')).toBeVisible({ timeout: 20_000 });
    await press(page, '1:100');
    // 297 mm of paper at 1:100
    await expect(page.getByTestId('printed-means')).toHaveText(/^This makes the picture 29\.(69|70) m wide\.$/);
    await press(page, 'Use this scale');

    // looks: less strong, inverted, hidden, locked
    await press(page, 'Look');
    await press(page, 'Less opacity');
    await expect(page.getByTestId('look-opacity')).toHaveText('50 %');
    await press(page, 'Invert light and dark');
    expect(await pictureOn(page).getAttribute('style')).toContain('invert(1)');
    await press(page, 'Lock it');
    await press(page, 'True scale');
    await expect(page.getByText('This underlay is locked. Unlock it first.')).toBeVisible();
    await press(page, 'Hide it');
    await expect(pictureOn(page)).toHaveCount(0);
    await press(page, 'Show it');

    await server.resume();
    const [underlay] = await underlaysOn(page, server);
    const got = await page.request.get(`${server.url}/api/pictures/${underlay!.picture}`);
    const { width, height } = await sharp(await got.body()).metadata();
    expect([width, height]).toEqual([underlay!.width, underlay!.height]);
    expect(width! / height!).toBeCloseTo(297 / 210, 2);
    // all of it is the sheet: nothing of the table is left
    const { dominant } = await sharp(await got.body()).stats();
    expect(dominant.r).toBeGreaterThan(220);

    // another device has it too
    const other = await context
      .browser()!
      .newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'block' });
    const elsewhere = await other.newPage();
    await elsewhere.goto(page.url());
    await expect(pictureOn(elsewhere)).toHaveCount(1);
    await restingBox(pictureOn(elsewhere));
    await other.close();
  });
});
