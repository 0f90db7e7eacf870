import {
  type Id,
  type Intent,
  type Plan,
  applyEdit,
  deriveFloor,
  drawFloor,
  floorsInOrder,
  partedFloor,
  previewEdit,
} from '../src';

const STYLE = { lettering: 125, units: 'metric' } as const;
const FLOORS = 4;

const STAIRS: Intent = {
  kind: 'addStairs',
  floor: 'ground',
  form: 'stairs',
  path: [
    { x: 800, y: 500 },
    { x: 3000, y: 500 },
  ],
};

const done = (plan: Plan, intent: Intent, seed: string): Plan => {
  const result = applyEdit(plan, intent, seed);
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
};

/** A floor copied above itself, rooms, stairs and all, till there are so many. */
export function storeys(floor: Plan, count: number): Plan {
  let plan = done(floor, STAIRS, 'stairs');
  for (let i = 1; i < count; i += 1) {
    const below = floorsInOrder(plan).at(-1)!.id;
    const added = applyEdit(plan, { kind: 'addFloor', of: below, side: 'above' }, `f${i}`);
    if (!added.ok) throw new Error(added.reason);
    const { network, rooms } = deriveFloor(plan, below);
    const stairs = Object.values(plan.stairs).flatMap((stair) => (stair.floor === below ? [stair.id] : []));
    const all = { walls: network.walls.map(({ id }) => id), rooms: rooms.map(({ room }) => room.id), stairs };
    plan = done(
      added.plan,
      { kind: 'carryFloor', from: below, to: added.made!, openings: [], solids: [], ...all },
      `c${i}`,
    );
  }
  return plan;
}

interface Work {
  readonly what: string;
  readonly plan: Plan;
  readonly run: (i: number) => void;
}

function works(plan: Plan, floor: Id): { drag: Work; read: Work } {
  const derived = deriveFloor(plan, floor);
  drawFloor(derived, STYLE);
  const { key, from, to, length } = derived.rooms[Math.floor(derived.rooms.length / 2)]!.faces[0]!;
  const drag = (i: number) => {
    const { result, near } = previewEdit(
      plan,
      floor,
      { kind: 'moveWall', floor, face: key, by: 10 + (i % 50) * 5 },
      'd',
    );
    if (!result.ok) throw new Error(result.reason);
    const part = near && partedFloor(plan, floor, result.plan, near)?.part;
    drawFloor(part ?? deriveFloor(result.plan, floor), { ...STYLE, part: Boolean(part) });
  };
  const read = (i: number) => {
    const value = length + (i % 20);
    const taped = { value, text: String(value), unit: 'mm', moves: 'to', time: '' } as const;
    drawFloor(deriveFloor(done(plan, { kind: 'tapeLength', floor, from, to, ...taped }, 'r'), floor), STYLE);
  };
  return { drag: { what: 'a drag step', plan, run: drag }, read: { what: 'a typed reading', plan, run: read } };
}

const median = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** What is done on one floor of a house of four, against the same floor alone, in turn: ratios hold on a machine that is not quiet. */
export function storeysBench(alone: Plan): string[] {
  const house = storeys(alone, FLOORS);
  const second = floorsInOrder(house)[1]!.id;
  const [a, b] = [works(done(alone, STAIRS, 's'), 'ground'), works(house, second)];
  const lines = (['drag', 'read'] as const).map((name) => {
    const times: [number[], number[]] = [[], []];
    for (let i = -5; i < 120; i += 1) {
      ([a, b] as const).forEach((each, k) => {
        const start = performance.now();
        each[name].run(Math.abs(i));
        if (i >= 0) times[k]!.push(performance.now() - start);
      });
    }
    const [one, all] = [median(times[0]), median(times[1])];
    return `| ${a[name].what} | ${one.toFixed(2)} | ${all.toFixed(2)} | ${(all / one).toFixed(2)} |`;
  });
  const rooms = deriveFloor(house, second).rooms.length;
  const to = floorsInOrder(house).map(({ id }) => id);
  const fresh = JSON.parse(JSON.stringify(house)) as Plan;
  const first = to.map((id) => {
    const start = performance.now();
    drawFloor(deriveFloor(fresh, id), STYLE);
    return performance.now() - start;
  });
  return [
    `${FLOORS} floors of ${rooms} rooms, with stairs.`,
    '',
    '| | alone, ms | in the house, ms | ratio |',
    '|---|---|---|---|',
    ...lines,
    '',
    `Each floor the first time it is looked at: ${first.map((ms) => ms.toFixed(0)).join(', ')} ms.`,
  ];
}
