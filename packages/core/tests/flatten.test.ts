import fc from 'fast-check';
import perspectiveTransform from 'perspective-transform';
import { type Colour, type Point, PAPER, cornersInOrder, flatteningOf, homographyBetween, mapped } from '../src';
import { flattenPhoto, greyOf } from '../src/underlay/pixels';

const SQUARE: Point[] = [
  { x: 0, y: 0 },
  { x: 1000, y: 0 },
  { x: 1000, y: 700 },
  { x: 0, y: 700 },
];
/** Four corners as they might lie in a photo: the square with each corner moved by up to 150. */
const photographed = fc
  .tuple(...SQUARE.map(() => fc.tuple(fc.integer({ min: -150, max: 150 }), fc.integer({ min: -150, max: 150 }))))
  .map((by) => SQUARE.map((p, i) => ({ x: p.x + by[i]![0], y: p.y + by[i]![1] })));

const flat = (points: Point[]) => points.flatMap(({ x, y }) => [x, y]);

describe('homography', () => {
  test('the numbers are those of a reference (perspective-transform, from the registry)', () => {
    fc.assert(
      fc.property(photographed, (corners) => {
        const h = homographyBetween(SQUARE, corners)!;
        const reference = perspectiveTransform(flat(SQUARE), flat(corners));
        h.forEach((value, i) => expect(value).toBeCloseTo(reference.coeffs[i]!, 4));
        for (const p of [
          { x: 310, y: 90 },
          { x: 777, y: 650 },
        ]) {
          const [x, y] = reference.transform(p.x, p.y);
          expect(mapped(h, p).x).toBeCloseTo(x, 2);
          expect(mapped(h, p).y).toBeCloseTo(y, 2);
        }
      }),
    );
  });

  test('there and back is off by less than half a pixel', () => {
    fc.assert(
      fc.property(
        photographed,
        fc.integer({ min: 0, max: 1000 }),
        fc.integer({ min: 0, max: 700 }),
        (corners, x, y) => {
          const there = mapped(homographyBetween(SQUARE, corners)!, { x, y });
          const back = mapped(homographyBetween(corners, SQUARE)!, there);
          expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(0.5);
        },
      ),
    );
  });

  test('three corners in one line are refused', () => {
    expect(homographyBetween(SQUARE, [SQUARE[0]!, SQUARE[1]!, { x: 500, y: 0 }, SQUARE[3]!])).toBeNull();
    expect(cornersInOrder([SQUARE[0]!, SQUARE[1]!, { x: 500, y: 0 }, SQUARE[3]!])).toBeNull();
  });

  test('corners may be tapped in any order', () => {
    const [a, b, c, d] = SQUARE as [Point, Point, Point, Point];
    expect(cornersInOrder([c, a, d, b])).toEqual([a, b, c, d]);
    // one inside of the other three stands round nothing
    expect(cornersInOrder([a, b, c, { x: 700, y: 200 }])).toBeNull();
  });
});

/** A sheet with dots on a square lattice, every 100 px from 50, 6 px across. */
function dotted(width: number, height: number): Colour {
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [u, v] = [(x % 100) + 0.5 - 50, (y % 100) + 0.5 - 50];
      if (Math.hypot(u, v) <= 3) data.fill(0, 4 * (y * width + x), 4 * (y * width + x) + 3);
    }
  return { width, height, data };
}

/** Where the dot nearest to a point is: the mean of the dark pixels round it, weighted by how dark they are. */
function dotNear(grey: ReturnType<typeof greyOf>, p: Point): Point {
  let [sum, x, y] = [0, 0, 0];
  for (let v = Math.floor(p.y) - 9; v <= p.y + 9; v += 1)
    for (let u = Math.floor(p.x) - 9; u <= p.x + 9; u += 1) {
      const dark = 255 - (grey.data[v * grey.width + u] ?? 255);
      sum += dark;
      x += dark * (u + 0.5);
      y += dark * (v + 0.5);
    }
  return { x: x / sum, y: y / sum };
}

test('a photo taken at an angle comes out flat: dots of a lattice lie where they were to half a pixel', () => {
  const sheet = dotted(1000, 700);
  const corners = [
    { x: 120, y: 80 },
    { x: 1010, y: 20 },
    { x: 1090, y: 760 },
    { x: 40, y: 690 },
  ];
  // the photo: each of its pixels is looked up on the sheet by the reference homography
  const photo: Colour = { width: 1150, height: 800, data: new Uint8ClampedArray(4 * 1150 * 800).fill(200) };
  const reference = perspectiveTransform(flat(corners), flat(SQUARE));
  for (let y = 0; y < photo.height; y += 1)
    for (let x = 0; x < photo.width; x += 1) {
      let dark = 0;
      for (const [dx, dy] of [
        [0.25, 0.25],
        [0.75, 0.25],
        [0.25, 0.75],
        [0.75, 0.75],
      ] as const) {
        const [u, v] = reference.transform(x + dx, y + dy);
        const inside = u >= 0 && v >= 0 && u < 1000 && v < 700;
        dark += inside ? sheet.data[4 * (Math.floor(v) * 1000 + Math.floor(u))]! / 4 : 50;
      }
      photo.data.fill(dark, 4 * (y * photo.width + x), 4 * (y * photo.width + x) + 3);
    }
  const flattening = flatteningOf(corners, { width: 500, height: 350 })!;
  expect(flattening.perPixel).toBeLessThan(0.5);
  const seen: number[] = [];
  const out = flattenPhoto(photo, flattening, (share) => seen.push(share));
  expect(seen.at(-1)).toBe(1);
  expect(out.width / out.height).toBeCloseTo(500 / 350, 2);
  const k = out.width / 1000;
  const grey = greyOf(out);
  for (let y = 50; y < 700; y += 100)
    for (let x = 50; x < 1000; x += 100) {
      const dot = dotNear(grey, { x: x * k, y: y * k });
      expect(Math.hypot(dot.x - x * k, dot.y - y * k)).toBeLessThan(0.5);
    }
});

test('paper is of the A series: two A4 sheets make an A3 (ISO 216, from memory)', () => {
  expect(PAPER.A3[0]).toBe(PAPER.A4[1]);
  expect(Math.abs(PAPER.A3[1] - 2 * PAPER.A4[0])).toBeLessThanOrEqual(1);
  const flattening = flatteningOf(SQUARE, { width: PAPER.A4[1], height: PAPER.A4[0] })!;
  // 297 mm along 1000 px
  expect(flattening.perPixel).toBeCloseTo(0.297, 3);
});
