import fc from 'fast-check';
import {
  OPENING_FORMS,
  type Intent,
  type Plan,
  type WallFace,
  applyEdit,
  deriveFloor,
  moved,
  newPlan,
  rightOf,
  usualSpecs,
} from '../src';

/** A gesture as numbers; what it means depends on the plan it meets. */
export const gesture = fc.record({
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
    ...(['beside', 'beside', 'beside', 'thick', 'thick', 'part', 'part', 'anywhere', 'anywhere'] as const),
  ),
  x: fc.integer({ min: 0, max: 40 }),
  y: fc.integer({ min: 0, max: 40 }),
  w: fc.integer({ min: 1, max: 20 }),
  h: fc.integer({ min: 1, max: 20 }),
  pick: fc.nat(1000),
  amount: fc.integer({ min: -1500, max: 1500 }),
  jitter: fc.integer({ min: -60, max: 60 }),
});
export type Gesture = typeof gesture extends fc.Arbitrary<infer T> ? T : never;

export function intentOf(plan: Plan, g: Gesture, floor = 'ground'): Intent | null {
  const derived = deriveFloor(plan, floor);
  const faces = [...derived.rooms.flatMap((room) => room.faces), ...derived.free];
  const at = { x: g.x * 250 + g.jitter, y: g.y * 250 };
  if (g.what === 'path' || g.what === 'open' || g.what === 'chalk') return pathOf(g, at, floor);
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
    case 'beside':
      return besideOf(face, g, floor);
    case 'part': {
      // from the middle of a wall to somewhere
      const from = { x: (face.a.x + face.b.x) / 2, y: (face.a.y + face.b.y) / 2 };
      const points = [from, { x: from.x + g.amount * 3, y: from.y + (g.h % 2) * g.jitter * 60 }];
      return { kind: 'drawPath', floor, points, closed: false, chalk: g.pick % 5 === 0 };
    }
    case 'anywhere': {
      if (!face.room) return null;
      const motion = { dx: g.amount * 2, dy: g.jitter * 50, turn: g.pick % 360, mirror: g.w % 4 === 0, about: at };
      return { kind: 'transformRooms', floor, rooms: [face.room], motion, copy: g.h % 3 > 0 };
    }
    case 'thick':
      return {
        kind: 'setThickness',
        floor,
        face: face.key,
        thickness: 40 + (Math.abs(g.amount) * 760) / 1500,
        scope: 'wall',
        grow: (['outwards', 'inwards', 'both'] as const)[g.h % 3]!,
      };
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
      return g.pick % 3 === 0 && face.room
        ? { kind: 'removeRoom', room: face.room }
        : { kind: 'removeWall', floor, face: face.key };
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

/** A box that stands beside a wall, overlapping or leaving it by up to 300 mm, at or past its ends. */
function besideOf(face: WallFace, g: Gesture, floor: string): Intent {
  const gap = g.amount / 5;
  const out = rightOf(face.d);
  const along = [0, g.jitter * 5, face.length - g.w * 250, face.length + g.jitter * 5][g.pick % 4]!;
  const at = (by: number, off: number) => moved(moved(face.a, face.d, by), out, -off);
  const points = [
    at(along, gap),
    at(along + g.w * 250, gap),
    at(along + g.w * 250, gap + g.h * 250),
    at(along, gap + g.h * 250),
  ];
  const level = Math.abs(face.d.x) < 1e-9 || Math.abs(face.d.y) < 1e-9;
  return level
    ? { kind: 'drawBox', floor, a: points[0]!, b: points[2]! }
    : { kind: 'drawPath', floor, points, closed: true };
}

/** Corner by corner, now and then across itself. */
function pathOf(g: Gesture, at: { x: number; y: number }, floor: string): Intent {
  const legs = 2 + (g.pick % 5);
  const points = [at];
  for (let i = 0; i < legs; i += 1) {
    const last = points.at(-1)!;
    const turn = ((i + (g.pick % 4)) * Math.PI) / 2 + (g.pick % 7 === 0 ? g.jitter / 60 : 0);
    const length = i % 2 === 0 ? g.w * 250 : g.h * 250;
    points.push({ x: last.x + Math.cos(turn) * length, y: last.y + Math.sin(turn) * length + (i % 3) * g.jitter });
  }
  return { kind: 'drawPath', floor, points, closed: g.what === 'path', chalk: g.what === 'chalk' };
}

export function play(gestures: readonly Gesture[], each: (before: Plan, after: Plan) => void): Plan {
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
