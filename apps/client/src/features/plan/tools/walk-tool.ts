import { newWalk } from '../sketching/walk';
import { type Bench, type Tool, tapTool } from './tool';

/** The walls of a walk are typed; on the sheet it is only said where it begins. */
export function walkTool(bench: Bench): Tool {
  return tapTool(bench, ({ at }) => {
    const proposal = bench.proposal();
    if (proposal?.kind === 'walk' && proposal.lines.length > 0) return;
    bench.propose(newWalk({ x: Math.round(at.x), y: Math.round(at.y) }, bench.choices().round));
  });
}
