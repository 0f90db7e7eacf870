import fc from 'fast-check';
import {
  type DerivedFloor,
  type Intent,
  type Plan,
  type Value,
  applyEdit,
  ceilingOver,
  changeBetween,
  deriveFloor,
  floorUnder,
  inverse,
  momentsOf,
  newPlan,
  partedFloor,
  pointAt,
  previewEdit,
  problemsOf,
  ringsArea,
  ringsBox,
  surfaceHolds,
  surfacesOf,
  topAlong,
  union,
  volumeUnder,
  withChange,
} from '../src';
import { RULES, areaTable, piecesOfFloor } from '../src/areas';
import { type Gesture, gesture, intentOf } from '../tests/gestures';

export interface Roofs {
  houses: number;
  edits: number;
  refused: number;
  /** Of ceilings alone. */
  ceilings: number;
  sloped: number;
  unsound: number;
  threw: number;
  undone: number;
  /** Floors whose pieces differ from them by more than 1e-6 of their area; points, and faces, that say another height than the pieces; volumes that differ from a sum over points by more than 2 % and 2 mm. */
  untiled: number;
  points: number;
  otherHeight: number;
  volumes: number;
  otherVolume: number;
  /** Rooms that look otherwise while a wall is dragged than they are when it is let go. */
  drags: number;
  otherWhileDragged: number;
  /** The same of their outlines: not the ceilings' doing. */
  outlinesDragged: number;
  /** Pieces of a rule that lie over each other or leave something out, by more than 1e-3 m²; where bodies of walls do so themselves. */
  tables: number;
  notTiling: number;
  bodiesOver: number;
  /** Not net ≤ gross internal ≤ gross external. */
  outOfOrder: number;
  readonly seeds: string[];
}

const ceiling = fc.record({
  what: fc.constantFrom(
    ...([
      'slope',
      'slope',
      'slope',
      'roof',
      'dormer',
      'beam',
      'dropped',
      'step',
      'ridge',
      'room step',
      'through',
    ] as const),
  ),
  pick: fc.nat(1000),
  side: fc.nat(30),
  foot: fc.integer({ min: 300, max: 2600 }),
  pitch: fc.integer({ min: 1, max: 85 }),
  width: fc.integer({ min: 100, max: 4000 }),
  depth: fc.integer({ min: 100, max: 4000 }),
  far: fc.integer({ min: 0, max: 100 }),
});
type Ceiling = typeof ceiling extends fc.Arbitrary<infer T> ? T : never;

const houses = fc.record({
  gestures: fc.array(gesture, { minLength: 3, maxLength: 12 }),
  ceilings: fc.array(ceiling, { minLength: 1, maxLength: 7 }),
  after: fc.array(gesture, { minLength: 0, maxLength: 4 }),
});

const read = (mm: number): Value => ({
  ...{ value: mm, text: String(mm), unit: 'mm', instrument: 'tape', time: '2026-11-29T10:00:00Z' },
});

/** Random houses under random slopes, roofs, dormers, beams and steps, drawn on after that. */
export function underRoofs(count: number, seed: number): Roofs {
  const result: Roofs = {
    ...{ houses: 0, edits: 0, refused: 0, ceilings: 0, sloped: 0, unsound: 0, threw: 0, undone: 0, untiled: 0 },
    ...{ points: 0, otherHeight: 0, volumes: 0, otherVolume: 0, drags: 0, otherWhileDragged: 0, outlinesDragged: 0 },
    ...{ tables: 0, notTiling: 0, bodiesOver: 0, outOfOrder: 0, seeds: [] },
  };
  for (let i = 0; i < count; i += 1) {
    const [house] = fc.sample(houses, { seed: seed + i, numRuns: 1 });
    const faults = new Set<string>();
    try {
      oneHouse(house!, result, faults);
    } catch (error) {
      result.threw += 1;
      faults.add(`threw ${String(error).slice(0, 80)}`);
    }
    result.houses += 1;
    if (faults.size > 0) result.seeds.push(`${seed + i} ${[...faults].join(', ')}`);
  }
  return result;
}

