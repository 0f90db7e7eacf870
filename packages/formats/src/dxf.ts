import {
  Colors,
  DxfWriter,
  LWPolylineFlags,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
  point2d,
  point3d,
} from '@tarikjabiri/dxf';
import {
  type ArcMark,
  type Id,
  type Mark,
  type Plan,
  type Point,
  type Ring,
  type Role,
  deriveFloor,
  difference,
  drawFloorInParts,
  drawnBox,
  runsClockwise,
} from '@velvet-tape/core';
import { chosenOption, piecesOfOption } from '@velvet-tape/core/options';

/** Layers by what is on them, with a colour of their own each. */
const LAYERS = {
  WALLS: Colors.White,
  ROOMS: Colors.Cyan,
  OPENINGS: Colors.Green,
  FIXED: Colors.Magenta,
  STAIRS: Colors.Yellow,
  NAMES: Colors.White,
  DIMENSIONS: Colors.Red,
  CHECKS: Colors.Red,
  CEILINGS: Colors.Blue,
  NOTES: Colors.Magenta,
  HATCHES: Colors.Cyan,
  PIECES: Colors.Blue,
} as const;
type Layer = keyof typeof LAYERS;

/** By the first word of a role, as a role has no layer of its own. */
const OF_ROLE: ReadonlyMap<string, Layer> = new Map(
  Object.entries({
    ...{ wall: 'WALLS', chalk: 'WALLS', floor: 'ROOMS', solid: 'FIXED', stair: 'STAIRS', void: 'STAIRS' },
    ...{ opening: 'OPENINGS', door: 'OPENINGS', window: 'OPENINGS', room: 'NAMES', level: 'NAMES' },
    ...{ dimension: 'DIMENSIONS', open: 'CHECKS', ceiling: 'CEILINGS', break: 'CEILINGS' },
    ...{ note: 'NOTES', hatch: 'HATCHES', piece: 'PIECES' },
  } as const),
);
const layerOf = (role: Role, key: string): Layer =>
  // dimension lines that were put on the plan are on the layer of lengths
  key.startsWith('dimension-line ')
    ? 'DIMENSIONS'
    : role === 'dimension.check'
      ? 'CHECKS'
      : (OF_ROLE.get(role.split('.')[0]!) ?? 'NAMES');

/** Height of body lettering, mm of the house: 2.5 mm at 1:50. */
const LETTERING = 125;
/** Between floors, mm of the house. */
const APART = 3000;

/**
 * Floors of a plan beside each other as DXF (R2007, in mm, y up): layers by kind, walls as closed polylines with true arcs, each door and window a block,
 * lengths as lines and text. Walls are cut at openings; curved ones run through, as cut they would be no arcs any more.
 */
export function floorsToDxf(plan: Plan, floors: readonly Id[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  let left = 0;
  const names = new Set<string>();
  for (const floor of floors) {
    const derived = deriveFloor(plan, floor);
    const parts = drawFloorInParts(derived, {
      lettering: LETTERING,
      units: plan.job.units,
      pieces: piecesOfOption(plan.pieces, chosenOption(plan)),
    });
    const marks = parts.flatMap((part) => part.marks);
    const box = drawnBox(marks, LETTERING);
    if (!box) continue;
    const by = { x: left - box.minX, y: 0 };
    const gaps = marks.flatMap((mark) => (mark.role === 'opening.gap' && mark.kind === 'path' ? mark.rings : []));
    for (const part of parts) {
      const opening = part.key.startsWith('opening ');
      if (!opening) for (const mark of part.marks) add(dxf, cutAt(mark, gaps), by);
      else if (part.marks.length > 0) addBlock(dxf, unlike(names, `${floor}-${part.key}`), part.marks, by);
    }
    const title = { x: (box.minX + box.maxX) / 2, y: box.maxY + 4 * LETTERING };
    add(dxf, { kind: 'text', role: 'room.name', key: '', at: title, text: derived.name, turn: 0, size: 2 }, by);
    left += box.maxX - box.minX + APART;
  }
  return dxf.stringify();
}

/** Names of blocks are letters, digits and dashes, and no two are alike. */
function unlike(names: Set<string>, wanted: string): string {
  const plain = wanted.replace(/[^A-Za-z0-9]+/g, '-').toUpperCase();
  let name = plain;
  for (let n = 2; names.has(name); n += 1) name = `${plain}-${n}`;
  names.add(name);
  return name;
}

type Target = Pick<DxfWriter, 'addLWPolyline' | 'addArc' | 'addText'>;

/** A wall without what openings take out of it. */
function cutAt(mark: Mark, gaps: readonly Ring[]): Mark {
  if (
    mark.kind !== 'path' ||
    (mark.role !== 'wall.cut' && mark.role !== 'wall.hatched') ||
    mark.rings.flat().some(({ bulge }) => bulge)
  )
    return mark;
  const rings = difference(mark.rings, gaps);
  return rings.length > 0 ? { ...mark, rings } : mark;
}

function addBlock(dxf: DxfWriter, name: string, marks: readonly Mark[], by: Point): void {
  const box = drawnBox(marks, LETTERING);
  if (!box) return;
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const block = dxf.addBlock(name);
  for (const mark of marks) add(block, mark, { x: -middle.x, y: -middle.y });
  dxf.addInsert(name, point3d(middle.x + by.x, -middle.y - by.y), { layerName: 'OPENINGS' });
}

/** One mark, moved; y up, as in DXF: what turned clockwise to the eye still does. */
function add(target: Target, mark: Mark, by: Point): void {
  const at = (p: Point): Point => ({ x: p.x + by.x, y: -(p.y + by.y) });
  const layerName = layerOf(mark.role, mark.key);
  switch (mark.kind) {
    case 'path':
      for (const ring of mark.rings) {
        if (ring.length < 2) continue;
        const points = ring.map((p) => {
          const { x, y } = at(p);
          return p.bulge ? { point: point2d(x, y), bulge: -p.bulge } : { point: point2d(x, y) };
        });
        target.addLWPolyline(points, { layerName, ...(mark.closed && { flags: LWPolylineFlags.Closed }) });
      }
      return;
    case 'arc': {
      const { start, end } = angles(mark);
      const { x, y } = at(mark.centre);
      target.addArc(point3d(x, y), mark.radius, start, end, { layerName });
      return;
    }
    case 'text': {
      const { x, y } = at(mark.at);
      target.addText(point3d(x, y), LETTERING * mark.size, mark.text, {
        ...{ layerName, rotation: -mark.turn, secondAlignmentPoint: point3d(x, y) },
        horizontalAlignment: TextHorizontalAlignment.Center,
        verticalAlignment: TextVerticalAlignment.Middle,
      });
      return;
    }
    case 'picture':
  }
}

/** Degrees from the x axis, y up; arcs of DXF run counter-clockwise. */
function angles(mark: ArcMark): { start: number; end: number } {
  const { centre, from, to } = mark;
  const angle = (p: Point) => (Math.atan2(centre.y - p.y, p.x - centre.x) * 180) / Math.PI;
  return runsClockwise(mark) ? { start: angle(to), end: angle(from) } : { start: angle(from), end: angle(to) };
}
