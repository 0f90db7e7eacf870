import { type DerivedFloor, type DerivedRoom, roomOfReading, heightPlace } from '../derived';
import { type Point, add, courseOf, direction, distance, middle, moved, partOf, ringsBox, scale } from '../geometry';
import type { Reading } from '../plan/plan';
import { lineOfReading, valueOnPlan } from '../trueup';
import { decimals, formatLength } from '../units';
import { readable } from './dimensions';
import type { DrawingStyle, Mark } from './marks';
import { lineAlong } from './opening-signs';

/** Diagonals and distances across, each as a thin line with what was read. */
export function drawChecks(floor: DerivedFloor, { lettering, units }: DrawingStyle): Mark[] {
  const { network, readings } = floor;
  return readings.flatMap((reading): Mark[] => {
    if (reading.kind !== 'diagonal' && reading.kind !== 'between') return [];
    const line = lineOfReading(network, reading);
    if (!line) return [];
    const length = distance(...line);
    const text = formatLength(reading.value, units);
    const half = text.length * lettering * 0.3 + lettering * 0.4;
    // where the room has no space for it beside its name and lengths it comes when it is looked at closer
    const box = ringsBox(roomOfReading(floor, reading)?.outline.rings.slice(0, 1) ?? []);
    const space = box ? Math.min(box.maxX - box.minX, box.maxY - box.minY) : length;
    if (2 * half > length || space < SPACE * lettering) return [];
    // off the middle, where the other diagonal and the name of the room are
    const at = length * ASIDE;
    const course = courseOf(...line);
    return [
      {
        kind: 'path',
        role: 'dimension.check',
        key: `check ${reading.id}`,
        unit: `check ${reading.id}`,
        rings: [lineAlong(partOf(course, 0, at - half), 0), lineAlong(partOf(course, at + half, length), 0)],
        closed: false,
      },
      {
        kind: 'text',
        role: 'dimension.check',
        key: `check length ${reading.id}`,
        unit: `check ${reading.id}`,
        at: moved(line[0], direction(...line), at),
        text,
        turn: readable(direction(...line)),
        size: 0.9,
      },
    ];
  });
}

/** Heights under a slope, each at its point: an arrow up and what was read. */
export const drawHeights = (floor: DerivedFloor, { lettering, units }: DrawingStyle): Mark[] =>
  floor.heights.flatMap((height): Mark[] => {
    const { id, value } = height;
    const at = heightPlace(floor, height);
    if (!at) return [];
    const tip = { x: at.x, y: at.y - 1.3 * lettering };
    const barb = (side: number) => ({ x: at.x + side * 0.35 * lettering, y: tip.y + 0.45 * lettering });
    return [
      {
        kind: 'path',
        role: 'dimension.check',
        key: `height ${id}`,
        unit: `height ${id}`,
        rings: [
          [at, tip],
          [barb(-1), tip, barb(1)],
        ],
        closed: false,
      },
      {
        kind: 'text',
        role: 'dimension.check',
        key: `height value ${id}`,
        unit: `height ${id}`,
        at: { x: at.x, y: at.y + 0.9 * lettering },
        text: formatLength(value, units),
        turn: 0,
        size: 0.9,
      },
    ];
  });

const ASIDE = 0.3;
/** A room less than this many lettering heights across is full. */
const SPACE = 15;
/** Corners this little off a right angle are not worth a figure, degrees. */
const SQUARE = 0.25;
/** Further off they were meant to be slanted, and their angle is plain to see. */
const SLANTED = 12;

/** The true angles of a room that was found to be out of square: where a diagonal or an angle was measured in it. */
export function drawAngles(
  room: DerivedRoom,
  { network, readings }: DerivedFloor,
  { lettering }: DrawingStyle,
): Mark[] {
  const corners = new Set(room.faces.map((face) => face.from));
  if (!readings.some((reading) => isAcross(reading) && corners.has(reading.from))) return [];
  return room.faces.flatMap((face): Mark[] => {
    const angle = valueOnPlan(network, {
      kind: 'angle',
      face: 'inside',
      from: face.from,
      to: face.halves[0]!.to,
      via: [],
    });
    if (angle === null) return [];
    const off = Math.abs(angle - Math.round(angle / 90) * 90);
    if (off < SQUARE || off > SLANTED) return [];
    return [
      {
        kind: 'text',
        role: 'dimension.check',
        key: `angle ${room.room.id} ${face.from}`,
        unit: `angle ${room.room.id} ${face.from}`,
        at: inwards(room, face.a, lettering * 1.9),
        text: `${decimals(angle, 1)}°`,
        turn: 0,
        size: 0.8,
      },
    ];
  });
}

const isAcross = ({ kind }: Reading): boolean => kind === 'diagonal' || kind === 'angle';

/** A little way from a corner towards the middle of the room. */
function inwards(room: DerivedRoom, corner: Point, by: number): Point {
  const all = room.faces.map((face) => face.a);
  const centre = scale(
    all.reduce((sum, p) => add(sum, p), { x: 0, y: 0 }),
    1 / all.length,
  );
  return distance(centre, corner) < by ? middle(centre, corner) : moved(corner, direction(corner, centre), by);
}
