import { type Mark, type OpeningForm, OPENING_FORMS, drawElevation, formSign, topOfFace, usualSpec } from '../src';
import { House } from './house';

/** A room of 4 × 3 m, and an opening 1 m from the left end of its wall on that side. */
function wallWith(form: OpeningForm, side: 'top' | 'bottom' = 'top', size: object = {}) {
  const house = new House();
  const room = house.box(0, 0, 4000, 3000);
  const face = house.face(room, side).key;
  const spec = usualSpec(form, 'metric');
  const id = house.do({
    kind: 'addOpening',
    floor: 'ground',
    opening: 'door',
    spec,
    face,
    end: 'left',
    offset: 1000,
    ...size,
  })!;
  return {
    house,
    room,
    id,
    face: () => house.face(room, side),
    marks: () => drawElevation(house.face(room, side), topOfFace(house.face(room, side), null, 2400)),
  };
}

const points = (marks: readonly Mark[], key: RegExp) => {
  const mark = marks.find((each) => key.test(each.key));
  if (mark?.kind !== 'path') throw new Error(`No ${key.source}`);
  return mark.rings.flat().map(({ x, y }) => [Math.round(x), Math.round(y)]);
};

test.each(['top', 'bottom'] as const)(
  'a window stands at its sill, as far from the left as it was placed, seen from inside: %s',
  (side) => {
    const { marks } = wallWith('fixed window', side);
    expect(points(marks(), /^wall$/)).toEqual([
      [0, -2400],
      [4000, -2400],
      [4000, 0],
      [0, 0],
    ]);
    // 900 × 1140 on a sill of 900
    expect(points(marks(), /hole/)).toEqual([
      [1000, -2040],
      [1900, -2040],
      [1900, -900],
      [1000, -900],
    ]);
    expect(points(marks(), /pane/)[0]).toEqual([1060, -1980]);
  },
);

test('the lines of a door meet at its hinges, dashed when it opens away', () => {
  const { house, id, marks } = wallWith('hinged door');
  const leaf = () => marks().find(({ key }) => /leaf/.test(key))!;
  expect(points(marks(), /leaf/)[1]).toEqual([1000, -1020]);
  expect(leaf().role).toBe('elevation.line');
  house.do({ kind: 'flipOpening', opening: id, what: 'hinge' });
  expect(points(marks(), /leaf/)[1]).toEqual([1830, -1020]);
  house.do({ kind: 'flipOpening', opening: id, what: 'swing' });
  expect(leaf().role).toBe('elevation.hidden');
});

test('seen from the other room it is turned round', () => {
  const { house, room, id } = wallWith('hinged door', 'top', { end: 'left', offset: 300 });
  const above = house.box(0, -3200, 4000, -250);
  const other = drawElevation(house.face(above, 'bottom'), topOfFace(house.face(above, 'bottom'), null, 2400));
  const own = drawElevation(house.face(room, 'top'), topOfFace(house.face(room, 'top'), null, 2400));
  expect(points(own, /hole/)[0]![0]).toBe(300);
  expect(points(other, /hole/)[0]![0]).toBe(4000 - 300 - 830);
  // hinges at the left from here are at the right from there, and the leaf opens away
  const hinge = points(other, /leaf/)[1]![0];
  expect(hinge).toBe(4000 - 300);
  expect(other.find(({ key }) => key.includes(`leaf ${id}`))!.role).toBe('elevation.hidden');
});

test('up to the ceiling it is as high as that; an arch is a half circle on its springing', () => {
  const plain = wallWith('plain opening');
  plain.house.do({ kind: 'changeType', type: plain.house.floor.openings[0]!.type, change: { toCeiling: true } });
  expect(points(plain.marks(), /hole/)[0]).toEqual([1000, -2400]);
  const arched = wallWith('arched opening')
    .marks()
    .find(({ key }) => /hole/.test(key))!;
  if (arched.kind !== 'path') throw new Error('No outline');
  // 1200 wide, 2200 high: springing at 1600, bulge 1 is a half circle
  expect(arched.rings[0]![0]).toMatchObject({ x: 1000, y: -1600, bulge: 1 });
});

test.each(OPENING_FORMS)('%s has a sign of its own in the tray, and in elevation its lines stay within it', (form) => {
  expect(JSON.stringify(formSign(usualSpec(form, 'metric')))).not.toMatch(/null|NaN/);
  const { marks, face } = wallWith(form);
  const { opening, from, to } = face().openings[0]!;
  for (const mark of marks()) {
    if (mark.kind !== 'path' || mark.key === 'wall') continue;
    for (const { x, y } of mark.rings.flat()) {
      expect(x).toBeGreaterThanOrEqual(from - 0.01);
      expect(x).toBeLessThanOrEqual(to + 0.01);
      expect(-y).toBeGreaterThanOrEqual(opening.sill - 0.01);
      expect(-y).toBeLessThanOrEqual(opening.sill + opening.height + 0.01);
    }
  }
});
