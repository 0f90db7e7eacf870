import { type Bench, type Tool, tapTool } from './tool';

/** Puts a column or pier down where it is tapped, and chooses it, so that its sizes can be typed. */
export function columnTool(bench: Bench): Tool {
  return tapTool(bench, (pointer) => {
    const { solid } = bench.choices();
    const at = { x: Math.round(pointer.at.x), y: Math.round(pointer.at.y) };
    const { made } = bench.commit({ kind: 'addSolid', floor: bench.floor().floor, ...solid, at }, bench.seed());
    if (made) bench.select({ kind: 'solid', id: made });
  });
}
