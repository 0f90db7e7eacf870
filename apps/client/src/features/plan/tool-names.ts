import type { ToolName } from './plan-state';

export interface ToolWords {
  readonly label: string;
  readonly icon: string;
  /** The key that takes it up on a wide screen. */
  readonly key: string;
}

/** The tools in the order a house is drawn. */
export const TOOL_WORDS: Record<ToolName, ToolWords> = {
  choose: { label: 'Choose', icon: 'gesture-tap', key: 'C' },
  measure: { label: 'Measure', icon: 'ruler', key: 'M' },
  box: { label: 'Box', icon: 'vector-square-plus', key: 'B' },
  corners: { label: 'Corners', icon: 'vector-polyline', key: 'K' },
  loop: { label: 'Loop', icon: 'gesture', key: 'L' },
  walk: { label: 'Walk round', icon: 'shoe-print', key: 'R' },
  shape: { label: 'Shapes', icon: 'shape-outline', key: 'G' },
  divide: { label: 'Divide', icon: 'arrow-split-vertical', key: 'V' },
  bump: { label: 'Bump', icon: 'wall', key: 'U' },
  column: { label: 'Column', icon: 'pillar', key: 'O' },
  lasso: { label: 'Several', icon: 'lasso', key: 'A' },
  underlay: { label: 'Underlay', icon: 'image-outline', key: 'I' },
};

/** Tools that draw the next room: they want sheet beside the house. */
export const drawsBeside = (tool: ToolName): boolean =>
  tool === 'box' || tool === 'corners' || tool === 'loop' || tool === 'shape';

/** What to do with a tool on an empty sheet. */
export const TOOL_HINTS: Record<ToolName, string> = {
  choose: 'Nothing drawn yet. Choose “Box”, “Corners” or “Loop”.',
  measure: 'There is nothing to measure yet. Draw a room with “Box” or “Loop”.',
  box: 'Drag across the sheet to draw the first room. Roughly will do.',
  corners: 'Tap corner after corner. Lengths can be typed on the way.',
  loop: 'Draw the room in one stroke. Crooked will do.',
  walk: 'Type the first wall’s length, then turn and type the next.',
  shape: 'Tap where the room goes, then stretch it.',
  divide: 'There is no room to divide yet. Draw one with “Box” or “Loop”.',
  bump: 'There is no wall to push yet. Draw a room with “Box” or “Loop”.',
  column: 'There is no room for it yet. Draw one with “Box” or “Loop”.',
  lasso: 'Nothing drawn yet. Choose “Box”, “Corners” or “Loop”.',
  underlay: 'Bring in an old plan, a scan or a photo of one, and trace it.',
};
