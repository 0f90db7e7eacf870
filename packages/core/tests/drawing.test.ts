import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import { NEW_FLOOR, type Mark, type TextMark, drawFloor, jobTotals } from '../src';
import { geometryOf, polygonOf, sharedByJsts, unionByJsts } from './by-jsts';
import { House } from './house';
import { dice } from './random-floors';

const style = { lettering: 125, units: 'metric' } as const;
const texts = (marks: readonly Mark[]) =>
  marks.filter((mark): mark is TextMark => mark.kind === 'text').map((mark) => mark.text);

function hall() {
  const house = new House();
  return { house, id: house.box(0, 0, 4000, 3000) };
}

test('rough lengths carry ≈, taped ones ticks, and what follows is not written twice', () => {
  const { house, id } = hall();
  expect(texts(drawFloor(house.floor, style)).sort()).toEqual([
    'Unnamed',
    '≈ 12.00 m²',
    '≈ 3.00 m',
    '≈ 3.00 m',
    '≈ 4.00 m',
    '≈ 4.00 m',
  ]);
  house.tape(house.face(id, 'top'), 4205);
  house.tape(house.face(id, 'right'), 3010);
  const marks = drawFloor(house.floor, style);
  expect(texts(marks).sort()).toEqual(['12.66 m²', '3.01 m', '4.205 m', 'Unnamed']);
  expect(marks.filter((mark) => mark.role === 'dimension.tick')).toHaveLength(2);
});

test('lettering reads from the foot or the right of the sheet', () => {
  const { house } = hall();
  const turns = drawFloor(house.floor, style).flatMap((mark) => (mark.kind === 'text' ? [mark.turn] : []));
  for (const turn of turns) expect(turn).toBeGreaterThan(-90.001);
  for (const turn of turns) expect(turn).toBeLessThan(90.001);
});

test('a length that has no room is left out rather than written over its neighbours', () => {
  const { house } = hall();
  expect(texts(drawFloor(house.floor, { ...style, lettering: 900 }))).toEqual(['Unnamed']);
});

test('a door is drawn on the side it opens to, a window across its wall', () => {
  const { house, id } = hall();
  const face = house.face(id, 'top').key;
  const door = house.do({
    kind: 'addOpening',
    floor: 'ground',
    opening: 'door',
    face,
    end: 'left',
    offset: 500,
    width: 900,
  })!;
  house.do({ kind: 'addOpening', floor: 'ground', opening: 'window', face, end: 'right', offset: 500, width: 1000 });
  const leaf = () => drawFloor(house.floor, style).find((mark) => mark.role === 'door.leaf')!;
  const end = () => {
    const mark = leaf();
    return mark.kind === 'path' ? mark.rings[0]![1]! : null;
  };
  // hinged at its left jamb, open into the room
  expect(end()).toEqual({ x: expect.closeTo(500, 6), y: expect.closeTo(900, 6) });
  house.do({ kind: 'flipOpening', opening: door, what: 'hinge' });
  expect(end()).toEqual({ x: expect.closeTo(1400, 6), y: expect.closeTo(900, 6) });
  house.do({ kind: 'flipOpening', opening: door, what: 'swing' });
  expect(end()).toEqual({ x: expect.closeTo(1400, 6), y: expect.closeTo(-250 - 900, 6) });
  const glass = drawFloor(house.floor, style).find((mark) => mark.role === 'window.glass')!;
  expect(glass.kind === 'path' && glass.rings[0]!.map((p) => p.y)).toEqual([-125, -125]);
});

test('while one wall is dragged, the marks of the rest are the very same', () => {
  const { house, id } = hall();
  const store = house.box(4000, 0, 7000, 3000);
  house.box(0, 3000, 4000, 6000);
  const before = new Map(drawFloor(house.floor, style).map((mark) => [`${mark.key} ${mark.role}`, mark]));
  house.do({ kind: 'moveWall', floor: 'ground', face: house.face(store, 'right').key, by: -400 });
  const after = drawFloor(house.floor, style);
  const same = after.filter((mark) => before.get(`${mark.key} ${mark.role}`) === mark);
  const ofHall = after.filter((mark) => mark.key === `floor ${id}` || mark.key === `name ${id}`);
  expect(ofHall.every((mark) => same.includes(mark))).toBe(true);
  expect(same.length).toBeGreaterThan(after.length / 2);
});

