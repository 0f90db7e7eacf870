import { type Bench, type Tool, tapTool } from './tool';

/** A tap asks of the floor there why it counts; the sheet is moved as always. */
export const areasTool = (bench: Bench): Tool => tapTool(bench, ({ at }) => bench.ask(at));
