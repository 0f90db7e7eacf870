import { thumbnailSchema } from '@velvet-tape/contract/list';
import { type Intent, type Plan, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import { Resvg } from '@resvg/resvg-js';
import fc from 'fast-check';
import { thumbnail } from '../src';

/** Rooms side by side, each so wide and so deep, mm, with a door into each from its top. */
function terrace(sizes: readonly (readonly [number, number])[]): Plan {
  let plan = newPlan({ name: 'Terrace' });
  let x = 0;
  const done = (intent: Intent, seed: string) => {
    const result = applyEdit(plan, intent, seed);
    if (result.ok) plan = result.plan;
    return result.ok ? result.made : null;
  };
  for (const [i, [width, depth]] of sizes.entries()) {
    const room = done({ kind: 'drawBox', floor: 'ground', a: { x, y: 0 }, b: { x: x + width, y: depth } }, `b${i}`);
    const face = deriveFloor(plan, 'ground').rooms.find((each) => each.room.id === room)?.faces[0]?.key;
    if (face)
      done(
        {
          kind: 'addOpening',
          floor: 'ground',
          opening: 'door',
          face,
          end: 'left',
          offset: 300,
          width: 800,
          height: 2000,
        },
        `d${i}`,
      );
    x += width + 110;
  }
  return plan;
}

/** The picture as a list paints it, rendered by an independent library: red floors, green walls, blue gaps; how many pixels of each. */
function painted({ width, height, floors, walls, gaps }: NonNullable<ReturnType<typeof thumbnail>>) {
  const path = (d: string, fill: string) => `<path d="${d}" fill="${fill}" fill-rule="evenodd"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${4 * width}" height="${4 * height}" viewBox="0 0 ${width} ${height}">${path(floors, '#f00')}${path(walls, '#0f0')}${path(gaps, '#00f')}</svg>`;
  const { pixels } = new Resvg(svg, { shapeRendering: 0 }).render();
  const counted = [0, 0, 0];
  for (let i = 0; i < pixels.length; i += 4)
    for (const channel of [0, 1, 2]) if (pixels[i + channel]! > 200) counted[channel]! += 1;
  // square units of the picture
  return counted.map((n) => n / 16);
}

const size = fc.tuple(fc.integer({ min: 1800, max: 7000 }), fc.integer({ min: 1800, max: 7000 }));

test('the picture of any terrace fits its line, is as agreed, and shows the floor that is there', () => {
  fc.assert(
    fc.property(fc.array(size, { minLength: 1, maxLength: 6 }), (sizes) => {
      const plan = terrace(sizes);
      const picture = thumbnail(plan)!;
      thumbnailSchema.parse(picture);
      expect(picture.width).toBeLessThanOrEqual(288);
      expect(picture.height).toBeLessThanOrEqual(216);
      const { area, bodies, rooms } = deriveFloor(plan, 'ground');
      const points = bodies.flatMap(({ ring }) => ring);
      const wide = Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x));
      const scale = wide / picture.width;
      const [floor, , gaps] = painted(picture);
      // whole units round each room's sides by half a unit at most
      const rim = rooms.reduce((sum, room) => sum + room.measures.perimeter, 0) / scale;
      expect(Math.abs(floor! - area / scale ** 2)).toBeLessThan(rim + 8);
      expect(gaps! > 0).toBe(deriveFloor(plan, 'ground').openings.length > 0);
    }),
    { numRuns: 60 },
  );
});

test('nothing drawn has no picture, and that of a castle is no longer than a line may be', () => {
  expect(thumbnail(newPlan({ name: 'Empty' }))).toBeNull();
  const castle = thumbnail(terrace(Array.from({ length: 90 }, (_, i) => [2000 + i, 2000 + 3 * i] as const)))!;
  expect(castle.floors.length + castle.walls.length + castle.gaps.length).toBeLessThanOrEqual(24_000);
});
