import { type DerivedFloor, type DerivedRoom } from '../derived';
import { type Ring, difference, intersection, partOf, ringsArea } from '../geometry';
import { openingSpan, sweptBy, swingOf } from '../openings';
import type { Id, Units } from '../plan/plan';
import { bandAlong } from '../rooms';
import { formatArea, formatLength } from '../units';
import { type ScheduleLine, openingSchedule } from './schedule';

/** Something about doors and windows that should be seen before it is built. */
export interface OpeningCheck {
  /** The openings it is about, the one to change first; none when it is about a room. */
  readonly openings: readonly Id[];
  readonly room: Id | null;
  readonly words: string;
  /** Good to know, not wrong. */
  readonly advice: boolean;
}

/** Wall wanted beside an opening, mm (common practice, no source). */
const NIB = 100;
/** The narrowest leaf that is made, mm (UK sizes; common practice, no source). */
const NARROWEST_LEAF = 610;
/** What the open leaf, its hinges and the stop take off the width, mm (common practice, no source). */
const LEAF_TAKES = 35;
/** Clear width for a wheelchair with the door open 90°, mm: 32 in, and 815 mm where one measures in those (ADA Standards 404.2.3, from memory). */
const WHEELCHAIR: Record<Units, number> = { imperial: 812.8, metric: 815 };
/** A sill lower than this over a storey's drop wants a guard, mm (common practice, no source). */
const LOW_SILL = 800;
/** Glazing as a share of the floor: 8 % (IRC R303.1), 1/8 (several German state building codes); both from memory. */
const LEAST_GLAZING = 0.08;
const GOOD_GLAZING = 1 / 8;
/** Overlaps smaller than this are rounding, mm². */
const TOUCH = 1500;
/** How far in front of a window nothing should pass, mm. */
const BEFORE_GLASS = 60;

/** What is wrong, or good to know, about the doors and windows of a floor; what is wrong first. */
export function openingChecks(floor: DerivedFloor): OpeningCheck[] {
  const lines = openingSchedule(floor);
  const { units } = floor.plan.job;
  const swept = new Map(
    lines
      .filter(({ opening }) => opening.kind === 'door')
      .map((line) => [line, sweptBy(swingOf(floor.network, line.opening))]),
  );
  const all = [
    ...collisions(swept),
    ...[...swept].flatMap(([line, ring]) => blocked(floor, line, ring)),
    ...lines.flatMap((line) => [...nibs(line, units), ...heights(line, units), ...widths(line, units)]),
    ...(floor.plan.floors[floor.floor]!.level > 0 ? lines.flatMap((line) => lowSill(line, units)) : []),
    ...floor.rooms.flatMap((room) => [...noDoor(room), ...daylight(room, units)]),
  ];
  return all.sort((a, b) => Number(a.advice) - Number(b.advice));
}

const wrong = (words: string, ...openings: ScheduleLine[]): OpeningCheck => ({
  openings: openings.map(({ opening }) => opening.id),
  room: null,
  words,
  advice: false,
});

function collisions(swept: ReadonlyMap<ScheduleLine, Ring>): OpeningCheck[] {
  const doors = [...swept];
  return doors.flatMap(([one, ring], i) =>
    doors
      .slice(i + 1)
      .filter(([, other]) => ringsArea(intersection([ring], [other])) > TOUCH)
      .map(([two]) => wrong(`${one.label} and ${two.label} hit each other when both are opened.`, two, one)),
  );
}

/** A leaf that meets a wall or a column, or passes before a window, in the room it opens into. */
function blocked(floor: DerivedFloor, line: ScheduleLine, ring: Ring): OpeningCheck[] {
  const [room] = line.rooms;
  if (!room) return [];
  const { wall, course } = floor.network.half(line.opening.wall, true);
  const span = openingSpan(floor.network, line.opening);
  const gap = bandAlong(partOf(course, span.from, span.to), wall.left + 1, wall.right + 1);
  const checks: OpeningCheck[] = [];
  if (ringsArea(difference([ring], [...room.outline.rings, gap])) > TOUCH)
    checks.push(wrong(`${line.label} meets a wall or a column before it stands open.`, line));
  for (const face of room.faces) {
    for (const { opening, from, to } of face.openings) {
      if (opening.kind !== 'window') continue;
      const glass = bandAlong(partOf(face.course, from, to), 0, BEFORE_GLASS);
      if (ringsArea(intersection([ring], [glass])) > TOUCH)
        checks.push({ ...wrong(`${line.label} opens in front of W${opening.number}.`, line), advice: true });
    }
  }
  return checks;
}

