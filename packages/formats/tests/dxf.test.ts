import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Helper } from 'dxf';
import { type Intent, type Plan, applyEdit, arcOf, deriveFloor, newPlan } from '@velvet-tape/core';
import { floorsToDxf } from '../src/dxf';

/** A hall of 7.50 × 4 m with a bowed wall, a door and a window; a room over it. */
function house(): Plan {
  let plan = newPlan({ name: 'Ferry House' });
  let steps = 0;
  const edit = (intent: Intent) => {
    const result = applyEdit(plan, intent, `d${(steps += 1)}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
    return result.made;
  };
  const room = edit({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 7500, y: 4000 } })!;
  edit({ kind: 'nameRoom', room, name: 'Hall – Façade' });
  const face = (i: number) => deriveFloor(plan, 'ground').rooms[0]!.faces[i]!.key;
  const opening = { kind: 'addOpening' as const, floor: 'ground', end: 'left' as const, offset: 1000 };
  edit({ ...opening, opening: 'door', face: face(0), width: 900, height: 2000 });
  edit({ ...opening, opening: 'window', face: face(2), width: 1200, height: 1200 });
  edit({ kind: 'bendWall', floor: 'ground', face: face(1), by: 'sagitta', value: 600, way: 'out' });
  const above = edit({ kind: 'addFloor', of: 'ground', side: 'above' })!;
  edit({ kind: 'drawBox', floor: above, a: { x: 0, y: 0 }, b: { x: 3000, y: 4000 } });
  return plan;
}

interface Entity {
  type: string;
  layer: string;
  points?: [number, number, number][];
  closed?: boolean;
  text?: string;
  arc?: [number, number, number];
  name?: string;
  inside?: Entity[];
}
interface Read {
  errors: string[];
  units: number;
  layers: string[];
  entities: Entity[];
}

let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'velvet-dxf-'))));
afterAll(() => rmSync(folder, { recursive: true }));
function read(dxf: string): Read {
  const file = join(folder, 'plan.dxf');
  writeFileSync(file, dxf);
  // Debian's own Python has it
  const said = execFileSync('/usr/bin/python3', [join(__dirname, 'readers/read-dxf.py'), file], {
    ...{ encoding: 'utf8', maxBuffer: 1 << 26 },
  });
  return JSON.parse(said) as Read;
}

const spans = (points: readonly (readonly number[])[]) =>
  points.map(([x, y], i) => {
    const [u, v] = points[(i + 1) % points.length]!;
    return Math.hypot(u! - x!, v! - y!);
  });

test('ezdxf finds no fault; lengths, layers, blocks and texts are there, in millimetres', () => {
  const plan = house();
  const { errors, units, layers, entities } = read(floorsToDxf(plan, ['ground', Object.keys(plan.floors)[1]!]));
  expect(errors).toEqual([]);
  // 4: millimetres ($INSUNITS of the DXF reference)
  expect(units).toBe(4);
  expect(layers).toEqual(expect.arrayContaining(['WALLS', 'OPENINGS', 'DIMENSIONS', 'ROOMS', 'NAMES']));
  const rooms = entities.filter(({ type, layer }) => type === 'LWPOLYLINE' && layer === 'ROOMS');
  expect(rooms).toHaveLength(2);
  // both straight long sides of the hall; all sides of the room over it, beside it on the sheet
  expect(spans(rooms[0]!.points!).filter((each) => Math.abs(each - 7500) < 1e-6)).toHaveLength(2);
  expect(spans(rooms[1]!.points!).map(Math.round).sort()).toEqual([3000, 3000, 4000, 4000]);
  const right = Math.max(...rooms[0]!.points!.map(([x]) => x));
  expect(Math.min(...rooms[1]!.points!.map(([x]) => x))).toBeGreaterThan(right);
  const texts = entities.flatMap(({ text }) => text ?? []);
  expect(texts).toEqual(expect.arrayContaining(['Hall – Façade', '≈ 7.50 m', 'Ground floor']));
  const blocks = entities.filter(({ type }) => type === 'INSERT');
  expect(blocks).toHaveLength(2);
  // the leaf of the door swings in a quarter of a circle of its own width
  const door = blocks.find(({ inside }) => inside!.some(({ type }) => type === 'ARC'))!;
  const [radius, start, end] = door.inside!.find(({ type }) => type === 'ARC')!.arc!;
  expect(radius).toBeGreaterThan(800);
  expect((end - start + 720) % 360).toBeCloseTo(90, 6);
});

test('strings, notes and hatches are on layers of their own, and ezdxf finds no fault in them', () => {
  const intents: Intent[] = [
    { kind: 'layStrings', floor: 'ground', room: null },
    {
      kind: 'addAnnotation',
      floor: 'ground',
      form: 'text',
      at: { x: 3000, y: 2000 },
      to: { x: 0, y: 0 },
      text: 'Damp – Façade',
    },
    { kind: 'addAnnotation', floor: 'ground', form: 'sign', at: { x: 500, y: 500 }, sign: 'smoke alarm' },
    { kind: 'hatch', floor: 'ground', of: { room: Object.keys(house().rooms)[0]! }, hatch: 'boards' },
  ];
  const plan = intents.reduce((now, intent, i) => {
    const result = applyEdit(now, intent, `n${i}`);
    if (!result.ok) throw new Error(result.reason);
    return result.plan;
  }, house());
  const { errors, entities } = read(floorsToDxf(plan, ['ground']));
  expect(errors).toEqual([]);
  const on = (layer: string) => entities.filter((each) => each.layer === layer);
  // 0.25 + 4.00 + 0.25: the whole of the side without a bow
  expect(on('DIMENSIONS').map(({ text }) => text)).toContain('≈ 4.50');
  expect(on('NOTES').map(({ text }) => text)).toContain('Damp – Façade');
  expect(on('HATCHES').length).toBeGreaterThan(20);
});

test('walls are cut where a door stands; a bowed one is true arcs, that bow the same way to the eye', () => {
  const plan = house();
  const { entities } = read(floorsToDxf(plan, ['ground']));
  const walls = entities.filter(({ type, layer, closed }) => type === 'LWPOLYLINE' && layer === 'WALLS' && closed);
  // four walls, two of them parted by an opening
  expect(walls).toHaveLength(6);
  const bowed = walls.filter(({ points }) => points!.some(([, , bulge]) => bulge !== 0));
  expect(bowed).toHaveLength(1);
  // as the plan has it: the inner face bows by 600 mm
  const face = deriveFloor(plan, 'ground').rooms[0]!.faces.find(({ bulge }) => bulge !== 0)!;
  const { radius } = arcOf(face.a, face.b, face.bulge);
  const radii = bowed[0]!.points!.flatMap(([x, y, bulge], i, all) => {
    const [u, v] = all[(i + 1) % all.length]!;
    return bulge === 0 ? [] : [(Math.hypot(u - x, v - y) * (1 + bulge ** 2)) / (4 * Math.abs(bulge))];
  });
  expect(Math.min(...radii.map((each) => Math.abs(each - radius)))).toBeLessThan(0.01);
  // its arcs reach beyond their ends to the right, which is the same in both, as only y is turned
  const reach = bowed[0]!.points!.flatMap(([x, y, bulge], i, all) => {
    const [u, v] = all[(i + 1) % all.length]!;
    // middle of the arc: half the chord times the bulge, to the right of the way for a positive one
    return bulge === 0 ? [x] : [(x + u) / 2 + (bulge * (v - y)) / 2];
  });
  expect(Math.max(...reach)).toBeGreaterThan(Math.max(...bowed[0]!.points!.map(([x]) => x)) + 500);
});

test('another reader of DXF finds the same walls', () => {
  const { entities } = new Helper(floorsToDxf(house(), ['ground'])).parsed as {
    entities: { type: string; layer: string; vertices?: { x: number; y: number }[] }[];
  };
  const [room] = entities.filter(({ type, layer }) => type === 'LWPOLYLINE' && layer === 'ROOMS');
  const long = spans(room!.vertices!.map(({ x, y }) => [x, y]));
  expect(long.filter((each) => Math.abs(each - 7500) < 1e-3)).toHaveLength(2);
});
