import { type Plan, type Point, type WallFace, deriveFloor, freerEnd, goesStraightOn, valueOnPlan } from '../src';
import { House, tapeIntent } from './house';

/** A box divided again and again by walls from side to side, drawn as a person would; so many rooms. */
export function dividedHouse(random: () => number, rooms: number): House {
  const house = new House();
  const side = Math.sqrt(rooms) * (3000 + 1500 * random());
  house.box(0, 0, Math.round(side * (0.8 + 0.4 * random())), Math.round(side));
  while (house.floor.rooms.length < rooms) {
    const [largest] = [...house.floor.rooms].sort((a, b) => b.measures.area - a.measures.area);
    const xs = largest!.faces.flatMap(({ a, b }) => [a.x, b.x]);
    const ys = largest!.faces.flatMap(({ a, b }) => [a.y, b.y]);
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const share = 0.38 + 0.24 * random();
    const points =
      right - left > bottom - top
        ? [top, bottom].map((y): Point => ({ x: Math.round(left + share * (right - left)), y }))
        : [left, right].map((x): Point => ({ x, y: Math.round(top + share * (bottom - top)) }));
    house.do({ kind: 'drawPath', floor: 'ground', points, closed: false });
  }
  return house;
}

/** The same sketched with every distance between lines off by up to a share. */
export function sketchedOff(plan: Plan, random: () => number, share: number): Plan {
  const map = (axis: 'x' | 'y') => {
    const at = [...new Set(Object.values(plan.corners).map((corner) => Math.round(corner[axis])))].sort(
      (a, b) => a - b,
    );
    let sum = at[0]!;
    const to = at.map((value, i) => (i === 0 ? sum : (sum += (value - at[i - 1]!) * (1 + share * (2 * random() - 1)))));
    return (value: number) => {
      const i = Math.max(
        1,
        at.findIndex((each) => each >= value - 0.5),
      );
      return to[i - 1]! + ((value - at[i - 1]!) * (to[i]! - to[i - 1]!)) / (at[i]! - at[i - 1]!);
    };
  };
  const [x, y] = [map('x'), map('y')];
  const put = <T extends Point>(p: T): T => ({ ...p, x: x(p.x), y: y(p.y) });
  return {
    ...plan,
    corners: Object.fromEntries(Object.entries(plan.corners).map(([id, corner]) => [id, put(corner)])),
    rooms: Object.fromEntries(Object.entries(plan.rooms).map(([id, room]) => [id, { ...room, at: put(room.at) }])),
  };
}

/** What is wrong with how a floor took a length, in words; null: nothing. */
export interface TypedLengths {
  typed: number;
  refused: number;
  /** Readings that fit each other and are not met to 0.05 mm. */
  unmet: number;
  /** Lengths at which a wall moved that could have stayed. */
  needless: number;
  worst: number;
  readonly seen: string[];
}

/** Readings are met to this, mm. */
const MET = 0.05;
/** A room gives way by so much of its side before it is pushed on. */
const SKETCHED = 0.2;

/**
 * Random divided houses, sketched up to 15 % off and taped wall by wall as they are, at the end that moves by itself: every reading is met, and no straight run of walls moved
 * that could have stayed with all of them met, no side changed by more than a sketch is off and none turned round.
 */
