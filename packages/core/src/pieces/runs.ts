import type { DrawingPart } from '../drawing/draw-floor';
import type { Mark } from '../drawing/marks';
import { type Point, type Ring, difference, ringsArea, union } from '../geometry';
import { type PieceOnFloor, areNear, inFrame, onSheet } from './on-floor';
import { partsOf } from './body';

/** How thick a worktop is, how far it reaches over the fronts under it, mm (common practice, no source). */
export const WORKTOP = { thick: 40, overhang: 20 } as const;
/** Units whose sides are this near stand side by side, mm. */
const BESIDE = 5;
/** A gap up to this is closed with a filler, mm. */
const FILLER = 150;
/** What is let in has a rim that lies on the worktop, mm. */
const RIM = 15;

/** What closes a gap in a run: how wide, and where. */
export interface Filler {
  readonly width: number;
  readonly ring: Ring;
}

/** Units that stand side by side, also round a corner, with the worktop they share. */
export interface Run {
  readonly units: readonly PieceOnFloor[];
  /** The worktop, with the holes of what is let in, mm. */
  readonly worktop: readonly Ring[];
  /** mm² */
  readonly area: number;
  /** Along its fronts: its area over the depth of its deepest unit, mm. */
  readonly length: number;
  readonly fillers: readonly Filler[];
  /** Its upper side over the floor, mm. */
  readonly top: number;
}

/** What a worktop covers of one unit: to the wall behind it, and over its front. */
export function topOver({ piece, frame }: PieceOnFloor): Ring {
  const back = piece.stand.kind === 'wall' && piece.stand.quarter === 0 ? -piece.gap : 0;
  const front = piece.depth + WORKTOP.overhang;
  const [body] = partsOf(piece).slice(-1);
  // round a corner it goes with the unit under it
  if (body && body.outline.length === 6)
    return body.outline.map(({ x, y }) =>
      onSheet(
        frame,
        x > 0.5 && x < piece.width - 0.5 ? x + (piece.mirrored ? -1 : 1) * WORKTOP.overhang : x,
        y > 0.5 && y < piece.depth - 0.5 ? y + WORKTOP.overhang : y,
      ),
    );
  return [
    onSheet(frame, 0, back),
    onSheet(frame, piece.width, back),
    onSheet(frame, piece.width, front),
    onSheet(frame, 0, front),
  ];
}

/** The runs of a floor. */
export function runsOf(all: readonly PieceOnFloor[]): readonly Run[] {
  const units = all.filter(({ kind }) => kind.underWorktop);
  const fillers = fillersBetween(units, all);
  const group = units.map((_, i) => i);
  const find = (i: number): number => (group[i] === i ? i : (group[i] = find(group[i]!)));
  for (let i = 0; i < units.length; i += 1)
    for (let j = 0; j < i; j += 1) if (standBeside(units[i]!, units[j]!)) group[find(i)] = find(j);
  for (const { of } of fillers) {
    const [a, b] = of.map((on) => units.indexOf(on));
    if (b !== undefined) group[find(a!)] = find(b);
  }
  const runs = new Map<number, number[]>();
  units.forEach((_, i) => runs.set(find(i), [...(runs.get(find(i)) ?? []), i]));
  return [...runs.values()].map((members) => {
    const own = members.map((i) => units[i]!);
    const closed = fillers.filter(({ of }) => of.some((on) => own.includes(on)));
    const whole = union([...own.map(topOver), ...closed.map(({ ring }) => ring)].map(clockwise));
    const holes = all.filter(
      ({ kind, piece: { stand } }) =>
        kind.letIn && stand.kind === 'piece' && own.some(({ piece }) => piece.id === stand.piece),
    );
    const worktop = holes.length > 0 ? difference(whole, holes.map(holeOf)) : whole;
    const deep = Math.max(...own.map(({ piece }) => piece.depth));
    const area = ringsArea(worktop);
    return {
      units: own,
      worktop,
      area,
      length: ringsArea(whole) / (deep + WORKTOP.overhang),
      fillers: closed.map(({ width, ring }) => ({ width, ring })),
      top: Math.max(...own.map(({ top }) => top)) + WORKTOP.thick,
    };
  });
}

const clockwise = (ring: Ring): Ring => (ringsArea([ring]) < 0 ? [...ring].reverse() : ring);

