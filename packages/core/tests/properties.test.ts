import fc from 'fast-check';
import {
  OPENING_FORMS,
  type Intent,
  type Plan,
  LEAST_FLOOR,
  arcLength,
  applyEdit,
  clearSpan,
  componentsOf,
  changeBetween,
  deriveFloor,
  deviationOf,
  insideLength,
  intersection,
  inverse,
  misclosuresOn,
  newPlan,
  openingSpan,
  problemsOf,
  readPlan,
  ringsArea,
  union,
  usualSpecs,
  withChange,
} from '../src';

/** A gesture as numbers; what it means depends on the plan it meets. */
const gesture = fc.record({
  what: fc.constantFrom(
    ...([
      'box',
      'box',
      'box',
      'box',
      'path',
      'path',
      'open',
      'chalk',
      'arc',
      'close',
      'bump',
      'breast',
      'bend',
      'bend',
    ] as const),
    ...(['move', 'corner', 'split', 'heal', 'tape', 'tape', 'thickness', 'kind', 'flush', 'column', 'pier'] as const),
    ...(['door', 'window', 'window', 'remove', 'height', 'shift', 'copy', 'mirror'] as const),
    ...(['form', 'type', 'space', 'gap', 'gap'] as const),
  ),
  x: fc.integer({ min: 0, max: 40 }),
  y: fc.integer({ min: 0, max: 40 }),
  w: fc.integer({ min: 1, max: 20 }),
  h: fc.integer({ min: 1, max: 20 }),
  pick: fc.nat(1000),
  amount: fc.integer({ min: -1500, max: 1500 }),
  jitter: fc.integer({ min: -60, max: 60 }),
});
type Gesture = typeof gesture extends fc.Arbitrary<infer T> ? T : never;

function intentOf(plan: Plan, g: Gesture): Intent | null {
  const floor = 'ground';
  const derived = deriveFloor(plan, floor);
  const faces = [...derived.rooms.flatMap((room) => room.faces), ...derived.free];
  const at = { x: g.x * 250 + g.jitter, y: g.y * 250 };
  if (g.what === 'path' || g.what === 'open' || g.what === 'chalk') return pathOf(g, at);
  if (g.what === 'arc')
    return {
      kind: 'drawPath',
      floor,
      points: [
        { ...at, bulge: g.amount / 1500 },
        { x: at.x + g.w * 250, y: at.y + g.h * 100 },
      ],
      closed: g.pick % 2 === 0,
    };
  if (g.what === 'box' || faces.length === 0) {
    const a = { x: g.x * 250 + (g.pick % 3 === 0 ? g.jitter : 0), y: g.y * 250 };
    return { kind: 'drawBox', floor, a, b: { x: a.x + g.w * 250, y: a.y + g.h * 250 } };
  }
  const face = faces[g.pick % faces.length]!;
  switch (g.what) {
    case 'move':
      return { kind: 'moveWall', floor, face: face.key, by: g.amount };
    case 'tape': {
      const value = face.length + g.amount / 3;
      return {
        kind: 'tapeLength',
        floor,
        from: face.from,
        to: face.to,
        value,
        text: '',
        unit: 'mm',
        moves: g.amount > 0 ? 'to' : 'from',
        time: '',
      };
    }
    case 'close': {
      const end = derived.openEnds[g.pick % Math.max(1, derived.openEnds.length)];
      return end ? { kind: 'closeEnd', floor, corner: end.id, how: g.amount > 0 ? 'straight' : 'squared' } : null;
    }
    case 'bump':
    case 'breast': {
      const shape = g.what === 'breast' ? 'breast' : (['box', 'slanted', 'round'] as const)[g.pick % 3]!;
      const depth = shape === 'breast' ? -Math.abs(g.amount) : g.amount;
      return { kind: 'bump', floor, face: face.key, shape, from: g.x * 50, width: g.w * 150, depth, splay: g.h * 15 };
    }
    case 'bend':
      return {
        kind: 'bendWall',
        floor,
        face: face.key,
        by: 'sagitta',
        value: Math.abs(g.amount),
        way: g.amount > 0 ? 'out' : 'in',
      };
    case 'corner':
    case 'heal': {
      const corners = [...derived.network.corners.values()];
      const corner = corners[g.pick % corners.length]!;
      if (g.what === 'heal') return { kind: 'removeCorner', floor, corner: corner.id };
      return {
        kind: 'moveCorner',
        floor,
        corner: corner.id,
        to: { x: corner.x + g.amount, y: corner.y + g.jitter * 20 },
      };
    }
    case 'split':
      return { kind: 'addCorner', floor, face: face.key, along: g.w * 200 };
    case 'kind':
      return { kind: 'setWallKind', floor, face: face.key, as: (['party', 'chalk', 'wall'] as const)[g.w % 3]! };
    case 'flush':
      return { kind: 'keepFlush', floor, face: face.key, side: g.amount > 0 ? 'inside' : 'outside' };
    case 'column':
    case 'pier':
      return {
        kind: 'addSolid',
        floor,
        solid: g.what,
        shape: g.amount > 0 ? 'round' : 'rectangle',
        at,
        turn: g.jitter,
        width: g.w * 40,
        depth: g.h * 30,
      };
    case 'shift':
    case 'copy':
    case 'mirror': {
      if (!face.room) return null;
      const motion = {
        dx: g.amount * 4,
        dy: g.jitter * 50,
        turn: g.w % 3 === 0 ? g.h * 15 : 0,
        mirror: g.what === 'mirror',
        about: at,
      };
      return { kind: 'transformRooms', floor, rooms: [face.room], motion, copy: g.what === 'copy' };
    }
    case 'thickness':
      return {
        kind: 'setThickness',
        floor,
        face: face.key,
        thickness: 80 + Math.abs(g.amount) / 5,
        scope: g.pick % 4 ? 'wall' : 'all',
        grow: (['outwards', 'outwards', 'inwards', 'both'] as const)[g.h % 4]!,
      };
    case 'remove':
      return { kind: 'removeWall', floor, face: face.key };
    case 'height':
      return face.room === null
        ? null
        : { kind: 'setCeilingHeight', room: face.room, height: 2100 + Math.abs(g.amount), scope: 'room' };
    case 'door':
    case 'window':
      return {
        kind: 'addOpening',
        floor,
        opening: g.what,
        face: face.key,
        end: g.amount > 0 ? 'left' : 'right',
        offset: Math.abs(g.amount),
        width: 600 + g.w * 20,
      };
    case 'space':
      return { kind: 'spaceOpenings', floor, face: face.key };
    case 'form':
    case 'type': {
      const opening = derived.openings[g.pick % Math.max(1, derived.openings.length)];
      if (!opening) return null;
      const as = usualSpecs(OPENING_FORMS[g.w % OPENING_FORMS.length]!, 'metric')[0]!;
      return g.what === 'form'
        ? { kind: 'takeType', opening: opening.id, as }
        : { kind: 'changeType', type: opening.type, change: { width: 300 + g.w * 90 } };
    }
    case 'gap': {
      const on = face.openings[g.w % Math.max(1, face.openings.length)];
      if (!on) return null;
      const near = { opening: on.opening.id, jamb: 'near' } as const;
      const far = { opening: on.opening.id, jamb: 'far' } as const;
      const [a, b] = (
        [
          ['from', near],
          ['from', far],
          [far, 'to'],
          ['from', 'to'],
        ] as const
      )[g.h % 4]!;
      const read = { value: 100 + g.x * 120, text: '', unit: 'mm', instrument: 'tape', time: '' } as const;
      return { kind: 'readGap', floor, from: face.from, to: face.to, a, b, read };
    }
    default:
      return null;
  }
}

