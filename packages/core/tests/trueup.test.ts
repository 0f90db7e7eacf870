import {
  closesWithin,
  diagonalsOf,
  faceByKey,
  letteredCorners,
  likelier,
  misclosureInWords,
  misclosuresOn,
  namedDiagonal,
  shapeOutline,
  slipOf,
  valueOnPlan,
  whatNext,
} from '../src';
import { House, tapeIntent } from './house';

const box = (width = 4000, depth = 3000) => {
  const house = new House();
  const hall = house.box(0, 0, width, depth);
  return { house, hall };
};

describe('taping a room', () => {
  test('sets the inside length exactly and the opposite wall follows', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4213);
    expect(house.face(hall, 'top').length).toBeCloseTo(4213, 3);
    expect(house.face(hall, 'bottom').length).toBeCloseTo(4213, 3);
    expect(house.face(hall, 'top').provenance).toBe('taped');
    expect(house.face(hall, 'bottom').provenance).toBe('worked out');
    expect(house.face(hall, 'left').provenance).toBe('rough');
  });

  test('moves the corner it was told to move, and only that side', () => {
    const { house, hall } = box();
    const top = house.face(hall, 'top');
    house.tape(top, 4500, 'from');
    expect(house.plan.corners[top.to]).toMatchObject({ x: 4000, y: 0 });
    expect(house.plan.corners[top.from]!.x).toBeCloseTo(-500, 3);
  });

  test('keeps what was taped when the neighbours are taped; the room is sure when all lengths are known', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4200);
    expect(house.room(hall).rough).toBe(true);
    house.tape(house.face(hall, 'right'), 3150);
    expect(house.face(hall, 'top').length).toBeCloseTo(4200, 3);
    expect(house.room(hall).measures.area).toBeCloseTo(4200 * 3150, 0);
    expect(house.room(hall).rough).toBe(false);
  });

  test('again replaces the reading', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4200);
    house.tape(house.face(hall, 'top'), 4180);
    expect(Object.values(house.plan.readings).map((reading) => reading.value)).toEqual([4180]);
    expect(house.face(hall, 'top').length).toBeCloseTo(4180, 3);
  });

  test('an L of 10 × 7 m less 4 × 3 m inside has 58 m² once four of its six sides are taped (exact)', () => {
    const house = new House();
    const l = house.box(0, 0, 9000, 5000);
    house.box(0, 5000, 5000, 8000);
    const shared = house.room(l).faces.find((face) => face.halves.some((half) => half.wall.kind === 'internal'))!;
    const whole = house.plan.walls[shared.halves.find((half) => half.wall.kind === 'internal')!.wall.id]!;
    const lower = house.floor.rooms.find((room) => room.room.id !== l)!;
    const key = lower.faces.find((face) => face.halves.length === 1 && face.halves[0]!.wall.id === whole.id)!.key;
    house.do({ kind: 'removeWall', floor: 'ground', face: key });
    const room = () => house.floor.rooms[0]!;
    expect(room().faces).toHaveLength(6);
    const side = (name: 'top' | 'right' | 'bottom' | 'left') => house.face(room().room.id, name);
    house.tape(side('top'), 10000);
    house.tape(side('left'), 7000);
    house.tape(side('right'), 4000);
    expect(room().rough).toBe(true);
    house.tape(side('bottom'), 6000);
    expect(room().rough).toBe(false);
    expect(room().measures.area).toBeCloseTo(58e6, 0);
    expect(
      room()
        .faces.map((face) => face.provenance)
        .sort(),
    ).toEqual(['taped', 'taped', 'taped', 'taped', 'worked out', 'worked out']);
  });

  test('pushes the next room on rather than through its far wall', () => {
    const { house, hall } = box();
    const store = house.box(4000, 0, 7000, 3000);
    house.tape(house.face(hall, 'top'), 12000);
    expect(house.room(store).measures.area).toBeCloseTo(2900 * 3000, -2);
  });

  test('a taped room beside it moves whole', () => {
    const { house, hall } = box();
    const store = house.box(4000, 0, 7000, 3000);
    house.tape(house.face(store, 'top'), 2800);
    house.tape(house.face(hall, 'top'), 4400);
    expect(house.face(store, 'top').length).toBeCloseTo(2800, 3);
    expect(house.face(hall, 'top').length).toBeCloseTo(4400, 3);
  });

  test('opposite walls that differ a little both hold to the millimetre; the room is said not to be square', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4000);
    house.tape(house.face(hall, 'right'), 3000);
    expect(house.say(tapeIntent(house.face(hall, 'bottom'), 4020))).toEqual([
      expect.stringMatching(/^The \w+ wall of the room is 9 mm out of square/),
    ]);
    // what is left is shared by their deviations: 7 mm of each reading, 26 mm of each wall at their ends
    const share = (20 * 49) / (2 * 49 + 2 * (3000 * Math.tan(Math.PI / 360)) ** 2);
    expect(house.face(hall, 'top').length).toBeCloseTo(4000 + share, 1);
    expect(house.face(hall, 'bottom').length).toBeCloseTo(4020 - share, 1);
  });

  test('opposite walls that differ much are both kept, and the room is not bent out of shape by the slip', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4000);
    house.tape(house.face(hall, 'right'), 3000);
    house.tape(house.face(hall, 'bottom'), 5000);
    expect(Object.values(house.plan.readings).map(({ value }) => value)).toEqual([4000, 3000, 5000]);
    for (const face of house.room(hall).faces) expect(Math.abs(face.d.x * face.d.y)).toBeLessThan(0.01);
    const [misses] = misclosuresOn(house.floor);
    expect(misses).toMatchObject({ again: true });
    expect(misses!.by).toBeCloseTo(1000, 0);
    // nothing tells which of the two it is
    expect(misses!.suspects.map(({ reading }) => reading.value).sort()).toEqual([4000, 5000]);
  });

  test('parts that do not add up to the overall taped from the other side are kept and said', () => {
    const house = new House();
    const hall = house.box(0, 0, 6000, 3000);
    const one = house.box(0, 3000, 3000, 6000);
    const two = house.box(3000, 3000, 6000, 6000);
    house.tape(house.face(hall, 'bottom'), 6000);
    house.tape(house.face(one, 'top'), 3000);
    // 6000 less 3000 less the 100 mm wall between the two is 2900
    house.tape(house.face(two, 'top'), 2860);
    expect(misclosuresOn(house.floor)[0]!.by).toBeCloseTo(40, 0);
    house.tape(house.face(two, 'top'), 2900);
    expect(misclosuresOn(house.floor)).toEqual([]);
    const [again] = house.floor.readings.filter(({ value }) => value === 2900);
    expect(again!.history.map(({ value }) => value)).toEqual([2860]);
  });

  test.each([0, -5, NaN, 1e9])('%d mm is refused', (value) => {
    const { house, hall } = box();
    expect(house.tries(tapeIntent(house.face(hall, 'top'), value))).toMatch(/more than 0|kilometre/);
  });
});

