import * as fc from 'fast-check';
import { AREA_RULES, type AreaRuleName, type RoomUse, newPlan, surfacesOf } from '../src';
import {
  RULES,
  againstListing,
  areaInWords,
  areaTable,
  floorAreas,
  guessedUse,
  pieceAt,
  piecesOfFloor,
  ruleDoubt,
  ruleOf,
} from '../src/areas';
import { read, slopedAttic } from './attic';
import { geometryOf, unionByJsts } from './by-jsts';
import { gesture, play } from './gestures';
import { House } from './house';
import { add, twoFloors } from './two-floors';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);
const M2 = 1e6;

const counted = (house: House, name: AreaRuleName): number => areaTable(house.plan, name).counted / M2;

describe('the rules', () => {
  test('each has its standard, is in the list of names, and orders how it is rounded', () => {
    expect(RULES.map(({ name }) => name)).toEqual([...AREA_RULES]);
    for (const { standard, says, rounding } of RULES) {
      expect(standard).toMatch(/\d/);
      expect(says.length).toBeGreaterThan(20);
      expect(rounding.to).toBeGreaterThan(0);
    }
  });

  test('the sloped room of 4 × 5 m: net 20, WoFlV 17.5, Carrez 16, under 1.5 m 2.5 m² (exact, given the rules)', () => {
    const { house } = slopedAttic();
    expect(counted(house, 'net')).toBeCloseTo(20, 6);
    expect(counted(house, 'WoFlV')).toBeCloseTo(17.5, 4);
    expect(counted(house, 'Carrez')).toBeCloseTo(16, 4);
    expect(counted(house, 'gross internal')).toBeCloseTo(20, 6);
    expect(
      areaTable(house.plan, 'gross internal').apart.find(({ name }) => name === 'under 1.50 m')!.area / M2,
    ).toBeCloseTo(2.5, 4);
    expect(areaTable(house.plan, 'IPMS 3B').apart.find(({ name }) => name === 'limited use')!.area / M2).toBeCloseTo(
      2.5,
      4,
    );
    // walls of 250 mm all round
    expect(counted(house, 'gross external')).toBeCloseTo(5.5 * 4.5, 6);
    expect(counted(house, 'IPMS 3A')).toBeCloseTo(5.5 * 4.5, 6);
  });

  test('ANSI Z765: under a slope from 5 ft on where half of it is 7 ft high, to the outside of the walls that are so high', () => {
    const { house, room } = slopedAttic();
    // 1.524 m is reached 524 mm from the knee wall; the walls beside are cut there too
    expect(counted(house, 'ANSI Z765')).toBeCloseTo(5.5 * (4 - 0.524 + 0.25), 4);
    // a ceiling under 7 ft: none of it counts
    house.do({ kind: 'setCeilingHeight', room, height: 2100, scope: 'room' });
    expect(counted(house, 'ANSI Z765')).toBe(0);
    const flat = new House();
    const low = flat.box(0, 0, 5000, 4000);
    expect(counted(flat, 'ANSI Z765')).toBeCloseTo(5.5 * 4.5, 6);
    flat.do({ kind: 'setCeilingHeight', room: low, height: 2130, scope: 'room' });
    expect(counted(flat, 'ANSI Z765')).toBe(0);
    flat.do({ kind: 'setCeilingHeight', room: low, height: 2133.6, scope: 'room' });
    expect(counted(flat, 'ANSI Z765')).toBeCloseTo(24.75, 6);
    expect(areaInWords(areaTable(flat.plan, 'ANSI Z765').counted, ruleOf('ANSI Z765').rounding)).toBe('266 ft²');
  });

  test('two rooms and a column: partitions in the gross areas, a pier up to 0.1 m² not taken off by WoFlV', () => {
    const house = new House();
    house.box(0, 0, 8000, 4000);
    house.do({
      kind: 'drawPath',
      floor: 'ground',
      points: [
        { x: 4000, y: 0 },
        { x: 4000, y: 4000 },
      ],
      closed: false,
    } as never);
    expect(house.floor.rooms).toHaveLength(2);
    expect(counted(house, 'net')).toBeCloseTo(7.9 * 4, 6);
    expect(counted(house, 'gross internal')).toBeCloseTo(32, 6);
    expect(counted(house, 'gross external')).toBeCloseTo(8.5 * 4.5, 6);
    expect(counted(house, 'IPMS 3C')).toBeCloseTo(7.9 * 4, 6);
    const column = {
      kind: 'addSolid',
      floor: 'ground',
      solid: 'column',
      shape: 'rectangle',
      at: { x: 2000, y: 2000 },
    } as const;
    house.do({ ...column, width: 300, depth: 300 });
    expect(counted(house, 'net')).toBeCloseTo(7.9 * 4 - 0.09, 6);
    expect(counted(house, 'WoFlV')).toBeCloseTo(7.9 * 4, 6);
    house.do({ ...column, at: { x: 6000, y: 2000 }, width: 400, depth: 400 });
    expect(counted(house, 'WoFlV')).toBeCloseTo(7.9 * 4 - 0.16, 6);
    expect(counted(house, 'gross internal')).toBeCloseTo(32, 6);
  });

  test('stairs: taken off or counted on the floor they descend from, as the rule says', () => {
    const { house } = twoFloors();
    house.do(
      add([
        { x: 2000, y: 4000 },
        { x: 6000, y: 4000 },
      ]),
    );
    const [stairs] = house.floor.stairs;
    const taken = 9 * 12 * 2 - counted(house, 'net');
    expect(taken).toBeGreaterThan(1);
    const [ground, up] = areaTable(house.plan, 'Carrez').floors;
    const tread = stairs!.outline.reduce((sum, ring) => sum + areaOfRing(ring), 0) / M2;
    expect(ground!.counted / M2).toBeCloseTo(108 - tread, 4);
    expect(up!.counted / M2).toBeCloseTo(108 - taken, 4);
    const gross = areaTable(house.plan, 'gross internal');
    expect(gross.counted / M2).toBeCloseTo(216, 4);
  });

  test('uses: a balcony counts a quarter by WoFlV, is stated apart by IPMS, and not at all by others', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    house.do({ kind: 'nameRoom', room, name: 'Balcony' });
    expect(counted(house, 'WoFlV')).toBeCloseTo(3, 6);
    expect(counted(house, 'Carrez')).toBe(0);
    expect(areaTable(house.plan, 'IPMS 3B').apart.find(({ name }) => name === 'balconies')!.area / M2).toBeCloseTo(
      12,
      6,
    );
    house.do({ kind: 'useRoom', room, use: 'living' });
    expect(counted(house, 'Carrez')).toBeCloseTo(12, 6);
    expect(house.tries({ kind: 'useRoom', room, use: 'not counted' })).toMatch(/Say why/);
    house.do({ kind: 'useRoom', room, use: 'not counted', reason: 'let to the ferry company' });
    expect(counted(house, 'net')).toBe(0);
    expect(floorAreas(house.floor, ruleOf('net')).lines[0]!.reasons[0]!.reason).toBe(
      'Not counted: let to the ferry company.',
    );
  });

  test('below ground: apart by ANSI, a cellar store is no living space', () => {
    const house = new House();
    house.box(0, 0, 4000, 3000);
    const below = house.do({ kind: 'addFloor', of: 'ground', side: 'below' })!;
    const cellar = house.do({ kind: 'drawBox', floor: below, a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } })!;
    house.do({ kind: 'nameRoom', room: cellar, name: 'Cellar' });
    const ansi = areaTable(house.plan, 'ANSI Z765');
    expect(ansi.counted / M2).toBeCloseTo(4.5 * 3.5, 6);
    expect(ansi.apart.find(({ name }) => name === 'below grade')!.area / M2).toBeCloseTo(4.5 * 3.5, 6);
    expect(counted(house, 'WoFlV')).toBeCloseTo(12, 6);
  });

  test.each(['top', 'right', 'bottom', 'left'] as const)(
    'a party wall at the %s counts to its middle, corners and all',
    (side) => {
      const house = new House();
      const room = house.box(0, 0, 6000, 4000);
      house.do({ kind: 'setWallKind', floor: 'ground', face: house.face(room, side).key, as: 'party' });
      const { left, right } = Object.values(house.plan.walls).find(({ kind }) => kind === 'party')!;
      const [w, d] = [6000 + 250, 4000 + 250].map((each) => each + (left + right) / 2) as [number, number];
      const across = side === 'left' || side === 'right';
      const area = across ? w * (4000 + 500) : d * (6000 + 500);
      expect(counted(house, 'gross external')).toBeCloseTo(area / 1e6, 6);
    },
  );

  test('what a name says of its use', () => {
    const said: [string, RoomUse][] = [
      ['Kitchen', 'living'],
      ['Bedroom 2', 'living'],
      ['Ticket hall', 'living'],
      ['Hall', 'circulation'],
      ['Landing', 'circulation'],
      ['Wash room', 'wet'],
      ['Bathroom', 'wet'],
      ['Net store', 'storage'],
      ['Cellar', 'storage'],
      ['Boiler room', 'plant'],
      ['Garage', 'garage'],
      ['Roof terrace', 'terrace'],
      ['', 'living'],
      // the head of a name decides, not what the room has or lies by
      ['Living room with wardrobe', 'living'],
      ['Bedroom next to the bath', 'living'],
      ['Bathroom with linen cupboard', 'wet'],
      ['Store off the hall', 'storage'],
      ['Wardrobe room', 'storage'],
    ];
    for (const [name, use] of said) expect([name, guessedUse(name)]).toEqual([name, use]);
  });

  test('the listing says 92 m²: how far each rule is from it, the nearest first', () => {
    const { house } = slopedAttic();
    const all = againstListing(house.plan, 17.4 * M2);
    expect(all[0]!.rule.name).toBe('WoFlV');
    expect(all[0]!.by / M2).toBeCloseTo(0.1, 3);
    expect(all).toHaveLength(RULES.length);
    const us = newPlan({ name: 'US', units: 'imperial' });
    expect(us.job.areaRule).toBe('ANSI Z765');
    expect(ruleDoubt(us, ruleOf('WoFlV'))).toMatch(/a rule of Germany/);
    expect(ruleDoubt(us, ruleOf('ANSI Z765'))).toBeNull();
  });

  test('under the finger: the piece and why it counts', () => {
    const { house } = slopedAttic();
    const { pieces } = floorAreas(house.floor, ruleOf('WoFlV'));
    expect(pieceAt(pieces, { x: 2500, y: 3700 })!.reason).toMatch(/counts half/);
    expect(pieceAt(pieces, { x: 2500, y: 1000 })!.reason).toMatch(/in full/);
    expect(pieceAt(pieces, { x: 2500, y: -100 })!.reason).toMatch(/[Ww]alls? /);
    expect(pieceAt(pieces, { x: 9000, y: 9000 })).toBeNull();
  });
});

