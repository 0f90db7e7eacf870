import type { Locator, Page } from '@playwright/test';
import sharp, { type Sharp } from 'sharp';

/** The picture under the plan. */
export const pictureOn = (page: Page): Locator => page.getByTestId('underlay-picture');

/** Where a point of the picture, px, is on the screen. */
export const onScreen = (page: Page, p: { x: number; y: number }): Promise<[number, number]> =>
  pictureOn(page).evaluate((element, { x, y }) => {
    const matrix = (element as unknown as SVGGraphicsElement).getScreenCTM()!;
    const at = new DOMPoint(x, y).matrixTransform(matrix);
    return [at.x, at.y] as [number, number];
  }, p);

/** Gives the file chooser that comes up a file. */
export async function giveFile(
  page: Page,
  ask: () => Promise<void>,
  ...files: { name: string; mimeType: string; buffer: Buffer }[]
): Promise<void> {
  const asked = page.waitForEvent('filechooser');
  await ask();
  await (await asked).setFiles(files);
}

/** How a picture must be turned or mirrored so that EXIF's orientation makes it upright again (TIFF 6.0, tag 274, from memory): quarter turns and mirroring from stored to upright. */
export async function storedAs(upright: Sharp, orientation: number): Promise<Buffer> {
  const raw = await upright.png().toBuffer();
  const mirror = (picture: Sharp) => picture.flop();
  const of = (picture: Buffer) => sharp(picture);
  const turned = async (degrees: number, mirrored: boolean) => {
    const first = mirrored ? await mirror(of(raw)).png().toBuffer() : raw;
    return of(first).rotate(degrees).png().toBuffer();
  };
  // stored = what undoes the turn that the reader will make
  const stored = {
    1: () => turned(0, false),
    2: () => turned(0, true),
    3: () => turned(180, false),
    4: () => turned(180, true),
    5: () => turned(270, true),
    6: () => turned(270, false),
    7: () => turned(90, true),
    8: () => turned(90, false),
  }[orientation]!;
  return of(await stored())
    .jpeg({ quality: 95 })
    .withMetadata({ orientation })
    .toBuffer();
}
