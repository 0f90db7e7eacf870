import { createRequire } from 'node:module';
import { join } from 'node:path';
import { Resvg } from '@resvg/resvg-js';
import sharp from 'sharp';
import { type Grey, type Point, distance } from '../src';

/** A wall of a made-up house: its middle line, mm. */
export interface TrueWall {
  readonly a: Point;
  readonly b: Point;
  readonly thickness: number;
  readonly gaps: readonly { readonly from: number; readonly to: number; readonly kind: 'door' | 'window' }[];
}

export interface DrawnPlan {
  readonly picture: Grey;
  /** The same walls where the picture shows them, px. */
  readonly walls: readonly TrueWall[];
  /** mm to a pixel */
  readonly perPixel: number;
  /** How many rooms they enclose. */
  readonly rooms: number;
}

/** A small generator of random numbers (mulberry32, public domain, from memory). */
export function randomFrom(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** A house of a few rooms: a box, or an L of two, parted again and again. */
function house(random: () => number): { walls: TrueWall[]; rooms: Box[] } {
  const between = (least: number, most: number) => Math.round((least + random() * (most - least)) / 10) * 10;
  const outer = between(240, 380);
  const inner = between(90, 160);
  const [w, h] = [between(8500, 14_000), between(6500, 10_500)];
  const walls: TrueWall[] = [];
  const rooms: Box[] = [];
  const wanted: ('door' | 'window')[] = [];
  const wall = (a: Point, b: Point, thickness: number, kind: 'door' | 'window') => {
    walls.push({ a, b, thickness, gaps: [] });
    wanted.push(kind);
  };
  /** A door or a window clear of the walls that run into this one; after a few tries none. */
  const opening = ({ a, b }: TrueWall, kind: 'door' | 'window'): TrueWall['gaps'] => {
    const length = distance(a, b);
    const met = walls
      .flatMap((other) => [other.a, other.b])
      .filter((p) => Math.abs(distance(a, p) + distance(p, b) - length) < 1);
    for (let tries = 0; tries < 6; tries += 1) {
      const wide = kind === 'door' ? between(730, 1010) : between(900, 2200);
      if (length < wide + 900) continue;
      const from = between(450, length - wide - 450);
      if (met.every((p) => distance(a, p) < from - 250 || distance(a, p) > from + wide + 250))
        return [{ from, to: from + wide, kind }];
    }
    return [];
  };
  const part = (box: Box, depth: number) => {
    const along = box.w > box.h;
    const long = along ? box.w : box.h;
    if (depth === 0 || long < 4600) {
      rooms.push(box);
      return;
    }
    const at = between(0.35 * long, 0.65 * long);
    if (along) {
      wall({ x: box.x + at, y: box.y }, { x: box.x + at, y: box.y + box.h }, inner, 'door');
      part({ ...box, w: at }, depth - 1);
      part({ ...box, x: box.x + at, w: box.w - at }, depth - 1);
    } else {
      wall({ x: box.x, y: box.y + at }, { x: box.x + box.w, y: box.y + at }, inner, 'door');
      part({ ...box, h: at }, depth - 1);
      part({ ...box, y: box.y + at, h: box.h - at }, depth - 1);
    }
  };
  const side = (a: Point, b: Point) => wall(a, b, outer, random() < 0.75 ? 'window' : 'door');
  if (random() < 0.5) {
    const corners = [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: h },
      { x: 0, y: h },
    ];
    corners.forEach((a, i) => side(a, corners[(i + 1) % 4]!));
    part({ x: 0, y: 0, w, h }, 3);
  } else {
    const [cw, ch] = [between(0.35 * w, 0.6 * w), between(0.35 * h, 0.6 * h)];
    const corners = [
      { x: 0, y: 0 },
      { x: cw, y: 0 },
      { x: cw, y: ch },
      { x: w, y: ch },
      { x: w, y: h },
      { x: 0, y: h },
    ];
    corners.forEach((a, i) => side(a, corners[(i + 1) % 6]!));
    wall({ x: 0, y: ch }, { x: cw, y: ch }, inner, 'door');
    part({ x: 0, y: 0, w: cw, h: ch }, 1);
    part({ x: 0, y: ch, w, h: h - ch }, 2);
  }
  return { walls: walls.map((each, i) => ({ ...each, gaps: opening(each, wanted[i]!) })), rooms };
}

