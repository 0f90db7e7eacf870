import type { DrawingPart } from '../drawing/draw-floor';
import type { Mark } from '../drawing/marks';
import { type Ring, difference, ringsArea, union } from '../geometry';
import { type PieceOnFloor, inFrame, onSheet } from './on-floor';
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
  if (Math.abs(a.top - b.top) > BESIDE) return false;
  const [w, d] = [a.piece.width, a.piece.depth];
  const span = b.ring.map((p) => inFrame(a.frame, p));
  const [x0, x1] = [Math.min(...span.map(({ x }) => x)), Math.max(...span.map(({ x }) => x))];
  const [y0, y1] = [Math.min(...span.map(({ y }) => y)), Math.max(...span.map(({ y }) => y))];
  const [gx, gy] = [Math.max(x0 - w, -x1), Math.max(y0 - d, -y1)];
  // in a corner a side may touch a front
  return gx <= BESIDE && gy <= BESIDE && Math.max(gx, gy) > -0.6 * Math.min(w, d) && Math.min(gx, gy) < -100;
}

/** Gaps between units on one wall that are too narrow for anything else. */
function fillersBetween(units: readonly PieceOnFloor[], all: readonly PieceOnFloor[]) {
  const found: { of: PieceOnFloor[]; width: number; ring: Ring }[] = [];
  for (const a of units) {
    if (a.piece.stand.kind !== 'wall' || a.piece.stand.quarter !== 0) continue;
    let next: { on: PieceOnFloor; gap: number } | null = null;
    for (const b of units) {
      if (b === a || Math.abs(a.top - b.top) > BESIDE || a.frame.d.x * b.frame.d.x + a.frame.d.y * b.frame.d.y < 0.9999)
        continue;
      const { x, y } = inFrame(a.frame, b.frame.at);
      const gap = x - a.piece.width;
      if (Math.abs(y) > 100 || gap < BESIDE || gap > FILLER || (next && gap >= next.gap)) continue;
      next = { on: b, gap };
    }
    if (!next) continue;
    const [from, to] = [a.piece.width, a.piece.width + next.gap];
    const depth = Math.min(a.piece.depth, next.on.piece.depth);
    const back = -Math.min(a.piece.gap, next.on.piece.gap);
    const between = onSheet(a.frame, (from + to) / 2, depth / 2);
    const taken = all.some((on) => {
      const p = inFrame(on.frame, between);
      return (
        on !== a &&
        on !== next!.on &&
        on.bottom < a.top &&
        p.x > 0 &&
        p.x < on.piece.width &&
        p.y > 0 &&
        p.y < on.piece.depth
      );
    });
    if (taken) continue;
    const front = depth + WORKTOP.overhang;
    const ring = [
      onSheet(a.frame, from, back),
      onSheet(a.frame, to, back),
      onSheet(a.frame, to, front),
      onSheet(a.frame, from, front),
    ];
    found.push({ of: [a, next.on], width: next.gap, ring });
  }
  return found;
}

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
