interface End {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The rim of a surface: of all sides of its triangles those that only one has, two ends to each. `from`, `count`: its corners. Places nearer than a tenth of a millimetre are one. */
export function rimOf(positions: Float32Array, from: number, count: number): End[] {
  const key = (i: number) => [0, 1, 2].map((k) => Math.round(10_000 * positions[3 * i + k]!)).join(' ');
  const end = (i: number): End => ({ x: positions[3 * i]!, y: positions[3 * i + 1]!, z: positions[3 * i + 2]! });
  const sides = new Map<string, readonly [number, number] | null>();
  for (let t = from; t < from + count; t += 3)
    for (const [a, b] of [
      [t, t + 1],
      [t + 1, t + 2],
      [t + 2, t],
    ] as const) {
      const [one, two] = [key(a), key(b)];
      const side = one < two ? `${one} ${two}` : `${two} ${one}`;
      sides.set(side, sides.has(side) ? null : [a, b]);
    }
  return [...sides.values()].flatMap((side) => (side ? side.map(end) : []));
}