function oneHouse(
  {
    gestures,
    ceilings,
    after,
  }: { gestures: readonly Gesture[]; ceilings: readonly Ceiling[]; after: readonly Gesture[] },
  result: Roofs,
  faults: Set<string>,
): void {
  let plan = newPlan({ name: 'Random house' });
  let step = 0;
  const tries = (intent: Intent | null): boolean => {
    if (!intent) return false;
    step += 1;
    const done = applyEdit(plan, intent, `s${step}`);
    result.edits += 1;
    if (!done.ok) {
      result.refused += 1;
      if (done.fault) {
        result.threw += 1;
        faults.add(`fault in ${intent.kind}: ${done.fault.slice(0, 120)}`);
      }
      return false;
    }
    if (problemsOf(done.plan).length > 0) {
      result.unsound += 1;
      faults.add(`unsound after ${intent.kind}`);
    }
    const change = changeBetween(plan, done.plan);
    if (changeBetween(withChange(done.plan, inverse(change)), plan).entities.length > 0) {
      result.undone += 1;
      faults.add(`not undone: ${intent.kind}`);
    }
    plan = done.plan;
    return true;
  };
  for (const each of gestures) tries(intentOf(plan, each));
  for (const each of ceilings) for (const intent of ceilingIntents(plan, each)) if (tries(intent)) result.ceilings += 1;
  for (const each of after) tries(intentOf(plan, each));
  const floor = deriveFloor(plan, 'ground');
  looked(floor, result, faults);
  counted(plan, floor, result, faults);
  dragged(plan, floor, result, faults);
}

function ceilingIntents(plan: Plan, { what, pick, side, foot, pitch, width, depth, far }: Ceiling): Intent[] {
  const { rooms } = deriveFloor(plan, 'ground');
  const room = rooms[pick % Math.max(1, rooms.length)];
  if (!room) return [];
  const face = room.faces[side % room.faces.length]!;
  const inside = pointAt(face.course, (face.length * far) / 100, Math.min(depth, 300));
  const at = what === 'dormer' ? inside : room.label;
  switch (what) {
    case 'slope':
      return [
        {
          ...{ kind: 'addSlope', floor: 'ground', face: face.key, pitch, everywhere: pick % 3 === 0 },
          heights: [{ up: 0, read: read(foot) }],
        },
      ];
    case 'roof': {
      const form = (['mono', 'gable', 'hip', 'mansard'] as const)[side % 4]!;
      const rise = pick % 2 === 0 ? { pitch } : { ridge: read(foot + depth) };
      const lower = { to: read(foot + depth / 3), pitch: 70 };
      return [
        {
          ...{ kind: 'addRoof', floor: 'ground', form, face: face.key, eaves: read(foot), rise },
          ...(form === 'mansard' && { lower }),
        },
      ];
    }
    case 'dormer':
    case 'beam':
    case 'dropped':
      return [
        {
          kind: 'addBreak',
          floor: 'ground',
          form: what,
          at,
          width,
          depth,
          height: foot,
          pitch: pick % 2 === 0 ? 0 : 35,
          turn: side * 12,
        },
      ];
    case 'step':
      return [
        {
          kind: 'addBreak',
          floor: 'ground',
          form: 'step',
          at,
          width,
          depth,
          height: (foot % 400) - 200 || 1,
          turn: side * 12,
        },
      ];
    case 'ridge':
      return [{ kind: 'changeCeiling', room: room.room.id, toRidge: pick % 2 === 0 }];
    case 'room step':
      return [{ kind: 'stepRoom', room: room.room.id, step: (foot % 600) - 300 }];
    case 'through': {
      const points = room.faces
        .slice(0, 4)
        .map((each, i) => ({ p: pointAt(each.course, each.length / 2, 200), h: foot + 200 * i }));
      const known = new Set(Object.keys(plan.heights));
      let now = plan;
      const intents: Intent[] = points.map(({ p, h }) => ({
        kind: 'readHeight',
        room: room.room.id,
        at: p,
        read: read(h),
      }));
      intents.forEach((intent, i) => {
        const done = applyEdit(now, intent, `t${i}`);
        if (done.ok) now = done.plan;
      });
      const loose = Object.values(plan.heights).filter(
        (h) => h.room === room.room.id && h.at && h.slope === null && known.has(h.id),
      );
      return [
        ...intents,
        ...(loose.length >= 3
          ? [{ kind: 'slopeThrough' as const, room: room.room.id, heights: loose.map(({ id }) => id) }]
          : []),
      ];
    }
  }
}

/** Points that fill a box evenly, however many there are: the fractions of multiples of 1/φ₂ and 1/φ₂² (φ₂³ = φ₂ + 1). */
const GOLDEN = { x: 0.754877666, y: 0.569840296 };
const POINTS = 8000;

