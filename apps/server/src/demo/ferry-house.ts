import type { Plan } from '@velvet-tape/core';
import { DemoBuilder, type PictureOnPaper } from './builder';
import { dress } from './ferry-finishes';
import { furnish } from './ferry-furniture';
import { CELLAR } from './cellar-photo';

/** The former ticket house of a river ferry, being turned into a small holiday let. All invented. */
export function ferryHouse(cellar: PictureOnPaper): { id: string; plan: Plan } {
  const build = new DemoBuilder(
    {
      name: 'Ferry House',
      address: 'The Old Landing, Heronsgate Quay',
      drawnBy: 'M. Ashdown',
      disclaimer:
        'Measured on site with tape and laser. Lengths marked ≈ are not measured. Check on site before anything is ordered or built.',
      units: 'metric',
      usual: { externalThickness: 300, internalThickness: 100, partyThickness: 250, ceilingHeight: 2600 },
      north: 20,
      place: { latitude: 52.4, longitude: 0.6, zone: 0 },
    },
    '2026-05-04T09:20:00Z',
  );
  const hall = build.room('Ticket hall', 0, 0, 5100, 4000);
  build.tape(hall, 'top', '5.24');
  build.tape(hall, 'right', '4.065');
  const waiting = build.room('Waiting room', 5240, 0, 9100, 4065);
  build.tape(waiting, 'top', '3.87');
  const kitchen = build.room("Keeper's kitchen", 0, 4065, 3600, 7400);
  build.tape(kitchen, 'bottom', '3.615');
  build.tape(kitchen, 'left', '3.28');
  // between the kitchen and the outer walls of the rooms above and beside it
  const { a: topLeft, b: bottomLeft } = build.face(kitchen, 'right');
  const store = build.room('Net store', topLeft.x, topLeft.y, build.face(waiting, 'right').b.x, bottomLeft.y);
  // sketched, not taped yet: the porch, its corner cut off towards the steps
  const quay = build.face(waiting, 'right').b;
  const [left, right, top, foot] = [quay.x, quay.x + 1900, quay.y - 2600, quay.y - 400];
  build.outline('Porch', [
    { x: left, y: top },
    { x: right - 700, y: top },
    { x: right, y: top + 700 },
    { x: right, y: foot },
    { x: left, y: foot },
  ]);
  // a wash room built into the net store
  const corner = build.face(store, 'bottom').a;
  const wash = build.outline('Wash room', [
    { x: corner.x - 2900, y: corner.y - 2350 },
    { x: corner.x - 800, y: corner.y - 2350 },
    { x: corner.x - 800, y: corner.y - 850 },
    { x: corner.x - 2900, y: corner.y - 850 },
  ]);
  build.height(hall, '2.95');
  build.height(kitchen, '2.58');
  build.thickness(hall, 'top', '0.31');
  build.thickness(kitchen, 'left', '0.305');
  // the round wall towards the water, the bay of the waiting room, the kitchen's chimney breast
  build.bend(hall, 'left', '0.62');
  build.bump(waiting, 'top', 'slanted', '0.90', '2.10', '0.75', '0.45');
  build.bump(kitchen, 'bottom', 'breast', '1.05', '1.40', '0.38');
  const entrance = build.opening(
    'hinged door',
    hall,
    'top',
    '0.62',
    { width: '1.01', height: '2.10' },
    { spec: { glazing: 0.35, material: 'oak, part glazed' } },
  );
  build.note(entrance, 'Old ticket flap in the leaf: keep.');
  const sash = { width: '1.20', height: '1.35', sill: '0.85' };
  build.opening('sash window', hall, 'round', '0.55', sash);
  build.opening('sash window', hall, 'round', '0.55', sash, { end: 'right' });
  build.opening('hinged door', waiting, 'left', '0.55');
  build.opening('sash window', waiting, 'top', '0.15', { width: '0.90', height: '1.35', sill: '0.55' });
  build.opening('hinged door', kitchen, 'top', '2.30', { width: '0.73' });
  const scullery = build.opening('side-hung window', kitchen, 'left', '1.05', {
    width: '1.20',
    height: '1.05',
    sill: '1.05',
  });
  build.opening('hinged door', wash, 'left', '0.35', { width: '0.73' });
  build.opening('double door', store, 'bottom', '3.30', { width: '1.66', height: '2.10' });
  build.readRunning(kitchen, 'left', scullery, '1.05', '2.25');
  build.column('round', '0.24', topLeft.x + 2000, topLeft.y + 750);
  // where the scullery ends and cooking begins there is no wall
  const { a } = build.face(kitchen, 'top');
  const cooking = build.chalk(
    'Scullery',
    { x: a.x + 1150, y: a.y },
    { x: a.x + 1150, y: build.face(kitchen, 'bottom').a.y },
  );
  build.colour(wash, 'water');
  // a room that closes: every wall and a diagonal, each a millimetre or two off as tapes are
  build.tape(wash, 'top', '2.102');
  build.tape(wash, 'right', '1.499');
  build.tape(wash, 'bottom', '2.099');
  build.tape(wash, 'left', '1.502');
  build.diagonal(wash, 0, 2, '2.582');
  build.diagonal(wash, 1, 3, '2.579');
  // and one with a slip waiting to be found: its lower wall is 3.87, and was written down as 3.78
  build.tape(waiting, 'right', '4.064');
  build.tape(waiting, 'left', '4.066');
  build.diagonal(waiting, 0, -2, '5.613');
  build.diagonal(waiting, 1, -1, '5.611');
  build.angle(waiting, 0, '90.1');
  build.angle(waiting, -1, '89.9');
  build.tape(waiting, 'bottom', '3.78');
  // under the kitchen, traced off a photo of the old drawing; one wall has been taped since
  build.addFloor('below');
  const { corner: drawn, width, height, wall, well } = CELLAR;
  const [x, y] = [0, 4065];
  const photo = build.under(
    'Old drawing of the cellar',
    cellar,
    { x: drawn.x / cellar.perPixel, y: drawn.y / cellar.perPixel },
    { x, y },
  );
  const [near, far] = [x + well.from, x + well.from + well.width];
  const outline = [
    { x, y },
    { x: near, y },
    { x: near, y: y - well.depth },
    { x: far, y: y - well.depth },
    { x: far, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ];
  const vault = build.traced('Cellar', photo, outline, wall);
  build.height(vault, '2.05');
  build.tape(vault, 'right', '3.405');
  build.lock(photo);
  // up to the kitchen by a stair as steep as old cellar stairs are
  build.stairs(
    [
      { x: 3265, y: 7230 },
      { x: 3265, y: 5000 },
    ],
    { width: 700, risers: 11, going: 190, turn: 270, open: true, nosing: 30, rail: 'left' },
  );
  const upstairs = upperFloor(build, { hall, waiting, kitchen });
  build.goTo('ground');
  build.covered(waiting, 'Oak boards');
  build.covered(kitchen, 'Quarry tiles');
  build.write('Damp to 0.60 m', { x: 5250, y: 6700 }, { x: bottomLeft.x + 350, y: bottomLeft.y - 60 });
  build.sign('double socket', { x: 420, y: 4900 }, 90);
  const { two } = furnish(build, { waiting, ...upstairs });
  dress(build, { hall, waiting, kitchen, cooking, store, wash, vault, ...upstairs }, two);
  const inside = { lens: 20, uprights: true, up: '1.60' };
  build.lookFrom('The hall in the evening', {
    ...{ ...inside, x: 4700, y: 3300, heading: -158, tilt: -8 },
    sun: { day: 130, minutes: 17 * 60 },
  });
  build.lookFrom('Waiting room and bay', { ...inside, x: 8050, y: 3700, heading: -118, tilt: -7 });
  build.lookFrom('Keeper’s kitchen', { ...inside, x: 2850, y: 7050, heading: -128, tilt: -10 });
  build.lookFrom('The house, opened', {
    ...{ lens: 24, up: '10.00', x: -7500, y: 15_500, heading: -44, tilt: -30 },
    openSide: true,
  });
  build.goTo('ground');
  build.sheets('listing plan', 'A3');
  return { id: 'ferry-house', plan: build.plan };
}

/** Two bedrooms, a landing and a place for linen over the hall, the waiting room and the kitchen; the bay, the round wall and the lean-to stay below. */
function upperFloor(
  build: DemoBuilder,
  below: { hall: string; waiting: string; kitchen: string },
): { landing: string; river: string; garden: string; linen: string; upper: string } {
  build.goTo('ground');
  const [hall, waiting] = [build.face(below.hall, 'right'), build.face(below.waiting, 'right')];
  const kitchen = build.face(below.kitchen, 'bottom');
  const first = { x: build.face(below.hall, 'top').a.x, y: hall.a.y };
  build.stairs(
    [
      { x: 2085, y: 450 },
      { x: hall.a.x - 450, y: 450 },
      { x: hall.a.x - 450, y: 1900 },
    ],
    { turns: [{ after: 10, angle: 90, by: 'winders' }] },
  );
  const upper = build.addFloor('above', 'Upper floor');
  const landing = build.outline('Landing', [
    first,
    { x: waiting.a.x, y: first.y },
    { x: waiting.a.x, y: waiting.b.y },
    { x: hall.b.x, y: waiting.b.y },
    { x: hall.b.x, y: kitchen.a.y },
    { x: first.x, y: kitchen.a.y },
  ]);
  const river = build.divide('River bedroom', { x: first.x, y: hall.b.y + 50 }, { x: hall.b.x, y: hall.b.y + 50 });
  const garden = build.divide('Garden bedroom', { x: hall.b.x + 50, y: first.y }, { x: hall.b.x + 50, y: hall.b.y });
  const linen = build.divide('Linen room', { x: 1900, y: first.y }, { x: 1900, y: hall.b.y });
  for (const room of [landing, river, garden, linen]) build.height(room, '2.35');
  build.tape(garden, 'top', '3.77');
  build.tape(garden, 'right', '4.06');
  build.tape(river, 'left', '3.23');
  build.opening('hinged door', river, 'top', '3.40');
  build.opening('hinged door', garden, 'left', '0.60');
  build.opening('hinged door', linen, 'right', '2.40', { width: '0.73' });
  const casement = { width: '1.00', height: '1.10', sill: '0.90' };
  build.opening('side-hung window', river, 'left', '1.05', casement);
  build.opening('side-hung window', garden, 'top', '1.30', casement);
  build.opening('side-hung window', linen, 'left', '1.50', { ...casement, width: '0.60' });
  // the roof: eaves at the street and the garden, a dormer over the garden bedroom's window, a roof light in the river bedroom
  build.gable(garden, 'top', '1.42', 42);
  build.heightUp(garden, 'top', '0.80', '2.14');
  build.dormer(garden, 'top', '1.80', { width: '1.60', depth: '1.50', height: '2.25' });
  build.opening('roof light', river, 'bottom', '1.20', { width: '0.78', height: '0.98', sill: '1.60' });
  return { landing, river, garden, linen, upper };
}
