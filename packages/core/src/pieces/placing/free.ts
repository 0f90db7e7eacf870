import type { DerivedFloor } from '../../derived';
import { type Point, boxAround, boxesMeet, dot, moved, rightOf, widened } from '../../geometry';
import type { PieceStand } from '../../plan/plan';
import { surfaceContains } from '../../rooms';
import type { Guide } from '../../snapping';
import { builtRound, clearFrom } from '../clear';
import { type PieceOnFloor, boxOfPiece, cornersIn, frameAround, inFrame, middleOfPiece, onSheet } from '../on-floor';
import { type Placed, type Placing, type Standing, inSteps } from './placing';

/** Free: its edges and its middle in line with those of others, its back or a side against a wall, the middle of its room. */
export function free(derived: DerivedFloor, it: Standing, at: Point, { reach, turn, others }: Placing): Placed {
  const even = turn % 360;
  const stand = (p: Point): PieceStand => ({ kind: 'free', x: p.x, y: p.y, turn: even });
  if (reach <= 0) return { stand: stand(at), guides: [] };
  const frame = frameAround(at, even, it.width, it.depth);
  const guides: Guide[] = [];
  let middle = at;
  for (const axis of ['x', 'y'] as const) {
    const best = lineUp(derived, it, frame, at, axis, reach, others);
    const d = axis === 'x' ? frame.d : rightOf(frame.d);
    if (!best) {
      // in steps along the sheet where it stands square to it, else along itself
      const now = dot(d, at);
      middle = moved(middle, d, inSteps(now) - now);
      continue;
    }
    middle = moved(middle, d, best.by);
    guides.push(best.guide(middle));
  }
  return { stand: stand(middle), guides };
}

interface LineUp {
  readonly by: number;
  readonly guide: (middle: Point) => Guide;
}

function lineUp(
  derived: DerivedFloor,
  it: Standing,
  frame: ReturnType<typeof frameAround>,
  at: Point,
  axis: 'x' | 'y',
  reach: number,
  others: readonly PieceOnFloor[],
): LineUp | null {
  const size = axis === 'x' ? it.width : it.depth;
  const options: (LineUp & { off: number })[] = [];
  const offer = (by: number, word: Guide['word'], from: Point, rank = 0) => {
    if (Math.abs(by) <= reach)
      options.push({ by, off: Math.abs(by) / reach + rank, guide: (to) => ({ word, from, to }) });
  };
  // against walls and what stands there
  const sides = axis === 'x' ? (['left', 'right'] as const) : (['back', 'front'] as const);
  const caught = widened(boxAround(cornersIn(frame, it))!, reach);
  const rings = [
    ...builtRound(derived, at),
    ...others
      .filter(({ kind, bottom, top }) => !kind.passable && bottom < it.up + it.height && top > it.up)
      .filter((on) => boxesMeet(boxOfPiece(on), caught))
      .map(({ ring }) => ring),
  ];
  sides.forEach((side, i) => {
    const clear = clearFrom(frame, it, side, rings);
    if (clear !== null) offer((i === 0 ? -1 : 1) * clear, 'wall', at);
  });
  // in line with others that are turned alike
  for (const on of others) {
    const alike = Math.abs(dot(on.frame.d, frame.d));
    if (alike < 0.9999 && alike > 0.0001) continue;
    const middle = middleOfPiece(on);
    const span = on.ring.map((p) => inFrame(frame, p)[axis]);
    const [from, to] = [Math.min(...span), Math.max(...span)];
    if (Math.hypot(middle.x - at.x, middle.y - at.y) > ALIGNED) continue;
    offer(from, 'in line with piece', middle, 0.3);
    offer(to - size, 'in line with piece', middle, 0.3);
    offer((from + to) / 2 - size / 2, 'in line with piece', middle, 0.2);
  }
  const room = derived.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  if (room) {
    const span = room.outline.rings[0]!.map((p) => inFrame(frame, p)[axis]);
    const half = (Math.min(...span) + Math.max(...span)) / 2;
    offer(
      half - size / 2,
      'middle of room',
      onSheet(frame, axis === 'x' ? half : it.width / 2, axis === 'y' ? half : it.depth / 2),
      0.35,
    );
  }
  return options.sort((a, b) => a.off - b.off)[0] ?? null;
}

/** Pieces farther off than this are in line by chance, mm. */
const ALIGNED = 4000;
