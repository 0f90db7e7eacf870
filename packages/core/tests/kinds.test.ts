import './with-hooks';
import fc from 'fast-check';
import {
  type Altered,
  COLLECTIONS,
  type CollectionName,
  Draft,
  type Entity,
  type Id,
  type Intent,
  KINDS,
  type Piece,
  type Plan,
  type WallFace,
  type WallStand,
  applyEdit,
  NEW_FLOOR,
  changeBetween,
  deriveFloor,
  inverse,
  kindOf,
  mergePlans,
  newPlan,
  problemsOf,
  readPlan,
  referenceProblems,
  repairPlan,
  standOnFace,
  usualSpec,
  withChange,
} from '../src';
import { EDITS } from '../src/edits/registry';
import { excerptAround } from '../src/excerpt';
import { dropWithAll } from '../src/plan/footing';
import { gesture, play } from './gestures';
import { newPiece, pieceKindOf } from '../src/pieces';
import { PAINT_CHART, READY_LOOKS, painted } from '../src/finishes';
import { layOut } from '../src/sheets';
import { hookEdits } from './hook-edits';
import { House } from './house';
import { bringIn } from './over-a-picture';

Object.assign(EDITS, hookEdits);

/** The same houses in every run; others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_129);
const HOOKS = 'hooks' as CollectionName;
const hook = (face: string, offset: number) =>
  ({ kind: 'putUpHook', floor: 'ground', face, offset }) as unknown as Intent;
const all = (plan: Plan, name: CollectionName): Entity[] => Object.values(plan[name]);

/** Every room, every side of a wall and every opening with a finish, rooms with trims. */
function dressed(plan: Plan): Intent[] {
  const option = null;
  return [
    { kind: 'layFinish', on: [{ what: 'house', of: '', part: 'face' }], look: painted('#E9DFCB'), option },
    ...Object.keys(plan.rooms).flatMap((room): Intent[] => [
      { kind: 'layFinish', on: [{ what: 'room', of: room, part: 'floor' }], look: READY_LOOKS[11]!, option },
      { kind: 'fitTrim', part: 'skirting', room, to: { height: 120 }, option },
    ]),
    ...Object.keys(plan.walls).map((wall, i): Intent => ({
      ...{ kind: 'layFinish', look: painted(PAINT_CHART[i % 60]!.colour), option },
      on: [{ what: 'wall', of: wall, part: i % 2 === 0 ? 'left' : 'right' }],
    })),
    ...Object.keys(plan.openings).map((of): Intent => ({
      ...{ kind: 'layFinish', on: [{ what: 'opening', of, part: 'frame' }], look: painted('#23445E'), option },
    })),
  ];
}

/** A random house with hooks and a picture, and heights read in its rooms. */
function furnished(gestures: Parameters<typeof play>[0]): Plan {
  const last = gestures.at(-1)!;
  const tail = (['door', 'gap', 'pier', 'breast', 'window', 'gap'] as const).map((what, i) => ({
    ...last,
    what,
    pick: last.pick + (i >> 1),
  }));
  let plan = bringIn(play([...gestures, ...tail], () => undefined));
  const height = (value: number) => ({
    ...{ value, text: String(value), unit: 'mm' as const, instrument: 'tape' as const, time: '2026-05-04T10:00:00Z' },
  });
  const intents: Intent[] = [
    ...deriveFloor(plan, 'ground').rooms.flatMap((room, i): Intent[] => [
      hook(room.faces[i % room.faces.length]!.key, 40),
      { kind: 'addStairs', floor: 'ground', form: 'stairs', path: [room.room.at] },
      { kind: 'readHeight', room: room.room.id, at: room.room.at, read: height(2300 + i) },
      {
        ...{ kind: 'addSlope', floor: 'ground', face: room.faces[i % room.faces.length]!.key, pitch: 40 },
        ...{ heights: [{ up: 0, read: height(900 + i) }], everywhere: i % 3 === 2 },
      },
      { kind: 'addBreak', floor: 'ground', form: i % 2 === 0 ? 'dormer' : 'beam', at: room.room.at, height: 2000 },
      { kind: 'addBreak', floor: 'ground', form: 'step', at: room.room.at, width: 300, depth: 300 },
    ]),
    { kind: 'layStrings', floor: 'ground', room: null },
    ...Object.keys(plan.rooms).map((room): Intent => ({ kind: 'layStrings', floor: 'ground', room })),
    ...deriveFloor(plan, 'ground').rooms.flatMap(({ room }): Intent[] => [
      {
        ...{ kind: 'addDimension', floor: 'ground', form: 'line', turn: 0 },
        points: [0, 900].map((x) => ({ kind: 'free' as const, x: room.at.x + x, y: room.at.y, turn: 0 })),
      },
      { kind: 'addAnnotation', floor: 'ground', form: 'text', at: room.at, text: 'Damp here', to: { x: 0, y: 0 } },
      { kind: 'addAnnotation', floor: 'ground', form: 'sign', at: room.at, sign: 'socket' },
    ]),
    ...furniture(plan),
    ...dressed(plan),
    {
      kind: 'addSheets',
      sheets: layOut(plan, 'builder’s set', 'A4').map((sheet, i) => ({
        ...sheet,
        frames: [
          ...sheet.frames,
          ...Object.keys(plan.rooms)
            .slice(i, i + 1)
            .map((room) => ({
              ...{ shows: { kind: 'elevations' as const, room }, look: 'bare' as const, scale: 50 },
              at: { x: 100, y: 100 },
            })),
        ],
      })),
    },
  ];
  let table = '';
  intents.forEach((each, i) => {
    const intent =
      each.kind === 'addPiece' && each.piece.stand.kind === 'piece'
        ? { ...each, piece: { ...each.piece, stand: { ...each.piece.stand, piece: table } } }
        : each;
    const result = applyEdit(plan, intent, `f${i}`);
    if (!result.ok && result.fault) throw new Error(result.fault);
    if (result.ok) plan = result.plan;
    if (result.ok && intent.kind === 'addPiece' && intent.piece.form === 'table') table = result.made!;
  });
  return withOption(plan);
}