test('the totals of a job count all its floors', () => {
  const { house } = hall();
  house.plan = {
    ...house.plan,
    floors: {
      ...house.plan.floors,
      first: { id: 'first', name: 'First floor', level: 1, ...NEW_FLOOR },
    },
  };
  house.do({ kind: 'drawBox', floor: 'first', a: { x: 0, y: 0 }, b: { x: 2000, y: 2000 } });
  expect(jobTotals(house.plan)).toEqual({ rooms: 2, area: expect.closeTo(16e6, 3), rough: true });
});

test('a room too small on the sheet for its lengths shows its name and area only; closer to, the lengths come', () => {
  const house = new House();
  house.box(0, 0, 1200, 4000);
  const lengths = (lettering: number) =>
    drawFloor(house.floor, { lettering, units: 'metric' }).filter((mark) => mark.key.startsWith('length')).length;
  expect(lengths(250)).toBe(0);
  expect(lengths(100)).toBeGreaterThan(0);
  expect(drawFloor(house.floor, { lettering: 250, units: 'metric' }).some((mark) => mark.role === 'room.area')).toBe(
    true,
  );
});

test('no lettering is written over another, at any size: names stay before lengths, what was taped before what follows', () => {
  const house = new House();
  const rooms = [0, 1, 2, 3].map((i) => house.box(i * 2300, 0, i * 2300 + 2200, 1900 + 300 * i));
  rooms.forEach((room, i) => house.do({ kind: 'nameRoom', room, name: `Bedroom number ${i + 1}` }));
  house.tape(house.face(rooms[1]!, 'top'), 2210);
  for (const lettering of [60, 125, 200, 300, 450]) {
    const marks = drawFloor(house.floor, { lettering, units: 'metric' });
    const rings = marks.flatMap((mark) => (mark.kind === 'text' && mark.unit ? [written(mark, lettering)] : []));
    rings.forEach((ring, i) => {
      for (const other of rings.slice(i + 1))
        if (ring.unit !== other.unit) expect(shared(ring.polygon, other.polygon)).toBeLessThan(1);
    });
    const units = new Set(marks.flatMap(({ unit }) => unit ?? []));
    // a name never gives way to a length
    if ([...units].some((unit) => unit.startsWith('dimension')))
      expect([...units].some((unit) => unit.startsWith('label'))).toBe(true);
  }
  // small enough, everything is there
  expect(texts(drawFloor(house.floor, { lettering: 60, units: 'metric' }))).toEqual(
    expect.arrayContaining([1, 2, 3, 4].map((i) => `Bedroom number ${i}`)),
  );
});

/** The rectangle a line of lettering takes up: letters half as wide as they are high (Atkinson Hyperlegible, by eye). */
function written({ at, text, turn, size, unit }: TextMark, lettering: number) {
  const angle = (turn * Math.PI) / 180;
  const [w, h] = [text.length * size * lettering * 0.25, size * lettering * 0.5];
  const corner = (x: number, y: number) => [
    at.x + x * Math.cos(angle) - y * Math.sin(angle),
    at.y + x * Math.sin(angle) + y * Math.cos(angle),
  ];
  return { unit, polygon: [corner(-w, -h), corner(w, -h), corner(w, h), corner(-w, h), corner(-w, -h)] };
}

/** mm², by a library of its own. */
function shared(a: number[][], b: number[][]): number {
  const polygon = (ring: number[][]) =>
    new GeometryFactory().createPolygon(ring.map(([x, y]) => new Coordinate(x!, y!)));
  return OverlayOp.intersection(polygon(a), polygon(b)).getArea();
}

