import { type Cavity, type DerivedFloor, type DerivedRoom, cavitiesOf } from '../derived';
import { type Ring, bandAlong, difference, intersection, partOf, ringsArea } from '../geometry';
import { leafWidth, misfitsOf, openingSpan, sweptBy, swingsOf } from '../openings';
import type { Id, Units } from '../plan/plan';
import { decimals, formatArea, formatLength, likelier } from '../units';
import { type ScheduleLine, openingSchedule, ceilingAcross } from './schedule';

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
/** The narrowest leaf that is made, mm: 24 in, and 610 mm where one measures in those (common practice, no source). */
const NARROWEST_LEAF: Record<Units, number> = { imperial: 609.6, metric: 610 };
/** A leaf that leads outside, mm: 32 in, and 812 mm (common practice, no source). */
const ENTRANCE: Record<Units, number> = { imperial: 812.8, metric: 812 };
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
  const swept = lines.flatMap((line): Swept[] => {
    const rings = swingsOf(floor.network, line.opening).map(sweptBy);
    return rings.length > 0 ? [{ line, rings }] : [];
  });
  const all = [
    ...lines.flatMap((line) => misfits(floor, line, lines)),
    ...collisions(swept),
    ...swept.flatMap((each) => blocked(floor, each)),
    ...lines.flatMap((line) => [
      ...nibs(line, units),
      ...heights(line, units),
      ...widths(line, units),
      ...unlikelySizes(line, units),
    ]),
    ...(floor.plan.floors[floor.floor]!.level > 0 ? lines.flatMap((line) => lowSill(line, units)) : []),
    ...floor.rooms.flatMap(noDoor),
    ...cavitiesOf(floor).map((cavity) => gapBetweenWalls(cavity, units)),
    ...glazingByRoom(floor, lines).flatMap((each) => daylight(each, units)),
  ];
  return all.sort((a, b) => Number(a.advice) - Number(b.advice));
}

/** A door and what its leaves pass over. */
interface Swept {
  readonly line: ScheduleLine;
  readonly rings: readonly Ring[];
}

const wrong = (words: string, ...openings: ScheduleLine[]): OpeningCheck => ({
  openings: openings.map(({ opening }) => opening.id),
  room: null,
  words,
  advice: false,
});

/** What does not fit its wall: it is kept, where there is most of a place for it. */
function misfits(floor: DerivedFloor, line: ScheduleLine, lines: readonly ScheduleLine[]): OpeningCheck[] {
  return misfitsOf(floor.network, line.opening, floor.openings).flatMap((misfit) => {
    if (misfit.kind === 'overlap') {
      const other = lines.find(({ opening }) => opening.id === misfit.other.id);
      // said once for the two
      return other && line.opening.id < misfit.other.id
        ? [wrong(`${line.label} and ${other.label} overlap.`, line, other)]
        : [];
    }
    if (misfit.kind === 'wider than its wall') return [wrong(`${line.label} is wider than its wall.`, line)];
    return [wrong(`${line.label} was placed where its wall does not reach; it stands at the nearest place.`, line)];
  });
}

const meets = (one: readonly Ring[], two: readonly Ring[]): boolean =>
  one.some((a) => two.some((b) => ringsArea(intersection([a], [b])) > TOUCH));

const collisions = (swept: readonly Swept[]): OpeningCheck[] =>
  swept.flatMap((one, i) =>
    swept
      .slice(i + 1)
      .filter((two) => meets(one.rings, two.rings))
      .map((two) =>
        wrong(`${one.line.label} and ${two.line.label} hit each other when both are opened.`, two.line, one.line),
      ),
  );

