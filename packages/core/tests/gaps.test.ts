import fc from 'fast-check';
import {
  type GapReading,
  type OpeningKind,
  type WallMark,
  gapMisclosure,
  gapMisclosureInWords,
  gapRun,
  openingsOn,
  parseLength,
  readingLines,
  sumOfGaps,
} from '../src';
import { House } from './house';

const jamb = (opening: string, which: 'near' | 'far'): WallMark => ({ opening, jamb: which });

/** A room of about 4 × 3 m with a door and a window in its upper wall, sketched. */
function wall() {
  const house = new House();
  const room = house.box(0, 0, 4000, 3000);
  const add = (opening: OpeningKind, offset: number) =>
    house.do({ kind: 'addOpening', floor: 'ground', opening, face: house.face(room, 'top').key, end: 'left', offset })!;
  const door = add('door', 300);
  const window = add('window', 2200);
  const face = () => house.face(room, 'top');
  let hour = 9;
  const read = (a: WallMark, b: WallMark, text: string) => {
    const parsed = parseLength(text, 'm');
    if (!parsed.ok) throw new Error(parsed.reason);
    hour += 1;
    const time = `2026-05-04T${hour}:00:00Z`;
    return {
      kind: 'readGap',
      floor: 'ground',
      from: face().from,
      to: face().to,
      a,
      b,
      read: { value: parsed.mm, text, unit: parsed.unit, instrument: 'tape', time },
    } as const;
  };
  const run = () => gapRun(house.floor.network, face().from, face().to, openingsOn(house.plan, 'ground'))!;
  const miss = () => {
    const length = face().reading;
    return gapMisclosure(
      run(),
      house.floor.gaps,
      length && { value: length.value, deviation: 3 + length.value / 1000, text: length.text },
    );
  };
  const at = () => face().openings.map(({ from, to }) => [Math.round(from), Math.round(to)]);
  return { house, room, door, window, face, read, run, miss, at };
}

describe('running readings', () => {
  test('jamb, jamb, jamb, jamb, end: the openings stand there, and the wall is as long as the last', () => {
    const { house, door, window, read, at, face, miss } = wall();
    house.do(read('from', jamb(door, 'near'), '0.62'));
    house.do(read('from', jamb(door, 'far'), '1.45'));
    house.do(read('from', jamb(window, 'near'), '2.31'));
    house.do(read('from', jamb(window, 'far'), '3.51'));
    house.do(read('from', 'to', '4.12'));
    expect(at()).toEqual([
      [620, 1450],
      [2310, 3510],
    ]);
    expect(face().length).toBeCloseTo(4120, 1);
    expect(face().provenance).toBe('taped');
    expect(miss()).toBeNull();
  });

  test('from the right end they are read from the right', () => {
    const { house, door, window, read, at } = wall();
    house.do(read('from', 'to', '4.00'));
    house.do(read(jamb(window, 'far'), 'to', '0.50'));
    house.do(read(jamb(door, 'near'), 'to', '3.60'));
    expect(at()).toEqual([
      [400, 1230],
      [2300, 3500],
    ]);
  });

  test('jambs that are not as far apart as the type says make the opening as wide as they are; the others keep theirs', () => {
    const { house, room, door, read, at } = wall();
    house.do({
      kind: 'addOpening',
      floor: 'ground',
      opening: 'door',
      face: house.face(room, 'bottom').key,
      end: 'left',
      offset: 500,
    });
    house.do(read('from', jamb(door, 'near'), '0.40'));
    expect(house.say(read('from', jamb(door, 'far'), '1.18'))).toEqual([
      'D1 is 0.78 m wide between its jambs, not 0.83 m.',
    ]);
    expect(at()[0]).toEqual([400, 1180]);
    expect(house.face(room, 'bottom').openings[0]!.opening.width).toBe(830);
  });

  test('digits swapped at the second jamb: the door keeps its width, the slip is named', () => {
    const { house, door, read, miss, run } = wall();
    house.do(read('from', jamb(door, 'near'), '0.42'));
    house.do(read('from', jamb(door, 'far'), '1.52')); // 1.25
    expect(house.floor.openings[0]!.width).toBe(830);
    expect(gapMisclosureInWords(miss()!, run(), null, 'metric')).toMatch(
      /1\.52 m to the right jamb of D1: digits swapped\? 1\.25 m would fit/,
    );
  });

  test('along a curved wall it is refused, and says what to do', () => {
    const { house, door, face, read } = wall();
    house.do({ kind: 'bendWall', floor: 'ground', face: face().key, by: 'sagitta', value: 400, way: 'out' });
    expect(house.tries(read('from', jamb(door, 'near'), '0.42'))).toMatch(/curved wall/);
  });
});

