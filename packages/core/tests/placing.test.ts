import { NEW_FLOOR, alignmentsOf, gapRound, roomBeside, widestGap } from '../src';
import { House } from './house';

function hall() {
  const house = new House();
  const room = house.box(0, 0, 5000, 3000);
  const add = (side: 'top' | 'bottom', offset: number, width = 900) =>
    house.do({
      kind: 'addOpening',
      floor: 'ground',
      opening: 'window',
      face: house.face(room, side).key,
      end: 'left',
      offset,
      width,
    })!;
  const face = (side: 'top' | 'bottom' = 'top') => house.face(room, side);
  return { house, room, add, face };
}

test('a copy goes where there is more room, with the usual gap, and what is left is said', () => {
  const { add, face } = hall();
  add('top', 500);
  const right = roomBeside(face(), face().openings[0]!);
  expect(right).toMatchObject({ offset: 500 + 900 + 600, left: 5000 - 2900 });
  expect(right.words('metric')).toBe('0.60 m between them, 2.10 m left on the right.');
  const far = hall();
  far.add('top', 3500);
  expect(roomBeside(far.face(), far.face().openings[0]!)).toMatchObject({ offset: 3500 - 600 - 900, left: 2000 });
});

test('where there is hardly room for a copy it stands in the middle of what is left; where there is none, less than nothing is left', () => {
  const { add, face } = hall();
  add('top', 400, 2200);
  expect(roomBeside(face(), face().openings[0]!)).toMatchObject({ offset: 2700, left: 100 });
  const tight = hall();
  tight.add('top', 400, 4000);
  expect(roomBeside(tight.face(), tight.face().openings[0]!).left).toBeLessThan(0);
});

test('gaps are between openings and corners', () => {
  const { add, face } = hall();
  expect(widestGap(face())).toEqual({ from: 0, to: 5000 });
  add('top', 500);
  add('top', 3000);
  expect(gapRound(face(), face().openings[1]!)).toEqual({ from: 1400, to: 5000 });
  expect(widestGap(face())).toMatchObject({ from: 1400, to: 3000 });
});

test('equal gaps: three windows of 0.90 m in 5.00 m stand 0.575 m apart', () => {
  const { house, add, face } = hall();
  for (const at of [100, 1200, 3900]) add('top', at);
  house.do({ kind: 'spaceOpenings', floor: 'ground', face: face().key });
  const ends = [0, ...face().openings.flatMap(({ from, to }) => [from, to]), 5000];
  const gaps = ends.flatMap((end, i) => (i % 2 === 1 ? [end - ends[i - 1]!] : []));
  for (const gap of gaps) expect(gap).toBeCloseTo(575, 6);
});

test('in line with a window in the wall opposite: their middles face each other', () => {
  const { house, add, face } = hall();
  const own = add('top', 500);
  add('bottom', 700, 1200);
  const [line] = alignmentsOf(house.plan, house.floor, face(), face().openings[0]!);
  expect(line!.words).toBe('W2, opposite');
  house.do({
    kind: 'changeOpening',
    floor: 'ground',
    opening: own,
    place: { face: face().key, end: 'left', offset: line!.offset },
  });
  const middle = (side: 'top' | 'bottom') => (face(side).openings[0]!.from + face(side).openings[0]!.to) / 2;
  expect(middle('top')).toBeCloseTo(5000 - middle('bottom'), 6);
});

test('in line with a window in the same wall on the floor below', () => {
  const { house, add, face } = hall();
  add('top', 1700);
  // the same house once more as its upper floor
  const above = <T extends { id: string }>(all: Readonly<Record<string, T>>, change: (each: T) => object) =>
    Object.fromEntries(
      Object.values(all).map((each) => [`up-${each.id}`, { ...each, id: `up-${each.id}`, ...change(each) }]),
    );
  const { plan } = house;
  const upper = { id: 'upper', name: 'Upper floor', level: 1, ...NEW_FLOOR };
  house.plan = {
    ...plan,
    floors: { ...plan.floors, upper },
    corners: { ...plan.corners, ...above(plan.corners, () => ({ floor: 'upper' })) },
    walls: {
      ...plan.walls,
      ...above(plan.walls, ({ start, end }) => ({ floor: 'upper', start: `up-${start}`, end: `up-${end}` })),
    },
    rooms: { ...plan.rooms, ...above(plan.rooms, () => ({ floor: 'upper' })) },
  } as typeof plan;
  const room = Object.keys(house.plan.rooms).find((id) => id.startsWith('up-'))!;
  const top = () =>
    house
      .on('upper')
      .rooms.find((each) => each.room.id === room)!
      .faces.find(({ d }) => d.x > 0.9)!;
  house.do({
    kind: 'addOpening',
    floor: 'upper',
    opening: 'window',
    face: top().key,
    end: 'left',
    offset: 300,
    width: 900,
  });
  const [line] = alignmentsOf(house.plan, house.on('upper'), top(), top().openings[0]!);
  expect(line).toMatchObject({ words: 'W0.1, on the floor below', offset: expect.closeTo(1700, 3) });
  expect(face().openings).toHaveLength(1);
});
