import { capital } from '../../words';
import type { DerivedFloor } from '../../derived';
import {
  type Point,
  type Ring,
  alongOf,
  boxAround,
  boxesMeet,
  difference,
  intersection,
  offOf,
  ringsArea,
} from '../../geometry';
import { sweptBy, swingsOf } from '../../openings';
import type { Id } from '../../plan/plan';
import { openingSchedule } from '../../schedule';
import { surfaceContains } from '../../rooms';
import { formatLength } from '../../units';
import { pieceName } from '../catalogue';
import { type Space, clearFrom, meetInHeight, spaceAt } from '../clear';
import { COMMON, type FreeZone } from '../kind';
import { type PieceOnFloor, inFrame, middleOfPiece, onSheet } from '../on-floor';
import { blocks, footprintOf, isPushedAside } from './footprint';
import { type Passage, passagesOn } from './passages';

/** Something about a piece that should be seen before it is bought, in words. */
export interface PieceAdvice {
  readonly piece: Id;
  /** What it is about: heard once, it is not said again. */
  readonly key: string;
  readonly words: string;
  /** Where the figure comes from; empty where none is needed. */
  readonly source: string;
  /** It can't stand so; else it is good to know. */
  readonly wrong: boolean;
  /** Where: drawn on the plan. */
  readonly rings: readonly Ring[];
  /** Across which a passage is narrow. */
  readonly line: readonly [Point, Point] | null;
}

/** Overlaps smaller than this are rounding, mm². */
const TOUCH = 2000;
/** Passages, mm: 36 in (NKBA planning guidelines, from memory); before what is used 600 mm. */
const PASSAGE = { usual: 914, least: 600 } as const;
const NKBA = 'NKBA planning guidelines: a passage is 36 in wide';
/** Between a run of units and what is opposite, mm: 42 in for one cook (NKBA planning guidelines, from memory). */
const AISLE = { width: 1067, source: 'NKBA planning guidelines: a work aisle is 42 in wide' } as const;
/** Air before a radiator, mm (common practice, no source). */
const BEFORE_RADIATOR = 100;
/** What stands nearer to a window than this hides it, mm. */
const BEFORE_WINDOW = 250;

/** What is to be said of the pieces of a floor; what was heard is left out unless `all`. */
export function adviceOn(floor: DerivedFloor, pieces: readonly PieceOnFloor[], all = false): readonly PieceAdvice[] {
  const said = [
    ...overlaps(floor, pieces),
    ...inWalls(floor, pieces),
    ...onStairs(floor, pieces),
    ...underDoors(floor, pieces),
    ...beforeOpenings(floor, pieces),
    ...zones(floor, pieces),
    ...aisles(floor, pieces),
    ...radiators(floor, pieces),
    ...letIn(pieces),
    ...passages(floor, pieces),
  ];
  const heard = new Map(pieces.map(({ piece }) => [piece.id, piece.heard]));
  const told = all ? said : said.filter(({ piece, key }) => !heard.get(piece)?.includes(key));
  return [...told].sort((a, b) => Number(b.wrong) - Number(a.wrong));
}

const called = (on: PieceOnFloor) => {
  const name = pieceName(on.piece);
  return on.piece.name || /^[A-Z]{2}/.test(name) ? name : `the ${name.charAt(0).toLowerCase()}${name.slice(1)}`;
};
const long = ({ plan }: DerivedFloor, mm: number) => formatLength(mm, plan.job.units);

interface Told {
  readonly source?: string;
  readonly wrong?: boolean;
  readonly rings?: readonly Ring[];
  readonly line?: PieceAdvice['line'];
}
const say = (on: PieceOnFloor, key: string, words: string, told: Told = {}): PieceAdvice => ({
  ...{ piece: on.piece.id, key, words: capital(words), source: '', wrong: false, rings: [], line: null },
  ...told,
});

/** A pair in a key: alike whichever comes first. */
const pairKey = (what: string, other: PieceOnFloor) => `${what} ${other.piece.id}`.slice(0, 64);

