import { type Point, cross, direction, middle, moved, rightOf } from '../geometry';
import type { Reading } from '../plan/plan';
import { type Network, faceEnd, faceStart, runOfReading } from '../walls';
import { leaving } from './observations';

/** Where a reading was taken on the plan: from point to point; of an angle its corner twice. Null when its place is gone. */
export function lineOfReading(
  network: Network,
  { kind, from, to, via }: Pick<Reading, 'kind' | 'from' | 'to' | 'via'>,
): readonly [Point, Point] | null {
  const face = (a: string, b: string) => {
    const run = runOfReading(network, { kind: kind === 'chord' ? 'chord' : 'length', from: a, to: b });
    return run && ([faceStart(run[0]!), faceEnd(run.at(-1)!)] as const);
  };
  switch (kind) {
    case 'length':
    case 'chord':
      return face(from, to);
    case 'diagonal': {
      const [a, b] = [leaving(network, from, via[0]), leaving(network, to, via[1])];
      return a && b && [faceStart(a), faceStart(b)];
    }
    case 'between': {
      const [one, two] = [face(from, to), face(via[0]!, via[1]!)];
      if (!one || !two) return null;
      const inward = rightOf(direction(...one));
      const start = middle(...one);
      const off = cross(direction(...one), { x: middle(...two).x - start.x, y: middle(...two).y - start.y });
      return [start, moved(start, inward, off)];
    }
    case 'angle': {
      const half = leaving(network, from, to);
      return half && [faceStart(half), faceStart(half)];
    }
  }
}
