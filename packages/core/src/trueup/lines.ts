import { type Point, cross, direction, middle, moved, nearestAlong, pointAt, rightOf } from '../geometry';
import type { Reading } from '../plan/plan';
import { type HalfWall, type Network, faceEnd, faceStart, runOfReading } from '../walls';
import { leaving } from './quantity-of-place';

const middleOf = (run: readonly HalfWall[] | null): HalfWall | null => run && run[Math.floor(run.length / 2)]!;

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
    case 'arc':
      return face(from, to);
    case 'thickness': {
      const half = middleOf(runOfReading(network, { kind, from, to }));
      return (
        half && [
          pointAt(half.course, half.course.length / 2, half.right),
          pointAt(half.course, half.course.length / 2, -half.left),
        ]
      );
    }
    case 'sagitta':
    case 'radius': {
      const run = runOfReading(network, { kind, from, to });
      const half = middleOf(run);
      if (!run || !half) return null;
      const chord = middle(faceStart(run[0]!), faceEnd(run.at(-1)!));
      return [chord, pointAt(half.course, nearestAlong(half.course, chord), half.right)];
    }
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