/** A leaf that meets a wall or a column, or passes before a window, in the room it opens into. */
function blocked(floor: DerivedFloor, { line, rings }: Swept): OpeningCheck[] {
  const [room] = line.rooms;
  if (!room) return [];
  const { wall, course } = floor.network.half(line.opening.wall, true);
  const span = openingSpan(floor.network, line.opening);
  const gap = bandAlong(partOf(course, span.from, span.to), wall.left + 1, wall.right + 1);
  const checks: OpeningCheck[] = [];
  if (rings.some((ring) => ringsArea(difference([ring], [...room.outline.rings, gap])) > TOUCH))
    checks.push(wrong(`${line.label} meets a wall or a column before it stands open.`, line));
  for (const face of room.faces) {
    for (const { opening, from, to } of face.openings) {
      if (opening.kind !== 'window' || opening.form === 'roof light') continue;
      const glass = bandAlong(partOf(face.course, from, to), 0, BEFORE_GLASS);
      if (meets(rings, [glass]))
        checks.push({ ...wrong(`${line.label} opens in front of ${opening.label}.`, line), advice: true });
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
  // one to the ceiling is as high as the higher of its rooms
  if (line.opening.toCeiling || line.opening.form === 'roof light') return [];
  const ceilings = line.rooms.flatMap((room) => {
    const face = room?.faces.find(({ openings }) => openings.some(({ opening }) => opening.id === line.opening.id));
    return room && face ? [{ room, high: ceilingAcross(room, face, line.opening) }] : [];
  });
  const low = ceilings.find(({ high }) => line.head > high + 0.5);
  if (!low) return [];
  const { room, high } = low;
  const where = room.ceiling.level ? `the ceiling of ${nameOf(room)}` : `the slope over it in ${nameOf(room)}`;
  return [wrong(`${line.label} is higher than ${where}, ${formatLength(high, units)}.`, line)];
}

function widths(line: ScheduleLine, units: Units): OpeningCheck[] {
  const { opening, clear } = line;
  if (opening.kind === 'window' || clear === null) return [];
  const found: OpeningCheck[] = [];
  if (opening.kind === 'door' && opening.form !== 'up-and-over door') {
    const leaf = leafWidth(opening);
    const entrance = line.rooms.some((room) => room === null);
    if (opening.width < NARROWEST_LEAF[units] - 0.5)
      found.push(
        wrong(`${line.label} is narrower than any usual leaf, ${formatLength(NARROWEST_LEAF[units], units)}.`, line),
      );
    else if (entrance && opening.form === 'hinged door' && leaf < ENTRANCE[units] - 0.5)
      found.push({
        ...wrong(
          `${line.label} leads outside: its leaf is usually ${formatLength(ENTRANCE[units], units)} or wider.`,
          line,
        ),
        advice: true,
      });
  }
  if (found.length > 0 || clear >= WHEELCHAIR[units]) return found;
  const about = opening.kind === 'door' ? 'opens about' : 'is';
  const words = `${line.label} ${about} ${formatLength(clear, units)} clear; a wheelchair wants ${formatLength(WHEELCHAIR[units], units)} (ADA Standards 404.2.3).`;
  return [{ ...wrong(words, line), advice: true }];
}

/** A width that looks like metres typed for centimetres. */
function unlikelySizes(line: ScheduleLine, units: Units): OpeningCheck[] {
  const { kind, width } = line.opening;
  const [likely] = likelier(width, kind);
  if (likely === undefined) return [];
  const words = `${line.label} is ${formatLength(width, units)} wide. Did you mean ${formatLength(likely, units)}?`;
  return [{ ...wrong(words, line), advice: true }];
}

function lowSill(line: ScheduleLine, units: Units): OpeningCheck[] {
  const { kind, form } = line.opening;
  const guarded = kind !== 'window' || form === 'hatch' || form === 'roof light';
  if (guarded || line.sill >= LOW_SILL || line.rooms.every(Boolean)) return [];
  const words = `${line.label} has its sill at ${formatLength(line.sill, units)}: under ${formatLength(LOW_SILL, units)} it wants a guard.`;
  return [{ ...wrong(words, line), advice: true }];
}

const nameOf = ({ room }: DerivedRoom): string => room.name || 'the unnamed room';

/** What is enclosed and no room is said, so that nothing drawn is missing from a total without a word. */
const gapBetweenWalls = ({ area }: Cavity, units: Units): OpeningCheck => ({
  openings: [],
  room: null,
  words: `${formatArea(area, units)} between walls is no room: it is too narrow, or its walls share no corners.`,
  advice: true,
});

function noDoor(room: DerivedRoom): OpeningCheck[] {
  const open = room.faces.some(
    (face) => face.halves[0]!.wall.kind === 'chalk' || face.openings.some(({ opening }) => opening.kind !== 'window'),
  );
  return open
    ? []
    : [{ openings: [], room: room.room.id, words: `No door leads into ${nameOf(room)}.`, advice: false }];
}

/** Rules for glass as a share of the floor; both from memory. */
export const GLAZING_RULES = [
  { share: LEAST_GLAZING, name: '8 % (IRC R303.1)' },
  { share: GOOD_GLAZING, name: '1/8 (several German state building codes)' },
] as const;

export interface RoomGlazing {
  readonly room: DerivedRoom;
  /** Glass that looks outside, mm². */
  readonly glazing: number;
  /** Of its floor. */
  readonly share: number;
}

/** Every room with its glass: windows between rooms give no light of their own. */
export const glazingByRoom = (floor: DerivedFloor, lines = openingSchedule(floor)): RoomGlazing[] =>
  floor.rooms.map((room) => {
    const own = lines.filter(({ rooms }) => rooms.includes(room) && rooms.includes(null));
    const glazing = own.reduce((sum, line) => sum + line.glazing, 0);
    return { room, glazing, share: room.measures.area > 0 ? glazing / room.measures.area : 0 };
  });

function daylight({ room, glazing, share }: RoomGlazing, units: Units): OpeningCheck[] {
  if (glazing === 0 || share >= GOOD_GLAZING) return [];
  const rule = `under ${GLAZING_RULES[share < LEAST_GLAZING ? 0 : 1].name}`;
  const words = `${nameOf(room)} has ${formatArea(glazing, units)} of glazing, ${decimals(100 * share, 1)} % of its floor: ${rule}.`;
  return [{ openings: [], room: room.room.id, words, advice: true }];
}