describe('gap by gap', () => {
  const gaps = (slip?: string) => {
    const made = wall();
    const { house, door, window, read } = made;
    house.tape(made.face(), 4120);
    house.do(read('from', jamb(door, 'near'), '0.62'));
    house.do(read(jamb(door, 'far'), jamb(window, 'near'), slip ?? '0.86'));
    house.do(read(jamb(window, 'far'), 'to', '0.61'));
    return made;
  };

  test('gaps and widths add up to the wall: nothing is said', () => {
    const { at, miss } = gaps();
    expect(at()).toEqual([
      [620, 1450],
      [2310, 3510],
    ]);
    expect(miss()).toBeNull();
  });

  test('one with its digits swapped is found among all that could be wrong', () => {
    const { miss, run, at } = gaps('0.68');
    const words = gapMisclosureInWords(miss()!, run(), 4120, 'metric');
    // set aside, it does not put the others askew
    expect(at()).toEqual([
      [620, 1450],
      [2310, 3510],
    ]);
    expect(words).toBe(
      'Does not add up along this wall, by 180 mm. Most likely 0.68 m to the left jamb of W1: digits swapped? 0.86 m would fit.',
    );
  });

  test('what misses is spread by the squares of the deviations, as in a levelling line between two fixed points', () => {
    // closed form: each reading takes a share σᵢ²/Σσ² of what is missing (Ghilani & Wolf, from memory)
    const { house, door, window, read, at } = wall();
    house.tape(house.face(house.floor.rooms[0]!.room.id, 'top'), 4000);
    house.do(read('from', jamb(door, 'near'), '0.60'));
    house.do(read(jamb(door, 'far'), jamb(window, 'near'), '0.80'));
    house.do(read(jamb(window, 'far'), 'to', '0.53'));
    const squares = [3 + 0.6, 3, 3 + 0.8, 3, 3 + 0.53].map((each) => each ** 2);
    // the wall's own reading among them, ± 3 mm + 0.1 %
    const share = 40 / squares.reduce((sum, each) => sum + each, 7 ** 2);
    const near = 600 + share * squares[0]!;
    // the door keeps its width about the middle of where its jambs were put
    expect(at()[0]![0]).toBe(Math.round(near + (share * squares[1]!) / 2));
  });

  test('without the wall itself they say how long it is', () => {
    const { house, door, window, read, face } = wall();
    house.do(read('from', jamb(door, 'near'), '0.62'));
    house.do(read(jamb(door, 'far'), jamb(window, 'near'), '0.86'));
    expect(face().provenance).toBe('rough');
    house.do(read(jamb(window, 'far'), 'to', '0.61'));
    expect(face().length).toBeCloseTo(4120, 0);
    expect(face().provenance).toBe('worked out');
  });
});

test('the sum of a chain has the deviation of its readings together', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 200, max: 900 }), { minLength: 3, maxLength: 3 }), (lengths) => {
      const { house, door, window, read, run } = wall();
      const marks: [WallMark, WallMark][] = [
        ['from', jamb(door, 'near')],
        [jamb(door, 'far'), jamb(window, 'near')],
        [jamb(window, 'far'), 'to'],
      ];
      lengths.forEach((mm, i) => house.do(read(...marks[i]!, `${mm} mm`)));
      const gaps: readonly GapReading[] = house.floor.gaps;
      const sum = sumOfGaps(run(), gaps)!;
      expect(sum.value).toBeCloseTo(
        lengths.reduce((all, mm) => all + mm, 830 + 1200),
        4,
      );
      const squares = lengths.reduce((all, mm) => all + (3 + mm / 1000) ** 2, 2 * 9);
      expect(sum.deviation).toBeCloseTo(Math.sqrt(squares), 4);
    }),
    { numRuns: 20, seed: 5 },
  );
});

