import type { Draft } from '../plan/draft';
import { type Id } from '../plan/plan';
import { type GapRun, gapRun, gapsByRun, placesByGaps, readOn } from '../openings';
import { type Network, wallInsets } from '../walls';

/** The openings go where readings along their walls put them. */
export function placeByGaps(draft: Draft, floor: Id, network: Network): void {
  for (const gaps of gapsByRun(draft.on('gaps', floor))) {
    const run = gapRun(network, gaps[0]!.from, gaps[0]!.to, draft.openingsOf(floor));
    if (!run) continue;
    const places = placesByGaps(run, readOn(run, gaps));
    for (const { opening, half } of run.stands) {
      const place = places.get(opening.id);
      if (!place) continue;
      const offset = offsetOf(network, run, half, place, opening.anchor, opening.side);
      if (Math.abs(offset - opening.offset) > 1e-6) draft.put('openings', { ...opening, offset });
    }
  }
}

/** A place along a run, in the terms of the wall it is in: from the inside corner it is taped from. */
function offsetOf(
  network: Network,
  run: GapRun,
  half: GapRun['halves'][number],
  { near, far }: { near: number; far: number },
  anchor: 'start' | 'end',
  side: 'left' | 'right',
): number {
  const insets = wallInsets(network, half.wall.id);
  // where the run begins, mm along the line of this wall as it is walked
  const first = run.halves[0]!;
  const own = wallInsets(network, first.wall.id);
  const begins = first.forward ? own.right.start : own.left.end;
  let before = -begins;
  for (const each of run.halves) {
    if (each === half) break;
    before += each.course.length;
  }
  const [from, to] = [near - before, far - before];
  const atStart = half.forward ? from : insets.length - to;
  const inset = insets[side];
  return anchor === 'start' ? atStart - inset.start : insets.length - inset.end - (atStart + (to - from));
}
