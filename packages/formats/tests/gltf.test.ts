import { WebIO } from '@gltf-transform/core';
import { type Intent, type Plan, applyEdit, newPlan } from '@velvet-tape/core';
import { newPiece, pieceKindOf } from '@velvet-tape/core/pieces';
import validator from 'gltf-validator';
import { decode, encode } from 'fast-png';
import { READY_LOOKS, painted } from '@velvet-tape/core/finishes';
import { houseAsGltf } from '../src/gltf';

/** Two rooms with a door between them, a bay with a window, a floor above with a sloped ceiling, stairs and a sofa. */
function house(): Plan {
  let step = 0;
  let plan = newPlan({ name: 'Lock-keeper’s house' });
  const go = (intent: object) => {
    const result = applyEdit(plan, intent as Intent, `g${(step += 1)}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
    return result.made!;
  };
  const floor = 'ground';
  const hall = go({ kind: 'drawBox', floor, a: { x: 0, y: 0 }, b: { x: 6000, y: 4000 } });
  go({ kind: 'nameRoom', room: hall, name: 'Hall' });
  const store = go({ kind: 'drawBox', floor, a: { x: 6100, y: 0 }, b: { x: 9000, y: 4000 } });
  go({ kind: 'nameRoom', room: store, name: 'Store' });
  const faceOf = (test: (a: { x: number; y: number }, b: { x: number; y: number }) => boolean) => {
    const wall = Object.values(plan.walls).find(({ start, end }) => test(plan.corners[start]!, plan.corners[end]!))!;
    return `${wall.start}>${wall.end}`;
  };
  const top = faceOf((a, b) => a.y === 0 && b.y === 0 && a.x <= 6000 && b.x <= 6000);
  go({ kind: 'addOpening', floor, face: top, end: 'left', offset: 700, opening: 'window' });
  const bottom = faceOf((a, b) => a.y === 4000 && b.y === 4000 && a.x <= 6000 && b.x <= 6000);
  go({ kind: 'addOpening', floor, face: bottom, end: 'left', offset: 700, opening: 'door' });
  const stand = { kind: 'free', x: 3000, y: 2000, turn: 20 };
  go({ kind: 'addPiece', floor, piece: { ...newPiece(pieceKindOf('sofa-3')), stand } });
  const above = go({ kind: 'addFloor', of: floor, side: 'above' });
  go({ kind: 'drawBox', floor: above, a: { x: 0, y: 0 }, b: { x: 6000, y: 4000 } });
  go({
    kind: 'addStairs',
    floor,
    form: 'stairs',
    path: [
      { x: 1000, y: 3000 },
      { x: 5000, y: 3000 },
    ],
  });
  return plan;
}

test('a house as glTF: no fault by the validator of the standard’s makers, in metres, floor by floor and room by room', async () => {
  const plan = house();
  const bytes = await houseAsGltf(plan);
  const report = await validator.validateBytes(bytes);
  expect(report.issues.messages.filter(({ severity }: { severity: number }) => severity < 2)).toEqual([]);
  expect(report.issues.numErrors).toBe(0);
  expect(report.issues.numWarnings).toBe(0);

  // read back by the library that had no part in the geometry
  const read = await new WebIO().readBinary(bytes);
  const [scene] = read.getRoot().listScenes();
  expect(scene!.getName()).toBe('Lock-keeper’s house');
  const [ground, upper] = scene!.listChildren();
  expect([ground!.getName(), upper!.getName()]).toEqual(['Ground floor', 'First floor']);
  expect(upper!.getTranslation()[1]).toBeCloseTo(2.7, 6);
  const hall = ground!.listChildren().find((node) => node.getName() === 'Hall')!;
  const floor = hall.listChildren().find((node) => node.getName() === 'Floor of Hall')!;
  const [least, most] = floor
    .getMesh()!
    .listPrimitives()
    .reduce(
      ([low, high], primitive) => {
        const accessor = primitive.getAttribute('POSITION')!;
        return [
          accessor.getMin([]).map((v, i) => Math.min(v, low[i]!)),
          accessor.getMax([]).map((v, i) => Math.max(v, high[i]!)),
        ];
      },
      [
        [Infinity, Infinity, Infinity],
        [-Infinity, -Infinity, -Infinity],
      ],
    );
  // 6 × 4 m, metres, level with the floor
  expect([most![0]! - least![0]!, most![2]! - least![2]!]).toEqual([expect.closeTo(6, 5), expect.closeTo(4, 5)]);
  expect(most![1]).toBeCloseTo(0, 6);
  expect(hall.listChildren().map((node) => node.getName())).toContain('Sofa, 3 seats');
  const glass = read
    .getRoot()
    .listMaterials()
    .find((material) => material.getName() === 'glass')!;
  expect(glass.getAlphaMode()).toBe('BLEND');
});

test('an empty plan is a file without faults', async () => {
  const report = await validator.validateBytes(await houseAsGltf(newPlan({ name: '' })));
  expect(report.issues.numErrors).toBe(0);
});

test('a house that is dressed: no fault by the validator; tiles are textures that repeat at their true size, paint is the colour of the chart, a picture of one’s own its bytes', async () => {
  let plan = house();
  const rooms = new Map(Object.values(plan.rooms).map(({ name, id }) => [name, id]));
  const own = smallPicture();
  const tile = { ...READY_LOOKS.find(({ name }) => name === 'Large grey tile')!, along: 297, across: 197, joint: 3 };
  const lay = (room: string, part: string, look: object) => {
    const on = [{ what: 'room', of: rooms.get(room)!, part }];
    const result = applyEdit(plan, { kind: 'layFinish', on, look, option: null } as Intent, `d${room}${part}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
  };
  lay('Hall', 'floor', tile);
  lay('Hall', 'face', painted('#2F5A47'));
  lay('Store', 'floor', { ...painted('#FFFFFF'), stuff: 'picture', picture: 'own-1', along: 2000, across: 1000 });
  const bytes = await houseAsGltf(plan, undefined, new Map([['own-1', { bytes: own, type: 'image/png' }]]));
  const report = await validator.validateBytes(bytes);
  expect(report.issues.messages.filter(({ severity }: { severity: number }) => severity < 2)).toEqual([]);
  const root = (await new WebIO().readBinary(bytes)).getRoot();
  expect(root.listTextures()).toHaveLength(2);
  const paint = root.listMaterials().find((material) => material.getName().startsWith('Bottle Bank'))!;
  // 0x2F of 255 by IEC 61966-2-1
  expect(paint.getBaseColorFactor()[0]).toBeCloseTo(((0x2f / 255 + 0.055) / 1.055) ** 2.4, 6);
  const floor = root.listMeshes().find((mesh) => mesh.getName() === 'Floor of Hall')!;
  const primitive = floor.listPrimitives().find((each) => each.getMaterial()?.getBaseColorTexture());
  const at = primitive!.getAttribute('POSITION')!;
  const uv = primitive!.getAttribute('TEXCOORD_0')!;
  const { width, height } = decode(primitive!.getMaterial()!.getBaseColorTexture()!.getImage()!);
  expect(width / height).toBeCloseTo(2100 / 2000, 1);
  // metres on the floor to repeats: a repeat is 7 tiles of 0.3 m by 10 of 0.2 m
  const place = (i: number) => ({ p: at.getElement(i, [0, 0, 0]), t: uv.getElement(i, [0, 0]) });
  const all = Array.from({ length: at.getCount() }, (_, i) => place(i)).filter(({ p }) => Math.abs(p[1]!) < 1e-6);
  const [low, high] = [
    all.reduce((a, b) => (a.p[0]! < b.p[0]! ? a : b)),
    all.reduce((a, b) => (a.p[0]! > b.p[0]! ? a : b)),
  ];
  expect(Math.abs(high.t[0]! - low.t[0]!)).toBeCloseTo(6 / 2.1, 4);
});

/** The bytes of a small picture. */
const smallPicture = (): Uint8Array =>
  encode({ width: 2, height: 2, channels: 3, data: new Uint8Array([255, 0, 0, 0, 255, 0, 0, 0, 255, 9, 9, 9]) });