const areaOfRing = (ring: readonly { x: number; y: number }[]): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return sum + (p.x * q.y - q.x * p.y) / 2;
  }, 0);

describe('for random houses', () => {
  test('the pieces of every rule tile what walls and floors cover (by JSTS), and net ≤ gross internal ≤ gross external', () => {
    let slopes = 0;
    fc.assert(
      fc.property(fc.array(gesture, { minLength: 4, maxLength: 12 }), fc.nat(), (gestures, pick) => {
        const house = new House(
          play(gestures, () => undefined),
          500,
        );
        const { rooms } = house.floor;
        for (const [i, { faces }] of rooms.entries()) {
          const face = faces[(pick + i) % faces.length]!;
          const heights = [{ up: 0, read: read(0.8) }];
          if (!house.tries({ kind: 'addSlope', floor: 'ground', face: face.key, heights, pitch: 30 + (pick % 30) }))
            slopes += 1;
        }
        const { floor } = house;
        const covered = unionByJsts([
          ...surfacesOf(floor.network).map(({ outline }) => geometryOf(outline.rings)),
          ...floor.bodies.map(({ ring }) => geometryOf([ring])),
        ]).getArea();
        for (const rule of RULES) {
          const pieces = piecesOfFloor(floor, rule);
          const known = pieces.filter(({ facts }) => facts.kind !== 'cavity').reduce((sum, { area }) => sum + area, 0);
          // bodies of walls drawn into each other overlap: never less than what is covered
          expect(known / M2).toBeGreaterThan(covered / M2 - 0.01);
          for (const { share, reason } of pieces) {
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1);
            expect(reason.length).toBeGreaterThan(5);
          }
        }
        const [net, internal, external] = (['net', 'gross internal', 'gross external'] as const).map(
          (name) => areaTable(house.plan, name).counted,
        );
        expect(net).toBeLessThanOrEqual(internal! + 1);
        expect(internal).toBeLessThanOrEqual(external! + 1);
      }),
      { numRuns: 25, seed: SEED },
    );
    expect(slopes).toBeGreaterThan(10);
  });
});
