import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  type Plan,
  type Reading,
  type Wall,
  Unknowns,
  adjust,
  applyEdit,
  deriveFloor,
  networkOf,
  misclosuresOf,
  misfitOf,
  newPlan,
  objective,
  observationsOf,
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
  // compiled as well as it will be
  for (let i = 0; i < 20; i += 1) work();
  return median(
    Array.from({ length: runs }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

/**
 * The general-purpose optimiser from the same sketch until its sum of squares is within a hundredth of ours; a dense matrix and derivatives by
 * differences. The sketch, which ours follows, is where ours ended. Null when it does not get there.
 */
function optimiser(plan: Plan, readings: readonly Reading[], fitted: Plan['corners']): number | null {
  const network = networkOf(fitted, Object.values(plan.walls));
  const unknowns = new Unknowns([...network.corners.keys()]);
  const observations = observationsOf(network, unknowns, readings);
  const least = objective(
    observations,
    unknowns.vector((id) => fitted[id]!, network.walls),
  );
  const start = [...unknowns.vector((id) => plan.corners[id]!, network.walls)];
  const begun = performance.now();
  const { parameterError } = levenbergMarquardt(
    { x: observations.map((_, i) => i), y: observations.map(() => 0) },
    (free: readonly number[]) => {
      const x = Float64Array.from(free);
      return (i: number) => misfitOf(observations[i]!, x) / observations[i]!.deviation;
    },
    // hardly damped: the sums of squares are nearly quadratic, and so it is there in a step or two
    { initialValues: start, damping: 1e-6, maxIterations: 40, errorTolerance: 1.01 * least, gradientDifference: 1e-3 },
  );
  return parameterError <= 1.01 * least ? performance.now() - begun : null;
}

/** A floor that was never fitted before: nothing is remembered of its walls. */
const unknown = (plan: Plan): Wall[] => Object.values(plan.walls).map((wall) => ({ ...wall }));

/** A reading measured again, 5 mm off, on a floor fitted before; every time another one. */
function incremental(rooms: number): number {
  const { plan, readings } = tapedFloor(rooms);
  const walls = unknown(plan);
  let now = readings;
  let { corners } = adjust({ corners: plan.corners, walls, readings });
  const times = Array.from({ length: 60 }, (_, i) => {
    const one = now[(i * 37) % now.length]!;
    now = now.map((each) => (each === one ? { ...each, value: each.value + 5 } : each));
    const begun = performance.now();
    ({ corners } = adjust({ corners, walls, readings: now }, [one.from]));
    return performance.now() - begun;
  });
  return median(times);
}

export function adjustments(): string[] {
  const lines = [
    '| rooms | walls | readings | full, ms | one reading again, ms | contradictions, ms | optimiser, ms | faster |',
    '|---|---|---|---|---|---|---|---|',
  ];
  for (const rooms of [10, 60, 150]) {
    const { plan, readings } = tapedFloor(rooms);
    const full = time(7, () => adjust({ corners: plan.corners, walls: unknown(plan), readings }));
    const more = incremental(rooms);
    const walls = unknown(plan);
    const { corners } = adjust({ corners: plan.corners, walls, readings });
    const search = time(3, () => misclosuresOf(networkOf(corners, walls), readings));
    const theirs = optimiser(plan, readings, corners);
    const compared = theirs === null ? '' : `${(theirs / full).toFixed(0)} ×`;
    lines.push(
      `| ${rooms} | ${walls.length} | ${readings.length} | ${full.toFixed(1)} | ${more.toFixed(1)} | ${search.toFixed(0)} | ${theirs?.toFixed(0) ?? ''} | ${compared} |`,
    );
  }
  return lines;
}
