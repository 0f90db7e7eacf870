import { headingAlong, outlinesOf } from '@velvet-tape/core';
import { newWalk } from '../sketching/walk';
import { caught } from './snapping';
import { type Bench, type Tool, tapTool } from './tool';

/** The walls of a walk are typed; on the sheet it is only said where it begins: at a corner of the floor below it leads on along that. */
export function walkTool(bench: Bench): Tool {
  return tapTool(bench, (pointer) => {
    const proposal = bench.proposal();
    if (proposal?.kind === 'walk' && proposal.lines.length > 0) return;
    const { x, y } = caught(bench, pointer);
    const { round } = bench.choices();
    const other = bench.otherFloor();
    const heading = other && headingAlong(outlinesOf(other.floor.network), { x, y }, round);
    // a corner keeps its place to the last digit
    const start = heading === null ? { x: Math.round(x), y: Math.round(y) } : { x, y };
    bench.propose(newWalk(start, round, heading ?? 0));
    bench.guide([]);
  });
}