/** An option in which a wall and an opening are away, and in a room a wall is new with a door in it, and a window in an old one. */
function withOption(plan: Plan): Plan {
  let made = 0;
  const done = (intent: Intent): Id => {
    const result = applyEdit(plan, intent, `g${(made += 1)}`);
    if (!result.ok) throw new Error(result.fault ?? 'refused');
    plan = result.plan;
    return result.made!;
  };
  const option = done({ kind: 'addOption', like: null });
  const floor = deriveFloor(plan, 'ground');
  const faces = floor.rooms[0]!.faces.slice(0, 2);
  const alter = (altered: Altered, ends?: [WallStand, WallStand]) =>
    done({ kind: 'alterHouse', floor: 'ground', option, altered, ...(ends && { ends }) });
  const door = { kind: 'opening', spec: usualSpec('door', 'metric'), hinge: 'start', swing: 'left' } as const;
  const standing = (face: WallFace) => standOnFace(floor.network, face, 300, 0);
  alter({ kind: 'wall gone', wall: Object.keys(plan.walls)[0]! });
  for (const opening of Object.keys(plan.openings).slice(0, 1)) alter({ kind: 'opening gone', opening });
  alter({ ...door, stand: standing(faces[0]!) });
  const wall = alter({ kind: 'wall', thickness: 100, chalk: false }, [standing(faces[0]!), standing(faces[1]!)]);
  alter({ ...door, stand: { kind: 'alteration', alteration: wall, offset: 20 } });
  return plan;
}

/** In every room a wardrobe at a wall, a table that stands free with a lamp on it. */
const furniture = (plan: Plan): Intent[] => {
  const floor = deriveFloor(plan, 'ground');
  return floor.rooms.flatMap(({ room, faces }, i): Intent[] => {
    const face = faces[(i + 1) % faces.length]!;
    const put = (form: string, stand: Piece['stand']): Intent => ({
      kind: 'addPiece',
      floor: 'ground',
      piece: { ...newPiece(pieceKindOf(form)), stand },
    });
    const at = { kind: 'free' as const, x: room.at.x, y: room.at.y, turn: 20 * i };
    return [
      put('table', at),
      put('wardrobe', { ...standOnFace(floor.network, face, 20, 1000), quarter: i % 4 }),
      // on the table that was put down last
      put('table-lamp', { kind: 'piece', piece: 'the table', x: 10, y: -20, turn: 15 }),
    ];
  });
};

const without = (plan: Plan, name: CollectionName, id: Id): Plan | null => {
  const draft = new Draft(plan, 'gone');
  dropWithAll(draft, name, id, 'wanted');
  return repairPlan(draft.plan(), plan, 'gone')?.plan ?? null;
};

