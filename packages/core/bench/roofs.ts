import { type Plan, type Value, applyEdit, deriveFloor, drawFloor, partedFloor, previewEdit } from '../src';
import { RULES, areaTable } from '../src/areas';

const STYLE = { lettering: 125, units: 'metric' } as const;
const RUNS = 40;

const done = (plan: Plan, intent: Parameters<typeof applyEdit>[1], seed: string): Plan => {
  const result = applyEdit(plan, intent, seed);
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
};

const read = (mm: number): Value => ({
  ...{ value: mm, text: String(mm), unit: 'mm', instrument: 'tape', time: '2026-11-29T10:00:00Z' },
});

/** The floor under slopes: in every room one from its first wall and one from the wall opposite. */
function underSlopes(floor: Plan): Plan {
  let plan = floor;
  for (const { room, faces } of deriveFloor(floor, 'ground').rooms)
    for (const face of [faces[0]!, faces[2]!])
      plan = done(
        plan,
        { kind: 'addSlope', floor: 'ground', face: face.key, heights: [{ up: 0, read: read(1000) }], pitch: 40 },
        `s${room.id}${face.key}`.replace(/[^\w.:-]/g, '-'),
      );
  return plan;
}

const sorted = (work: (i: number) => void): number[] => {
  for (let i = 0; i < 30; i += 1) work(-1 - i);
  return Array.from({ length: RUNS }, (_, i) => {
    const start = performance.now();
    work(i);
    return performance.now() - start;
  }).sort((a, b) => a - b);
};
const line = (what: string, times: readonly number[]): string =>
  `| ${what} | ${times[RUNS / 2]!.toFixed(2)} | ${times[Math.floor(RUNS * 0.95)]!.toFixed(2)} | ${times.at(-1)!.toFixed(2)} |`;

/** Tables of areas of a floor under slopes, and a step of dragging one of its walls. */
export function roofsBench(floor: Plan): string[] {
  const plan = underSlopes(floor);
  const derived = deriveFloor(plan, 'ground');
  drawFloor(derived, STYLE);
  const key = derived.rooms[Math.floor(derived.rooms.length / 2)]!.faces[0]!.key;
  const drag = sorted((i) => {
    const intent = { kind: 'moveWall', floor: 'ground', face: key, by: 10 + (Math.abs(i) % 50) * 5 } as const;
    const { result, near } = previewEdit(plan, 'ground', intent, 'd');
    if (!result.ok) throw new Error(result.reason);
    const part = near && partedFloor(plan, 'ground', result.plan, near)?.part;
    drawFloor(part ?? deriveFloor(result.plan, 'ground'), { ...STYLE, part: Boolean(part) });
  });
  // a plan that nothing is remembered of: as after an edit that changes every room
  const fresh = (i: number): Plan =>
    done(plan, { kind: 'changeJob', details: { usual: { ...plan.job.usual, ceilingHeight: 2400 + i } } }, 'u');
  const plans = Array.from({ length: RUNS + 30 }, (_, i) => fresh(i + 1));
  plans.forEach((each) => deriveFloor(each, 'ground'));
  const table = (rule: (typeof RULES)[number]['name']) => {
    const left = [...plans];
    return sorted(() => void areaTable(left.pop()!, rule));
  };
  return [
    `Floor: ${derived.rooms.length} rooms under ${derived.slopes.length} slopes.`,
    '',
    '| | median ms | 95 % | worst |',
    '|---|---|---|---|',
    ...(['net', 'gross external', 'WoFlV', 'ANSI Z765'] as const).map((rule) => line(`areas, ${rule}`, table(rule))),
    line('drag step: edit + derived + drawing', drag),
  ];
}
