import { type Colour, type Point, PAPER, flatteningOf, homographyBetween, mapped } from '@velvet-tape/core';
import { flattenPhoto } from '@velvet-tape/core/underlay/pixels';
import sharp from 'sharp';
import { HandDrawing } from './hand-drawing';

/** The cellar as it was drawn at 1:50 on a sheet of A4: from inner face to inner face, mm, its walls, and where its inner corner is on the sheet, mm of paper. */
export const CELLAR = {
  ratio: 50,
  width: 4200,
  height: 3400,
  wall: 350,
  corner: { x: 92, y: 66 },
  /** The light well in its upper wall. */
  well: { from: 1500, width: 1100, depth: 600 },
} as const;

/** px to a mm of paper */
const FINE = 4.5;
const SHEET = { width: Math.round(PAPER.A4[1] * FINE), height: Math.round(PAPER.A4[0] * FINE) };
const PHOTO = { width: 1400, height: 1080 };
/** Where the corners of the sheet are on the photo, px. */
const CORNERS: readonly Point[] = [
  { x: 205, y: 130 },
  { x: 1225, y: 95 },
  { x: 1345, y: 985 },
  { x: 70, y: 940 },
];

async function drawnSheet(): Promise<Colour> {
  const pen = new HandDrawing(21, 0.5, '#1f2a44');
  const { width, height, wall, ratio, corner, well } = CELLAR;
  const at = (x: number, y: number): Point => ({ x: (corner.x + x / ratio) * FINE, y: (corner.y + y / ratio) * FINE });
  const thick = (wall / ratio) * FINE;
  const half = wall / 2;
  const long = (a: [number, number], b: [number, number]) => pen.wall(at(...a), at(...b), thick);
  const end = well.from + well.width;
  long([-wall, -half], [well.from, -half]);
  long([end, -half], [width + wall, -half]);
  long([well.from - half, -half], [well.from - half, -well.depth - wall]);
  long([well.from - wall, -well.depth - half], [end + wall, -well.depth - half]);
  long([end + half, -well.depth - wall], [end + half, -half]);
  long([width + half, -wall], [width + half, height + wall]);
  long([width + wall, height + half], [-wall, height + half]);
  long([-half, height + wall], [-half, -wall]);
  pen.words('CELLAR', at(width / 2, height / 2), 34);
  pen.words('1:50', { x: SHEET.width - 170, y: SHEET.height - 70 }, 30);
  pen.words('4.20', at(width / 2, height + 900), 26);
  pen.line(at(0, height + 650), at(width, height + 650), 1.5);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${SHEET.width}" height="${SHEET.height}"><rect width="100%" height="100%" fill="#f4f1ea"/>${pen.svg}</svg>`;
  const { data } = await sharp(Buffer.from(svg)).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { ...SHEET, data };
}

/** The sheet on a table, photographed at an angle. */
async function photographed(): Promise<Colour> {
  const sheet = await drawnSheet();
  const flat = [
    { x: 0, y: 0 },
    { x: SHEET.width, y: 0 },
    { x: SHEET.width, y: SHEET.height },
    { x: 0, y: SHEET.height },
  ];
  const onSheet = homographyBetween(CORNERS, flat)!;
  const data = new Uint8ClampedArray(4 * PHOTO.width * PHOTO.height);
  for (let y = 0; y < PHOTO.height; y += 1)
    for (let x = 0; x < PHOTO.width; x += 1) {
      const p = mapped(onSheet, { x: x + 0.5, y: y + 0.5 });
      const there = p.x >= 0 && p.y >= 0 && p.x < SHEET.width && p.y < SHEET.height;
      const from = 4 * (Math.floor(p.y) * SHEET.width + Math.floor(p.x));
      const to = 4 * (y * PHOTO.width + x);
      // a lamp at the left, a table of wood
      const light = 1 - 0.22 * (x / PHOTO.width) - 0.1 * (y / PHOTO.height);
      const grain = 8 * Math.sin(y / 9 + Math.sin(x / 130) * 3);
      const table = [96 + grain, 70 + grain, 52 + grain];
      for (let c = 0; c < 3; c += 1) data[to + c] = light * (there ? sheet.data[from + c]! : table[c]!);
      data[to + 3] = 255;
    }
  return { ...PHOTO, data };
}

/** The photo made flat by the corners of its sheet, which is A4: a JPEG, and mm of paper to a pixel. */
export async function cellarPicture(): Promise<{ bytes: Buffer; width: number; height: number; perPixel: number }> {
  const flattening = flatteningOf(CORNERS, { width: PAPER.A4[1], height: PAPER.A4[0] })!;
  const { width, height, data } = flattenPhoto(await photographed(), flattening);
  const bytes = await sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 84 })
    .toBuffer();
  return { bytes, width, height, perPixel: flattening.perPixel };
}