const repaired = (plan: Plan, before: Plan, sound: readonly Plan[]) =>
  repairPlan(plan, before, 'm', sound)?.plan ?? null;

/** One large room, in which there is room for one of everything. */
const PLAIN = [{ what: 'box' as const, x: 0, y: 0, w: 20, h: 16, pick: 3, amount: 400, jitter: 0 }];
const houses = fc.array(gesture, { minLength: 6, maxLength: 16 });

describe('for every kind', () => {
  test('whatever one of them names is taken away by another device while it is made: the plan is sound, and undone it is what it was', () => {
    const met = new Map<CollectionName, number>();
    fc.assert(
      fc.property(houses, fc.nat(), (gestures, pick) => {
        const mine = furnished(gestures);
        for (const name of COLLECTIONS) {
          const some = all(mine, name);
          if (some.length === 0) continue;
          const entity = some[pick % some.length]!;
          const base = without(mine, name, entity.id);
          if (!base) continue;
          for (const { to, ids } of kindOf(name).refers) {
            for (const id of ids(entity)) {
              if (!Object.hasOwn(base[to], id) || to === 'floors') continue;
              const theirs = without(base, to, id);
              if (!theirs) continue;
              const merge = mergePlans(base, mine, theirs, repaired);
              met.set(name, (met.get(name) ?? 0) + 1);
              expect([name, to, problemsOf(merge.plan)]).toEqual([name, to, []]);
              const change = changeBetween(theirs, merge.plan);
              expect(changeBetween(withChange(merge.plan, inverse(change)), theirs).entities).toEqual([]);
            }
          }
        }
      }),
      { numRuns: 8, seed: SEED, examples: [[PLAIN, 3]] },
    );
    for (const name of COLLECTIONS)
      if (kindOf(name).refers.some(({ to }) => to !== 'floors'))
        expect([name, met.get(name) ?? 0]).not.toEqual([name, 0]);
  });

  test('what belongs to a room goes along when it is moved, copied, turned or mirrored', () => {
    let copied = 0;
    fc.assert(
      fc.property(houses, fc.boolean(), fc.boolean(), fc.nat(), (gestures, copy, mirror, pick) => {
        const plan = furnished(gestures);
        const ids = Object.keys(plan.rooms);
        if (ids.length === 0) return;
        const room = ids[pick % ids.length]!;
        const motion = { dx: 40_000, dy: 0, turn: mirror ? 0 : 90, mirror, about: plan.rooms[room]!.at };
        const result = applyEdit(plan, { kind: 'transformRooms', floor: 'ground', rooms: [room], motion, copy }, 'c');
        if (!result.ok) {
          expect(result.fault).toBeUndefined();
          return;
        }
        expect(problemsOf(result.plan)).toEqual([]);
        for (const name of copy ? COLLECTIONS : []) {
          const there = all(plan, name).filter((each) => isInRoom(plan, each, room)).length;
          if (there === 0) continue;
          copied += 1;
          expect([name, all(result.plan, name).length]).toEqual([name, all(plan, name).length + there]);
        }
      }),
      { numRuns: 15, seed: SEED },
    );
    expect(copied).toBeGreaterThan(5);
  });

  test('a part of a plan that is cut out has what it names', () => {
    let cut = 0;
    fc.assert(
      fc.property(houses, fc.nat(), (gestures, pick) => {
        const plan = furnished(gestures);
        const walls = Object.keys(plan.walls);
        if (walls.length === 0) return;
        const excerpt = excerptAround(deriveFloor(plan, 'ground'), [walls[pick % walls.length]!], 300);
        if (!excerpt) return;
        cut += 1;
        expect(referenceProblems(excerpt.plan)).toEqual([]);
        for (const name of COLLECTIONS)
          for (const id of excerpt.mine[name]) expect(Object.keys(excerpt.plan[name])).toContain(id);
      }),
      { numRuns: 15, seed: SEED },
    );
    expect(cut).toBeGreaterThan(5);
  });

  test('a floor that goes takes all with it that is on it, and comes back where another drew on it', () => {
    const house = new House(furnished(fc.sample(houses, { numRuns: 1, seed: 7 })[0]!), 1000);
    const base = {
      ...house.plan,
      floors: { ...house.plan.floors, up: { id: 'up', name: 'Up', level: 1, ...NEW_FLOOR } },
    } as Plan;
    const drawn = applyEdit(base, { kind: 'drawBox', floor: 'up', a: { x: 0, y: 0 }, b: { x: 900, y: 900 } }, 'd');
    if (!drawn.ok) throw new Error(drawn.reason);
    const theirs = without(base, 'floors', 'up')!;
    expect(Object.keys(theirs.floors)).toEqual(['ground']);
    const merge = mergePlans(base, drawn.plan, theirs, repaired);
    expect(problemsOf(merge.plan)).toEqual([]);
    expect(deriveFloor(merge.plan, 'up').rooms).toHaveLength(1);
    const bare = without(base, 'floors', 'ground')!;
    // sheets and options are on no floor
    for (const name of COLLECTIONS)
      if (name !== 'sheets' && name !== 'options')
        // how the whole house is finished stays with the house
        expect([name, all(bare, name).length]).toEqual([name, name === 'floors' || name === 'finishes' ? 1 : 0]);
  });
});

