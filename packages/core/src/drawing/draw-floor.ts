import { lastFor, onceFor } from '../memory';
import { type DerivedFloor, type DerivedRoom, type SolidOnFloor, type WallFace, roofLightIn } from '../derived';
import { type Ring, cross, dot, flattened, ringsBox, subtract } from '../geometry';
import type { Corner, Wall } from '../plan/plan';
import { elevationOf } from '../plan/storeys';
import { formatLevel } from '../units';
import { drawPiecesOn } from '../pieces';
import { drawFloorHatches, drawNotes, drawWallHatches } from '../notes';
import type { Network, WallBody } from '../walls';
import { drawCeilings } from './ceilings';
import { drawAngles, drawChecks, drawHeights } from './checks';
import { declutter } from './declutter';
import { drawDimension } from './dimensions';
import { drawnBox } from './drawn-box';
import { hatch } from './hatch';
import { boxOf, liesWithin, overlap } from './lettering';
import type { DrawingStyle, Mark, Role } from './marks';
import { lineAlong } from './opening-signs';
import { drawOpening, numberMark } from './openings';
import { drawStairs, voidMarks } from './stairs';
import { legendLine, roomLabel, roomNumber } from './room-label';

/** A part of a drawing: marks that are painted one after the other. */
export interface DrawingPart {
  readonly key: string;
  /** Of the marks of this part none lies over another: the order among them does not matter. */
  readonly apart: boolean;
  readonly marks: readonly Mark[];
}

/** The plan of one floor as marks, in painting order. What did not change since the last drawing comes back identical. */
export const drawFloor = (derived: DerivedFloor, style: DrawingStyle): Mark[] =>
  drawFloorInParts(derived, style).flatMap((part) => part.marks);

/** The same in the parts it is made of, so that a painter can leave alone the parts of which nothing changed. */
export function drawFloorInParts(derived: DerivedFloor, asked: DrawingStyle): readonly DrawingPart[] {
  const style: DrawingStyle = { labels: derived.plan.job.labels, ...asked };
  const { network, rooms, solids, bodies, chalk, openings, free, overall, openEnds } = derived;
  const apart = (key: string, marks: readonly Mark[]) => ({ key, apart: true, marks });
  const inOrder = (key: string, marks: readonly Mark[]) => ({ key, apart: false, marks });
  const notes = drawNotes(derived, style);
  const parts = [
    apart(
      FLOORS,
      rooms.map((room) => floorMark(room, style.without?.has('tints') ?? false)),
    ),
    inOrder('hatched floors', style.without?.has('hatches') ? [] : drawFloorHatches(derived, style.lettering)),
    apart(
      'chalk',
      chalk.map((wall) => chalkMark(network, wall)),
    ),
    inOrder('voids', rooms.flatMap(voidMarks)),
    inOrder('stairs', drawStairs(derived, style)),
    inOrder('ceilings', drawCeilings(derived, style)),
    inOrder('solids', solids.flatMap(solidMarks)),
    ...drawPiecesOn(derived, style),
    apart(
      WALLS,
      bodies.map((body) =>
        wallMark(body, style.without?.has('tints') ?? false, style.without?.has('hatches') ?? false),
      ),
    ),
    inOrder('hatched walls', style.without?.has('hatches') ? [] : drawWallHatches(derived, style.lettering)),
    ...openings.map((opening) =>
      inOrder(`opening ${opening.id}`, drawOpening(network, opening, style, roofLightIn(derived, opening))),
    ),
    ...rooms.map((room, i) => inOrder(`room ${room.room.id}`, roomMarks(room, i + 1, style))),
    inOrder('legend', style.part ? [] : legend(derived, style, notes)),
    inOrder('level', style.part ? [] : levelMark(derived, style)),
    inOrder('checks', [
      ...drawChecks(derived, style),
      ...drawHeights(derived, style),
      ...rooms.flatMap((room) => drawAngles(room, derived, style)),
    ]),
    inOrder(
      'lengths',
      [...free, ...overall].flatMap((face) => drawDimension(face, style, false)),
    ),
    inOrder(
      'numbers',
      openings.flatMap((opening) => numberMark(network, opening, style)),
    ),
    apart(
      'ends',
      openEnds.map((corner) => openEndMark(corner, style)),
    ),
  ];
  if (notes.length > 0) parts.push(inOrder('notes', notes));
  // what was written by hand stays, and figures of the plan make room for it
  const written = notes.flatMap((mark) => (mark.kind === 'text' ? [boxOf(mark, style.lettering)] : []));
  const shown = style.hides ? parts.map((part) => without(part, style.hides!)) : parts;
  const laid = declutter(shown, style.lettering, builtOf(derived), [...written, ...(style.over ?? [])]);
  return style.notes ? withoutCrowded(laid, style.lettering, `annotation ${style.notes.chosen ?? ''}`) : laid;
}

