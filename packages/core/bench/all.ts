import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Polygonizer from 'jsts/org/locationtech/jts/operation/polygonize/Polygonizer.js';
import { adjustments } from './adjustment';
import { piecesBench } from './pieces';
import { raisedBench } from './raised';
import { roofsBench } from './roofs';
import { storeysBench } from './storeys';
import { type Plan, type Wall, applyEdit, deriveFloor, drawFloor, cellsOf, networkOf, newPlan } from '../src';

/** Milliseconds of `runs` runs, sorted. The first runs warm up and do not count. */
function time(runs: number, work: (i: number) => void): number[] {
  for (let i = 0; i < 3; i += 1) work(-1 - i);
  const times = Array.from({ length: runs }, (_, i) => {
    const start = performance.now();
    work(i);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b);
}
const median = (times: number[]): number => times[Math.floor(times.length / 2)]!;
const percentile = (times: number[], share: number): number =>
  times[Math.min(times.length - 1, Math.floor(times.length * share))]!;

/** The walls of n × n square cells, planar. */
function grid(n: number): { corners: Plan['corners']; walls: Wall[] } {
  const corners: Record<string, Plan['corners'][string]> = {};
  const walls: Wall[] = [];
  const id = (x: number, y: number) => `c${x}.${y}`;
  for (let y = 0; y <= n; y += 1) {
    for (let x = 0; x <= n; x += 1) {
      corners[id(x, y)] = { id: id(x, y), floor: 'ground', x: x * 3000, y: y * 3000 };
      for (const [dx, dy] of [
        [1, 0],
        [0, 1],
      ] as const) {
        if (x + dx > n || y + dy > n) continue;
        walls.push({
          id: `w${walls.length}`,
          floor: 'ground',
          start: id(x, y),
          end: id(x + dx, y + dy),
          left: 50,
          right: 50,
          bulge: 0,
          kind: 'internal',
          typed: false,
          hatch: null,
          tint: null,
        });
      }
    }
  }
  return { corners, walls };
}

function againstPolygonizer(n: number): string {
  const { corners, walls } = grid(n);
  const runs = n >= 100 ? 7 : 15;
  let found = 0;
  // fresh corners for every run, so that nothing is remembered from the last one
  const fresh = Array.from({ length: runs + 3 }, () =>
    Object.fromEntries(Object.entries(corners).map(([id, corner]) => [id, { ...corner }])),
  );
  const ours = time(runs, () => {
    found = cellsOf(networkOf(fresh.pop()!, walls)).length;
  });
  const factory = new GeometryFactory();
  const lines = walls.map((wall) =>
    factory.createLineString([wall.start, wall.end].map((end) => new Coordinate(corners[end]!.x, corners[end]!.y))),
  );
  let theirs = 0;
  const polygonizer = time(runs, () => {
    const p = new Polygonizer();
    lines.forEach((line) => p.add(line));
    theirs = 0;
    for (const it = p.getPolygons().iterator(); it.hasNext(); it.next()) theirs += 1;
  });
  if (found !== n * n || theirs !== found) throw new Error(`Found ${found} and ${theirs} faces instead of ${n * n}.`);
  const ratio = median(polygonizer) / median(ours);
  return `| ${n} × ${n} | ${walls.length} | ${median(ours).toFixed(2)} | ${median(polygonizer).toFixed(1)} | ${ratio.toFixed(1)} × |`;
}

/** A floor of rooms side by side, made by the same edits a person makes. */
function floorOf(columns: number, rows: number): Plan {
  let plan = newPlan({ name: 'Bench' });
  for (let y = 0; y < rows; y += 1) {
    for (let x = 0; x < columns; x += 1) {
      const a = { x: x * 3500, y: y * 3000 };
      const result = applyEdit(
        plan,
        { kind: 'drawBox', floor: 'ground', a, b: { x: a.x + 3500, y: a.y + 3000 } },
        `b${x}-${y}`,
      );
      if (!result.ok) throw new Error(result.reason);
      plan = result.plan;
    }
  }
  return plan;
}

function dragStep(): string[] {
  const plan = floorOf(14, 10);
  const floor = deriveFloor(plan, 'ground');
  const style = { lettering: 125, units: 'metric' } as const;
  drawFloor(floor, style);
  const inner = floor.rooms[Math.floor(floor.rooms.length / 2)]!.faces[0]!;
  const outer = floor.rooms[0]!.faces.find((face) => face.halves[0]!.wall.kind === 'external')!;
  let marks = 0;
  const step = (face: string) =>
    time(200, (i) => {
      const result = applyEdit(plan, { kind: 'moveWall', floor: 'ground', face, by: 10 + (Math.abs(i) % 50) * 5 }, 'd');
      if (!result.ok) throw new Error(result.reason);
      marks += drawFloor(deriveFloor(result.plan, 'ground'), style).length;
    });
  const line = (what: string, times: number[]) =>
    `| ${what} | ${median(times).toFixed(2)} | ${percentile(times, 0.95).toFixed(2)} | ${times.at(-1)!.toFixed(2)} |`;
  return [
    `Floor: ${floor.rooms.length} rooms, ${floor.network.walls.length} walls.`,
    '',
    '| drag step | median ms | 95 % | worst |',
    '|---|---|---|---|',
    line('inner wall: edit + derived + drawing', step(inner.key)),
    line('outer wall: edit + derived + drawing', step(outer.key)),
    '',
    `Marks drawn: ${marks}.`,
  ];
}

console.log(
  [
    '## Faces of n × n cells',
    '',
    '| cells | walls | ours, ms | Polygonizer, ms | faster |',
    '|---|---|---|---|---|',
    ...[20, 50, 100].map(againstPolygonizer),
  ].join('\n'),
);
console.log(['', '## One step of dragging a wall', '', ...dragStep()].join('\n'));
console.log(['', '## Truing up', '', ...adjustments()].join('\n'));
console.log(['', '## A house of several floors', '', ...storeysBench(floorOf(8, 5))].join('\n'));
console.log(['', '## Under slopes', '', ...roofsBench(floorOf(16, 10))].join('\n'));
console.log(['', '## Pieces', '', ...piecesBench(floorOf(8, 5))].join('\n'));
console.log(['', '## The house raised', '', ...raisedBench()].join('\n'));