export function typeLengths(random: () => number, into: TypedLengths, seed: string): void {
  const truth = dividedHouse(random, 1 + Math.floor(8 * random()));
  const house = new House(sketchedOff(truth.plan, random, 0.15), 100);
  const faces = truth.floor.rooms.flatMap((room) => room.faces).sort(() => random() - 0.5);
  for (const { from, to, length } of faces.slice(0, Math.ceil(faces.length * random()))) {
    const { floor } = house;
    const face = floor.rooms.flatMap((room) => room.faces).find((each) => each.from === from && each.to === to);
    if (!face) continue;
    into.typed += 1;
    const before = house.plan;
    if (house.tries(tapeIntent(face, length, freerEnd(floor, face))) !== null) {
      into.refused += 1;
      continue;
    }
    const off = offIn(house.plan);
    into.worst = Math.max(into.worst, off);
    if (off > MET) into.seen.push(`${seed} ${into.typed} unmet ${off.toFixed(3)}`);
    if (off > MET) into.unmet += 1;
    const lines = needless(before, house.plan);
    if (lines.length > 0) into.seen.push(`${seed} ${into.typed} needless ${lines.join(' ')}`);
    if (lines.length > 0) into.needless += 1;
  }
}

/** By how much the reading that is worst met is off, mm. */
function offIn(plan: Plan): number {
  const { network, readings } = deriveFloor(plan, 'ground');
  return Math.max(0, ...readings.map((each) => Math.abs(valueOnPlan(network, each)! - each.value)));
}

/** Straight runs of walls that moved across themselves, and could have stayed. */
function needless(before: Plan, after: Plan): string[] {
  return linesOf(before).flatMap(({ ids, axis }) => {
    const by = ids.map((id) => after.corners[id]![axis] - before.corners[id]![axis]);
    if (Math.max(...by.map(Math.abs)) < MET) return [];
    const corners = { ...after.corners };
    for (const id of ids) corners[id] = { ...corners[id]!, [axis]: before.corners[id]![axis] };
    const put = { ...after, corners };
    return offIn(put) < MET && keepsShape(before, put) ? [`${axis} ${ids.join('-')} by ${by[0]!.toFixed(1)}`] : [];
  });
}

const facesIn = (plan: Plan): WallFace[] => deriveFloor(plan, 'ground').rooms.flatMap((room) => room.faces);

function keepsShape(before: Plan, after: Plan): boolean {
  const now = new Map(facesIn(after).map((face) => [face.key, face]));
  const turned = Object.values(before.walls).some(({ start, end }) => {
    const way = ({ corners }: Plan) => ({
      x: corners[end]!.x - corners[start]!.x,
      y: corners[end]!.y - corners[start]!.y,
    });
    const [was, is] = [way(before), way(after)];
    return was.x * is.x + was.y * is.y < 0.3 * (was.x ** 2 + was.y ** 2);
  });
  return (
    !turned &&
    facesIn(before).every((face) => {
      const line = Math.hypot(
        ...(['x', 'y'] as const).map((axis) => before.corners[face.to]![axis] - before.corners[face.from]![axis]),
      );
      const is = now.get(face.key);
      return is !== undefined && Math.abs(is.length - face.length) <= SKETCHED * line;
    })
  );
}

/** Corners on one straight run of walls, and the axis they would move along. */
function linesOf(plan: Plan): { ids: string[]; axis: 'x' | 'y' }[] {
  const { network } = deriveFloor(plan, 'ground');
  const seen = new Set<string>();
  return network.walls.flatMap(({ id }) => {
    if (seen.has(id)) return [];
    const run = [network.half(id, true)];
    const grow = (last: () => (typeof run)[0], put: (half: (typeof run)[0]) => void) => {
      for (;;) {
        const next = network.stars
          .get(last().to)!
          .around.find((each) => each.wall !== last().wall && goesStraightOn(last(), each));
        if (!next) return;
        put(next);
      }
    };
    grow(
      () => run.at(-1)!,
      (half) => run.push(half),
    );
    grow(
      () => network.half(run[0]!.wall.id, !run[0]!.forward),
      (half) => run.unshift(network.half(half.wall.id, !half.forward)),
    );
    for (const { wall } of run) seen.add(wall.id);
    const level = Math.abs(run[0]!.d.x) > Math.abs(run[0]!.d.y);
    return [{ ids: [run[0]!.from, ...run.map((half) => half.to)], axis: level ? ('y' as const) : ('x' as const) }];
  });
}