const FONT = createRequire(join(process.cwd(), 'package.json')).resolve(
  '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
);

/** The house drawn: walls filled or hatched, doors with their swing, windows, names, furniture, dimension lines; `noisy` as it comes from a phone or a copier. */
export async function drawnPlan(seed: number, noisy: boolean): Promise<DrawnPlan> {
  const random = randomFrom(seed);
  const { walls, rooms } = house(random);
  const perPixel = 8 + random() * 5;
  const k = 1 / perPixel;
  const margin = 1700;
  const [right, foot] = [
    Math.max(...walls.map(({ b, a }) => Math.max(a.x, b.x))),
    Math.max(...walls.map(({ a, b }) => Math.max(a.y, b.y))),
  ];
  const [width, height] = [Math.round((right + 2 * margin) * k), Math.round((foot + 2 * margin) * k)];
  const px = (p: Point): Point => ({ x: (p.x + margin) * k, y: (p.y + margin) * k });
  const line = 1 + random() * 1.8;
  const ink = noisy
    ? `rgb(${Array(3)
        .fill(Math.round(20 + random() * 50))
        .join()})`
    : '#111';
  const hatched = random() < 0.3;
  const parts: string[] = [];
  const stroke = (d: string, wide = line, more = '') =>
    parts.push(`<path d="${d}" fill="none" stroke="${ink}" stroke-width="${wide.toFixed(2)}" ${more}/>`);

  // floors with boards or tiles, furniture, names
  rooms.forEach((room, i) => {
    const at = px({ x: room.x + room.w / 2, y: room.y + room.h / 2 });
    const size = 12 + random() * 12;
    const name = ['Hall', 'Kitchen', 'Bedroom', 'Store', 'Parlour', 'Bath', 'Study', 'Landing'][i % 8]!;
    parts.push(
      `<text x="${at.x}" y="${at.y}" font-size="${size}" text-anchor="middle" fill="${ink}" font-family="Atkinson Hyperlegible Next">${name}</text>`,
    );
    parts.push(
      `<text x="${at.x}" y="${at.y + size * 1.2}" font-size="${size * 0.8}" text-anchor="middle" fill="${ink}" font-family="Atkinson Hyperlegible Next">${((room.w * room.h) / 1e6).toFixed(1)} m²</text>`,
    );
    if (random() < 0.6) {
      const p = px({ x: room.x + 500, y: room.y + 500 });
      const [fw, fh] = [(700 + random() * 700) * k, (500 + random() * 900) * k];
      stroke(
        `M ${p.x} ${p.y} h ${fw} v ${fh} h ${-fw} z M ${p.x + 4} ${p.y + 4} h ${fw - 8} v ${fh / 3} h ${8 - fw} z`,
        line * 0.8,
      );
    }
    if (random() < 0.3) {
      const p = px({ x: room.x + room.w - 900, y: room.y + room.h - 900 });
      stroke(`M ${p.x - 20} ${p.y} a 20 20 0 1 0 40 0 a 20 20 0 1 0 -40 0`, line * 0.8);
    }
    if (random() < 0.25) {
      const step = (150 + random() * 250) * k;
      const [p, q] = [
        px({ x: room.x + 300, y: room.y + 300 }),
        px({ x: room.x + room.w - 300, y: room.y + room.h - 300 }),
      ];
      for (let y = p.y; y < q.y; y += step) stroke(`M ${p.x} ${y} H ${q.x}`, line * 0.5);
    }
  });

  for (const { a, b, thickness, gaps } of walls) {
    const d = { x: (b.x - a.x) / distance(a, b), y: (b.y - a.y) / distance(a, b) };
    const n = { x: -d.y, y: d.x };
    const at = (along: number, off: number) =>
      px({ x: a.x + d.x * along + n.x * off, y: a.y + d.y * along + n.y * off });
    const t = thickness / 2;
    // corners are filled: outer walls go on by half of their thickness
    const over = thickness > 200 ? t : 0;
    const ends = [-over, ...gaps.flatMap(({ from, to }) => [from, to]), distance(a, b) + over];
    for (let i = 0; i < ends.length; i += 2) {
      const ring = [at(ends[i]!, -t), at(ends[i + 1]!, -t), at(ends[i + 1]!, t), at(ends[i]!, t)];
      const outline = `M ${ring.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join(' L ')} z`;
      if (!hatched) parts.push(`<path d="${outline}" fill="${ink}"/>`);
      else {
        stroke(outline, line * 1.3);
        for (let along = ends[i]!; along + 2 * t <= ends[i + 1]!; along += Math.max(60, 0.7 * thickness)) {
          const [p, q] = [at(along, t), at(along + 2 * t, -t)];
          stroke(`M ${p.x} ${p.y} L ${q.x} ${q.y}`, line * 0.6);
        }
      }
    }
    for (const { from, to, kind } of gaps) {
      const lines = kind === 'window' ? [-t, 0, t] : [];
      for (const off of lines) {
        const [p, q] = [at(from, off), at(to, off)];
        stroke(`M ${p.x} ${p.y} L ${q.x} ${q.y}`, line * 0.7);
      }
      if (kind === 'door') {
        const [hinge, tip, jamb] = [at(from, t), at(from, t + to - from), at(to, t)];
        const r = (to - from) * k;
        stroke(`M ${hinge.x} ${hinge.y} L ${tip.x} ${tip.y} A ${r} ${r} 0 0 0 ${jamb.x} ${jamb.y}`, line * 0.7);
      }
    }
  }
  // dimension lines with figures, a scale bar
  for (const [p, q] of [
    [px({ x: 0, y: -1000 }), px({ x: right, y: -1000 })],
    [px({ x: -1000, y: 0 }), px({ x: -1000, y: foot })],
  ] as const) {
    stroke(
      `M ${p.x} ${p.y} L ${q.x} ${q.y} M ${p.x - 6} ${p.y - 6} l 12 12 M ${q.x - 6} ${q.y - 6} l 12 12`,
      line * 0.7,
    );
    parts.push(
      `<text x="${(p.x + q.x) / 2}" y="${(p.y + q.y) / 2 - 5}" font-size="14" fill="${ink}" font-family="Atkinson Hyperlegible Next">${Math.round(distance(p, q) * perPixel)}</text>`,
    );
  }
  parts.push(
    `<rect x="${width - 160}" y="${height - 40}" width="60" height="7" fill="${ink}"/><rect x="${width - 100}" y="${height - 40}" width="60" height="7" fill="none" stroke="${ink}"/>`,
  );

  const turn = noisy ? (1 + 2 * random()) * (random() < 0.5 ? -1 : 1) : 0;
  const paper = noisy ? Math.round(185 + random() * 40) : 255;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="rgb(${paper},${paper},${paper})"/><g transform="rotate(${turn} ${width / 2} ${height / 2})">${parts.join('')}</g></svg>`;
  const image = new Resvg(svg, { font: { fontFiles: [FONT], loadSystemFonts: false } }).render();
  let pixels = sharp(image.pixels, { raw: { width: image.width, height: image.height, channels: 4 } })
    .removeAlpha()
    .greyscale();
  if (noisy) {
    const { data } = await pixels.raw().toBuffer({ resolveWithObject: true });
    for (let y = 0, i = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1, i += 1) {
        // darker to one corner, and speckled
        const shade = 1 - 0.25 * ((x / width + y / height) / 2);
        const grain = (random() + random() + random() - 1.5) * 16;
        data[i] = Math.max(0, Math.min(255, data[i]! * shade + grain));
      }
    const jpeg = await sharp(data, { raw: { width, height, channels: 1 } })
      .blur(0.7)
      .jpeg({ quality: 35 + Math.round(random() * 30) })
      .toBuffer();
    pixels = sharp(jpeg).greyscale();
  }
  const { data } = await pixels.raw().toBuffer({ resolveWithObject: true });
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const place = (p: Point): Point => {
    const { x, y } = px(p);
    const [u, v] = [x - width / 2, y - height / 2];
    return { x: c * u - s * v + width / 2, y: s * u + c * v + height / 2 };
  };
  return {
    picture: { width, height, data },
    walls: walls.map((wall) => ({
      ...wall,
      a: place(wall.a),
      b: place(wall.b),
      thickness: wall.thickness * k,
      gaps: wall.gaps.map(({ from, to, kind }) => ({ from: from * k, to: to * k, kind })),
    })),
    perPixel,
    rooms: rooms.length,
  };
}