function overlaps(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  const solid = pieces.filter(({ kind }) => !kind.passable).map((on) => ({ on, box: boxAround(on.ring)! }));
  const found: PieceAdvice[] = [];
  for (let i = 0; i < solid.length; i += 1)
    for (let j = 0; j < i; j += 1) {
      const [a, b] = [solid[i]!, solid[j]!];
      if (!boxesMeet(a.box, b.box) || !meetInHeight(a.on, b.on) || belongTogether(a.on, b.on)) continue;
      const shared = intersection(footprintOf(a.on), footprintOf(b.on));
      if (ringsArea(shared) < TOUCH) continue;
      const box = boxAround(shared.flat().map((p) => inFrame(a.on.frame, p)))!;
      const by = Math.min(box.maxX - box.minX, box.maxY - box.minY);
      const words = `${called(a.on)} and ${called(b.on)} stand in each other by ${long(floor, by)}.`;
      found.push(say(a.on, pairKey('in', b.on), words, { wrong: true, rings: shared }));
    }
  return found;
}

/** A chair is pushed under its table; what stands on something is on it. */
const belongTogether = (a: PieceOnFloor, b: PieceOnFloor): boolean =>
  [
    [a, b],
    [b, a],
  ].some(
    ([one, two]) =>
      (one!.piece.stand.kind === 'piece' && one!.piece.stand.piece === two!.piece.id) ||
      (isPushedAside(one!) &&
        (two!.kind.group === 'tables' || two!.kind.group === 'desk and media' || two!.kind.seats !== undefined)) ||
      (one!.kind.letIn === true && two!.kind.underWorktop === true),
  );

const spaceOf = (floor: DerivedFloor, on: PieceOnFloor): Space | null => spaceAt(floor, middleOfPiece(on));

function inWalls(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  return pieces.flatMap((on) => {
    const space = on.kind.passable ? null : spaceOf(floor, on);
    if (!space) return [];
    const beyond = difference(footprintOf(on), space.rings);
    if (ringsArea(beyond) < TOUCH) return [];
    const box = boxAround(beyond.flat().map((p) => inFrame(on.frame, p)))!;
    const by = Math.min(box.maxX - box.minX, box.maxY - box.minY);
    return [say(on, 'wall', `${called(on)} stands in a wall by ${long(floor, by)}.`, { wrong: true, rings: beyond })];
  });
}

/** What stands on stairs, or over the hole they come up through. */
function onStairs(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  return floor.stairs.flatMap(({ stair, fromAbove, outline, opening }) =>
    pieces.flatMap((on) => {
      if (on.kind.passable || on.bottom > 1000) return [];
      const shared = intersection(footprintOf(on), fromAbove ? opening : outline);
      if (ringsArea(shared) < TOUCH) return [];
      const where = fromAbove ? 'over the opening the stairs come up through' : 'on the stairs';
      return [
        say(on, `stairs ${stair.id}`.slice(0, 64), `${called(on)} stands ${where}.`, { wrong: true, rings: shared }),
      ];
    }),
  );
}

function underDoors(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  const doors = openingSchedule(floor).flatMap(({ opening, label }) => {
    const rings = swingsOf(floor.network, opening).map(sweptBy);
    return opening.kind === 'door' && rings.length > 0 ? [{ opening, label, rings }] : [];
  });
  return pieces.flatMap((on) =>
    on.kind.passable
      ? []
      : doors.flatMap(({ opening, label, rings }) => {
          if (on.bottom >= opening.height || on.top < 30) return [];
          const shared = intersection(footprintOf(on), rings);
          if (ringsArea(shared) < TOUCH) return [];
          return [
            say(on, `door ${opening.id}`, `${label} hits ${called(on)} when it opens.`, { wrong: true, rings: shared }),
          ];
        }),
  );
}

/** What stands before a door, or hides a window that begins lower. */
function beforeOpenings(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  const labels = new Map(openingSchedule(floor).map(({ opening, label }) => [opening.id, label]));
  const found: PieceAdvice[] = [];
  for (const { faces } of floor.rooms)
    for (const face of faces)
      for (const { opening, from, to } of face.openings)
        for (const on of pieces) {
          if (on.kind.passable) continue;
          const offs = on.ring.map((p) => offOf(face.course, p));
          const along = on.ring.map((p) => alongOf(face.course, p));
          const shared = Math.min(Math.max(...along), to) - Math.max(Math.min(...along), from);
          const near = Math.min(...offs);
          if (shared < 50 || near < -50 || Math.max(...offs) < 0) continue;
          const label = labels.get(opening.id) ?? 'An opening';
          if (opening.kind === 'window') {
            if (near > BEFORE_WINDOW || on.top <= opening.sill + 20 || on.bottom >= opening.sill + opening.height)
              continue;
            const words = `${called(on)} stands ${long(floor, on.top - opening.sill)} higher than the sill of ${label}, before ${long(floor, shared)} of it.`;
            found.push(say(on, `window ${opening.id}`, words, { rings: [on.ring] }));
          } else if (near < 300 && on.bottom < opening.height && on.top > 60)
            found.push(
              say(on, `way ${opening.id}`, `${called(on)} stands before ${label}.`, { wrong: true, rings: [on.ring] }),
            );
        }
  return found;
}

