import type { DrawingPart } from '../drawing/draw-floor';
import type { Mark, Role } from '../drawing/marks';
import type { RingPoint } from '../geometry';
import { lastFor, onceFor } from '../memory';
import type { Piece } from '../plan/plan';
import { partsOf, seenFromAbove } from './body';
import type { PieceFrame, PieceOnFloor } from './on-floor';
import { onSheet } from './on-floor';
import { drawRun, runsOf } from './runs';

/** A plan is cut this high: what begins over it is dashed, mm (common practice, no source). */
export const CUT = 1200;

const lastDrawn = lastFor<Piece, readonly Mark[]>();

/** A piece as marks; the same as long as it stands where it stood. */
export const drawPiece = (on: PieceOnFloor): readonly Mark[] => lastDrawn(on.piece, [on], () => marksOf(on));

function marksOf({ piece, frame, bottom, ring }: PieceOnFloor): Mark[] {
  const unit = `piece ${piece.id}`;
  const tint = piece.colour ? { tint: piece.colour } : {};
  if (bottom >= CUT)
    return [
      { kind: 'path', role: 'piece.over', key: unit, unit, rings: outlineOver(piece, frame) ?? [ring], closed: true },
    ];
  return seenFromAbove(partsOf(piece)).flatMap((part, i): Mark[] => {
    const role: Role = part.plan === 'dashed' ? 'piece.over' : 'piece.form';
    return [
      {
        kind: 'path',
        role,
        key: `${unit} ${i}`,
        unit,
        rings: [part.outline.map((p) => placed(frame, p))],
        closed: true,
        ...tint,
      },
      ...(part.lines && part.lines.length > 0
        ? [
            {
              kind: 'path' as const,
              role: 'piece.line' as const,
              key: `${unit} ${i} lines`,
              unit,
              rings: part.lines.map((each) => each.map((p) => placed(frame, p))),
              closed: false,
            },
          ]
        : []),
    ];
  });
}

/** What hangs high shows its outline: that of its one part, else the box it fills. */
function outlineOver(piece: Piece, frame: PieceFrame) {
  const parts = seenFromAbove(partsOf(piece));
  return parts.length === 1 ? [parts[0]!.outline.map((p) => placed(frame, p))] : null;
}

/** A frame never mirrors: arcs keep their side. */
const placed = (frame: PieceFrame, { x, y, bulge }: RingPoint): RingPoint => ({
  ...onSheet(frame, x, y),
  ...(bulge && { bulge }),
});

/** What is as high as this is of one layer, mm. */
const LAYER = 50;
const layerOf = (top: number) => Math.floor(top / LAYER);

/** Pieces as parts of a drawing, each by itself, what lies lower first; worktops over their units, and under what is let into them. */
export function drawPieces(all: readonly PieceOnFloor[]): readonly DrawingPart[] {
  const layered = [
    ...all.map(inItsLayer),
    ...runsOf(all).map((run): Layered => ({ layer: layerOf(run.top) - 0.5, order: 0, part: drawRun(run) })),
  ];
  layered.sort((a, b) => a.layer - b.layer || a.order - b.order);
  return layered.map(({ part }) => part);
}

interface Layered {
  readonly layer: number;
  readonly order: number;
  readonly part: DrawingPart;
}

const inItsLayer = onceFor((on: PieceOnFloor): Layered => ({
  layer: layerOf(on.top),
  order: on.piece.order,
  part: { key: `piece ${on.piece.id}`, apart: false, marks: drawPiece(on) },
}));