/** Every room: do its pieces tile it, and do floor, points, faces and a sum over points say the same? */
function looked(floor: DerivedFloor, result: Roofs, faults: Set<string>): void {
  for (const { ceiling: over, outline, faces, measures } of floor.rooms) {
    if (over.level) continue;
    result.sloped += 1;
    const pieces = floorUnder(over, outline.rings);
    const area = pieces.reduce((sum, { rings }) => sum + momentsOf(rings).area, 0);
    // what stands in a room is cut out of it by chords
    if (Math.abs(area / momentsOf(outline.rings).area - 1) > 1e-6) {
      result.untiled += 1;
      faults.add(`pieces ${area} of ${outline.area}`);
    }
    const box = ringsBox(outline.rings)!;
    let [sum, count] = [0, 0];
    for (let i = 1; i <= POINTS; i += 1) {
      const p = {
        x: box.minX + ((i * GOLDEN.x) % 1) * (box.maxX - box.minX),
        y: box.minY + ((i * GOLDEN.y) % 1) * (box.maxY - box.minY),
      };
      if (!surfaceHolds(outline.rings, p)) continue;
      const high = ceilingOver(over, p);
      sum += high;
      count += 1;
      if (count % 37 !== 0) continue;
      result.points += 1;
      const piece = pieces.find(({ rings }) => surfaceHolds(rings, p));
      if (!piece) continue;
      const { a, b, c } = piece.height;
      if (Math.abs(a * p.x + b * p.y + c - high) > 0.01) {
        result.otherHeight += 1;
        faults.add(`height at ${p.x.toFixed(0)} ${p.y.toFixed(0)}`);
      }
    }
    if (count > 1000) {
      result.volumes += 1;
      const volume = volumeUnder(pieces);
      if (
        // where hardly anything is over the floor a sum over points is coarse
        Math.abs((sum / count) * outline.area - volume) > 0.02 * volume + 2 * outline.area ||
        Math.abs(measures.volume - volume) > 1e-9 * volume
      ) {
        result.otherVolume += 1;
        faults.add(`volume ${volume / 1e9} against ${((sum / count) * outline.area) / 1e9}`);
      }
    }
    for (const { course, length } of faces) {
      if (length === 0) continue;
      const top = topAlong(over, course);
      const last = top.at(-1);
      if (
        !last ||
        Math.abs(last.to - length) > 0.5 ||
        top.some((each, i) => i > 0 && Math.abs(each.from - top[i - 1]!.to) > 0.01)
      ) {
        result.otherHeight += 1;
        faults.add('top of a face has gaps');
      }
    }
  }
}

function counted(plan: Plan, floor: DerivedFloor, result: Roofs, faults: Set<string>): void {
  const bodies = floor.bodies.map(({ ring }) => ring);
  const surfaces = surfacesOf(floor.network).flatMap(({ outline }) => outline.rings);
  const arcs = floor.network.walls.filter(({ bulge }) => bulge !== 0).length;
  const whole = ringsArea(union([...bodies, ...surfaces]));
  const alone = ringsArea(bodies) + ringsArea(surfaces);
  const over = Math.abs(alone - whole) > 1000 + 2000 * arcs;
  if (over) result.bodiesOver += 1;
  for (const rule of RULES) {
    result.tables += 1;
    const sum = piecesOfFloor(floor, rule).reduce(
      (area, piece) => area + (piece.facts.kind === 'cavity' ? 0 : piece.area),
      0,
    );
    // arcs that are cut are cut as chords
    if (Math.abs(sum - (over ? whole : alone)) > 1000 + 2000 * arcs) {
      result.notTiling += 1;
      faults.add(`${rule.name}: ${sum} of ${alone}`);
    }
  }
  const [net, internal, external] = (['net', 'gross internal', 'gross external'] as const).map(
    (name) => areaTable(plan, name).counted,
  );
  if (net! > internal! + 1 || internal! > external! + 1) {
    result.outOfOrder += 1;
    faults.add('out of order');
  }
}

function dragged(plan: Plan, floor: DerivedFloor, result: Roofs, faults: Set<string>): void {
  const face = floor.rooms.at(-1)?.faces[0];
  if (!face) return;
  const intent: Intent = { kind: 'moveWall', floor: 'ground', face: face.key, by: 60, neighbours: 'stretch' };
  const { result: shown, near } = previewEdit(plan, 'ground', intent, 'd');
  const whole = applyEdit(plan, intent, 'd');
  if (!shown.ok || !whole.ok || !near) return;
  const parted = partedFloor(plan, 'ground', shown.plan, near);
  if (!parted) return;
  const after = new Map(deriveFloor(whole.plan, 'ground').rooms.map((room) => [room.room.id, room]));
  for (const room of parted.part.rooms) {
    const same = after.get(room.room.id);
    if (!same || (room.ceiling.level && same.ceiling.level)) continue;
    // of an outline that is another while it is dragged the ceiling says nothing
    if (Math.abs(room.outline.area - same.outline.area) > 1) {
      result.outlinesDragged += 1;
      continue;
    }
    result.drags += 1;
    if (Math.abs(room.measures.volume - same.measures.volume) <= 1e-6 * same.measures.volume) continue;
    result.otherWhileDragged += 1;
    faults.add(`dragged: ${room.measures.volume / 1e9} against ${same.measures.volume / 1e9}`);
  }
}
