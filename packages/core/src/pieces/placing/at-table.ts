import { type Point, distance, turned } from '../../geometry';
import { beforeSide, sideBefore } from '../arrange';
import { pieceKindOf } from '../catalogue';
import { isPushedAside } from '../fit/footprint';
import { PLACE } from '../forms/tables';
import { type PieceOnFloor, inFrame, middleOfPiece, onSheet, turnOfFrame } from '../on-floor';
import { CATCH } from './against';
import { type Placed, type Placing, type Standing, inSteps } from './placing';

/** One sits at what is so high, mm. */
const TABLE = [550, 1150] as const;
/** A chair is pushed under so that its middle is this part of its depth before the edge (common practice, no source). */
const BEFORE_EDGE = 0.14;
/** A new one comes to a table that is no farther from its middle, mm. */
const NEAR_TABLE = 600;
/** At a round table it is caught in such steps, degrees. */
const ROUND_STEP = 15;

interface AtEdge {
  /** In the frame of the table, and how it is turned there, degrees. */
  readonly at: Point;
  readonly turn: number;
  readonly off: number;
}

/** What one sits on, before the edge of a table that is near, its front to it: along a side caught by its places, at a round one by steps. Null where no table is near. */
export function atTable(it: Standing, p: Point, { reach, fresh, others }: Placing): Placed | null {
  if (!isPushedAside({ kind: pieceKindOf(it.form) })) return null;
  const catches = fresh ? NEAR_TABLE + reach : Math.max(1.2 * reach, 150);
  const found = others
    .filter(
      ({ kind, top }) =>
        (kind.group === 'tables' || kind.group === 'desk and media') && top >= TABLE[0] && top <= TABLE[1],
    )
    .map((table) => ({
      table,
      ...(table.kind.round ? atRound : atSide)(table, it, inFrame(table.frame, p), { reach, others }),
    }))
    .filter(({ off }) => off <= catches)
    .sort((a, b) => a.off - b.off)[0];
  if (!found) return null;
  const { table, at, turn } = found;
  const on = onSheet(table.frame, at.x, at.y);
  const whole = (((turn + turnOfFrame(table.frame)) % 360) + 360) % 360;
  return {
    stand: { kind: 'free', ...on, turn: Math.round(whole * 1e6) / 1e6 },
    guides: [{ word: 'at table', from: onSheet(table.frame, table.piece.width / 2, table.piece.depth / 2), to: on }],
  };
}

function atRound({ piece }: PieceOnFloor, it: Standing, p: Point): AtEdge {
  const r = piece.width / 2;
  const from = { x: p.x - r, y: p.y - r };
  const away = r + BEFORE_EDGE * it.depth;
  const angle = (Math.atan2(from.y, from.x) * 180) / Math.PI;
  const even = Math.round(angle / ROUND_STEP) * ROUND_STEP;
  const at = turned({ x: away, y: 0 }, (even * Math.PI) / 180);
  // its front is to the middle
  return { at: { x: r + at.x, y: r + at.y }, turn: even + 90, off: Math.abs(Math.hypot(from.x, from.y) - away) };
}

function atSide(
  table: PieceOnFloor,
  it: Standing,
  p: Point,
  { reach, others }: Pick<Placing, 'reach' | 'others'>,
): AtEdge {
  const { width: w, depth: d } = table.piece;
  const out = BEFORE_EDGE * it.depth;
  const { side } = sideBefore(p, w, d);
  const isLong = side % 2 === 0;
  const [long, along] = isLong ? [w, p.x] : [d, p.y];
  const places = Math.max(1, Math.floor(long / PLACE));
  const before = (mm: number) => beforeSide(side, mm, out, w, d);
  const isTaken = (mm: number) =>
    others.some((on) => on !== table && distance(inFrame(table.frame, middleOfPiece(on)), before(mm)) < it.width / 2);
  const slots = [...Array.from({ length: places }, (_, i) => (long * (i + 0.5)) / places), long / 2];
  const nearest = slots.filter((mm) => !isTaken(mm)).sort((a, b) => Math.abs(a - along) - Math.abs(b - along))[0];
  const free = inSteps(along);
  const isHeld = nearest !== undefined && (Math.abs(nearest - along) <= CATCH * reach || isTaken(free));
  const held = isHeld ? nearest : free;
  const half = Math.min(it.width, long) / 2;
  const at = before(Math.min(long - half, Math.max(half, held)));
  return { at, turn: 90 * side, off: Math.hypot(at.x - p.x, at.y - p.y) };
}
