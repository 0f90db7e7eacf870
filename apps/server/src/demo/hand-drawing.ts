import type { Point } from '@velvet-tape/core';

/** Letters and figures as strokes on a grid 4 wide and 6 high, as somebody letters a sketch; a stroke is points, two digits each. */
const STROKES = new Map(
  Object.entries({
    A: '06 20 46|13 33',
    B: '00 06 36 45 44 33 03|00 30 41 42 33',
    C: '41 30 10 01 05 16 36 45',
    D: '00 06 26 44 42 20 00',
    E: '40 00 06 46|03 33',
    F: '40 00 06|03 33',
    H: '00 06|40 46|03 43',
    I: '20 26',
    K: '00 06|40 03 46',
    L: '00 06 46',
    N: '06 00 46 40',
    O: '10 01 05 16 36 45 41 30 10',
    P: '06 00 30 41 42 33 03',
    R: '06 00 30 41 42 33 03|23 46',
    S: '41 30 10 01 02 13 33 44 45 36 16 05',
    T: '00 40|20 26',
    W: '00 16 22 36 40',
    '1': '11 20 26',
    '2': '01 10 30 41 42 06 46',
    '3': '01 10 30 41 42 33 23|33 44 45 36 16 05',
    '4': '36 30 04 44',
    '5': '40 00 03 33 44 45 36 06',
    '6': '40 10 02 05 16 36 45 44 33 03',
    '7': '00 40 16',
    '8': '13 02 01 10 30 41 42 33 13 04 05 16 36 45 44 33',
    '9': '06 36 45 41 30 10 01 02 13 43',
    '.': '26 25',
    ':': '22 23|25 26',
  }),
);
STROKES.set('0', STROKES.get('O')!);

/** A small generator of random numbers (mulberry32, public domain, from memory): a drawing is the same every time. */
export function randomFrom(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Draws as by hand: lines that are nearly straight, corners that overshoot a little. px. */
export class HandDrawing {
  private readonly parts: string[] = [];
  private readonly random: () => number;

  constructor(
    seed: number,
    /** How far a line strays, px. */
    private readonly stray: number,
    private readonly ink: string,
  ) {
    this.random = randomFrom(seed);
  }

  /** Everything drawn so far, as SVG. */
  get svg(): string {
    return this.parts.join('');
  }

  private off(by = this.stray): number {
    return (this.random() - 0.5) * 2 * by;
  }

  /** The points of a line that strays a little on its way. */
  private way(a: Point, b: Point): Point[] {
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const count = Math.max(1, Math.round(length / 70));
    return Array.from({ length: count + 1 }, (_, i) => ({
      x: a.x + ((b.x - a.x) * i) / count + this.off(),
      y: a.y + ((b.y - a.y) * i) / count + this.off(),
    }));
  }

  line(a: Point, b: Point, width: number, opacity = 0.9): void {
    this.path(this.way(a, b), width, opacity);
  }

  private path(points: readonly Point[], width: number, opacity: number): void {
    const d = points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join(' L ');
    this.parts.push(
      `<path d="M ${d}" fill="none" stroke="${this.ink}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round" opacity="${opacity}"/>`,
    );
  }

  /** A wall inked in: its outline strays, and the pen shows in it. */
  wall(a: Point, b: Point, thickness: number): void {
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const n = { x: (-(b.y - a.y) / length) * (thickness / 2), y: ((b.x - a.x) / length) * (thickness / 2) };
    const side = (sign: 1 | -1, from: Point, to: Point) =>
      this.way({ x: from.x + sign * n.x, y: from.y + sign * n.y }, { x: to.x + sign * n.x, y: to.y + sign * n.y });
    const ring = [...side(1, a, b), ...side(-1, b, a)];
    const d = ring.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join(' L ');
    this.parts.push(`<path d="M ${d} Z" fill="${this.ink}" opacity="0.88"/>`);
    for (let along = 0; along < length; along += 26 + this.random() * 20)
      this.line(
        { x: a.x + ((b.x - a.x) * along) / length + n.x, y: a.y + ((b.y - a.y) * along) / length + n.y },
        { x: a.x + ((b.x - a.x) * along) / length - n.x, y: a.y + ((b.y - a.y) * along) / length - n.y },
        2,
        0.25,
      );
  }

  /** A quarter of a circle from one point to another round a third. */
  quarter(centre: Point, from: Point, to: Point): void {
    const [one, two] = [from, to].map((p) => Math.atan2(p.y - centre.y, p.x - centre.x));
    let by = two! - one!;
    if (by > Math.PI) by -= 2 * Math.PI;
    if (by < -Math.PI) by += 2 * Math.PI;
    const r = Math.hypot(from.x - centre.x, from.y - centre.y);
    const points = Array.from({ length: 13 }, (_, i) => {
      const angle = one! + (by * i) / 12;
      return { x: centre.x + r * Math.cos(angle) + this.off(), y: centre.y + r * Math.sin(angle) + this.off() };
    });
    this.path(points, 2.5, 0.8);
  }

  /** Words lettered so high, their middle at a point; `upright` letters run up the sheet. */
  words(text: string, at: Point, height: number, upright = false): void {
    const k = height / 6;
    const wide = (text.length * 6 - 2) * k;
    [...text].forEach((letter, i) => {
      for (const stroke of STROKES.get(letter)?.split('|') ?? []) {
        const points = stroke
          .trim()
          .split(' ')
          .filter((pair) => pair.length === 2)
          .map((pair) => {
            const [u, v] = [Number(pair[0]) * k + i * 6 * k - wide / 2, (Number(pair[1]) - 3) * k];
            const p = upright ? { x: v, y: -u } : { x: u, y: v };
            return { x: at.x + p.x + this.off(k * 0.35), y: at.y + p.y + this.off(k * 0.35) };
          });
        if (points.length > 1) this.path(points, Math.max(2, k * 0.75), 0.9);
      }
    });
  }
}
