import fc from 'fast-check';
import { applyEdit } from '../src';
import { AXONOMETRIES, Hiding, cutMesh, lidsOf, linesOf, projectionOf } from '../src/axonometric';
import { openEdges, raisedFloor, volumeOf } from '../src/raised';
import { gesture, play } from '../tests/gestures';
import { type Along, alongLine, clearOf } from '../tests/sight';

export interface Lines {
  houses: number;
  /** Places on lines at which rays were sent to who looks; those that are hidden; those told otherwise than drawn. */
  places: number;
  hidden: number;
  wrong: number;
  /** Skirtings and cornices round rooms; those that are open, or inside out. */
  trims: number;
  unsound: number;
  threw: number;
  readonly seeds: string[];
}

/** Random houses with trims, drawn in lines from random corners, cut or not. */
export function drawLines(count: number, seed: number): Lines {
  const seen: Lines = { houses: 0, places: 0, hidden: 0, wrong: 0, trims: 0, unsound: 0, threw: 0, seeds: [] };
  const one = fc.record({
    gestures: fc.array(gesture, { minLength: 4, maxLength: 18 }),
    form: fc.constantFrom(...AXONOMETRIES),
    corner: fc.nat(3),
    cut: fc.constantFrom(null, 900, 1200, 2100),
    depth: fc.integer({ min: 3, max: 120 }),
    salt: fc.nat(1e6),
  });
  for (const [n, each] of fc.sample(one, { seed, numRuns: count }).entries()) {
    seen.houses += 1;
    try {
      house(each, seen, `${seed} ${n}`);
    } catch {
      seen.threw += 1;
      seen.seeds.push(`${seed} ${n}`);
    }
  }
  return { ...seen, seeds: seen.seeds.slice(0, 10) };
}

interface One {
  readonly gestures: Parameters<typeof play>[0];
  readonly form: (typeof AXONOMETRIES)[number];
  readonly corner: number;
  readonly cut: number | null;
  readonly depth: number;
  readonly salt: number;
}

function house({ gestures, form, corner, cut, depth, salt }: One, seen: Lines, named: string): void {
  let plan = play(gestures, () => undefined);
  for (const part of ['skirting', 'cornice'] as const) {
    const to = { profile: 'ogee' as const, height: 120, depth };
    const done = applyEdit(plan, { kind: 'fitTrim', part, room: null, to, option: null }, `t${part}`);
    if (done.ok) plan = done.plan;
  }
  const things = raisedFloor(plan, 'ground').things.filter(({ part }) => part !== 'ceilings' && part !== 'glass');
  for (const { part, mesh } of things) {
    if (part !== 'skirtings' && part !== 'cornices') continue;
    seen.trims += 1;
    if (openEdges(mesh) > 0 || !(volumeOf(mesh) > 0)) {
      seen.unsound += 1;
      seen.seeds.push(named);
    }
  }
  const projection = projectionOf(form, corner);
  const height = cut === null ? null : cut + 0.0137;
  const triangles = things.flatMap(({ mesh }) => {
    const { triangles, caps } = cutMesh(mesh, height);
    return [...triangles, ...(height === null ? [] : lidsOf(caps, height))];
  });
  const hiding = new Hiding(triangles, projection);
  const lines: readonly Along[] = things
    .flatMap(({ mesh }) => linesOf(mesh, projection))
    .filter(({ a, b }) => cut === null || (a[1] < cut && b[1] < cut));
  for (let k = 0; k < Math.min(20, lines.length); k += 1) {
    const line = lines[(k * 7919 + salt) % lines.length]!;
    const stretches = hiding.seen(line.a, line.b);
    const at = alongLine(line, stretches, ((k * 0.618 + salt * 0.37) % 1) * 0.9 + 0.05);
    const clear = at && clearOf(at.p, projection.towards, triangles);
    if (clear === null || at === null) continue;
    seen.places += 1;
    if (!clear) seen.hidden += 1;
    if (at.seen === clear) continue;
    seen.wrong += 1;
    seen.seeds.push(named);
  }
}