/** The floor beside a piece that should stay free. */
export function zoneRing(
  { frame, piece: { width: w, depth: d } }: Pick<PieceOnFloor, 'frame' | 'piece'>,
  { side, depth }: FreeZone,
): Ring {
  const corners = {
    front: [0, d, w, d + depth],
    back: [0, -depth, w, 0],
    left: [-depth, 0, 0, d],
    right: [w, 0, w + depth, d],
  }[side] as [number, number, number, number];
  const [x0, y0, x1, y1] = corners;
  return [onSheet(frame, x0, y0), onSheet(frame, x1, y0), onSheet(frame, x1, y1), onSheet(frame, x0, y1)];
}

/** What stands in zones: walls, and pieces that are not moved aside. */
function zones(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  return pieces.flatMap((on) => {
    const space = on.kind.zones ? spaceOf(floor, on) : null;
    if (!space || !on.kind.zones) return [];
    const rings = [
      ...space.rings,
      ...pieces.filter((other) => other !== on && standsInZone(on, other)).map((other) => other.ring),
    ];
    const short = on.kind.zones.flatMap((zone) => {
      const clear = clearBeside(on, zone, rings);
      return clear !== null && clear < zone.depth - HARDLY ? [{ zone, clear }] : [];
    });
    // a narrow bed is got into from one side
    if (short.length < on.kind.zones.length && on.kind.zones.length === 2 && on.piece.width < 1200) return [];
    return short.map(({ zone, clear }) => {
      const where = zone.side === 'front' ? 'before it' : zone.side === 'back' ? 'behind it' : `at its ${zone.side}`;
      const words = `${called(on)}: ${long(floor, clear)} free ${where}; to ${zone.to}, ${long(floor, zone.depth)} are wanted.`;
      return say(on, `zone ${zone.side}`, words, { source: zone.source, rings: [zoneRing(on, zone)] });
    });
  });
}

/** So little less is nothing to be said about, mm. */
const HARDLY = 20;
/** Beside the head of a bed stands a table; one gets in farther down. Of its length. */
const HEAD = 0.4;

function clearBeside(on: PieceOnFloor, { side }: FreeZone, rings: readonly Ring[]): number | null {
  const { frame, piece, kind } = on;
  if (kind.group !== 'beds' || side === 'front' || side === 'back') return clearFrom(frame, piece, side, rings);
  const from = piece.depth * HEAD;
  return clearFrom(
    { ...frame, at: onSheet(frame, 0, from) },
    { width: piece.width, depth: piece.depth - from },
    side,
    rings,
  );
}

/** What a cabinet on the wall hangs over is no obstacle at its height: one reaches over it. */
const isBeneath = (on: PieceOnFloor, other: PieceOnFloor): boolean =>
  other.top <= on.bottom + 1 && ringsArea(intersection(footprintOf(on), footprintOf(other))) > TOUCH;

const standsInZone = (on: PieceOnFloor, other: PieceOnFloor): boolean =>
  !isBeneath(on, other) &&
  blocks(other) &&
  !isPushedAside(other) &&
  !(other.piece.stand.kind === 'piece' && other.piece.stand.piece === on.piece.id);

/** Between a run of units and what is opposite. */
function aisles(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  const units = pieces.filter(({ kind, piece }) => kind.underWorktop && piece.width > 200);
  return units.flatMap((on) => {
    const space = spaceOf(floor, on);
    if (!space || on.kind.zones || on.kind.corner) return [];
    const rings = [
      ...space.rings,
      ...pieces
        .filter((other) => other !== on && blocks(other) && !isPushedAside(other) && !isBeside(on, other))
        .map((other) => other.ring),
    ];
    const clear = clearFrom(on.frame, on.piece, 'front', rings);
    if (clear === null || clear >= AISLE.width - HARDLY || clear < 5) return [];
    const words = `${called(on)}: ${long(floor, clear)} free before it; one who cooks wants ${long(floor, AISLE.width)}.`;
    const [a, b] = [
      onSheet(on.frame, on.piece.width / 2, on.piece.depth),
      onSheet(on.frame, on.piece.width / 2, on.piece.depth + clear),
    ];
    return [say(on, 'aisle', words, { source: AISLE.source, line: [a, b] })];
  });
}