describe('lettering of houses with many small rooms, at every step from the whole house to one room', () => {
  const NAMES = [
    'Hall',
    'Keeper’s kitchen',
    'Wash room',
    'Dining room 2',
    'WC',
    'Conservatory',
    'Net store at the back',
    '',
  ];

  /** Rows of rooms of random sizes under random names, with doors in some walls. */
  function terrace(random: () => number): House {
    const house = new House();
    let y = 0;
    for (let row = 0; row < 3; row += 1) {
      const depth = 1200 + Math.round(random() * 3000);
      let x = 0;
      for (let i = 0; i < 4; i += 1) {
        const width = 900 + Math.round(random() * 3500);
        const room = house.box(x, y, x + width, y + depth);
        const name = NAMES[Math.floor(random() * NAMES.length)]!;
        if (name && house.floor.rooms.some((each) => each.room.id === room)) {
          house.tries({ kind: 'nameRoom', room, name: `${name}${row}${i}` });
          const [face] = house.floor.rooms.find((each) => each.room.id === room)!.faces;
          const door = { kind: 'addOpening', floor: 'ground', opening: 'door', end: 'left', offset: 100 } as const;
          house.tries({ ...door, face: face!.key });
        }
        x += width + 100;
      }
      y += depth + 100;
    }
    return house;
  }

  const rectangle = ({ role, at, text, turn, size }: TextMark, lettering: number) => {
    // half of it, by the widths of letters that the layout reckons with, less a hair for what merely touches
    const wide = role === 'room.name' ? 0.63 : 0.54;
    const [u, v] = [text.length * wide * size * lettering * 0.5 - 1, size * lettering * 0.5 - 1];
    const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    return polygonOf(
      [
        [-u, -v],
        [u, -v],
        [u, v],
        [-u, v],
      ].map(([x, y]) => ({ x: at.x + x! * c - y! * s, y: at.y + x! * s + y! * c })),
    );
  };

  test.each([11])('no text lies over a wall or over another; every room is named or numbered (seed %i)', (seed) => {
    const { floor } = terrace(dice(seed));
    const walls = unionByJsts(floor.bodies.map(({ ring }) => polygonOf(ring)));
    for (const lettering of [70, 125, 200, 320, 500, 800]) {
      const marks = drawFloor(floor, { lettering, units: 'metric' });
      const written = marks.filter((mark): mark is TextMark => mark.kind === 'text');
      const boxes = written.map((mark) => rectangle(mark, lettering));
      boxes.forEach((box, i) => {
        expect(sharedByJsts(box, walls)).toBeLessThan(1);
        boxes.slice(0, i).forEach((other, k) => {
          const [a, b] = [written[i]!, written[k]!];
          const apart = Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y);
          if (apart < (a.text.length + b.text.length + 4) * lettering) expect(sharedByJsts(box, other)).toBeLessThan(1);
        });
      });
      for (const { room, outline } of floor.rooms) {
        const own = written.filter(({ unit }) => unit === `label ${room.id}`);
        const floorOfRoom = geometryOf(outline.rings);
        for (const mark of own) {
          const box = rectangle(mark, lettering);
          expect(sharedByJsts(box, floorOfRoom)).toBeCloseTo(box.getArea(), -1);
        }
        // what is not named in its room is named under the house, by the number that stands in it where that fits
        const named = own.some(({ text }) => text !== '' && !/^\d+$/.test(text));
        expect(named || written.some(({ unit }) => unit === `legend ${room.id}`)).toBe(true);
      }
    }
  });

  test('a name too long for its room is broken where its lines are most alike', () => {
    const house = new House();
    const room = house.box(0, 0, 1500, 2500);
    house.do({ kind: 'nameRoom', room, name: 'Keeper’s kitchen' });
    const marks = drawFloor(house.floor, { lettering: 220, units: 'metric' });
    expect(texts(marks.filter(({ role }) => role === 'room.name'))).toEqual(['Keeper’s', 'kitchen']);
  });
});