/** Corner by corner, now and then across itself. */
function pathOf(g: Gesture, at: { x: number; y: number }): Intent {
  const legs = 2 + (g.pick % 5);
  const points = [at];
  for (let i = 0; i < legs; i += 1) {
    const last = points.at(-1)!;
    const turn = ((i + (g.pick % 4)) * Math.PI) / 2 + (g.pick % 7 === 0 ? g.jitter / 60 : 0);
    const length = i % 2 === 0 ? g.w * 250 : g.h * 250;
    points.push({ x: last.x + Math.cos(turn) * length, y: last.y + Math.sin(turn) * length + (i % 3) * g.jitter });
  }
  return { kind: 'drawPath', floor: 'ground', points, closed: g.what === 'path', chalk: g.what === 'chalk' };
}

function play(gestures: readonly Gesture[], each: (before: Plan, after: Plan) => void): Plan {
  let plan = newPlan({ name: 'Random house' });
  gestures.forEach((g, i) => {
    const intent = intentOf(plan, g);
    const result = intent && applyEdit(plan, intent, `g${i}`);
    if (!result?.ok) return;
    each(plan, result.plan);
    plan = result.plan;
  });
  return plan;
}

/** The same sequences at every run, so that a failure can be looked into; FC_SEED=… tries others. */
const RUNS = { numRuns: 100, seed: Number(process.env['FC_SEED'] ?? 20_260_504) };
const gestures = fc.array(gesture, { minLength: 1, maxLength: 12 });