/** A unit round the corner touches the front of its neighbour. */
const isBeside = (on: PieceOnFloor, other: PieceOnFloor): boolean => {
  if (!other.kind.underWorktop) return false;
  const ys = other.ring.map((p) => inFrame(on.frame, p).y);
  return Math.min(...ys) < on.piece.depth + 5;
};

function radiators(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  const all = pieces.filter(({ piece }) => piece.form.startsWith('radiator'));
  return all.flatMap((radiator) =>
    pieces.flatMap((on) => {
      if (on === radiator || on.kind.passable || on.piece.form.startsWith('radiator') || on.top < radiator.bottom + 50)
        return [];
      const zone = zoneRing(radiator, { side: 'front', depth: BEFORE_RADIATOR, to: '', source: COMMON });
      const shared = intersection(footprintOf(on), [zone]);
      if (ringsArea(shared) < TOUCH || on.bottom > radiator.top) return [];
      const words = `${called(on)} covers ${called(radiator)}; ${long(floor, BEFORE_RADIATOR)} of air are wanted before it.`;
      return [say(on, pairKey('radiator', radiator), words, { source: COMMON, rings: shared })];
    }),
  );
}

/** A sink or a hob without a worktop. */
const letIn = (pieces: readonly PieceOnFloor[]): PieceAdvice[] =>
  pieces.flatMap((on) => {
    const { stand } = on.piece;
    if (!on.kind.letIn) return [];
    const under = stand.kind === 'piece' ? pieces.find(({ piece }) => piece.id === stand.piece) : undefined;
    if (under && (under.kind.underWorktop || under.kind.worktop)) return [];
    return [say(on, 'let in', `${called(on)} is let into a worktop: put it on a base unit.`)];
  });

function passages(floor: DerivedFloor, pieces: readonly PieceOnFloor[]): PieceAdvice[] {
  const labels = new Map(openingSchedule(floor).map(({ opening, label }) => [opening.id, label]));
  const said = new Set<string>();
  return passagesOn(floor, pieces).flatMap((passage) => {
    const { narrow, from, to } = passage;
    const where = 'piece' in to ? called(to.piece) : (labels.get(to.opening) ?? 'the other door');
    const start = labels.get(from) ?? 'the door';
    if (!narrow) {
      if (!('piece' in to)) return blockedWay(passage, pieces, `There is no way from ${start} to ${where}.`);
      return [
        say(to.piece, 'no way', `There is no way from ${start} to ${where}.`, { wrong: true, rings: [to.piece.ring] }),
      ];
    }
    const wanted = 'piece' in to ? PASSAGE.least : PASSAGE.usual;
    const own = narrow.between.find((on) => on !== null);
    if (narrow.width >= wanted - HARDLY || !own) return [];
    // one narrow place is said once
    const place = `${Math.round(narrow.a.x / 100)} ${Math.round(narrow.a.y / 100)} ${Math.round(narrow.b.x / 100)} ${Math.round(narrow.b.y / 100)}`;
    if (said.has(place)) return [];
    said.add(place);
    const [a, b] = narrow.between.map((on) => (on ? called(on) : 'the wall'));
    const words = `The way from ${start} to ${where} is ${long(floor, narrow.width)} wide between ${a} and ${b}; ${long(floor, wanted)} are wanted.`;
    const other = narrow.between.find((on) => on !== null && on !== own);
    const key = other ? pairKey('passage', other) : 'passage';
    return [say(own, key, words, { source: 'piece' in to ? COMMON : NKBA, line: [narrow.a, narrow.b] })];
  });
}

/** The piece of the room that takes most floor is said to be in the way. */
function blockedWay({ space }: Passage, pieces: readonly PieceOnFloor[], words: string): PieceAdvice[] {
  const inRoom = pieces.filter((on) => blocks(on) && surfaceContains(space.rings, middleOfPiece(on)));
  const largest = inRoom.sort((a, b) => b.piece.width * b.piece.depth - a.piece.width * a.piece.depth)[0];
  return largest ? [say(largest, 'no way', words, { wrong: true, rings: [largest.ring] })] : [];
}