describe('what was taped stays', () => {
  test('when a thickness changes', () => {
    const { house, hall } = box();
    const store = house.box(4000, 0, 7000, 3000);
    house.tape(house.face(hall, 'top'), 4200);
    house.tape(house.face(store, 'top'), 2800);
    house.do({
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(hall, 'right').key,
      thickness: 180,
      scope: 'wall',
    });
    house.do({
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(store, 'right').key,
      thickness: 400,
      scope: 'all',
    });
    expect(house.face(hall, 'top').length).toBeCloseTo(4200, 3);
    expect(house.face(store, 'top').length).toBeCloseTo(2800, 3);
    const thick = Object.values(house.plan.walls).map((wall) => wall.left + wall.right);
    expect(thick.sort((a, b) => a - b)).toEqual([180, 400, 400, 400, 400, 400, 400]);
  });

  test('when a wall is dragged: the plan says what stands in the way until it is loosened', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4200);
    const move = { kind: 'moveWall', floor: 'ground', face: house.face(hall, 'right').key, by: -300 } as const;
    expect(house.tries(move)).toMatch(/4.20 m you taped stands in the way/);
    house.do({ kind: 'loosenReading', reading: house.face(hall, 'top').reading!.id });
    expect(house.tries(move)).toBeNull();
    expect(house.face(hall, 'top').length).toBeCloseTo(4500, 3);
  });

  test('when a room is built against it, a corner at a time', () => {
    const { house, hall } = box();
    for (const side of ['top', 'right'] as const) house.tape(house.face(hall, side), side === 'top' ? 4200 : 3100);
    house.box(4200, 800, 6500, 2500);
    house.box(1000, 3100, 3000, 5000);
    expect(house.face(hall, 'right')).toMatchObject({ provenance: 'taped' });
    expect(house.face(hall, 'right').length).toBeCloseTo(3100, 3);
    expect(faceByKey(house.floor, house.face(hall, 'top').key)?.length).toBeCloseTo(4200, 3);
  });
});

