import fc from 'fast-check';
import { type FinishLook, type Mark, type Point, lookOf, ringsArea } from '../src';
import { PLAIN_LOOK, drawFinishes, ofOption, painted, spreadOfRoom } from '../src/finishes';
import { House } from './house';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

/** A room with inside faces exactly `w` × `d` mm, and something on its floor. */
function dressed(w: number, d: number, look: FinishLook) {
  const house = new House();
  const room = house.box(0, 0, w, d);
  house.do({ kind: 'layFinish', on: [{ what: 'room', of: room, part: 'floor' }], along: false, look, option: null });
  return { house, room };
}

/** So small that no joint is too close to the next. */
const FINE = 1;
const drawn = ({ plan, floor }: House, without: readonly string[] = []) =>
  drawFinishes(floor, {
    finishes: ofOption(plan.finishes, null),
    lettering: FINE,
    without: new Set(without) as never,
  }).flatMap(({ marks }) => marks);
const paths = (marks: readonly Mark[], role: string) =>
  marks.flatMap((mark) => (mark.kind === 'path' && mark.role === role ? [mark] : []));

/** So near the rim a joint is none, mm. */
const RIM = 1.5;

/** How long all lines within a room are, mm: those on its very rim are no joints. */
function inside(lines: readonly (readonly Point[])[], w: number, d: number): number {
  const onRim = (p: Point, q: Point) =>
    [0, w].some((x) => Math.abs(p.x - x) < RIM && Math.abs(q.x - x) < RIM) ||
    [0, d].some((y) => Math.abs(p.y - y) < RIM && Math.abs(q.y - y) < RIM);
  let long = 0;
  for (const line of lines)
    for (let i = 1; i < line.length; i += 1) {
      const [p, q] = [line[i - 1]!, line[i]!];
      if (!onRim(p, q)) long += Math.hypot(q.x - p.x, q.y - p.y);
    }
  return long;
}

/** What the joints of a floor should be, counted row by row from the corner it begins in: the reference. */
function counted(along: number, across: number, long: number, wide: number, shifts: number): number {
  let sum = 0;
  for (let row = 0; row * across < wide - 1e-9; row += 1) {
    const high = Math.min(wide, (row + 1) * across) - row * across;
    if (row > 0 && row * across > RIM && row * across < wide - RIM) sum += long;
    const from = ((row % shifts) * along) / shifts;
    for (let k = 0; from + k * along < long - RIM; k += 1) if (from + k * along > RIM) sum += high;
  }
  return sum;
}

const sized = fc.record({
  w: fc.integer({ min: 1500, max: 7000 }),
  d: fc.integer({ min: 1500, max: 7000 }),
  along: fc.integer({ min: 150, max: 1400 }),
  across: fc.integer({ min: 90, max: 600 }),
  joint: fc.constantFrom(0, 2, 5),
  bond: fc.constantFrom('straight' as const, 'half' as const, 'third' as const),
});

test('joints of a floor, whatever its size, blocks and bond, are as many and as long as a count row by row has them', () => {
  fc.assert(
    fc.property(sized, ({ w, d, along, across, joint, bond }) => {
      fc.pre(Math.abs(w - d) > 1);
      const look: FinishLook = {
        ...PLAIN_LOOK,
        ...{ stuff: 'tiles', name: 'T', along, across, joint, bond, turn: 0, start: 'foot left' },
      };
      const { house, room } = dressed(w, d, look);
      const { d: way } = spreadOfRoom(house.room(room));
      const [long, wide] = Math.abs(way.x) > 0.5 ? [w, d] : [d, w];
      // a last row of a hair is on the rim
      const rest = wide % (across + joint);
      fc.pre(rest > RIM && rest < across + joint - RIM);
      const lines = paths(drawn(house), 'finish.joint').flatMap(({ rings }) => rings as readonly (readonly Point[])[]);
      const shifts = { straight: 1, half: 2, third: 3 }[bond];
      const wanted = counted(along + joint, across + joint, long, wide, shifts);
      expect(Math.abs(inside(lines, w, d) - wanted)).toBeLessThan(2 + 1e-6 * wanted);
    }),
    { seed: SEED, numRuns: 120 },
  );
});

test('a tint covers exactly the floor; paint and carpet have no joints, and a bare floor has neither', () => {
  const { house, room } = dressed(4000, 3000, painted('#A9B79B', 'Sage'));
  const [tint, ...more] = paths(drawn(house), 'finish.tint');
  expect(more).toEqual([]);
  expect(tint).toMatchObject({ colour: '#A9B79B', closed: true });
  expect(ringsArea(tint!.rings as readonly (readonly Point[])[] as never)).toBeCloseTo(12e6, 0);
  expect(paths(drawn(house), 'finish.joint')).toEqual([]);
  house.do({
    ...{ kind: 'layFinish', on: [{ what: 'room', of: room, part: 'floor' }], along: false, option: null },
    look: null,
  });
  expect(drawn(house)).toEqual([]);
});

test('joints too close for the scale are left out, not smeared', () => {
  const small: FinishLook = { ...PLAIN_LOOK, stuff: 'tiles', name: 'T', along: 100, across: 100, joint: 2 };
  const { house } = dressed(4000, 3000, small);
  const long = (lettering: number) => {
    const parts = drawFinishes(house.floor, { finishes: ofOption(house.plan.finishes, null), lettering });
    return paths(
      parts.flatMap(({ marks }) => marks),
      'finish.joint',
    ).reduce((sum, { rings }) => sum + inside(rings as never, 4000, 3000), 0);
  };
  expect(long(1)).toBeGreaterThan(2 * long(400));
});

test('off on site and for the builder, on for the client; tints and joints are told apart', () => {
  const look: FinishLook = { ...PLAIN_LOOK, stuff: 'boards', name: 'B', along: 1800, across: 180, joint: 2 };
  const { house } = dressed(4000, 3000, look);
  const roles = (which: string) => {
    const { without } = lookOf(house.plan, which);
    return new Set(drawn(house, [...without]).map((mark) => mark.role));
  };
  expect(roles('on site')).toEqual(new Set());
  expect(roles('for the builder')).toEqual(new Set());
  expect(roles('for the client')).toEqual(new Set(['finish.tint', 'finish.joint']));
  expect(new Set(drawn(house, ['finish tints']).map((mark) => mark.role))).toEqual(new Set(['finish.joint']));
  // a drawing that is not told of finishes has none
  expect(drawFinishes(house.floor, { lettering: FINE })).toEqual([]);
});