function nibs(line: ScheduleLine, units: Units): OpeningCheck[] {
  const nib = Math.min(
    ...line.rooms
      .flatMap((room) => room?.faces ?? [])
      .flatMap((face) => {
        const at = face.openings.findIndex(({ opening }) => opening.id === line.opening.id);
        if (at < 0) return [];
        const { from, to } = face.openings[at]!;
        return [from - (face.openings[at - 1]?.to ?? 0), (face.openings[at + 1]?.from ?? face.length) - to];
      }),
  );
  if (!(nib < NIB - 0.5)) return [];
  const words = `${line.label} has only ${formatLength(Math.max(0, nib), units)} of wall beside it; ${formatLength(NIB, units)} is wanted.`;
  return [wrong(words, line)];
}

function heights(line: ScheduleLine, units: Units): OpeningCheck[] {
  const low = line.rooms.find((room) => room && line.head > room.ceilingHeight + 0.5);
  return low
    ? [
        wrong(
          `${line.label} is higher than the ceiling of ${nameOf(low)}, ${formatLength(low.ceilingHeight, units)}.`,
          line,
        ),
      ]
    : [];
}

function widths(line: ScheduleLine, units: Units): OpeningCheck[] {
  if (line.opening.kind !== 'door') return [];
  if (line.width < NARROWEST_LEAF)
    return [wrong(`${line.label} is narrower than any usual leaf, ${formatLength(NARROWEST_LEAF, units)}.`, line)];
  const clear = line.width - LEAF_TAKES;
  if (clear >= WHEELCHAIR[units]) return [];
  const words = `${line.label} opens about ${formatLength(clear, units)} clear; a wheelchair wants ${formatLength(WHEELCHAIR[units], units)} (ADA Standards 404.2.3).`;
  return [{ ...wrong(words, line), advice: true }];
}

function lowSill(line: ScheduleLine, units: Units): OpeningCheck[] {
  if (line.opening.kind !== 'window' || line.sill >= LOW_SILL || line.rooms.every(Boolean)) return [];
  const words = `${line.label} has its sill at ${formatLength(line.sill, units)}: under ${formatLength(LOW_SILL, units)} it wants a guard.`;
  return [{ ...wrong(words, line), advice: true }];
}

const nameOf = ({ room }: DerivedRoom): string => room.name || 'the unnamed room';

function noDoor(room: DerivedRoom): OpeningCheck[] {
  const open = room.faces.some(
    (face) => face.halves[0]!.wall.kind === 'chalk' || face.openings.some(({ opening }) => opening.kind === 'door'),
  );
  return open
    ? []
    : [{ openings: [], room: room.room.id, words: `No door leads into ${nameOf(room)}.`, advice: false }];
}

/** The area of a room's windows, mm². */
export const glazingOf = (room: DerivedRoom): number =>
  room.faces
    .flatMap((face) => face.openings)
    .reduce((sum, { opening }) => sum + (opening.kind === 'window' ? opening.width * opening.height : 0), 0);

function daylight(room: DerivedRoom, units: Units): OpeningCheck[] {
  const glazing = glazingOf(room);
  const share = glazing / room.measures.area;
  if (glazing === 0 || share >= GOOD_GLAZING) return [];
  const rule = share < LEAST_GLAZING ? 'under 8 % (IRC R303.1)' : 'under 1/8 (several German state building codes)';
  const words = `${nameOf(room)} has ${formatArea(glazing, units)} of glazing, ${(100 * share).toFixed(1)} % of its floor: ${rule}.`;
  return [{ openings: [], room: room.room.id, words, advice: true }];
}