/** On the screen what was written by hand gives way to names where one looks from far: it comes when it is looked at closer. On paper it stands where it was put. */
function withoutCrowded(parts: readonly DrawingPart[], lettering: number, chosen: string): readonly DrawingPart[] {
  const texts = parts.flatMap(({ marks }) => marks).filter((mark) => mark.kind === 'text');
  const names = texts
    .filter(({ role }) => role === 'room.name' || role === 'room.area')
    .map((mark) => boxOf(mark, lettering));
  const isCrowded = (mark: Mark) =>
    mark.kind === 'text' &&
    mark.role === 'note.text' &&
    mark.unit !== chosen &&
    names.some((name) => overlap(name, boxOf(mark, lettering)));
  const crowded = new Set(texts.filter(isCrowded).map(({ key, unit }) => unit ?? key));
  if (crowded.size === 0) return parts;
  return parts.map((part) => {
    const marks = part.marks.filter(({ key, unit }) => !crowded.has(unit ?? key));
    return marks.length === part.marks.length ? part : { ...part, marks };
  });
}

const without = (part: DrawingPart, hidden: ReadonlySet<Role>): DrawingPart => ({
  ...part,
  marks: part.marks.filter(({ role }) => !hidden.has(role)),
});

/** What nothing is written over: walls, and what stands in the rooms. */
const builtOf = onceFor(({ bodies, solids }: DerivedFloor): readonly Ring[] =>
  [...bodies, ...solids].map(({ ring }) => flattened(ring)),
);

/** What is cut: it lies over what stands in the rooms. */
export const WALLS = 'walls';
/** The part that lies under all others. */
export const FLOORS = 'floors';

/** A boundary without a wall. */
const chalkMark = (network: Network, wall: Wall): Mark => ({
  kind: 'path',
  role: 'chalk.line',
  key: `chalk ${wall.id}`,
  rings: [lineAlong(network.half(wall.id, true).course, 0)],
  closed: false,
});

/** Distance between the lines of a hatch, mm. */
const HATCH = 110;

const solidMarks = onceFor(({ solid, ring }: SolidOnFloor): readonly Mark[] => [
  { kind: 'path', role: 'solid.cut', key: `solid ${solid.id}`, rings: [ring], closed: true },
  { kind: 'path', role: 'solid.hatch', key: `hatch ${solid.id}`, rings: hatch(ring, HATCH), closed: false },
]);

/** A ring round the end of a wall that meets nothing. */
function openEndMark({ id, x, y }: Corner, { lettering }: DrawingStyle): Mark {
  const r = lettering * 0.7;
  return {
    kind: 'path',
    role: 'open.end',
    key: `open end ${id}`,
    rings: [
      [
        { x: x - r, y, bulge: 1 },
        { x: x + r, y, bulge: 1 },
      ],
    ],
    closed: true,
  };
}

const lastWall = lastFor<WallBody, Mark>();
const wallMark = (body: WallBody, untinted: boolean, unhatched: boolean): Mark =>
  lastWall(body, [untinted, unhatched], () => {
    const { hatch, tint } = body.wall;
    const shown = untinted ? null : tint;
    return {
      kind: 'path',
      role: shown || (hatch && !unhatched) ? 'wall.hatched' : 'wall.cut',
      key: `wall ${body.wall.id}`,
      rings: [body.ring],
      closed: true,
      ...(shown && { tint: shown }),
    };
  });

const lastRoom = lastFor<DerivedRoom, readonly Mark[]>();

/** Dimensions and label of a room. */
const roomMarks = (room: DerivedRoom, number: number, style: DrawingStyle): readonly Mark[] =>
  lastRoom(
    room,
    [
      style.part ? 0 : number,
      style.lettering,
      style.units,
      style.sizes,
      style.labels,
      style.without?.has('provenance'),
    ],
    () => {
      const tight = isTight(room, style.lettering);
      const shown = room.faces.filter(
        (face) => !tight && face.halves[0]!.wall.kind !== 'chalk' && !saidOpposite(face, room, style.lettering),
      );
      return [
        ...shown.flatMap((face) => drawDimension(face, style, isNarrow(room, face, style.lettering))),
        ...(roomLabel(room, style) ?? (style.part ? null : roomNumber(room, number, style)) ?? []),
      ];
    },
  );

