import fc from 'fast-check';
import {
  type DerivedFloor,
  type Intent,
  type Plan,
  applyEdit,
  deriveFloor,
  newPlan,
  partedFloor,
  previewEdit,
} from '../src';

function done(plan: Plan, intent: Intent, seed: string): Plan {
  const result = applyEdit(plan, intent, seed);
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
}

/** Rooms in rows, every other row set off by half a room, so that walls meet in tees. */
function rows(count: number, across: number): Plan {
  let plan = newPlan({ name: 'Rows' });
  for (let i = 0; i < count; i += 1) {
    const row = Math.floor(i / across);
    const [x, y] = [(i % across) * 3100 + (row % 2) * 1550, row * 2600];
    plan = done(plan, { kind: 'drawBox', floor: 'ground', a: { x, y }, b: { x: x + 3000, y: y + 2500 } }, `r${i}`);
  }
  return plan;
}

/** What is seen of a floor: areas of rooms, outlines of wall bodies, faces, in any order. */
const seen = (...floors: DerivedFloor[]) => ({
  rooms: floors.flatMap((f) => f.rooms.map((r) => `${r.room.id} ${r.measures.area.toFixed(3)}`)).sort(),
  bodies: floors.flatMap((f) => f.bodies.map((b) => ringKey(b.ring))).sort(),
  faces: floors.flatMap((f) => [...f.rooms.flatMap((r) => r.faces), ...f.free].map((face) => face.key)).sort(),
  openings: floors.flatMap((f) => f.openings.map((o) => `${o.id} ${o.offset}`)).sort(),
  ends: floors.flatMap((f) => f.openEnds.map((c) => c.id)).sort(),
});

const ringKey = (ring: readonly { x: number; y: number }[]) =>
  ring
    .map(({ x, y }) => `${x.toFixed(3)},${y.toFixed(3)}`)
    .sort()
    .join(' ');

describe('an excerpt shows what the whole plan would', () => {
  const plan = rows(35, 7);
  const floor = deriveFloor(plan, 'ground');
  const faces = floor.rooms.flatMap((room) => room.faces);

  function agrees(intent: Intent, from = plan): boolean {
    const { result, near } = previewEdit(from, 'ground', intent, 'p');
    const whole = applyEdit(from, intent, 'p');
    expect(result.ok).toBe(whole.ok);
    if (!result.ok || !whole.ok || !near) return false;
    const parted = partedFloor(from, 'ground', result.plan, near)!;
    expect(seen(parted.rest, parted.part)).toEqual(seen(deriveFloor(whole.plan, 'ground')));
    return true;
  }

  it('for walls dragged anywhere', () => {
    let count = 0;
    fc.assert(
      fc.property(fc.nat(faces.length - 1), fc.integer({ min: -2500, max: 2500 }), fc.boolean(), (i, by, turn) => {
        const neighbours = turn ? 'turn' : 'stretch';
        if (agrees({ kind: 'moveWall', floor: 'ground', face: faces[i]!.key, by, neighbours })) count += 1;
      }),
      { numRuns: 60, seed: 41 },
    );
    expect(count).toBeGreaterThan(15);
  });

  it('for corners dragged anywhere', () => {
    const corners = Object.values(plan.corners);
    let count = 0;
    fc.assert(
      fc.property(
        fc.nat(corners.length - 1),
        fc.integer({ min: -900, max: 900 }),
        fc.integer({ min: -900, max: 900 }),
        (i, dx, dy) => {
          const corner = corners[i]!;
          const to = { x: corner.x + dx, y: corner.y + dy };
          if (agrees({ kind: 'moveCorner', floor: 'ground', corner: corner.id, to })) count += 1;
        },
      ),
      { numRuns: 60, seed: 42 },
    );
    expect(count).toBeGreaterThan(15);
  });

  it('for a door dragged along its wall', () => {
    const face = floor.rooms[20]!.faces[0]!;
    const place = { face: face.key, end: 'left', offset: 200 } as const;
    const withDoor = done(plan, { kind: 'addOpening', floor: 'ground', opening: 'door', ...place }, 'd');
    const door = Object.keys(withDoor.openings)[0]!;
    const move = { kind: 'changeOpening', floor: 'ground', opening: door, place: { ...place, offset: 400 } } as const;
    expect(agrees(move, withDoor)).toBe(true);
  });

  it('is small beside the house', () => {
    const { near, result } = previewEdit(
      plan,
      'ground',
      { kind: 'moveWall', floor: 'ground', face: floor.rooms[20]!.faces[2]!.key, by: 200 },
      'p',
    );
    if (!result.ok) throw new Error(result.reason);
    const parted = partedFloor(plan, 'ground', result.plan, near!)!;
    expect(parted.part.rooms.length).toBeLessThan(10);
    expect(parted.rest.rooms.length + parted.part.rooms.length).toBe(35);
  });

  it('is not used where a taped length reaches further', () => {
    // one length over a whole row: it is known to hold only by looking at all of it
    const top = floor.rooms.filter((room) => room.faces.some((f) => f.key === floor.rooms[0]!.faces[0]!.key));
    expect(top).toHaveLength(1);
    const face = floor.rooms[0]!.faces[0]!;
    const taped = done(
      plan,
      {
        kind: 'tapeLength',
        floor: 'ground',
        from: face.from,
        to: face.to,
        value: face.length,
        text: '3',
        unit: 'm',
        moves: 'to',
        time: '2026-01-01T00:00:00Z',
      },
      't',
    );
    const side = deriveFloor(taped, 'ground').rooms[0]!.faces[1]!;
    expect(agrees({ kind: 'moveWall', floor: 'ground', face: side.key, by: 100 }, taped)).toBe(false);
    const below = deriveFloor(taped, 'ground').rooms[0]!.faces[2]!;
    expect(agrees({ kind: 'moveWall', floor: 'ground', face: below.key, by: -100 }, taped)).toBe(true);
  });
});
