import { type Piece, usualSpec } from '../src';
import { newPiece, pieceKindOf } from '../src/pieces';
import { type GetInQuestion, between, getIn } from '../src/pieces/get-in';
import { House } from './house';

/** A hall of 3 × 6 m with a front door so wide at its foot, and a wash room beside it with a door of 700 mm between them. */
function home(front = 1200) {
  const house = new House();
  const hall = house.box(0, 0, 3000, 6000);
  const wash = house.box(3100, 0, 5200, 2400);
  const door = (
    face: string,
    offset: number,
    width: number,
    form: 'hinged door' | 'side-hung window' = 'hinged door',
  ) =>
    house.do({
      ...{ kind: 'addOpening', floor: 'ground', face, end: 'left', offset },
      opening: form === 'hinged door' ? 'door' : 'window',
      spec: { ...usualSpec(form, 'metric'), width },
    })!;
  const from = door(house.face(hall, 'bottom').key, 900, front);
  const between = door(house.face(wash, 'left').key, 800, 700);
  return { house, hall, wash, from, between, door };
}

const put = (house: House, form: string, x: number, y: number, more: Partial<Piece> = {}): string =>
  house.do({
    kind: 'addPiece',
    floor: 'ground',
    piece: { ...newPiece(pieceKindOf(form)), ...more, stand: { kind: 'free', x, y, turn: 0 } },
  })!;
const asked = (house: House, piece: string, from: string, more: Partial<GetInQuestion> = {}) =>
  getIn(house.plan, { piece, from, offHinges: false, size: house.plan.pieces[piece]!, ...more });

test('a sofa comes through the hall, with the door it comes through and a way from outside that does not leap', () => {
  const { house, from } = home();
  const sofa = put(house, 'sofa-3', 1500, 1500);
  const answer = asked(house, sofa, from);
  expect(answer.words).toMatch(/gets in, carried level through D\d/);
  if (!answer.gets) throw new Error(answer.words);
  const poses = between(answer.legs.flatMap(({ poses }) => poses));
  // it begins outside, below the wall at 6 m, and ends where it stands
  expect(poses[0]!.y).toBeGreaterThan(6000 + 300);
  expect(Math.hypot(poses.at(-1)!.x - 1500, poses.at(-1)!.y - 1500)).toBeLessThan(1);
  for (let i = 1; i < poses.length; i += 1)
    expect(Math.hypot(poses[i]!.x - poses[i - 1]!.x, poses[i]!.y - poses[i - 1]!.y)).toBeLessThan(120);
});

test('not through the door of the wash room, by how much is said; nor by one that leads nowhere', () => {
  const { house, from } = home();
  const sofa = put(house, 'sofa-3', 4150, 1600);
  const answer = asked(house, sofa, from);
  expect(answer.gets).toBe(false);
  expect(answer.words).toMatch(/does not get in: it sticks .* smaller/);
  const gone = asked(house, 'nobody', from);
  expect(gone.gets).toBe(false);
});

test('where it sticks is the place it does not come past, however narrow what comes after it is', () => {
  const through = (doors: readonly number[]) => {
    const house = new House();
    const rooms = [0, 1, 2, 3].map((i) => house.box(3100 * i, 0, 3100 * i + 3000, 3000));
    const made = rooms.map((room, i) =>
      house.do({
        ...{ kind: 'addOpening', floor: 'ground', face: house.face(room, 'left').key, end: 'left', offset: 800 },
        ...{ opening: 'door', spec: { ...usualSpec('hinged door', 'metric'), width: doors[i]! } },
      }),
    );
    const answer = asked(house, put(house, 'box', 11000, 1500, { width: 800, depth: 800, height: 1500 }), made[0]!);
    return answer.gets ? answer.words : answer.words.replace(/ It would.*/, '');
  };
  const sticks = (at: string) => `Box does not get in: it sticks at ${at}.`;
  expect(through([1010, 1010, 1010, 1010])).toMatch(/^Box gets in, carried level through D1, D2, D3, D4, /);
  expect(through([1010, 1010, 700, 500])).toBe(sticks('D3'));
  expect(through([1010, 1010, 1010, 500])).toBe(sticks('D4'));
  expect(through([760, 1010, 1010, 600])).toBe(sticks('D1'));
});

test('a box that is as wide as a door is clear, but for a hair, gets through; a millimetre more and it does not', () => {
  const through = (width: number, offHinges: boolean) => {
    const { house, from } = home(900);
    return asked(house, put(house, 'box', 1500, 2000, { width, depth: 600, height: 1800 }), from, { offHinges });
  };
  // off its hinges all of it is clear; turned by a quarter its depth goes first
  expect(through(898, true).gets).toBe(true);
  const { house, from } = home(900);
  const square = put(house, 'box', 1500, 2000, { width: 901, depth: 901, height: 1800 });
  expect(asked(house, square, from, { offHinges: true }).gets).toBe(false);
});

test('what is too high for a door goes on edge where there is room to tip it, legs off, or by a window', () => {
  const { house, from } = home(1000);
  const tall = put(house, 'box', 1500, 1500, { width: 900, depth: 500, height: 2300 });
  const answer = asked(house, tall, from, { offHinges: true });
  expect(answer.words).toMatch(/gets in, carried (on edge|on end), then level/);
  const wide = put(house, 'box', 1500, 3500, { width: 1300, depth: 1300, height: 1400 });
  expect(asked(house, wide, from, { size: { width: 1300, depth: 1300, height: 700 } }).gets).toBe(true);
});

test('by a window, where it is asked for', () => {
  const { house, hall, door } = home(700);
  const wide = put(house, 'box', 1500, 3500, { width: 1200, depth: 1300, height: 700 });
  const window = door(house.face(hall, 'left').key, 1500, 1800, 'side-hung window');
  expect(asked(house, wide, window).gets).toBe(true);
});

test.each(['out', 'in'] as const)('by a window in a curved wall that bows %s', (way) => {
  const { house, hall, door } = home(700);
  const chest = put(house, 'box', 1900, 1500, { width: 900, depth: 900, height: 700 });
  const { key } = house.face(hall, 'left');
  house.do({ kind: 'bendWall', floor: 'ground', face: key, by: 'sagitta', value: 700, way });
  const window = door(key, 2400, 1400, 'side-hung window');
  expect(asked(house, chest, window).words).toMatch(/^Box gets in, carried level through W1/);
});

test('from the room it is in already: into the next one, through the door between them, and nowhere where there is none', () => {
  const { house, hall, wash } = home();
  const chest = put(house, 'chest', 4150, 1290);
  const answer = asked(house, chest, hall);
  expect(answer.words).toBe('Chest gets in, carried level through D2, without a turn.');
  if (!answer.gets) throw new Error(answer.words);
  // it begins in the hall
  expect(answer.legs[0]!.poses[0]!.x).toBeLessThan(3000);
  const shut = house.box(0, 7000, 3000, 9000);
  expect(asked(house, chest, shut).words).toBe('Chest does not get in: there is no way from there to its place.');
  expect(asked(house, chest, wash).gets).toBe(true);
});
