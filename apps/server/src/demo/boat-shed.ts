import { type Plan, type Point, applyEdit, newPlan } from '@velvet-tape/core';
import sharp from 'sharp';
import { HandDrawing } from './hand-drawing';

/** The rooms of the boat shed as they are, between the inner faces of their walls, mm. Whoever traces its sketch should find them again. */
export const BOAT_SHED = {
  wall: 160,
  rooms: {
    Workshop: { x: 0, y: 0, width: 6400, height: 5200 },
    Store: { x: 6560, y: 0, width: 2800, height: 3100 },
    Office: { x: 6560, y: 3260, width: 2800, height: 1940 },
  },
} as const;

/** The sketch: mm to a pixel, its size, where the inner corner of the workshop is on it before it was turned, px, and by how much that is, degrees. */
export const SKETCH = { perPixel: 5.8, width: 2200, height: 1560, corner: { x: 290, y: 330 }, turn: 1.4 } as const;

const INK = '#26242e';

/** Where a point of the shed, mm, is on the sketch, px. */
export function onSketch({ x, y }: Point): Point {
  const { perPixel, corner, width, height, turn } = SKETCH;
  const [u, v] = [corner.x + x / perPixel - width / 2, corner.y + y / perPixel - height / 2];
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return { x: width / 2 + c * u - s * v, y: height / 2 + s * u + c * v };
}

/** A sketch of the shed on squared paper, inked by hand and laid a little askew: a JPEG. */
export async function boatShedSketch(): Promise<Buffer> {
  const { perPixel, width, height, corner, turn } = SKETCH;
  const pen = new HandDrawing(9, 1.1, INK);
  const at = (x: number, y: number): Point => ({ x: corner.x + x / perPixel, y: corner.y + y / perPixel });
  const { wall } = BOAT_SHED;
  const half = wall / 2;
  const long = (a: [number, number], b: [number, number]) => pen.wall(at(...a), at(...b), wall / perPixel);
  const [right, foot] = [9360 + half, 5200 + half];
  // outer walls, the boat doors, a door and two windows left free
  long([-wall, -half], [1900, -half]);
  long([3700, -half], [7300, -half]);
  long([8500, -half], [right + half, -half]);
  long([right, -wall], [right, foot + half]);
  long([right + half, foot], [4300, foot]);
  long([3400, foot], [-wall, foot]);
  long([-half, foot + half], [-half, 4300]);
  long([-half, 1300], [-half, -wall]);
  // between the rooms
  long([6480, -half], [6480, 1150]);
  long([6480, 1980], [6480, 3900]);
  long([6480, 4700], [6480, foot]);
  long([6480, 3180], [right, 3180]);
  const thin = (a: [number, number], b: [number, number]) => pen.line(at(...a), at(...b), 2.5);
  for (const off of [0, half, wall]) {
    thin([1900, -off], [3700, -off]);
    thin([7300, -off], [8500, -off]);
  }
  const door = (hinge: [number, number], tip: [number, number], jamb: [number, number]) => {
    pen.line(at(...hinge), at(...tip), 3);
    pen.quarter(at(...hinge), at(...tip), at(...jamb));
  };
  door([3400, 5200], [3400, 4300], [4300, 5200]);
  door([6400, 1980], [5570, 1980], [6400, 1150]);
  door([6400, 3900], [5600, 3900], [6400, 4700]);
  // the boat doors: two leaves that stand open
  door([-wall, 1300], [-wall - 850, 1700], [-wall, 2250]);
  door([-wall, 4300], [-wall - 850, 3900], [-wall, 3350]);
  // a bench, and a boat on its cradle
  for (const [a, b] of [
    [
      [120, 5080],
      [2600, 5080],
    ],
    [
      [2600, 5080],
      [2600, 4480],
    ],
    [
      [2600, 4480],
      [120, 4480],
    ],
  ] as [[number, number], [number, number]][])
    thin(a, b);
  const hull: [number, number][] = [
    [900, 2750],
    [1900, 2150],
    [4300, 2050],
    [5400, 2400],
    [5400, 3100],
    [4300, 3450],
    [1900, 3350],
    [900, 2750],
  ];
  hull.slice(1).forEach((p, i) => thin(hull[i]!, p));
  thin([900, 2750], [5400, 2750]);
  pen.words('WORKSHOP', at(3250, 1250), 62);
  pen.words('STORE', at(7950, 1500), 54);
  pen.words('OFFICE', at(7950, 4300), 50);
  // two lengths are written on it
  const [top, below] = [at(0, -620), at(6400, -620)];
  pen.line(top, below, 2);
  for (const p of [top, below]) pen.line({ x: p.x - 9, y: p.y + 9 }, { x: p.x + 9, y: p.y - 9 }, 3);
  pen.words('6.40', at(3200, -850), 46);
  const [high, low] = [at(9980, 0), at(9980, 3100)];
  pen.line(high, low, 2);
  for (const p of [high, low]) pen.line({ x: p.x - 9, y: p.y + 9 }, { x: p.x + 9, y: p.y - 9 }, 3);
  pen.words('3.10', at(10230, 1550), 46, true);
  pen.words('PLOT 9', { x: width / 2, y: height - 90 }, 50);
  const squares = Array.from({ length: Math.ceil((width + height) / 42) }, (_, i) => i * 42);
  const grid = squares.map((n) => `M ${n} -200 V ${height + 200} M -200 ${n} H ${width + 200}`).join(' ');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">
    <defs><radialGradient id="light" cx="0.4" cy="0.35" r="0.9"><stop offset="0" stop-color="#fbf6e9"/><stop offset="1" stop-color="#e3d9c2"/></radialGradient></defs>
    <rect width="100%" height="100%" fill="url(#light)"/>
    <g transform="rotate(${turn} ${width / 2} ${height / 2})"><path d="${grid}" stroke="#c3d2d6" stroke-width="1.5" fill="none" opacity="0.7"/>${pen.svg}</g></svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 86 }).toBuffer();
}

/** Unfinished: only the sketch is there, waiting for its scale and to be traced. All invented. */
export function boatShed(picture: { id: string; width: number; height: number }): { id: string; plan: Plan } {
  const { id, width, height } = picture;
  const result = applyEdit(
    newPlan({
      name: 'Plot 9 boat shed',
      address: 'Slipway Lane, Heronsgate Quay',
      usual: { externalThickness: 160, internalThickness: 160, partyThickness: 160, ceilingHeight: 2700 },
    }),
    {
      kind: 'addUnderlay',
      floor: 'ground',
      picture: { picture: id, width, height },
      name: 'Sketch of the shed',
      at: { x: 0, y: 0 },
    },
    'demo1',
  );
  if (!result.ok) throw new Error(`The demo can't be built: ${result.reason}`);
  return { id: 'boat-shed', plan: result.plan };
}
