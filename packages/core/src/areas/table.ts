import { type DerivedFloor, deriveFloor } from '../derived';
import { onceFor } from '../memory';
import { type AreaRuleName, type Id, type Plan, type Room, type RoomUse, floorsInOrder } from '../plan/plan';
import { areaDeviation } from './deviation';
import { type CountedPiece, piecesOfFloor } from './pieces';
import { type AreaRule, RULES, ruleOf } from './rules';
import { useOf } from './uses';

/** What is stated by itself, mm². */
export interface Apart {
  readonly name: string;
  readonly area: number;
}

/** A room, or what of a floor is in no room, in a table of areas. mm² */
export interface AreaLine {
  /** Null: walls, and what else is in no room. */
  readonly room: Id | null;
  readonly name: string;
  readonly use: RoomUse | null;
  /** The use was chosen; else it is as the name says. */
  readonly chosen: boolean;
  /** All of it, and what of it counts. */
  readonly whole: number;
  readonly counted: number;
  readonly apart: readonly Apart[];
  /** Why, each reason once, with how much of the floor it is said of; the largest first. */
  readonly reasons: readonly { readonly reason: string; readonly share: number; readonly area: number }[];
}

export interface FloorAreas {
  readonly floor: Id;
  readonly name: string;
  readonly lines: readonly AreaLine[];
  readonly counted: number;
  /** Standard deviation of that; null where too little was read. */
  readonly deviation: number | null;
  readonly apart: readonly Apart[];
  readonly pieces: readonly CountedPiece[];
  /** Some lengths it rests on are still rough. */
  readonly rough: boolean;
}

/** The areas of a house by one rule; plain data. */
export interface AreaTable {
  readonly rule: AreaRuleName;
  readonly floors: readonly FloorAreas[];
  readonly counted: number;
  readonly deviation: number | null;
  readonly apart: readonly Apart[];
  readonly rough: boolean;
}

const byRule = onceFor((_: DerivedFloor) => new Map<AreaRuleName, FloorAreas>());

/** The areas of a floor by a rule; worked out once for each. */
export function floorAreas(floor: DerivedFloor, rule: AreaRule): FloorAreas {
  const known = byRule(floor);
  let areas = known.get(rule.name);
  if (!areas) known.set(rule.name, (areas = tableOf(floor, rule)));
  return areas;
}

/** The areas of a house by a rule, floor by floor from below, room by room. Of floors, which are measured apart, the variances add. */
export function areaTable(plan: Plan, name: AreaRuleName): AreaTable {
  const rule = ruleOf(name);
  const floors = floorsInOrder(plan).map(({ id }) => floorAreas(deriveFloor(plan, id), rule));
  const read = floors.filter(({ lines }) => lines.length > 0);
  const known = read.length > 0 && read.every(({ deviation }) => deviation !== null);
  return {
    rule: name,
    floors,
    counted: floors.reduce((sum, each) => sum + each.counted, 0),
    deviation: known ? Math.sqrt(read.reduce((sum, { deviation }) => sum + deviation! ** 2, 0)) : null,
    apart: together(floors.flatMap((each) => each.apart)),
    rough: floors.some(({ rough }) => rough),
  };
}

function tableOf(floor: DerivedFloor, rule: AreaRule): FloorAreas {
  const pieces = piecesOfFloor(floor, rule);
  const byRoom = new Map<Id | null, CountedPiece[]>();
  for (const piece of pieces) {
    const list = byRoom.get(piece.room);
    if (list) list.push(piece);
    else byRoom.set(piece.room, [piece]);
  }
  const lines = floor.rooms.map(({ room }) => lineOf(room, byRoom.get(room.id) ?? []));
  const walls = byRoom.get(null) ?? [];
  if (walls.length > 0) lines.push(lineOf(null, walls));
  return {
    floor: floor.floor,
    name: floor.name,
    lines,
    pieces,
    counted: lines.reduce((sum, { counted }) => sum + counted, 0),
    deviation: areaDeviation(floor, pieces, rule),
    apart: together(lines.flatMap((line) => line.apart)),
    rough: floor.rough,
  };
}

function lineOf(room: Room | null, pieces: readonly CountedPiece[]): AreaLine {
  const reasons = new Map<string, { reason: string; share: number; area: number }>();
  for (const { reason, share, area } of pieces) {
    const known = reasons.get(reason);
    reasons.set(reason, { reason, share, area: area + (known?.area ?? 0) });
  }
  return {
    room: room?.id ?? null,
    name: room ? room.name || 'A room without a name' : 'Walls',
    use: room && useOf(room),
    chosen: room?.use != null,
    whole: pieces.reduce((sum, { area }) => sum + area, 0),
    counted: pieces.reduce((sum, { area, share }) => sum + area * share, 0),
    apart: together(pieces.flatMap(({ apart, area }) => (apart === undefined ? [] : [{ name: apart, area }]))),
    reasons: [...reasons.values()].sort((a, b) => b.area - a.area),
  };
}

function together(all: readonly Apart[]): readonly Apart[] {
  const sum = new Map<string, number>();
  for (const { name, area } of all) sum.set(name, (sum.get(name) ?? 0) + area);
  return [...sum].map(([name, area]) => ({ name, area }));
}

/** How far each rule is from what a listing says; the nearest first. mm² */
export function againstListing(plan: Plan, listed: number): { readonly rule: AreaRule; readonly by: number }[] {
  return RULES.map((rule) => ({ rule, by: areaTable(plan, rule.name).counted - listed })).sort(
    (a, b) => Math.abs(a.by) - Math.abs(b.by),
  );
}

/** Why a rule may be the wrong one for this job; null where nothing speaks against it. */
export function ruleDoubt({ job }: Plan, rule: AreaRule): string | null {
  const country = { US: 'the US', UK: 'the UK', general: null }[job.stairRule];
  if (rule.country === null || country === null || rule.country === country) return null;
  return `${rule.name} is a rule of ${rule.country}; this job goes by the rules of ${country}. It is worked out all the same.`;
}
