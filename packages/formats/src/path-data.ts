import { type ArcMark, type Point, type Ring, arcOf, runsClockwise } from '@velvet-tape/core';

interface OnPaper {
  place?(p: Point): Point;
  scale?: number;
  say?(n: number): string;
}

/**
 * Outlines or open lines as the `d` of an SVG path, arcs as arcs. `place` puts a point of the house on the paper,
 * `scale` is how many mm of the house one unit of the paper stands for.
 */
export function pathData(
  rings: readonly Ring[],
  closed: boolean,
  { place = (p: Point) => p, scale = 1, say = String }: OnPaper = {},
): string {
  const at = (p: Point) => {
    const { x, y } = place(p);
    return `${say(x)} ${say(y)}`;
  };
  return rings
    .filter((ring) => ring.length > 1)
    .map((ring) => {
      const edges = closed ? ring : ring.slice(0, -1);
      const steps = edges.map((a, i) => {
        const b = ring[(i + 1) % ring.length]!;
        if (!a.bulge) return i + 1 === ring.length ? '' : ` L ${at(b)}`;
        const { radius, sweep } = arcOf(a, b, a.bulge);
        const r = say(radius / scale);
        return ` A ${r} ${r} 0 ${Math.abs(sweep) > Math.PI ? 1 : 0} ${sweep > 0 ? 1 : 0} ${at(b)}`;
      });
      return `M ${at(ring[0]!)}${steps.join('')}${closed ? ' Z' : ''}`;
    })
    .join(' ');
}

/** The same of an arc that is a mark by itself. */
export function arcData(mark: ArcMark, { place = (p: Point) => p, scale = 1, say = String }: OnPaper = {}): string {
  const [from, to] = [place(mark.from), place(mark.to)];
  const radius = say(mark.radius / scale);
  return `M ${say(from.x)} ${say(from.y)} A ${radius} ${radius} 0 0 ${runsClockwise(mark) ? 1 : 0} ${say(to.x)} ${say(to.y)}`;
}