describe('what stays', () => {
  test('a pinned corner does not move whatever is read, and can be let go; pins make nothing more certain', () => {
    const { house, hall } = box();
    const [top] = [house.face(hall, 'top')];
    house.do({ kind: 'pin', floor: 'ground', corners: [top.to], pinned: true });
    const before = house.plan.corners[top.to]!;
    // the right end was told to move; being pinned it stays, and the left one goes
    house.tape(top, 4500, 'to');
    expect(house.plan.corners[top.to]!.x).toBeCloseTo(before.x, 1);
    expect(house.plan.corners[top.from]!.x).toBeCloseTo(-500, 0);
    expect(house.face(hall, 'left').provenance).toBe('rough');
    house.do({ kind: 'pin', floor: 'ground', corners: [top.to], pinned: false });
    expect(house.plan.corners[top.to]!.pinned).toBeUndefined();
  });

  test('a reading that is held gives way to nothing: the others take what is missing', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4000);
    house.tape(house.face(hall, 'right'), 3000);
    house.tape(house.face(hall, 'bottom'), 4060);
    const [top] = house.floor.readings.filter(({ value }) => value === 4000);
    house.do({ kind: 'changeReading', reading: top!.id, change: { held: true } });
    expect(house.face(hall, 'top').length).toBeCloseTo(4000, 1);
    expect(misclosuresOn(house.floor)[0]!.suspects.map(({ reading }) => reading.value)).toEqual([4060]);
  });

  test('what was seen and spread is not said again; measured again it is', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4000);
    house.tape(house.face(hall, 'right'), 3000);
    house.tape(house.face(hall, 'bottom'), 4060);
    const [misses] = misclosuresOn(house.floor);
    house.do({ kind: 'changeReading', reading: misses!.suspects[0].reading.id, change: { spread: true } });
    expect(misclosuresOn(house.floor)).toEqual([]);
    house.tape(house.face(hall, 'bottom'), 4080);
    house.tape(house.face(hall, 'top'), 4001);
    expect(misclosuresOn(house.floor)).toHaveLength(1);
  });
});

describe('slips', () => {
  const kinds: [number, string, number, string | null][] = [
    [3240, '3.24', 3421, 'digits swapped'],
    [3420, '34.20', 342, 'ten times'],
    [342, '0.342', 3418, 'a tenth'],
    [1340, '134', 3404, 'inches for centimetres'],
    [3320, '3.32', 3421, 'misread'],
    [3420, '3.42', 3386, null],
  ];
  test.each(kinds)('%d mm, typed %s, where %d would fit: %s', (value, text, fits, kind) => {
    expect(slipOf({ value, text }, fits, 3)?.kind ?? null).toBe(kind);
  });

  test('an unlikely size asks for the likely one', () => {
    expect(likelier(12_000, 'window')[0]).toBe(1200);
    expect(likelier(42_000, 'wall')[0]).toBe(4200);
    expect(likelier(42, 'wall')[0]).toBe(420);
    expect(likelier(2.5, 'ceiling')[0]).toBe(2500);
    expect(likelier(4200, 'wall')).toEqual([]);
  });

  test('contradictions are said as a colleague would; what a tape does is not', () => {
    const { house, hall } = box();
    house.tape(house.face(hall, 'top'), 4000);
    house.tape(house.face(hall, 'right'), 3000);
    house.tape(house.face(hall, 'bottom'), 4012);
    expect(misclosuresOn(house.floor)).toEqual([]);
    house.tape(house.face(hall, 'bottom'), 4045);
    expect(misclosureInWords(misclosuresOn(house.floor)[0]!, 'metric')).toMatch(
      /^Misses by 45 mm left to right\. Either this wall, 4\.\S+ m: 4\.\S+ m would fit\. Or 4\.\S+ m, where 4\.\S+ m would fit\. Or the room is out of square by \d\.\d°: a diagonal would tell\.$/,
    );
  });

  test('a slip stays said when the true diagonal is read, and the room comes out as it is', () => {
    const { house, hall } = box(4200, 3100);
    house.tape(house.face(hall, 'top'), 4200);
    house.tape(house.face(hall, 'right'), 3100);
    house.tape(house.face(hall, 'bottom'), 5200);
    house.tape(house.face(hall, 'left'), 3100);
    expect(misclosuresOn(house.floor)).toHaveLength(1);
    const value = Math.hypot(4200, 3100);
    const read = { value, text: '', unit: 'mm', instrument: 'tape', time: '2026-05-04T11:00:00Z' } as const;
    const [one, two] = diagonalsOf(house.room(hall));
    house.do({ kind: 'takeReading', floor: 'ground', place: one!, read, stay: [] });
    const said = () => misclosuresOn(house.floor)[0]!.suspects.map(({ reading }) => reading.value);
    expect(said()).toEqual([5200]);
    expect(house.room(hall).measures.area / 1e6).toBeCloseTo(13.02, 2);
    house.do({ kind: 'takeReading', floor: 'ground', place: two!, read, stay: [] });
    expect(said()).toEqual([5200]);
    expect(house.room(hall).measures.area / 1e6).toBeCloseTo(13.02, 2);
  });
});

