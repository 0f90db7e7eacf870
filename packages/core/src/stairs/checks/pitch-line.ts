import type { StairOnFloor } from '../on-floor';

/** How high the line over the nosings is, `along` mm from the first riser on the walking line, mm: level over a landing. */
export function pitchLine({ shape, steps }: Pick<StairOnFloor, 'shape' | 'steps'>, along: number): number {
  if (steps.risers <= 1) return (steps.rise * along) / Math.max(1, shape.length);
  const tread = shape.treads.find(({ to }) => along < to) ?? shape.treads.at(-1)!;
  const { from, to, level, part } = tread;
  const share = Math.min(1, Math.max(0, (along - from) / Math.max(1e-9, to - from)));
  return level + (part === 'landing' ? 0 : steps.riser * share);
}