const holeOf = ({ piece, frame }: PieceOnFloor): Ring => {
  const [w, d] = [piece.width, piece.depth];
  const r = Math.min(RIM, w / 4, d / 4);
  return [onSheet(frame, r, r), onSheet(frame, w - r, r), onSheet(frame, w - r, d - r), onSheet(frame, r, d - r)];
};

/** Do two units touch along a stretch of their sides, at one height? */
function standBeside(a: PieceOnFloor, b: PieceOnFloor): boolean {
  if (Math.abs(a.top - b.top) > BESIDE || !areNear(a, b, BESIDE)) return false;
  const [w, d] = [a.piece.width, a.piece.depth];
  const span = b.ring.map((p) => inFrame(a.frame, p));
  const [x0, x1] = [Math.min(...span.map(({ x }) => x)), Math.max(...span.map(({ x }) => x))];
  const [y0, y1] = [Math.min(...span.map(({ y }) => y)), Math.max(...span.map(({ y }) => y))];
  const [gx, gy] = [Math.max(x0 - w, -x1), Math.max(y0 - d, -y1)];
  // in a corner a side may touch a front
  return gx <= BESIDE && gy <= BESIDE && Math.max(gx, gy) > -0.6 * Math.min(w, d) && Math.min(gx, gy) < -100;
}

/** Gaps between units along one wall that are too narrow for anything else; in a corner also beside the unit that goes round it. */
function fillersBetween(units: readonly PieceOnFloor[], all: readonly PieceOnFloor[]) {
  const found: { of: PieceOnFloor[]; width: number; ring: Ring }[] = [];
  for (const a of units) {
    if (a.piece.stand.kind !== 'wall' || a.piece.stand.quarter !== 0) continue;
    for (const right of [true, false]) {
      const next = nextAlong(a, right, units);
      if (!next || found.some(({ of }) => of.includes(a) && of.includes(next.on))) continue;
      const [from, to] = right ? [a.piece.width, a.piece.width + next.gap] : [-next.gap, 0];
      const depth = Math.min(a.piece.depth, next.on.piece.depth);
      const between = onSheet(a.frame, (from + to) / 2, depth / 2);
      if (all.some((on) => on !== a && on !== next.on && on.bottom < a.top && covers(on, between))) continue;
      const [back, front] = [-Math.min(a.piece.gap, next.on.piece.gap), depth + WORKTOP.overhang];
      const ring = [
        onSheet(a.frame, from, back),
        onSheet(a.frame, to, back),
        onSheet(a.frame, to, front),
        onSheet(a.frame, from, front),
      ];
      found.push({ of: [a, next.on], width: next.gap, ring });
    }
  }
  return found;
}

/** The unit beside another along its wall, if only a narrow gap parts them. */
function nextAlong(
  a: PieceOnFloor,
  right: boolean,
  units: readonly PieceOnFloor[],
): { on: PieceOnFloor; gap: number } | null {
  let next: { on: PieceOnFloor; gap: number } | null = null;
  for (const on of units) {
    if (on === a || Math.abs(a.top - on.top) > BESIDE || !areNear(a, on, FILLER)) continue;
    const span = on.ring.map((p) => inFrame(a.frame, p));
    const xs = span.map(({ x }) => x);
    const gap = right ? Math.min(...xs) - a.piece.width : -Math.max(...xs);
    // at the same wall
    if (Math.abs(Math.min(...span.map(({ y }) => y))) > 100 || gap < BESIDE || gap > FILLER) continue;
    if (!next || gap < next.gap) next = { on, gap };
  }
  return next;
}

const covers = ({ frame, piece }: PieceOnFloor, p: Point): boolean => {
  const { x, y } = inFrame(frame, p);
  return x > 0 && x < piece.width && y > 0 && y < piece.depth;
};

/** A worktop over its units, with the joints between them under it, and fillers crossed. */
export const drawRun = ({ units, worktop, fillers }: Run): DrawingPart => {
  const first = units[0]!.piece.id;
  const marks: Mark[] = [
    { kind: 'path', role: 'piece.top', key: `worktop ${first}`, unit: `piece ${first}`, rings: worktop, closed: true },
    {
      kind: 'path',
      role: 'piece.joint',
      key: `joints ${first}`,
      unit: `piece ${first}`,
      rings: [...units.map(({ ring }) => [...ring, ring[0]!]), ...fillers.map(({ ring: [a, , c] }) => [a!, c!])],
      closed: false,
    },
  ];
  return { key: `worktop ${first}`, apart: false, marks };
};
