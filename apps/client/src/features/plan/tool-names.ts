import type { ToolName } from './plan-state';

export interface ToolWords {
  readonly label: string;
  /** In the row at the foot, where the label is too long for it. */
  readonly short?: string;
  readonly icon: string;
  /** What it is for, in a line. */
  readonly does: string;
  /** The key that takes it up on a wide screen. */
  readonly key: string;
  /** What to do with it on a sheet that has rooms, where that is not plain. */
  readonly how?: string;
}

/** The tools in the order a house is drawn. */
export const TOOL_WORDS: Record<ToolName, ToolWords> = {
  choose: { label: 'Choose', icon: 'gesture-tap', does: 'Tap a wall, door or room to see and change it', key: 'C' },
  measure: { label: 'Measure', icon: 'ruler', does: 'A distance between any two places, as a check', key: 'M' },
  box: { label: 'Box', icon: 'vector-square-plus', does: 'A square room in one drag', key: 'B' },
  corners: {
    label: 'Corners',
    icon: 'vector-polyline',
    does: 'Corner after corner, lengths typed on the way',
    key: 'K',
  },
  loop: { label: 'Loop', icon: 'gesture', does: 'A room in one crooked stroke', key: 'L' },
  walk: {
    label: 'Walk round',
    short: 'Walk',
    icon: 'shoe-print',
    does: 'Wall after wall with the tape, corner to corner',
    key: 'R',
  },
  shape: { label: 'Shapes', icon: 'shape-outline', does: 'L, T, U and other rooms, then stretched', key: 'G' },
  divide: {
    label: 'Divide',
    icon: 'arrow-split-vertical',
    does: 'A wall or chalk line across a room',
    key: 'V',
    how: 'Drag from wall to wall across a room.',
  },
  bump: {
    label: 'Bump',
    icon: 'wall',
    does: 'Pushes part of a wall: bay, recess, chimney breast',
    key: 'U',
    how: 'Press on a wall where the part is, and push it in or out.',
  },
  column: {
    label: 'Column',
    icon: 'pillar',
    does: 'Columns and piers, in the room or on a wall',
    key: 'O',
    how: 'Tap where it stands.',
  },
  stairs: {
    label: 'Stairs',
    icon: 'stairs',
    does: 'To the next floor: drawn as one walks up',
    key: 'T',
    how: 'Draw the way up, from the first step to the last.',
  },
  ceiling: {
    label: 'Ceiling',
    icon: 'home-roof',
    does: 'Slopes, roofs, dormers, beams, steps in the floor',
    key: 'E',
    how: 'A slope or a roof: tap the wall it rises from. Anything else: tap where it is.',
  },
  section: {
    label: 'Section',
    icon: 'box-cutter',
    does: 'The rooms cut along a line, with their heights',
    key: 'Q',
    how: 'Draw the line to cut along.',
  },
  areas: {
    label: 'Areas',
    icon: 'texture-box',
    does: 'What counts by a rule, piece by piece, and why',
    key: 'Y',
  },
  pieces: {
    label: 'Pieces',
    icon: 'sofa-outline',
    does: 'Furniture, kitchens, baths, lamps: what stands in the rooms',
    key: '/',
  },
  notes: {
    label: 'Notes',
    icon: 'pencil-ruler',
    does: 'Dimension lines, strings, texts, arrows, signs',
    key: 'P',
  },
  lasso: {
    label: 'Several',
    icon: 'lasso',
    does: 'Draw round rooms to move or copy them together',
    key: 'A',
    how: 'Draw round rooms, or straight across them. A tap adds one.',
  },
  underlay: { label: 'Underlay', icon: 'image-outline', does: 'An old plan or a photo to trace', key: 'I' },
};

/** Those one needs first: always in the row. */
export const FIRST_TOOLS: readonly ToolName[] = ['choose', 'box', 'corners', 'measure'];

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
  stairs: 'There is no room for stairs yet. Draw one with “Box” or “Loop”.',
  ceiling: 'There is no ceiling yet. Draw a room with “Box” or “Loop”.',
  section: 'There is nothing to cut yet. Draw a room with “Box” or “Loop”.',
  areas: 'There is no floor to count yet. Draw a room with “Box” or “Loop”.',
  pieces: 'There is no room to furnish yet. Draw one with “Box” or “Loop”.',
  notes: 'There is nothing to write on yet. Draw a room with “Box” or “Loop”.',
  lasso: 'Nothing drawn yet. Choose “Box”, “Corners” or “Loop”.',
  underlay: 'Bring in an old plan, a scan or a photo of one, and trace it.',
};