test('of 300 chains with one slip the wrong reading is named first where the slip tells it, and is always among the suspects', () => {
  const count = { swap: [0, 0], ten: [0, 0], decimetre: [0, 0] };
  fc.assert(
    fc.property(
      fc.record({
        first: fc.integer({ min: 31, max: 98 }),
        gap: fc.integer({ min: 41, max: 87 }),
        wrong: fc.nat(2),
        slip: fc.constantFrom('ten' as const, 'swap' as const, 'decimetre' as const),
      }),
      ({ first, gap, wrong, slip }) => {
        const { house, door, window, read, face, miss } = wall();
        const cm = [first, gap, 412 - 83 - 120 - first - gap];
        const typed = cm.map((each, i) => (i === wrong ? slipped(each, slip) : each));
        if (Math.abs(typed[wrong]! - cm[wrong]!) < 3) return;
        house.tape(face(), 4120);
        const marks: [WallMark, WallMark][] = [
          ['from', jamb(door, 'near')],
          [jamb(door, 'far'), jamb(window, 'near')],
          [jamb(window, 'far'), 'to'],
        ];
        typed.forEach((each, i) => house.do(read(...marks[i]!, `${each} cm`)));
        const is = (suspect: { reading: GapReading | 'wall' } | undefined) =>
          suspect && suspect.reading !== 'wall' && suspect.reading.text === `${typed[wrong]} cm`;
        const suspects = miss()!.suspects;
        expect(suspects.some(is)).toBe(true);
        count[slip][0]! += 1;
        if (is(suspects[0])) count[slip][1]! += 1;
      },
    ),
    { numRuns: 300, seed: 11 },
  );
  const share = ([tried, named]: number[]) => named! / tried!;
  // one chain has one redundancy: which reading is wrong is told by the slip alone
  expect(share(count.swap)).toBeGreaterThan(0.85);
  expect(share(count.ten)).toBeGreaterThan(0.85);
  expect(count.decimetre[0]).toBeGreaterThan(50);
});

function slipped(cm: number, slip: 'ten' | 'swap' | 'decimetre'): number {
  if (slip === 'ten') return cm / 10;
  if (slip === 'decimetre') return cm + 10;
  return (cm % 10) * 10 + Math.floor(cm / 10);
}

describe('what was read stays', () => {
  test('an opening that was read to resists being moved, until it is loosened', () => {
    const { house, door, face, read } = wall();
    house.do(read('from', jamb(door, 'near'), '0.42'));
    const move = {
      kind: 'changeOpening',
      floor: 'ground',
      opening: door,
      place: { face: face().key, end: 'left', offset: 900 },
    } as const;
    expect(house.tries(move)).toMatch(/The 0\.42 you read to its jamb stands in the way/);
    house.do({ kind: 'loosenReading', reading: house.floor.gaps[0]!.id });
    expect(house.tries(move)).toBeNull();
  });

  test('read again, what was read before is its history', () => {
    const { house, door, read } = wall();
    house.do(read('from', jamb(door, 'near'), '0.42'));
    house.do(read('from', jamb(door, 'near'), '0.43'));
    expect(house.floor.gaps).toHaveLength(1);
    expect(house.floor.gaps[0]!.history.map(({ text }) => text)).toEqual(['0.42']);
  });

  test('readings go with their opening, move with their room, and turn with it when it is mirrored', () => {
    const { house, room, door, read, at } = wall();
    house.do(read('from', 'to', '4.00'));
    house.do(read('from', jamb(door, 'near'), '0.42'));
    const motion = { dx: 9000, dy: 0, turn: 0, mirror: true, about: { x: 0, y: 0 } };
    house.do({ kind: 'transformRooms', floor: 'ground', rooms: [room], motion, copy: false });
    const [gap] = house.floor.gaps;
    expect(gap).toMatchObject({ b: 'to', a: { jamb: 'far' }, text: '0.42' });
    expect(at().at(-1)).toEqual([4000 - 420 - 830, 4000 - 420]);
    house.do({ kind: 'removeOpening', opening: door });
    expect(house.floor.gaps).toEqual([]);
  });

  test('while its wall is bent a reading waits, and counts again when the wall is straight', () => {
    const { house, door, face, read, at } = wall();
    house.do(read('from', jamb(door, 'near'), '0.42'));
    const bend = (value: number) =>
      house.do({
        kind: 'bendWall',
        floor: 'ground',
        face: house.floor.rooms[0]!.faces.find(({ openings }) => openings.length > 0)!.key,
        by: 'sagitta',
        value,
        way: 'out',
      });
    const { from } = face();
    bend(400);
    expect(house.floor.gaps).toHaveLength(1);
    expect(readingLines(house.floor)).toMatchObject([
      { what: 'along wall, left corner to left jamb of D1', control: 0 },
    ]);
    bend(0);
    expect(face().from).toBe(from);
    expect(at()[0]).toEqual([420, 1250]);
  });

  test('a copied room has readings of its own', () => {
    const { house, room, door, read } = wall();
    house.do(read('from', jamb(door, 'near'), '0.42'));
    const motion = { dx: 0, dy: 9000, turn: 0, mirror: false, about: { x: 0, y: 0 } };
    house.do({ kind: 'transformRooms', floor: 'ground', rooms: [room], motion, copy: true });
    expect(house.floor.gaps.map(({ text }) => text)).toEqual(['0.42', '0.42']);
    expect(new Set(house.floor.gaps.map(({ from }) => from)).size).toBe(2);
  });
});
