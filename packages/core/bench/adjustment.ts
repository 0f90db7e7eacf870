import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  type Plan,
  type Reading,
  NormalEquations,
  Unknowns,
  adjust,
  applyEdit,
  deriveFloor,
  networkOf,
  newPlan,
  observationsOf,
  rowOf,
} from '../src';
import { dice } from '../tests/random-floors';

const median = (times: number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** Rooms side by side in rows, every wall taped, a few millimetres off, the sketch off by centimetres. */
export function tapedFloor(rooms: number): { plan: Plan; readings: Reading[] } {
  const random = dice(rooms);
  const across = Math.ceil(Math.sqrt(rooms));
  let plan = newPlan({ name: 'Taped' });
  for (let i = 0; i < rooms; i += 1) {
    const [x, y] = [(i % across) * 3600, Math.floor(i / across) * 3100];
    const intent = { kind: 'drawBox', floor: 'ground', a: { x, y }, b: { x: x + 3500, y: y + 3000 } } as const;
    const result = applyEdit(plan, intent, `b${i}`);
    if (result.ok) plan = result.plan;
  }
  const readings = deriveFloor(plan, 'ground').rooms.flatMap((room, k) =>
    room.faces.map(({ from, to, length }, i): Reading => ({
      id: `r${k}.${i}`,
      floor: 'ground',
      kind: 'length',
      face: 'inside',
      from,
      to,
      via: [],
      value: length + 60 + 8 * (random() - 0.5),
      text: '',
      unit: 'm',
      instrument: 'laser',
      time: '',
      note: '',
      held: false,
      spread: false,
      history: [],
    })),
  );
  return { plan, readings };
}

function time(runs: number, work: () => void): number {
  work();
  return median(
    Array.from({ length: runs }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

/** The general-purpose optimiser on the same sum of squares, from the same sketch; a dense matrix and derivatives by differences. */
function optimiser(plan: Plan, readings: readonly Reading[]): number {
  const network = networkOf(plan.corners, Object.values(plan.walls));
  const unknowns = new Unknowns([...network.corners.keys()]);
  const observations = observationsOf(network, readings);
  const start = [...unknowns.vector((id) => plan.corners[id]!)];
  const begun = performance.now();
  levenbergMarquardt(
    { x: observations.map((_, i) => i), y: observations.map(() => 0) },
    (free: readonly number[]) => {
      const x = Float64Array.from(free);
      return (i: number) => observations[i]!.misfit(unknowns, x) / observations[i]!.deviation;
    },
    { initialValues: start, damping: 1e-3, maxIterations: 6, errorTolerance: 1e-12, gradientDifference: 1e-3 },
  );
  return performance.now() - begun;
}

/** One more reading where all others were fitted already: the edit as a person makes it. */
function incremental(rooms: number): { edit: number; step: number } {
  const { plan, readings } = tapedFloor(rooms);
  const walls = Object.values(plan.walls);
  const { corners } = adjust({ corners: plan.corners, walls, readings });
  const network = networkOf(corners, walls);
  const unknowns = new Unknowns([...network.corners.keys()]);
  const x = unknowns.vector((id) => corners[id]!);
  const step = time(9, () => {
    const rows = observationsOf(network, readings).map((observation) => rowOf(observation, unknowns, x));
    new NormalEquations(unknowns.count, rows).step();
  });
  const last = { ...readings.at(-1)!, value: readings.at(-1)!.value + 3 };
  const edit = time(5, () => {
    adjust({ corners, walls, readings: [...readings.slice(0, -1), last] });
  });
  return { edit, step };
}

export function adjustments(): string[] {
  const lines = [
    '| rooms | walls | readings | full, ms | one more reading, ms | one step, ms | optimiser, ms | faster |',
    '|---|---|---|---|---|---|---|---|',
  ];
  for (const rooms of [10, 60, 150]) {
    const { plan, readings } = tapedFloor(rooms);
    const walls = Object.values(plan.walls);
    const full = time(rooms > 100 ? 3 : 7, () => adjust({ corners: plan.corners, walls, readings }));
    const { edit, step } = incremental(rooms);
    // at 150 rooms it takes minutes
    const theirs = rooms > 60 ? null : optimiser(plan, readings);
    const compared = theirs === null ? '' : `${(theirs / full).toFixed(0)} ×`;
    lines.push(
      `| ${rooms} | ${walls.length} | ${readings.length} | ${full.toFixed(1)} | ${edit.toFixed(1)} | ${step.toFixed(1)} | ${theirs?.toFixed(0) ?? ''} | ${compared} |`,
    );
  }
  return lines;
}