describe('what next', () => {
  test('first a wall that is still rough, then a diagonal, then nothing more', () => {
    const { house, hall } = box();
    const next = () => whatNext(house.floor.survey, house.room(hall));
    expect(next()).toBeNull();
    house.tape(house.face(hall, 'top'), 4000);
    expect(next()!.place).toMatchObject({ kind: 'length' });
    house.tape(house.face(hall, 'right'), 3000);
    house.tape(house.face(hall, 'bottom'), 4000);
    house.tape(house.face(hall, 'left'), 3000);
    const diagonal = next()!;
    expect(diagonal.place.kind).toBe('diagonal');
    expect(diagonal.after).toBeLessThan(diagonal.before);
    const read = { value: 5000, text: '5', unit: 'm', instrument: 'laser', time: '2026-01-01T00:00:00Z' } as const;
    house.do({ kind: 'takeReading', floor: 'ground', place: diagonal.place, read, stay: [] });
    const [, second] = diagonalsOf(house.room(hall));
    house.do({ kind: 'takeReading', floor: 'ground', place: second!, read, stay: [] });
    expect(next()).toBeNull();
  });
});

test('how well the readings of a room close is a quiet figure', () => {
  const { house, hall } = box();
  const within = () => closesWithin(house.floor, house.room(hall));
  house.tape(house.face(hall, 'top'), 4000);
  house.tape(house.face(hall, 'right'), 3000);
  expect(within()).toBeNull();
  house.tape(house.face(hall, 'bottom'), 4008);
  expect(within()).toBeCloseTo(8, 0);
});

describe('which diagonal', () => {
  test('corners are lettered clockwise from the top left; a diagonal says which it is, and which crosses it', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    const letters = letteredCorners(house.room(room));
    expect(letters.map(({ letter, at }) => [letter, Math.round(at.x), Math.round(at.y)])).toEqual([
      ['A', 0, 0],
      ['B', 4000, 0],
      ['C', 4000, 3000],
      ['D', 0, 3000],
    ]);
    const names = diagonalsOf(house.room(room)).map((place) => namedDiagonal(house.floor, place)!);
    expect(names.map(({ words }) => words)).toEqual(['A to C', 'B to D']);
    for (const [i, { other }] of names.entries()) {
      expect(other.words).toBe(names[1 - i]!.words);
      expect(namedDiagonal(house.floor, other.place)!.words).toBe(other.words);
    }
  });

  test('alike wherever the walk round a room of any shape begins: no two corners share a letter', () => {
    const house = new House();
    const points = shapeOutline({ shape: 'T', at: { x: 0, y: 0 }, width: 6000, depth: 5000, turn: 0, mirror: false });
    house.do({ kind: 'drawPath', floor: 'ground', points, closed: true });
    const [room] = house.floor.rooms;
    const letters = letteredCorners(room!);
    expect(letters.map(({ letter }) => letter).join('')).toBe('ABCDEFGH');
    for (const place of diagonalsOf(room!)) {
      const { words } = namedDiagonal(house.floor, place)!;
      const ends = words.split(' to ').map((letter) => letters.find((each) => each.letter === letter)!);
      const across = Math.hypot(ends[0]!.at.x - ends[1]!.at.x, ends[0]!.at.y - ends[1]!.at.y);
      expect(valueOnPlan(house.floor.network, place)).toBeCloseTo(across, 6);
    }
  });
});