test('any sequence of edits leaves a sound planar plan', () => {
  fc.assert(
    fc.property(gestures, (sequence) => {
      play(sequence, (_, after) => {
        expect(problemsOf(after)).toEqual([]);
        expect(readPlan(JSON.parse(JSON.stringify(after)))).toMatchObject({ ok: true });
        const derived = deriveFloor(after, 'ground');
        expect(derived.rooms).toHaveLength(Object.keys(after.rooms).length);
        for (const room of derived.rooms) {
          expect(room.measures.area).toBeGreaterThan(0);
          expect(Number.isFinite(room.measures.area + room.measures.perimeter + room.measures.volume)).toBe(true);
        }
        for (const opening of derived.openings) {
          const [span, clear] = [openingSpan(derived.network, opening), clearSpan(derived.network, opening.wall)];
          expect(span.from).toBeGreaterThan(clear.from - 0.1);
          expect(span.to).toBeLessThan(clear.to + 0.1);
          expect(span.to - span.from).toBeGreaterThanOrEqual(0);
        }
      });
    }),
    RUNS,
  );
});

test('floors of rooms do not overlap each other or the walls, and with the walls they fill the outer outline', () => {
  fc.assert(
    fc.property(gestures, (sequence) => {
      const derived = deriveFloor(
        play(sequence, () => undefined),
        'ground',
      );
      const rooms = derived.rooms.flatMap((room) => room.outline.rings);
      // a flattened arc is off by a tenth of a millimetre at most
      const arcs = derived.network.walls.map((wall) => derived.network.half(wall.id, true).course.arc);
      const flat = arcs.reduce((sum, arc) => sum + (arc ? 0.5 * arcLength(arc) : 0), 0) + 200 * derived.solids.length;
      const bodies = union(derived.bodies.map((body) => body.ring));
      const area = ringsArea(rooms);
      expect(Math.abs(area - derived.area)).toBeLessThan(100 + flat);
      expect(Math.abs(ringsArea(union(rooms)) - area)).toBeLessThan(2000 + flat);
      expect(ringsArea(intersection(rooms, bodies))).toBeLessThan(2000 + flat);
      // outer rings only: what lies inside the outermost outline, solid or room
      const outer = union([
        ...derived.bodies.map((body) => body.ring),
        ...rooms,
        ...derived.solids.map((s) => s.ring),
      ]).filter((ring) => ringsArea([ring]) > 0);
      const solids = ringsArea(outer) - ringsArea(bodies) - area;
      expect(solids).toBeGreaterThan(-5000 - flat);
      // what is left over is what stands solid, and pockets between walls too small to be a room; walls that only touch may enclose more
      const standing = derived.solids.reduce((sum, solid) => sum + ringsArea([solid.ring]), 0);
      const joined = new Set(componentsOf(derived.network).values()).size === 1;
      const closed = [...derived.network.stars.values()].every((star) => star.around.length > 1);
      if (joined && closed && derived.bodies.length > 0)
        expect(solids).toBeLessThanOrEqual(LEAST_FLOOR * derived.bodies.length + standing + flat);
    }),
    {
      ...RUNS,
      // once made the library's union go wrong: an open outline, and a room built on one of its walls
      examples: [
        [
          [
            { what: 'box', x: 11, y: 2, w: 2, h: 2, pick: 0, amount: 0, jitter: 0 },
            { what: 'remove', x: 0, y: 0, w: 1, h: 1, pick: 795, amount: 0, jitter: 0 },
            { what: 'box', x: 11, y: 0, w: 2, h: 1, pick: 0, amount: 0, jitter: 0 },
          ],
        ],
        // a piece of wall shorter than its neighbours are thick
        [
          [
            { what: 'box', x: 1, y: 1, w: 2, h: 2, pick: 0, amount: 0, jitter: 0 },
            { what: 'remove', x: 0, y: 0, w: 1, h: 1, pick: 0, amount: 0, jitter: 0 },
            { what: 'box', x: 0, y: 0, w: 4, h: 2, pick: 0, amount: 0, jitter: 0 },
            { what: 'move', x: 0, y: 0, w: 1, h: 1, pick: 97, amount: -1, jitter: 0 },
          ],
        ],
      ],
    },
  );
});

test('taped lengths hold through whatever else is done', () => {
  fc.assert(
    fc.property(gestures, (sequence) => {
      play(sequence, (_, after) => {
        const floor = deriveFloor(after, 'ground');
        // what contradicts is said; opposite walls taped a little apart give way by less than their deviation without a word
        const said = new Set(misclosuresOn(floor).flatMap(({ suspects }) => suspects.map(({ reading }) => reading)));
        for (const reading of Object.values(after.readings)) {
          const now = insideLength(floor.network, reading.from, reading.to, reading.kind)!;
          if (!said.has(reading)) expect(Math.abs(now - reading.value)).toBeLessThan(deviationOf(reading));
        }
      });
    }),
    RUNS,
  );
});

test('every edit can be taken back exactly, and done again', () => {
  fc.assert(
    fc.property(gestures, (sequence) => {
      play(sequence, (before, after) => {
        const change = changeBetween(before, after);
        expect(withChange(after, inverse(change))).toEqual(before);
        expect(withChange(before, change)).toEqual(after);
      });
    }),
    RUNS,
  );
});