function isInRoom(plan: Plan, entity: Entity, room: Id): boolean {
  if ('room' in entity) return entity.room === room;
  if (!('wall' in entity)) return false;
  // a wall of the room on either side goes along with all that hangs on it
  const derived = deriveFloor(plan, 'ground').rooms.find((each) => each.room.id === room);
  return derived!.outline.runs.some((run) => run.halves.some((half) => half.wall.id === entity.wall));
}

describe('a kind that only the tests know', () => {
  const house = () => {
    const made = new House();
    const room = made.box(0, 0, 4000, 3000);
    const face = made.face(room, 'top');
    return { made, room, face };
  };

  test('is read, refused where it can’t be, and counted', () => {
    const { made, face } = house();
    made.do(hook(face.key, 500));
    expect(readPlan(JSON.parse(JSON.stringify(made.plan)))).toEqual({ ok: true, plan: made.plan });
    const [one] = all(made.plan, HOOKS);
    const lost = { ...made.plan, [HOOKS]: { [one!.id]: { ...one, wall: 'nowhere' } } };
    expect(problemsOf(lost)).toEqual(['A coat hook has lost its wall.']);
    const read = readPlan(JSON.parse(JSON.stringify({ ...made.plan, [HOOKS]: { [one!.id]: { ...one, reach: -1 } } })));
    expect(read.ok ? '' : read.reason).toContain('hooks');
    expect(made.tries(hook(face.key, 5000))).toBe('A hook hangs on its wall.');
  });

  test('stays where it is on the sheet when its wall is split, and goes with its wall', () => {
    const { made, face } = house();
    made.do(hook(face.key, 3000));
    const points = [
      { x: 1500, y: 0 },
      { x: 1500, y: 3000 },
    ];
    made.do({ kind: 'drawPath', floor: 'ground', points, closed: false });
    const [it] = all(made.plan, HOOKS) as unknown as { wall: Id; anchor: string; offset: number }[];
    const wall = made.plan.walls[it!.wall]!;
    const corner = made.plan.corners[it!.anchor === 'start' ? wall.start : wall.end]!;
    const inset = it!.anchor === 'start' ? it!.offset : -it!.offset;
    // taped from the outer corner on: 3 m along, or 1 m back
    expect([corner.x + inset, corner.x - inset].some((x) => Math.abs(x - 3000) < 60)).toBe(true);
    const again = made.floor.rooms.flatMap((each) => each.faces).find((each) => each.halves[0]!.wall.id === it!.wall)!;
    made.do({ kind: 'removeWall', floor: 'ground', face: again.key });
    expect(all(made.plan, HOOKS)).toEqual([]);
  });

  test('is merged field by field, and what is overruled is named', () => {
    const { made, face } = house();
    made.do(hook(face.key, 500));
    const [one] = all(made.plan, HOOKS) as unknown as [Entity & { reach: number; note: string }];
    const put = (change: object) => ({ ...made.plan, [HOOKS]: { [one.id]: { ...one, ...change } } }) as Plan;
    const both = mergePlans(made.plan, put({ reach: 80 }), put({ note: 'brass' }), repaired);
    expect(all(both.plan, HOOKS)).toEqual([{ ...one, reach: 80, note: 'brass' }]);
    expect(both.overruled).toEqual([]);
    expect(mergePlans(made.plan, put({ reach: 80 }), put({ reach: 70 }), repaired).overruled).toEqual([
      'the reach of a coat hook',
    ]);
  });

  test('is in a new plan without having been told to it', () => {
    expect(all(newPlan({ name: 'New' }), HOOKS)).toEqual([]);
    expect(Object.keys(KINDS)).toContain(HOOKS);
  });
});