const lastFloor = lastFor<DerivedRoom, Mark>();
function floorMark(room: DerivedRoom, plain: boolean): Mark {
  return lastFloor(room, [plain], () => ({
    kind: 'path',
    role: 'floor',
    key: `floor ${room.room.id}`,
    rings: room.room.overVoid ? room.outline.rings : room.standing,
    closed: true,
    ...(room.room.colour && !plain && { tint: room.room.colour }),
  }));
}

/**
 * A worked-out length that a taped wall opposite already shows is not written twice; where a room is too narrow
 * for two dimensions and its label, no length is.
 */
function saidOpposite(face: WallFace, room: DerivedRoom, lettering: number): boolean {
  const at = room.faces.indexOf(face);
  return room.faces.some((other, i) => {
    if (face.bulge !== 0 || other.bulge !== 0) return false;
    if (dot(other.d, face.d) > -0.999 || Math.abs(other.length - face.length) > 0.5) return false;
    if (face.provenance === 'worked out' && other.provenance === 'taped') return true;
    const across = Math.abs(cross(face.d, subtract(other.a, face.a)));
    return (
      across < NARROW * lettering && (other.provenance === face.provenance ? i < at : other.provenance === 'taped')
    );
  });
}

/** A room less than this many lettering heights across has no room for lengths beside its name: they come when it is looked at closer. */
const TIGHT = 6;

function isTight(room: DerivedRoom, lettering: number): boolean {
  const box = ringsBox(room.outline.rings.slice(0, 1));
  return box !== null && Math.min(box.maxX - box.minX, box.maxY - box.minY) < TIGHT * lettering;
}

/** Is the room, square to this face, too narrow for its label beside the dimension? */
function isNarrow(room: DerivedRoom, face: WallFace, lettering: number): boolean {
  const far = Math.max(...room.faces.map((other) => Math.abs(cross(face.d, subtract(other.a, face.a)))));
  return far < NARROW * lettering && Math.abs(face.d.y) > 0.7;
}

/** Two dimensions and a label between them need this many lettering heights. */
const NARROW = 11;

/** How far the mark stands under the name of the largest room, in lettering heights; its size. */
const LEVEL = { under: 2.7, size: 0.8 };

/** How high the floor lies over the ground floor, beside a triangle that stands on its tip, in its largest room; in a house of one floor none. */
function levelMark({ plan, floor, rooms }: DerivedFloor, { lettering, units }: DrawingStyle): Mark[] {
  if (Object.keys(plan.floors).length < 2 || rooms.length === 0) return [];
  const { label, outline } = rooms.reduce((a, b) => (b.measures.area > a.measures.area ? b : a));
  const text = formatLevel(elevationOf(plan, floor), units);
  const at = { x: label.x, y: label.y + LEVEL.under * lettering };
  const box = boxOf({ role: 'level', at, text, turn: 0, size: LEVEL.size }, lettering);
  const { long } = box;
  // with the sign beside it
  if (!liesWithin({ ...box, long: long + lettering }, outline.rings.map(flattened))) return [];
  const tip = { x: at.x - long - 0.55 * lettering, y: at.y + 0.3 * lettering };
  const r = 0.32 * lettering;
  const triangle = [tip, { x: tip.x - r, y: tip.y - 1.7 * r }, { x: tip.x + r, y: tip.y - 1.7 * r }];
  const unit = `level ${floor}`;
  return [
    { kind: 'path', role: 'level', key: `${unit} sign`, unit, rings: [triangle], closed: true },
    { kind: 'text', role: 'level', key: unit, unit, at, text, turn: 0, size: LEVEL.size },
  ];
}

/** The rooms whose label is a number: what they are called, in lines under the house. */
function legend(derived: DerivedFloor, style: DrawingStyle, notes: readonly Mark[]): Mark[] {
  const numbered = derived.rooms.flatMap((room, i) => (roomLabel(room, style) ? [] : [[room, i + 1] as const]));
  const house = ringsBox(derived.bodies.map(({ ring }) => ring));
  if (!house) return [];
  const foot = Math.max(house.maxY, drawnBox(notes, style.lettering)?.maxY ?? house.maxY);
  return numbered.flatMap(([room, number], line): Mark[] => {
    const text = legendLine(room, number, style);
    const key = `legend ${room.room.id}`;
    const left =
      house.minX + boxOf({ role: 'room.area', at: ORIGIN, text, turn: 0, size: LEGEND }, style.lettering).long;
    const at = { x: left, y: foot + style.lettering * (2.6 + 1.3 * line) };
    return [{ kind: 'text', role: 'room.area', key, unit: key, at, text, turn: 0, size: LEGEND }];
  });
}
const LEGEND = 0.9;
const ORIGIN = { x: 0, y: 0 };
